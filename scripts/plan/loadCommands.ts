import type { PlainDate } from '#core/base'
import { exposuresByExercise } from '#core/body/log'
import {
  blockLoadSessions,
  type LoadBasis,
  type LoadHistory,
  loadsAhead,
  loadKey,
} from '#core/design/loads'
import { type BlockSession, expandedBlock } from '#core/design/progress'
import { sheetSession } from '#core/exchange/prescription'
import { passDates } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import { sessionSlots } from '#core/plan/session'
import { loadReasonWords, shapeLossWords } from '#core/words'
import type { PlanFile } from '#shared/contracts/planFile'

/** What a file says has been done. */
function historyIn({ plan, log = [] }: PlanFile): LoadHistory {
  const deloads = new Set(plan.block?.deloads ?? [])
  const easy = new Set(passDates(plan).flatMap((days, pass) => (deloads.has(pass) ? days : [])))
  const sessions = [...log].sort((a, b) => (a.on < b.on ? -1 : 1))
  return {
    exposures: exposuresByExercise(
      sessions.flatMap(({ on, sets }) => sets.map(set => ({ ...set, on }))),
      on => easy.has(on),
    ),
    lastPlanned: new Map(
      sessions
        .filter(({ on }) => !easy.has(on))
        .flatMap(({ prescribed }) => (prescribed ? sessionSlots(prescribed) : []))
        .map(slot => [slot.id, slot]),
    ),
  }
}

function basisIn({ plan, unit = 'kg', weighIns = [] }: PlanFile, context: PlanContext): LoadBasis {
  const latest = [...weighIns].sort((a, b) => (a.on < b.on ? -1 : 1)).at(-1)
  return {
    context,
    unit,
    bodyKg: latest?.kg ?? null,
    rules: plan.block?.rules,
    rotation: plan.rotation,
  }
}

/** Sessions of the block that the log does not have, with the loads they will be done with. */
function ahead(file: PlanFile, context: PlanContext, from: PlainDate | undefined) {
  const done = new Set((file.log ?? []).map(({ on }) => on))
  const today = from ?? [...done].sort().at(-1) ?? file.plan.startsOn
  const expanded = expandedBlock(file.plan, context)
  const wanted = blockLoadSessions(expanded, today).filter(({ on }) => on >= today && !done.has(on))
  const sessions = new Map(
    expanded.passes.flatMap(pass => pass.sessions).map(session => [loadKey(session), session]),
  )
  const loads = loadsAhead(wanted, historyIn(file), basisIn(file, context))
  return wanted
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
    .map(one => ({ ...one, session: sessions.get(one.key)!, loads: loads.get(one.key)! }))
}

const placed = ({ pass, day, on, name }: BlockSession) => ({
  rotation: pass + 1,
  day: day + 1,
  date: on,
  name,
})

/** The forecast of a block: every session that is still to be done, set by set. */
export function loadsCommand(file: PlanFile, context: PlanContext, from?: PlainDate): unknown {
  return ahead(file, context, from).map(({ session, content, loads }) => ({
    ...placed(session),
    exercises: sessionSlots(content).map(slot => {
      const own = loads.get(slot.id)
      return {
        exercise: slot.exercise,
        unit: own?.unit ?? null,
        loads: own?.sets.map(({ amount }) => amount) ?? [],
        targets: own?.sets.map(({ target }) => target) ?? [],
        reason: own ? loadReasonWords(own) : 'nothing says a load yet',
        jump: own?.jump ?? null,
        note: own ? shapeLossWords(own) : '',
      }
    }),
  }))
}

/** What the phone gets for the next session, or for the first one from a day on. */
export function sheetCommand(file: PlanFile, context: PlanContext, from?: PlainDate): unknown {
  const [next] = ahead(file, context, from)
  if (!next) return null
  const { session, content, loads } = next
  const sheet = sheetSession({
    id: next.key,
    on: session.on,
    name: session.name,
    minuteLimit: session.minuteLimit ?? null,
    content,
    pass: session.pass,
    context,
    unit: file.unit ?? 'kg',
    loads,
    log: historyIn(file).exposures,
  })
  return {
    ...placed(session),
    exercises: sheet.exercises.map(({ letter, name, slot, why, scale }) => ({
      letter,
      name,
      unit: scale.unit,
      why,
      sets: sheet.ways[0].sets[slot]!.map(({ role, number, parts }) => ({
        role,
        number,
        parts: parts.map(({ words, count, rir, load, side }) => ({
          words,
          side,
          count,
          rir,
          load,
        })),
      })),
    })),
  }
}
