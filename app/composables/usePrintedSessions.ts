import { plainDate, isPlainDate, type PlainDate } from '#core/base'
import { sessionOn } from '#core/block'
import { requireExercise } from '#core/catalogue'
import { CAUTION_WORDS, dayName, formatClock, formatDay, GROUPING_NAMES, PLACEMENT_NAMES, restWords, schemeLines, slotName } from '#core/format'
import { intentFor } from '#core/method'
import { sessionSeconds } from '#core/minutes'
import { plannedSets } from '#core/scheme'
import type { Session } from '#core/session'

/** One exercise as it stands on paper. */
export interface PrintedExercise { readonly key: string, readonly letter: string, readonly name: string, readonly lines: readonly string[], readonly cue: string, readonly cautions: readonly string[], readonly note: string, readonly sets: number }
export interface PrintedGroup { readonly key: string, readonly heading: string, readonly exercises: readonly PrintedExercise[] }
export interface PrintedSession { readonly key: string, readonly title: string, readonly date: string, readonly minutes: string, readonly sets: number, readonly preparation: readonly string[], readonly groups: readonly PrintedGroup[] }

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'

/** Sessions in words for paper: one day's, or the whole rotation. */
export function usePrintedSessions(asked: () => { readonly day: number | null, readonly session: number, readonly on: string | null }) {
  const store = usePlanStore()

  function printed(content: Session, title: string, on: PlainDate | null): PrintedSession {
    const context = store.context!
    const exercise = (slot: Session['groupings'][number]['slots'][number], letter: string): PrintedExercise => {
      const own = requireExercise(context.catalogue, slot.exercise)
      return {
        key: slot.id, letter, name: slotName(slot, context.catalogue), lines: schemeLines(slot.scheme, context.catalogue), cue: intentFor(context, own, slot.intent).how,
        cautions: own.cautions.map(caution => CAUTION_WORDS[caution]), note: slot.note ?? '', sets: plannedSets(slot.scheme),
      }
    }
    return {
      key: content.id, title, date: on ? formatDay(on) : '', minutes: formatClock(sessionSeconds(content, context)), sets: content.groupings.flatMap(({ slots }) => slots).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
      preparation: (content.preparation ?? []).map(({ minutes, what, onlyIf }) => `${what}, ${minutes} min${onlyIf ? `, only if ${onlyIf}` : ''}`),
      groups: content.groupings.map((grouping, at) => ({
        key: grouping.id,
        heading: [
          grouping.placement === 'main' ? '' : PLACEMENT_NAMES[grouping.placement], grouping.slots.length > 1 ? GROUPING_NAMES[grouping.kind] : '',
          grouping.restBetweenPartners ? `between partners ${restWords(grouping.restBetweenPartners)}` : '', grouping.restAfterRound ? `after each round ${restWords(grouping.restAfterRound)}` : '',
          grouping.turn ? `every ${grouping.turn.of} sessions, the ${grouping.turn.at}.` : '', grouping.onlyIf ? `only if ${grouping.onlyIf}` : '',
        ].filter(Boolean).join(', '),
        exercises: grouping.slots.map((slot, n) => exercise(slot, `${at + 1}${grouping.slots.length > 1 ? LETTERS[n] ?? '' : ''}`)),
      })),
    }
  }

  return computed((): readonly PrintedSession[] => {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return []
    const { day: only, session: place, on: text } = asked()
    const on = text !== null && isPlainDate(text) ? plainDate(text) : null
    return plan.rotation.days.flatMap((day, at) => (only !== null && only !== at
      ? []
      : day.sessions.filter((_, n) => only === null || n === place).map(content => printed(on ? sessionOn(plan, content, on) : content, `Day ${at + 1} ${dayName(day)}${content.name ? `, ${content.name}` : ''}`, on))))
  })
}
