import type { PlanEdit } from '../../plan/block'
import type { SlotId } from '../../base'
import type { Group, Joint } from '../../plan/catalogue'
import type { CHECK_TABLE, CheckId } from './checkTable'
import type { CheckInput } from './input'

export const SEVERITIES = ['stop', 'caution', 'info'] as const
/** `stop` can hurt and holds back handing the plan over, `caution` likely costs results or comfort, `info` is worth knowing. */
export type Severity = (typeof SEVERITIES)[number]

/** Where a finding is, as exactly as it can be said. Days and sessions from 0. */
export interface FindingPlace {
  readonly day?: number
  readonly session?: number
  readonly slot?: SlotId
  readonly group?: Group
  readonly joint?: Joint
}

/** Something a check has found. */
export interface Finding {
  readonly check: CheckId
  readonly severity: Severity
  readonly place: FindingPlace
  /** Numbers and names used in the sentence. */
  readonly figures: Readonly<Record<string, number | string>>
  /** Edits that settle it, applied in order as one step; none where the coach has to decide. */
  readonly fix?: readonly PlanEdit[]
}

/** What a rule returns: the check adds its name and usual severity. */
export type FoundBy = Omit<Finding, 'check' | 'severity'> & { readonly severity?: Severity }

/** What finds something: its row in the table of checks says over what it looks and how grave it is. */
export interface Rule {
  readonly id: CheckId
  /** Why the rule exists, in one sentence. */
  readonly reason: string
  /** The method setting that switches or shifts it. */
  readonly tunedBy?: string
  readonly find: (input: CheckInput) => readonly FoundBy[]
}

/** A rule with its row of the table. */
export type Check = Rule & (typeof CHECK_TABLE)[CheckId]
