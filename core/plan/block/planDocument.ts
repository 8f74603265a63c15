import type { PlainDate, SessionId, SlotId } from '../../base'
import type { Group } from '../catalogue'
import type { ClientFacts, Mode, Phase } from '../method'
import { daySlots, type Rotation } from '../rotation'
import type { Session, Slot } from '../session'
import type { BlockPlan } from './blockPlan'

/** Version of the document's shape; a stored document of an older one is migrated when it is read. */
export const PLAN_SCHEMA = 1

/** More groupings than any session holds (docs/formats.md). */
export const MAX_GROUPINGS = 40

export const ONE_OFF_REASONS = ['short', 'swap', 'other'] as const

/** A session that is done in another way on one date; the plan stays as it is. */
export interface OneOff {
  readonly on: PlainDate
  /** The session of the rotation that it stands in for; the content has the same id. */
  readonly session: SessionId
  readonly reason: (typeof ONE_OFF_REASONS)[number]
  readonly content: Session
}

/** Another version of a session that is kept at hand, such as a short one. */
export interface Variant {
  readonly session: SessionId
  readonly name: string
  readonly content: Session
}

/** Terms that a plan was weighed against, and what it came to under them. */
export interface Weighed {
  readonly terms: string
  readonly outcome: string
}

/** A template and which of its versions. */
export interface MadeFrom {
  readonly template: string
  readonly version: number
}

/** A block ahead of which only emphasis, days and volumes are decided: its exercises are those of the block before, fitted anew. */
export interface Draft {
  /** Counted sets per 7 days in its last working rotation, where they are not what is usual. */
  readonly ends?: Readonly<Partial<Record<Group, number>>>
  /** Weeks of base before arm work comes in. */
  readonly baseWeeks?: number
}

/** The plan of one training block, saved whole under a version number (docs/formats.md). */
export interface PlanDocument {
  readonly schema: typeof PLAN_SCHEMA
  readonly title: string
  readonly startsOn: PlainDate
  /** How many times the rotation is gone through. */
  readonly passes: number
  readonly rotation: Rotation
  /** How the passes differ; every pass is the rotation as it stands where left out. */
  readonly block?: BlockPlan
  /** Findings the coach has looked at and dismissed, by finding key, each with her note. */
  readonly dismissed?: readonly { readonly finding: string; readonly note: string }[]
  /** Terms that were weighed, in the coach's words, and what each came to then: the reason for how the plan is. */
  readonly weighed?: readonly Weighed[]
  readonly oneOffs?: readonly OneOff[]
  readonly variants?: readonly Variant[]
  /** What comes first in this block, where it is not what the client's profile says. */
  readonly emphasis?: Readonly<Partial<Record<Group, Mode>>>
  /** What this stretch of training is for, where the coach has said so. */
  readonly phase?: Phase
  /** The coach's own template it was made from, as it was then. */
  readonly madeFrom?: MadeFrom
  /** Left out once it is a plan: made one by the coach, or changed by hand. */
  readonly draft?: Draft
  /** What the coach takes from this block into the next, and what she took from the one before. */
  readonly closingNotes?: string
  readonly fromLast?: string
}

/** A client as a block takes her: with its own emphasis over the profile's, in its phase. */
export function factsInBlock(
  facts: ClientFacts,
  { emphasis, phase }: Pick<PlanDocument, 'emphasis' | 'phase'>,
): ClientFacts {
  if (!emphasis && !phase && !facts.phase) return facts
  const { phase: _, ...bare } = facts
  return {
    ...bare,
    ...(emphasis && { modes: { ...facts.modes, ...emphasis } }),
    ...(phase && { phase }),
  }
}

/** Where a slot stands, days from 0; undefined if the plan has no such slot. */
export function findSlot(
  plan: PlanDocument,
  id: SlotId,
): { readonly day: number; readonly slot: Slot } | undefined {
  for (const [day, content] of plan.rotation.days.entries()) {
    const slot = daySlots(content).find(candidate => candidate.id === id)
    if (slot) return { day, slot }
  }
  return undefined
}
