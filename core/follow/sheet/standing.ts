import type { ExerciseId, SlotId } from '../../base'
import type { SetUp } from '../../plan/scheme'
import { type DonePart, type LogEntry, type LogWord, placeKey, type SetPlace } from './entry'
import type { FeltPlace } from './feelings'
import { type Levels, painLimit } from './pain'
import type {
  SheetExercise,
  SheetMovement,
  SheetPart,
  SheetSession,
  SheetSet,
  SheetTurn,
  SheetWay,
} from './sheet'

/** A value that stands, with the entry that put it there. */
export interface Standing {
  readonly entry: string
  readonly at: string
  readonly done: DonePart
}

/** Where a session stands after some entries. */
export interface SessionStanding {
  readonly done: ReadonlyMap<string, Standing>
  readonly skipped: ReadonlySet<SlotId>
  readonly swaps: ReadonlyMap<
    SlotId,
    { readonly exercise: ExerciseId; readonly intent: string | null }
  >
  readonly moreSets: ReadonlyMap<SlotId, number>
  readonly minutes: number | null
  readonly notes: readonly { readonly slot: SlotId | null; readonly text: string }[]
  /** How stations were set up today, by movement. */
  readonly setUps: ReadonlyMap<ExerciseId, SetUp>
  /** Where exercises were felt, by their slot. */
  readonly felt: ReadonlyMap<SlotId, FeltPlace>
  readonly startedAt: string | null
  readonly finish: Extract<LogWord, { kind: 'finish' }> | null
}

interface Draft {
  readonly done: Map<string, Standing>
  readonly skipped: Set<SlotId>
  readonly swaps: Map<SlotId, { readonly exercise: ExerciseId; readonly intent: string | null }>
  readonly moreSets: Map<SlotId, number>
  readonly notes: { readonly slot: SlotId | null; readonly text: string }[]
  readonly setUps: Map<ExerciseId, SetUp>
  readonly felt: Map<SlotId, FeltPlace>
  minutes: number | null
  startedAt: string | null
  finish: SessionStanding['finish']
}

function take(draft: Draft, { id, at, word }: LogEntry): void {
  switch (word.kind) {
    case 'opened':
    case 'pain':
      return
    case 'set':
      draft.done.set(placeKey(word.place), { entry: id, at, done: word.done })
      draft.startedAt ??= at
      return
    case 'clear':
      draft.done.delete(placeKey(word.place))
      return
    case 'more_sets':
      draft.moreSets.set(word.slot, (draft.moreSets.get(word.slot) ?? 0) + 1)
      return
    case 'skip':
      if (word.isSkipped) draft.skipped.add(word.slot)
      else draft.skipped.delete(word.slot)
      return
    case 'swap':
      if (word.exercise === null) draft.swaps.delete(word.slot)
      else draft.swaps.set(word.slot, { exercise: word.exercise, intent: word.intent })
      return
    case 'way':
      draft.minutes = word.minutes
      return
    case 'note':
      draft.notes.push({ slot: word.slot, text: word.text })
      return
    case 'set_up':
      draft.setUps.set(word.exercise, word.setUp)
      return
    case 'felt':
      draft.felt.set(word.slot, word.where)
      return
    case 'finish':
      draft.finish = word
  }
}

/**
 * What a session's entries say together, the later over the earlier.
 *
 * Edge: an entry that comes twice counts once; no entries give a session nobody has begun.
 */
export function sessionStanding(entries: readonly LogEntry[]): SessionStanding {
  const draft: Draft = {
    done: new Map(),
    skipped: new Set(),
    swaps: new Map(),
    moreSets: new Map(),
    notes: [],
    setUps: new Map(),
    felt: new Map(),
    minutes: null,
    startedAt: null,
    finish: null,
  }
  const seen = new Set<string>()
  for (const entry of entries) {
    if (seen.has(entry.id)) continue
    seen.add(entry.id)
    take(draft, entry)
  }
  return draft
}

/** The way through the session that is being taken. */
export function wayOf(
  { ways }: SheetSession,
  { minutes }: Pick<SessionStanding, 'minutes'>,
): SheetWay {
  return ways.find(way => way.minutes === minutes) ?? ways[0]
}

/** A turn as it stands: the planned one, or one of the sets that were added. */
export interface StandingTurn extends SheetTurn {
  readonly plan: SheetSet
  readonly parts: readonly {
    readonly part: SheetPart
    readonly place: SetPlace
    readonly standing: Standing | null
  }[]
  /** `stopped`: a joint that hurts keeps it from being done. */ readonly state:
    'done' | 'begun' | 'open' | 'skipped' | 'stopped'
  readonly isAdded: boolean
}

function addedTurns(
  way: SheetWay,
  moreSets: SessionStanding['moreSets'],
): readonly { readonly turn: SheetTurn; readonly plan: SheetSet; readonly isAdded: boolean }[] {
  const planned = way.turns.flatMap(turn =>
    way.sets[turn.slot]?.[turn.set]
      ? [{ turn, plan: way.sets[turn.slot]![turn.set]!, isAdded: false }]
      : [],
  )
  return [...moreSets].reduce(
    (turns, [slot, count]) => {
      const lastAt = turns.findLastIndex(({ turn }) => turn.slot === slot)
      const last = turns[lastAt]
      if (!last || last.plan.role === 'warmup') return turns
      const more = Array.from({ length: count }, (_, at) => ({
        turn: {
          ...last.turn,
          set: last.turn.set + at + 1,
          rest: Math.max(last.turn.rest, last.turn.seconds),
        },
        plan: { ...last.plan, number: last.plan.number + at + 1 },
        isAdded: true,
      }))
      return [...turns.slice(0, lastAt + 1), ...more, ...turns.slice(lastAt + 1)]
    },
    planned as readonly {
      readonly turn: SheetTurn
      readonly plan: SheetSet
      readonly isAdded: boolean
    }[],
  )
}

const NO_PAIN: Levels = {}

/** A part that was not planned: how it is asked for, and how it stands in a set. */
const addedPart = (stage: number, side: SheetPart['side']): SheetPart => ({
  stage,
  side,
  kind: 'work',
  words: 'Went on: a drop, or the same again after a pause',
  count: null,
  countWords: '',
  rir: 0,
  load: { kind: 'open' },
  restBefore: 0,
  as: null,
})

type StandingPart = StandingTurn['parts'][number]

/** Parts of a set that were logged and are not in the plan, after those that are. */
function addedParts(
  plan: SheetSet,
  slot: SlotId,
  done: SessionStanding['done'],
): readonly StandingPart[] {
  const last = Math.max(...plan.parts.map(({ stage }) => stage))
  const sides = [...new Set(plan.parts.map(({ side }) => side))]
  return sides.flatMap(side => {
    const found: StandingPart[] = []
    for (let stage = last + 1; ; stage++) {
      const place = { slot, role: plan.role, set: plan.number, stage, side }
      const standing = done.get(placeKey(place))
      if (!standing) return found
      found.push({ part: addedPart(stage, side), place, standing })
    }
  })
}

/** A set that went on: the same turn with one part more, to be filled in. */
export function wentOn(turn: StandingTurn): StandingTurn {
  const before = turn.parts.at(-1)
  if (!before) return turn
  const part = addedPart(before.part.stage + 1, before.part.side)
  return {
    ...turn,
    state: 'begun',
    parts: [...turn.parts, { part, place: { ...before.place, stage: part.stage }, standing: null }],
  }
}

/**
 * Every set of the session in the order it is done, with what has been logged of it.
 *
 * Shape: a set has the parts that were planned, then those that were done besides.
 * Edge: a joint that hurts takes the later parts of a set away, a stopped one the parts of its side; what was done already stays.
 */
export function turnsOf(
  session: SheetSession,
  standing: SessionStanding,
  levels: Levels = NO_PAIN,
): readonly StandingTurn[] {
  const exercises = new Map(
    session.exercises.map(exercise => [exercise.slot, movementOf(exercise, standing)]),
  )
  return addedTurns(wayOf(session, standing), standing.moreSets).map(({ turn, plan, isAdded }) => {
    const movement = exercises.get(turn.slot)
    const all = plan.parts.map(part => {
      const place: SetPlace = {
        slot: turn.slot,
        role: plan.role,
        set: plan.number,
        stage: part.stage,
        side: part.side,
      }
      const limit = movement && painLimit(movement, levels, part.side)
      return {
        part,
        place,
        standing: standing.done.get(placeKey(place)) ?? null,
        isOff: limit !== undefined && (limit.isStopped || part.stage > 1),
      }
    })
    const planned = all.filter(({ isOff, standing: held }) => !isOff || held !== null)
    const parts = [...planned, ...addedParts(plan, turn.slot, standing.done)]
    const logged = parts.filter(({ standing: held }) => held !== null).length
    const state =
      parts.length === 0
        ? 'stopped'
        : logged === parts.length
          ? 'done'
          : standing.skipped.has(turn.slot)
            ? 'skipped'
            : logged > 0
              ? 'begun'
              : 'open'
    return { ...turn, plan, parts, state, isAdded }
  })
}

/** The turn that is next; undefined once there is nothing left. A set that was begun is finished first. */
export function nextTurn(turns: readonly StandingTurn[]): StandingTurn | undefined {
  return turns.find(({ state }) => state === 'begun') ?? turns.find(({ state }) => state === 'open')
}

/** The set that was logged last and is whole; warm-ups left out. */
export function lastDoneTurn(turns: readonly StandingTurn[]): StandingTurn | undefined {
  const latest = ({ parts }: StandingTurn) =>
    parts.reduce((at, { standing }) => (standing && standing.at > at ? standing.at : at), '')
  return turns
    .filter(({ state, plan }) => state === 'done' && plan.role !== 'warmup')
    .reduce<StandingTurn | undefined>(
      (last, turn) => (last && latest(last) >= latest(turn) ? last : turn),
      undefined,
    )
}

/** The movement that is done in a slot: the planned one, or what stands in for it. */
export function movementOf(
  exercise: SheetExercise,
  { swaps }: Pick<SessionStanding, 'swaps'>,
): SheetMovement & { readonly start?: number | null } {
  const swap = swaps.get(exercise.slot)
  if (!swap || (swap.exercise === exercise.exercise && swap.intent === exercise.intent))
    return exercise
  return (
    exercise.swaps.find(
      ({ exercise: id, intent }) => id === swap.exercise && intent === swap.intent,
    ) ?? exercise
  )
}
