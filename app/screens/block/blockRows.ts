import { addDays, daysBetween, DAYS_PER_WEEK, type PlainDate } from '#core/base'
import { ARM_GROUPS, BUNDLES, type Catalogue, ELBOW_JOINTS, type Group } from '#core/plan/catalogue'
import {
  shortEffort,
  blockConcernWords,
  exceptionWords,
  formatDay,
  formatOneDecimal,
  GROUP_NAMES,
  heldShort,
  heldWords,
  splitOnScreen,
  wholeReadiness,
  sinceLastSummary,
  sinceLastWords,
} from '#core/words'
import { type BlockBefore, type HeldChange, type PlanDocument, sinceLast } from '#core/plan/block'
import { jointCeiling } from '#core/body/joints'
import { tallyOnce } from '#core/count/ledger'
import { type Band, bandOf, type PlanContext } from '#core/plan/method'
import {
  type BlockConcern,
  deloadBand,
  type ExpandedBlock,
  type PassVerdict,
} from '#core/design/progress'
import { threadState } from '#core/body/recovery'
import { familyOfGroup } from '~/ui/pegFamily'

const BUNDLE_NAMES = {
  chest: 'Chest',
  back: 'Back',
  delts: 'Delts',
  legs: 'Legs',
  abs: 'Abs',
} as const
const MOST_CONCERNS = 4
/** Less than a screen shows. */
const LEAST = 0.05

export type PassState =
  'done' | 'under way' | 'sent' | 'edited since sent' | 'deload' | 'base' | 'planned'

function stateOf({ pass }: PassVerdict): PassState {
  const sent = pass.sessions.flatMap(session => session.sent ?? [])
  if (sent.length === 0) return pass.isDeload ? 'deload' : pass.isBase ? 'base' : 'planned'
  if (sent.every(({ isDone }) => isDone)) return 'done'
  if (sent.some(({ isEdited, isDone }) => isEdited && !isDone)) return 'edited since sent'
  return sent.some(({ isDone }) => isDone) ? 'under way' : 'sent'
}

/** Load of the elbow's side that is nearer to its ceiling. */
function elbowOf({ joints }: PassVerdict, context: PlanContext) {
  const sides = ELBOW_JOINTS.map(joint => ({
    load: joints[joint].week,
    ceiling: jointCeiling(joint, context).week,
  }))
  const { load, ceiling } = sides.reduce((most, side) =>
    side.load / side.ceiling > most.load / most.ceiling ? side : most,
  )
  return {
    load: formatOneDecimal(load),
    of: formatOneDecimal(ceiling),
    isOver: load > ceiling + 1e-6,
  }
}

function lowestOf({ lowest }: PassVerdict) {
  if (!lowest) return null
  const { readiness, required, group, name, on } = lowest
  return {
    percent: wholeReadiness(readiness),
    thread: threadState(readiness, required),
    words: `${GROUP_NAMES[group]} ${wholeReadiness(readiness)} % ready for ${name} on ${formatDay(on)}, ${required} % wanted`,
  }
}

/** The head of each rotation: its dates, how it stands, its least recovered muscle and its elbows. */
export function blockColumns(
  passes: readonly PassVerdict[],
  context: PlanContext,
  today: PlainDate,
) {
  const nameOf = (exercise: string) => context.catalogue.get(exercise)?.name ?? exercise
  return passes.map(verdict => {
    const { pass, sets, minutes } = verdict
    return {
      at: pass.at,
      number: pass.at + 1,
      isSent: pass.sessions.some(({ sent }) => sent !== undefined),
      from: formatDay(pass.from),
      isDeload: pass.isDeload,
      state: stateOf(verdict),
      isNow: pass.from <= today && today <= pass.to,
      rir: pass.rir,
      choice: pass.choice,
      lowest: lowestOf(verdict),
      elbow: elbowOf(verdict, context),
      sets,
      minutes: Math.round(minutes),
      done: pass.sessions.reduce((sum, { sent }) => sum + (sent?.setsDone ?? 0), 0),
      exceptions: [
        ...pass.exceptions.map(exception => exceptionWords(exception, nameOf)),
        ...pass.sessions
          .filter(({ isOwn }) => isOwn)
          .map(({ name }) => `${name}: changed for its date`),
      ],
      begins: pass.held.filter(({ from }) => from === pass.at).map(heldShort),
      notPlaced: pass.notPlaced.length,
      leftOut: pass.sessions.filter(({ isSkipped }) => isSkipped).length,
    }
  })
}
export type BlockColumn = ReturnType<typeof blockColumns>[number]

const isDonePass = ({ pass }: PassVerdict) => pass.sessions.some(({ sent }) => sent?.isDone)

function cellOf(verdict: PassVerdict, group: Group, band: Band) {
  const { pass, ledger } = verdict
  const { week, outside } = ledger.groups[group]
  const [direct, counted] = [week.direct.value, week.counted.value]
  const shown = splitOnScreen(direct, counted)
  return {
    at: pass.at,
    direct,
    indirect: week.indirect.value,
    counted,
    total: shown.counted,
    parts: `${shown.direct} + ${shown.indirect}`,
    band: pass.isDeload ? deloadBand(band) : band,
    isDone: isDonePass(verdict),
    outside: pass.isDeload ? 0 : outside,
    isException: pass.exceptions.some(
      exception => exception.kind === 'sets' && exception.group === group,
    ),
  }
}

/** How the fullest rotation stands to its ceiling; `room` is what is left under it where it is least. */
function roomWords(over: number, room: number): string {
  if (over > LEAST) return `peak ${formatOneDecimal(over)} over the ceiling`
  return room < -LEAST
    ? 'over the ceiling by indirect sets only'
    : `peak ${formatOneDecimal(room)} below the ceiling`
}

/** Counted sets of an arm muscle rotation by rotation, and how its peak stands to its ceiling. */
function railOf(group: Group, passes: readonly PassVerdict[], context: PlanContext) {
  // What is wanted of the muscle, and so its band, may change from rotation to rotation.
  const bands = passes.map(({ ledger }) => ledger.groups[group].band)
  const band = bands[0] ?? bandOf(context, group)
  const cells = passes.map((verdict, at) => cellOf(verdict, group, bands[at]!))
  const isWorking = (_: unknown, at: number) => !passes[at]!.pass.isDeload
  const working = cells.filter(isWorking).map(({ counted }) => counted)
  const peak = Math.max(0, ...working)
  const rooms = cells.filter(isWorking).map(cell => cell.band.ceiling - cell.counted)
  const over = Math.max(0, ...cells.map(({ outside }) => outside))
  const isOver = over > LEAST
  return {
    group,
    name: GROUP_NAMES[group],
    family: familyOfGroup(group),
    /** The widest of its bands, to draw by. */
    most: Math.max(band.ceiling, ...bands.map(({ ceiling }) => ceiling)),
    cells,
    first: formatOneDecimal(working[0] ?? 0),
    peak: formatOneDecimal(peak),
    room: roomWords(over, Math.min(...(rooms.length > 0 ? rooms : [band.ceiling]))),
    isOver,
  }
}
export const blockRails = (passes: readonly PassVerdict[], context: PlanContext) =>
  ARM_GROUPS.map(group => railOf(group, passes, context))
export type BlockRail = ReturnType<typeof blockRails>[number]

/** Sets of the rest of the body, each counted once, per seven days. */
export function blockBodyRails(passes: readonly PassVerdict[], context: PlanContext) {
  return BUNDLES.filter(({ id }) => id !== 'abs').map(({ id, groups }) => {
    const cells = passes.map(verdict => {
      const { pass, ledger } = verdict
      const once = tallyOnce(ledger.work.flat(), groups, context.method.school).counted.value
      const sets = (once * DAYS_PER_WEEK) / pass.rotation.days.length
      return { at: pass.at, isDone: isDonePass(verdict), sets, words: formatOneDecimal(sets) }
    })
    const most = Math.max(1, ...cells.map(({ sets }) => sets))
    return { id, name: BUNDLE_NAMES[id], most, cells }
  })
}

/** Weeks of the calendar over the rotations: where each begins and ends, as a share of the block. */
export function blockWeeks({ from, to }: ExpandedBlock) {
  const days = daysBetween(from, to) + 1
  return Array.from({ length: Math.ceil(days / DAYS_PER_WEEK) }, (_, week) => ({
    number: week + 1,
    from: (week * DAYS_PER_WEEK) / days,
    to: Math.min(1, ((week + 1) * DAYS_PER_WEEK) / days),
    date: addDays(from, week * DAYS_PER_WEEK),
  }))
}

/** Where the middle of today lies, as a share of the block; null outside it. */
export function shareOfBlock({ from, to }: ExpandedBlock, today: PlainDate): number | null {
  if (today < from || today > to) return null
  return (daysBetween(from, today) + 0.5) / (daysBetween(from, to) + 1)
}

function passOf(concern: BlockConcern): number | null {
  if ('pass' in concern) return concern.pass
  if ('from' in concern) return concern.from
  return 'arrival' in concern ? concern.arrival.pass : null
}

/** What a coach should look at first, with the rotation it is about. */
export function blockLooks(concerns: readonly BlockConcern[]) {
  return concerns.slice(0, MOST_CONCERNS).map(concern => {
    const [what, much] = blockConcernWords(concern)
    return { what, much, pass: passOf(concern), isReturn: concern.kind === 'return' }
  })
}

function changeWords(change: number, number: number): string {
  if (change === 0) return ''
  const sets = Math.abs(change) === 1 ? 'set' : 'sets'
  return `${Math.abs(change)} ${sets} ${change > 0 ? 'more' : 'fewer'} than rotation ${number}`
}

/** The selected rotation and muscle in one line. */
export function blockReadout(
  columns: readonly BlockColumn[],
  rail: BlockRail | undefined,
  at: number,
): string {
  const [column, before, cell] = [columns[at], columns[at - 1], rail?.cells[at]]
  if (!column || !rail || !cell) return ''
  return [
    `Rotation ${column.number}, ${column.state}`,
    `${column.sets} sets, ${column.minutes} min`,
    column.rir ? shortEffort(column.rir.compound, column.rir.isolation) : '',
    column.choice
      ? column.choice === 'both'
        ? 'exercises by their own turns'
        : `exercises ${column.choice}`
      : '',
    `${rail.name} ${cell.total} (${cell.parts})`,
    before ? changeWords(column.sets - before.sets, before.number) : '',
    ...column.exceptions,
    ...column.begins,
  ]
    .filter(Boolean)
    .join(' · ')
}

/** Changes that hold, the latest first, with why and when, and whether the rotation in hand can end each. */
export function heldRows(changes: readonly HeldChange[], at: number) {
  return changes
    .map((held, n) => ({
      held,
      key: `${n} ${held.group} ${held.from}`,
      words: heldWords(held),
      why: held.why,
      on: formatDay(held.on),
      canEnd: at <= (held.to ?? Infinity),
      ending: at <= held.from ? 'Take it out' : `End it from rotation ${at + 1} on`,
    }))
    .reverse()
}

/** What a plan's rotation does otherwise than the block before, in one line and row by row. */
export function sinceBefore(plan: PlanDocument, before: BlockBefore, catalogue: Catalogue) {
  const rows = sinceLast(plan, before)
  return {
    title: before.title,
    summary: sinceLastSummary(rows),
    rows: rows.map(row => ({
      exercise: row.exercise,
      name: catalogue.get(row.exercise)?.name ?? row.exercise,
      words: sinceLastWords(row),
    })),
  }
}
