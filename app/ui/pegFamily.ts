import type { Group } from '#core/plan/catalogue'

/** Colour and head of the pegs on a line. */
export type PegFamily = 'flex' | 'flex2' | 'ext' | 'fore' | 'body'

const FAMILIES: Readonly<Partial<Record<Group, PegFamily>>> = {
  biceps: 'flex',
  elbow_flexors_other: 'flex2',
  triceps: 'ext',
  forearms: 'fore',
}

/** Colour and head of a muscle's pegs; muscles of the rest of the body share one. */
export function familyOfGroup(group: Group | undefined): PegFamily {
  return (group && FAMILIES[group]) ?? 'body'
}
