import type { Finding } from './finding'

/**
 * What a finding is recognised by after an edit: the rule and what it is about, without its figures.
 *
 * Edge: a finding about a set of an exercise follows that exercise from day to day; others belong to their day.
 */
export function findingKey({
  check,
  place: { day, session, slot, group, joint },
}: Finding): string {
  const where = slot ?? [day, session].filter(part => part !== undefined).join('.')
  return [check, where, group, joint].filter(part => part !== undefined && part !== '').join(' ')
}

/** Only a recorded clearance by a licensed professional lifts these; no note of a coach does. */
const FIRM: readonly string[] = ['pain-stop', 'screening-open']

/** Whether a coach may dismiss a finding. */
export function canBeDismissed({ check }: Finding): boolean {
  return !FIRM.includes(check)
}
