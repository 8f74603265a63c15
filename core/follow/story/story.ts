import { type ExerciseId, groupedBy, type PlainDate } from '../../base'
import { type LoggedSet, setEstimate } from '../../body/log'
import type { Joint } from '../../plan/catalogue'
import { type SetUp, setUpText } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'

/** A session of a client as the story reads it: done, or still to be done. */
export interface StorySession {
  readonly id: string
  readonly on: PlainDate
  readonly name: string
  readonly prescribed: Session
  readonly isClosed: boolean
}

export interface StoryPain {
  readonly on: PlainDate
  readonly joint: Joint
  readonly side: 'left' | 'right' | 'both'
  readonly score: number
}

export interface StoryQuestion {
  readonly exercise: ExerciseId
  readonly sessions: readonly StorySession[]
  /** Everything logged in these sessions, whatever the exercise. */
  readonly sets: readonly (LoggedSet & { readonly sessionId: string })[]
  /** Reports about joints the exercise loads. */
  readonly pains: readonly StoryPain[]
  /** How its station was set up, as it was said on the day. */
  readonly setUps: readonly { readonly on: PlainDate; readonly setUp: SetUp }[]
}

/** One day of an exercise: what was planned, what was done, and what became of it. */
export interface StoryDay {
  readonly session: string
  readonly on: PlainDate
  readonly name: string
  readonly isClosed: boolean
  readonly planned: readonly Slot[]
  readonly sets: readonly LoggedSet[]
  /** Done in place of it where it was planned. */
  readonly instead: readonly ExerciseId[]
  /** What it stood in for. */
  readonly standsFor: readonly ExerciseId[]
  readonly pains: readonly StoryPain[]
  /** As it was said, and held until said otherwise; empty before anything was. */
  readonly setUp: string
  /** Best estimate of the one-rep maximum, kg; null where no set says anything. */
  readonly estimateKg: number | null
  /** Reps from the first working set to the last where both had one load; null elsewhere. */
  readonly fall: number | null
}

const isLead = ({ role, stage }: LoggedSet) => role === 'working' && stage === 1

function bestEstimate(sets: readonly LoggedSet[]): number | null {
  const values = sets.filter(isLead).flatMap(set => setEstimate(set) ?? [])
  return values.length > 0 ? Math.max(...values) : null
}

/** Reps lost from the first set to the last at one load, of the weaker arm. */
export function fallOverSets(sets: readonly LoggedSet[]): number | null {
  const lead = [...groupedBy(sets.filter(isLead), ({ set }) => set)]
    .sort(([a], [b]) => a - b)
    .map(([, own]) => ({
      load: Math.min(...own.map(({ loadKg }) => loadKg ?? 0)),
      reps: Math.min(...own.map(({ reps }) => reps ?? NaN)),
    }))
  const [first, last] = [lead[0], lead.at(-1)]
  if (!first || !last || lead.length < 2 || lead.some(({ load }) => load !== first.load))
    return null
  const fall = first.reps - last.reps
  return Number.isFinite(fall) ? fall : null
}

interface Found {
  readonly question: StoryQuestion
  readonly bySession: ReadonlyMap<string, readonly (LoggedSet & { readonly sessionId: string })[]>
}

function dayOf(session: StorySession, { question, bySession }: Found): StoryDay[] {
  const { exercise, pains } = question
  const all = bySession.get(session.id) ?? []
  const slots = sessionSlots(session.prescribed)
  const planned = slots.filter(slot => slot.exercise === exercise)
  const sets = all.filter(set => set.exercise === exercise)
  if (planned.length === 0 && sets.length === 0) return []
  const plannedIds = new Set(planned.map(({ id }) => id))
  const names = (found: readonly (ExerciseId | undefined)[]) => [
    ...new Set(found.filter(one => one !== undefined)),
  ]
  return [
    {
      session: session.id,
      on: session.on,
      name: session.name,
      isClosed: session.isClosed,
      planned,
      sets,
      instead: names(
        all.flatMap(set =>
          set.slot && plannedIds.has(set.slot) && set.exercise !== exercise ? [set.exercise] : [],
        ),
      ),
      standsFor: names(
        sets.flatMap(
          ({ slot }) =>
            slots.find(held => held.id === slot && held.exercise !== exercise)?.exercise,
        ),
      ),
      pains: pains.filter(({ on }) => on === session.on),
      setUp: '',
      estimateKg: bestEstimate(sets),
      fall: fallOverSets(sets),
    },
  ]
}

/** What was said of the set-up holds until something else is said. */
function withSetUps(days: readonly StoryDay[], said: StoryQuestion['setUps']): readonly StoryDay[] {
  const inOrder = [...said].sort((a, b) => (a.on < b.on ? -1 : 1))
  return days.map(day => {
    const last = inOrder.filter(({ on }) => on <= day.on).at(-1)
    return { ...day, setUp: setUpText(last?.setUp) }
  })
}

/**
 * Every day an exercise was planned or done, with what became of it.
 *
 * Shape:  the oldest day first; sessions ahead come last, with nothing done.
 * Units:  kilograms as logged.
 * Edge:   an exercise nobody planned or did has no days.
 */
export function exerciseStory(question: StoryQuestion): readonly StoryDay[] {
  const found = { question, bySession: groupedBy(question.sets, ({ sessionId }) => sessionId) }
  const days = [...question.sessions]
    .sort((a, b) => (a.on === b.on ? 0 : a.on < b.on ? -1 : 1))
    .flatMap(session => dayOf(session, found))
  return withSetUps(days, question.setUps)
}
