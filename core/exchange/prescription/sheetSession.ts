import { remembered } from '../../base'
import type { SlotLoads } from '../../design/loads'
import { type ShortSession, shortSession } from '../../design/short'
import type { SheetExercise, SheetGroup, SheetSession, SheetWay } from '../../follow/sheet'
import { ARM_GROUPS, type Exercise, type Group, requireExercise } from '../../plan/catalogue'
import { asEstimated, intentFor, type PlanContext } from '../../plan/method'
import { mainGroup, pairRests, sessionTime, type TimeSpan } from '../../plan/minutes'
import { mayNotFall, plannedSets } from '../../plan/scheme'
import {
  type Grouping,
  type Session,
  sessionInTurn,
  sessionSlots,
  type Slot,
} from '../../plan/session'
import {
  formatSetCount,
  GROUPING_NAMES,
  loadReasonWords,
  NBSP,
  PLACEMENT_NAMES,
  restWords,
  shapeLossWords,
  shortSheetWords,
} from '../../words'
import { movement } from './movement'
import type { SheetQuestion } from './question'
import { sheetSets } from './sheetSets'
import { swapsFor } from './swaps'
import { turnsOfSpans } from './turns'

function familyOf(slot: Slot, exercise: Exercise, context: PlanContext): SheetExercise['family'] {
  const group = mainGroup(slot, exercise, context)
  if (group === 'biceps' || group === 'elbow_flexors_other') return 'flex'
  if (group === 'triceps') return 'ext'
  return group === 'forearms'
    ? 'fore'
    : (ARM_GROUPS as readonly Group[]).includes(group ?? 'chest')
      ? 'flex'
      : 'body'
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'
/** Minutes a client may say she has. */
const SHORT_MINUTES = [15, 20, 25, 30, 35, 40, 45, 50, 60, 75] as const
const SHORTER_BY_SECONDS = 150
const MOST_SHORT_WAYS = 5

const isTogether = ({ kind, slots }: Grouping) => kind !== 'straight' && slots.length > 1

function groupWords(grouping: Grouping, context: PlanContext): string {
  const words = [
    grouping.placement === 'main' ? '' : PLACEMENT_NAMES[grouping.placement],
    isTogether(grouping) ? GROUPING_NAMES[grouping.kind] : '',
  ]
  if (isTogether(grouping)) {
    const { inside, after } = pairRests(grouping, context)
    const said = (rest: Grouping['restAfterRound'], seconds: number) =>
      restWords(rest ?? { kind: 'seconds', seconds })
    words.push(
      `${said(grouping.restBetweenPartners, inside.seconds)} between, ${said(grouping.restAfterRound, after.seconds)} after each round`,
    )
  }
  if (grouping.onlyIf) words.push(`only if ${grouping.onlyIf}`)
  return words.filter(Boolean).join(', ')
}

function groupsOf(
  session: Session,
  spans: readonly TimeSpan[],
  context: PlanContext,
): readonly SheetGroup[] {
  return session.groupings.flatMap((grouping): SheetGroup[] => {
    const own = spans.filter(span => span.grouping === grouping.id)
    const [first] = own
    return first
      ? [
          {
            slots: grouping.slots.map(({ id }) => id),
            kind: grouping.kind,
            placement: grouping.placement,
            words: groupWords(grouping, context),
            start: first.start,
            seconds: own.reduce((sum, { seconds }) => sum + seconds, 0),
          },
        ]
      : []
  })
}

function way(
  session: Session,
  question: SheetQuestion,
  about: { readonly minutes: number | null; readonly words: string },
): SheetWay {
  const { context } = question
  const sets = new Map(
    session.groupings.flatMap(grouping =>
      grouping.slots.map(
        slot =>
          [
            slot.id,
            sheetSets(slot.scheme, requireExercise(context.catalogue, slot.exercise), context, {
              loads: question.loads.get(slot.id) ?? null,
              isPaired: isTogether(grouping),
            }),
          ] as const,
      ),
    ),
  )
  const { spans, seconds } = sessionTime(session, context)
  // The rest that is asked for is the plan's, however long the client usually takes.
  const asked = turnsOfSpans(sessionTime(session, asEstimated(context)).spans, sets)
  return {
    ...about,
    seconds,
    sets: Object.fromEntries(sets),
    turns: turnsOfSpans(spans, sets).map((turn, at) => ({
      ...turn,
      rest: asked[at]?.rest ?? turn.rest,
    })),
    groups: groupsOf(session, spans, context),
  }
}

type Shortening = NonNullable<SheetQuestion['shortening']>

/** Shorter sessions with their minutes, the shortest first; the same for as long as plan and client are. */
const shortenedBy = remembered(
  (_content: Session, _context: PlanContext) =>
    new WeakMap<Shortening, readonly (readonly [minutes: number, short: ShortSession])[]>(),
)

function shortened(
  { content, context }: SheetQuestion,
  shortening: Shortening,
  seconds: number,
): readonly (readonly [number, ShortSession])[] {
  const known = shortenedBy(content, context)
  const found =
    known.get(shortening) ??
    SHORT_MINUTES.filter(minutes => minutes * 60 <= seconds - SHORTER_BY_SECONDS)
      .slice(-MOST_SHORT_WAYS)
      .map(
        minutes =>
          [minutes, shortSession({ session: content, minutes, context, ...shortening })] as const,
      )
  known.set(shortening, found)
  return found
}

function shortWays(question: SheetQuestion, seconds: number): readonly SheetWay[] {
  const { context, shortening } = question
  if (!shortening) return []
  return shortened(question, shortening, seconds).map(([minutes, short]) =>
    way(short.session, question, { minutes, words: shortSheetWords(short, context.catalogue) }),
  )
}

function whyWords(loads: SlotLoads | undefined): string {
  return loads ? [loadReasonWords(loads), shapeLossWords(loads)].filter(Boolean).join('. ') : ''
}

/**
 * A sent session as a client's phone holds it: each exercise with its numbers, ways to do it in less time, and what can stand in.
 *
 * Shape:  exercises in the order of the plan; the first way is the plan itself, the others are shorter, the shortest first.
 * Units:  seconds; loads in the unit the plan names, else the client's.
 * Source: docs/methods.md#sheet.
 */
export function sheetSession(asked: SheetQuestion): SheetSession {
  const question = { ...asked, content: sessionInTurn(asked.content, asked.pass) }
  const { id, on, name, minuteLimit, content, context, loads } = question
  const sets = sessionSlots(content).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
  const plan = way(content, question, {
    minutes: null,
    words: `${formatSetCount(sets)}, about ${Math.ceil(sessionTime(content, context).seconds / 60)}${NBSP}min`,
  })
  const exercises = content.groupings.flatMap((grouping, at) =>
    grouping.slots.map((slot, n): SheetExercise => {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const intent = intentFor(context, exercise, slot.intent)
      return {
        ...movement(exercise, intent, question, slot),
        slot: slot.id,
        letter: `${at + 1}${isTogether(grouping) ? (LETTERS[n] ?? '') : ''}`,
        family: familyOf(slot, exercise, context),
        note: slot.note ?? '',
        ...(mayNotFall(slot.scheme) && { holdsLoad: true }),
        why: whyWords(loads.get(slot.id)),
        swaps: swapsFor(slot, exercise, intent, question),
      }
    }),
  )
  return {
    id,
    on,
    name,
    minuteLimit,
    exercises,
    ways: [plan, ...shortWays(question, plan.seconds)],
    preparation: (content.preparation ?? []).map(
      ({ minutes, what, onlyIf }) =>
        `${what}, ${minutes}${NBSP}min${onlyIf ? `, only if ${onlyIf}` : ''}`,
    ),
  }
}
