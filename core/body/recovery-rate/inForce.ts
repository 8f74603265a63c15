import { addDays, type PlainDate } from '../../base'
import type { Group } from '../../plan/catalogue'
import type { PaceRecord } from '../../plan/method'
import type { OwnPace } from '../recovery'

export type Paces = Readonly<Partial<Record<Group, number>>>
export type PaceRecords = Readonly<Partial<Record<Group, PaceRecord>>>

/** Most a pace may move in so many days. Source: docs/methods.md#learned-recovery. */
export const PACE_STEP = { most: 0.15, days: 28 } as const
const LEAST_MOVE = 0.01

/** Strength alone has to point the same way by so much. */
const LEAST_BY_STRENGTH = 0.03

/** The interval leaves the usual hours out, and strength alone points the same way: what was learned is used of itself. */
export function isClear(learned: OwnPace): boolean {
  if (learned.kind !== 'pace') return false
  const { low, high, byStrength } = learned
  return (
    (low > 1 && byStrength > 1 + LEAST_BY_STRENGTH) ||
    (high < 1 && byStrength < 1 - LEAST_BY_STRENGTH)
  )
}

/**
 * Paces in force after something was learned.
 *
 * Edge: what the coach has set herself stays; a pace moves by 0.15 in 28 days at most, however much was learned.
 */
export function pacesAfter(
  learned: ReadonlyMap<Group, OwnPace>,
  paces: Paces,
  records: PaceRecords,
  today: PlainDate,
): { readonly paces: Paces; readonly records: PaceRecords } {
  let [nextPaces, nextRecords] = [paces, records]
  for (const [group, own] of learned) {
    const record = records[group]
    if (own.kind !== 'pace' || !isClear(own) || record?.by === 'coach') continue
    const current = paces[group] ?? 1
    const isRecent = record !== undefined && addDays(record.on, PACE_STEP.days) > today
    const was = isRecent ? record.was : current
    const pace =
      Math.round(Math.max(was - PACE_STEP.most, Math.min(was + PACE_STEP.most, own.pace)) * 100) /
      100
    if (Math.abs(pace - current) < LEAST_MOVE) continue
    nextPaces = { ...nextPaces, [group]: pace }
    nextRecords = {
      ...nextRecords,
      [group]: {
        by: 'log',
        on: isRecent ? record.on : today,
        was,
        ...(record?.since && { since: record.since }),
      },
    }
  }
  return { paces: nextPaces, records: nextRecords }
}

/** What the coach does with a pace: sets one, goes back to the usual hours, or lets it be learned anew from today. */
export type PaceDecision =
  | { readonly kind: 'set'; readonly pace: number }
  | { readonly kind: 'usual' }
  | { readonly kind: 'anew' }

export function pacesWith(
  group: Group,
  decision: PaceDecision,
  paces: Paces,
  records: PaceRecords,
  today: PlainDate,
): { readonly paces: Paces; readonly records: PaceRecords } {
  const { [group]: current, ...others } = paces
  const since = records[group]?.since
  switch (decision.kind) {
    case 'set':
      return {
        paces: { ...others, [group]: decision.pace },
        records: {
          ...records,
          [group]: { by: 'coach', on: today, was: current ?? 1, ...(since && { since }) },
        },
      }
    case 'usual':
      return {
        paces: others,
        records: {
          ...records,
          [group]: { by: 'coach', on: today, was: current ?? 1, ...(since && { since }) },
        },
      }
    case 'anew':
      return {
        paces: others,
        records: { ...records, [group]: { by: 'log', on: today, was: 1, since: today } },
      }
  }
}
