import { plainDate, isPlainDate, type PlainDate } from '#core/base'
import { sessionOn } from '#core/plan/block'
import type { SlotLoads } from '#core/design/loads'
import { type Exercise, requireExercise } from '#core/plan/catalogue'
import {
  CAUTION_WORDS,
  cueLines,
  dayName,
  formatClock,
  formatDay,
  formatSets,
  GROUPING_NAMES,
  loadLineWords,
  PLACEMENT_NAMES,
  restWords,
  schemeLines,
  sideRuleWords,
  slotName,
} from '#core/words'
import { intentFor, type PlanContext, sidesRule } from '#core/plan/method'
import { areSidesApart, pairRests, sessionSeconds } from '#core/plan/minutes'
import { plannedSets, type SetScheme } from '#core/plan/scheme'
import type { Grouping, Session, Slot } from '#core/plan/session'

/** One exercise as it stands on paper. */
export interface PrintedExercise {
  readonly key: string
  /** What is drawn beside it. */
  readonly exercise: string
  readonly pattern: string
  readonly letter: string
  readonly name: string
  readonly lines: readonly string[]
  readonly hints: string
  readonly note: string
  readonly sets: number
  /** Loads for this time with their reason; empty where nothing is known. */
  readonly loads: string
  /** Load of each set, to be ticked or crossed out. */
  readonly bySet: readonly string[]
}
export interface PrintedGroup {
  readonly key: string
  readonly heading: string
  readonly exercises: readonly PrintedExercise[]
}
export interface PrintedSession {
  readonly key: string
  readonly title: string
  readonly date: string
  readonly minutes: string
  readonly sets: number
  readonly preparation: readonly string[]
  readonly groups: readonly PrintedGroup[]
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'

const isTogether = ({ kind, slots }: Grouping) => kind !== 'straight' && slots.length > 1

/** Partners rest by the round, whatever each would rest by itself. */
function withoutRests(scheme: SetScheme): SetScheme {
  return { ...scheme, runs: scheme.runs.map(({ restAfter: _, ...run }) => run) }
}

/** Which side begins is the client's rule where there is one, whatever the plan says. */
const withoutStart = (scheme: SetScheme): SetScheme => ({
  ...scheme,
  runs: scheme.runs.map(({ startSide: _, ...run }) => run),
})

/** Which exercise it is, and by what it is drawn. */
const printedMovement = (slot: Slot, { pattern }: Exercise) => ({
  key: slot.id,
  exercise: slot.exercise,
  pattern,
})

function printedLines(
  { scheme }: Slot,
  exercise: Exercise,
  isTogether: boolean,
  { client, catalogue }: PlanContext,
): readonly string[] {
  const sides = areSidesApart(scheme, exercise, isTogether)
    ? sidesRule(client, exercise.id)
    : undefined
  const inRounds = isTogether ? withoutRests(scheme) : scheme
  return sides
    ? [...schemeLines(withoutStart(inRounds), catalogue), sideRuleWords(sides)]
    : schemeLines(inRounds, catalogue)
}

function printedLoads(loads: SlotLoads | undefined): Pick<PrintedExercise, 'loads' | 'bySet'> {
  return loads
    ? {
        loads: loadLineWords(loads),
        bySet: loads.sets.map(({ amount }) => (amount === null ? '' : formatSets(amount))),
      }
    : { loads: '', bySet: [] }
}

/** The rests of a round, those that are usual where the plan says nothing. */
function roundWords(grouping: Grouping, context: PlanContext): readonly string[] {
  const { inside, after } = pairRests(grouping, context)
  const said = (rest: Grouping['restAfterRound'], seconds: number) =>
    rest ? restWords(rest) : restWords({ kind: 'seconds', seconds })
  return [
    `${said(grouping.restBetweenPartners, inside.seconds)} between partners`,
    `${said(grouping.restAfterRound, after.seconds)} after each round`,
  ]
}

function sentences(parts: readonly string[]): string {
  return parts
    .filter(Boolean)
    .map(part => (part.endsWith('.') ? part : `${part}.`))
    .join(' ')
}

/** Sessions in words for paper: one day's, or the whole rotation. */
export function usePrintedSessions(
  asked: () => {
    readonly day: number | null
    readonly session: number
    readonly on: string | null
    readonly isBlock?: boolean
  },
) {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const forecast = useLoadsStore()

  function printed(
    content: Session,
    title: string,
    on: PlainDate | null,
    loads: ReadonlyMap<string, SlotLoads> | undefined,
  ): PrintedSession {
    const context = store.context!
    const exercise = (slot: Slot, letter: string, isTogether: boolean): PrintedExercise => {
      const own = requireExercise(context.catalogue, slot.exercise)
      return {
        ...printedMovement(slot, own),
        letter,
        name: slotName(slot, context.catalogue),
        lines: printedLines(slot, own, isTogether, context),
        hints: sentences([
          intentFor(context, own, slot.intent).how,
          cueLines(slot.exercise, slot.intent).join('. '),
          ...own.cautions.map(caution => CAUTION_WORDS[caution]),
        ]),
        note: slot.note ?? '',
        ...printedLoads(loads?.get(slot.id)),
        sets: plannedSets(slot.scheme),
      }
    }
    return {
      key: content.id,
      title,
      date: on ? formatDay(on) : '',
      minutes: formatClock(sessionSeconds(content, context)),
      sets: content.groupings
        .flatMap(({ slots }) => slots)
        .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
      preparation: (content.preparation ?? []).map(
        ({ minutes, what, onlyIf }) =>
          `${what}, ${minutes} min${onlyIf ? `, only if ${onlyIf}` : ''}`,
      ),
      groups: content.groupings.map((grouping, at) => ({
        key: grouping.id,
        heading: [
          grouping.placement === 'main' ? '' : PLACEMENT_NAMES[grouping.placement],
          grouping.slots.length > 1 ? GROUPING_NAMES[grouping.kind] : '',
          ...(isTogether(grouping) ? roundWords(grouping, context) : []),
          grouping.turn ? `every ${grouping.turn.of} sessions, the ${grouping.turn.at}.` : '',
          grouping.onlyIf ? `only if ${grouping.onlyIf}` : '',
        ]
          .filter(Boolean)
          .join(', '),
        exercises: grouping.slots.map((slot, n) =>
          exercise(
            slot,
            `${at + 1}${isTogether(grouping) ? (LETTERS[n] ?? '') : ''}`,
            isTogether(grouping),
          ),
        ),
      })),
    }
  }

  /** Loads of a day's next session, or of the one on a date. */
  function loadsFor(day: number, place: number, on: PlainDate | null) {
    const dated = issued.expanded?.passes
      .flatMap(({ sessions }) => sessions)
      .find(session => session.on === on && session.day === day && session.place === place)
    return dated ? forecast.ofSession(dated) : forecast.nextOf(day, place)?.loads
  }

  /** Every dated session of the block, as it will be done. */
  function blockSessions(): readonly PrintedSession[] {
    const dated =
      issued.expanded?.passes.flatMap(({ sessions }) =>
        sessions.filter(({ isSkipped }) => !isSkipped),
      ) ?? []
    return [...dated]
      .sort((a, b) => (a.on === b.on ? a.place - b.place : a.on < b.on ? -1 : 1))
      .map(({ content, name, pass, day, place, on }) => ({
        ...printed(
          content,
          `Rotation ${pass + 1}, day ${day + 1} ${name}`,
          on,
          forecast.ofSession({ pass, day, place }),
        ),
        key: `${pass} ${day} ${place}`,
      }))
  }

  return computed((): readonly PrintedSession[] => {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return []
    const { day: only, session: place, on: text, isBlock = false } = asked()
    if (isBlock) return blockSessions()
    const on = text !== null && isPlainDate(text) ? plainDate(text) : null
    return plan.rotation.days.flatMap((day, at) =>
      only !== null && only !== at
        ? []
        : day.sessions.flatMap((content, n) =>
            only === null || n === place
              ? [
                  printed(
                    on ? sessionOn(plan, content, on) : content,
                    `Day ${at + 1} ${dayName(day)}${content.name ? `, ${content.name}` : ''}`,
                    on,
                    loadsFor(at, n, on),
                  ),
                ]
              : [],
          ),
    )
  })
}
