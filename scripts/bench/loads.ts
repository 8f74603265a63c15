import { addDays, type PlainDate } from '#core/base'
import { exposuresByExercise, type LoggedSet } from '#core/body/log'
import {
  blockLoadSessions,
  type LoadHistory,
  loadsAhead,
  type LoadSession,
} from '#core/design/loads'
import { expandedBlock } from '#core/design/progress'
import { sheetSession } from '#core/exchange/prescription'
import { defaultContext } from '#core/plan/method'
import { sessionSlots } from '#core/plan/session'
import { plannedSets } from '#core/plan/scheme'
import { planIn, written } from '#core/testing/shorthandPlans'

const context = defaultContext({ trainingAgeMonths: 40 })
const WEEKS = 16
const LOG_WEEKS = 104

/** Four sessions a week of eight exercises: ladders, windows, drops and straight sets. */
const plan = {
  ...planIn(
    7,
    ...['push', 'pull', 'upper', 'arms'].map(role =>
      written(
        role as 'push',
        'bench_press_barbell 4 x 6-8, rir 2',
        'barbell_row 3 x 8-10, rir 2',
        'barbell_curl 4 x 14/11/9/7, rir 1; load +2.5kg a set',
        'cable_curl 3 x 10-15, rir 1, last: drop 30% to failure',
        'pushdown_rope 3 x 10-15, rir 1',
        'overhead_extension_rope 3 x to failure 11-14',
        'hammer_curl 3 x 8-12, rir 1',
        'lateral_raise_dumbbell 3 x 12-15, rir 1',
      ),
    ),
  ),
  passes: WEEKS,
}

function twoYears(): LoadHistory {
  const slots = plan.rotation.days.map(day => day.sessions.flatMap(sessionSlots))
  const sets: (LoggedSet & { on: PlainDate })[] = []
  for (let week = 1; week <= LOG_WEEKS; week++)
    slots.forEach((own, day) => {
      for (const slot of own)
        for (let set = 1; set <= plannedSets(slot.scheme); set++)
          sets.push({
            on: addDays(plan.startsOn, day - 7 * (LOG_WEEKS + 1 - week)),
            slot: slot.id,
            exercise: slot.exercise,
            intent: null,
            set,
            stage: 1,
            side: null,
            role: 'working',
            loadKg: 30 + week / 4,
            reps: 10,
            seconds: null,
            rir: 2,
            isRirOpen: false,
          })
    })
  return {
    exposures: exposuresByExercise(sets),
    lastPlanned: new Map(slots.flat().map(slot => [slot.id, slot])),
  }
}

/** What the block's Loads reckon after an edit, and what the phone asks for. */
export function loadBench(): { readonly forecast: () => unknown; readonly phone: () => unknown } {
  const history = twoYears()
  const basis = {
    context,
    unit: 'kg' as const,
    bodyKg: 80,
    rules: undefined,
    rotation: plan.rotation,
  }
  const sessions: readonly LoadSession[] = blockLoadSessions(
    expandedBlock(plan, context),
    plan.startsOn,
  )
  const [next] = sessions
  return {
    forecast: () => loadsAhead(sessions, history, basis),
    phone: () => {
      const loads = loadsAhead([next!], history, basis).get(next!.key)!
      return sheetSession({
        id: next!.key,
        on: next!.on,
        name: 'Push',
        minuteLimit: 60,
        content: next!.content,
        pass: 0,
        context,
        unit: 'kg',
        loads,
        log: history.exposures,
      })
    },
  }
}
