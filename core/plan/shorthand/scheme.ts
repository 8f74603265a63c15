import { inOneSpelling } from './spellings'
import { type Result, nonEmpty } from '../../base'
import {
  type LoadRule,
  normalScheme,
  orderedText,
  type SetProtocol,
  type SetRole,
  type SetRun,
  type SetScheme,
  type SideOrder,
  type Stage,
  type WeightUnit,
  type WorkStage,
} from '../scheme'
import { formatRest, quoted, requireText, shape, takeRest } from './atoms'
import { attempt, type Cursor } from './cursor'
import { formatWeights } from './loads'
import { type ShorthandProblem, stop } from './problem'
import { fitsRow, formatReps } from './reps'
import {
  COMMA_FEATURES,
  formatFeatures,
  formatStage,
  requireStage,
  type Rows,
  takeFeature,
  takeRow,
} from './stages'

const ROLES: readonly (readonly [SetRole, string])[] = [
  ['warmup', 'warm-up'],
  ['primer', 'primer'],
  ['ramp', 'ramp'],
]
const PROTOCOLS: readonly (readonly [SetProtocol, string])[] = [
  ['restricted_flow', 'restricted'],
  ['eccentric_only', 'eccentric'],
]
const SIDES = ['left', 'right'] as const
const SIDE_ORDERS: readonly (readonly [SideOrder, string])[] = [
  ['switch', 'left then right'],
  ['rest_between', 'rest between sides'],
  ['alternating_reps', 'alternating reps'],
  ['alternating_sets', 'alternating sets'],
  ['together', 'both arms at once'],
]
const LOAD_RULES: readonly (readonly [LoadRule, string])[] = [
  ['hold', 'load held'],
  ['must_not_fall', 'load must not fall'],
  ['may_fall', 'load may fall'],
  ['hold_or_rise', 'load held or rising'],
  ['by_feel', 'load by feel'],
]
const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const

// ── printing ──────────────────────────────────────────────────────────────

/**
 * A set scheme as text, `4 x 11/9/7/7, rir 2, rest 90s, last: drop 30% to failure`.
 *
 * Shape: one part for each row of sets that differ in reps, load or RIR only; parts are joined by `, then`.
 * Edge:  parsing it gives the same scheme, equal neighbouring runs joined (docs/shorthand.md).
 */
export function formatScheme(scheme: SetScheme): string {
  const { runs, loadRule, loadStep, aims } = normalScheme(scheme)
  const rules = [
    loadRule && LOAD_RULES.find(([rule]) => rule === loadRule)?.[1],
    loadStep && `load ${loadStep.amount < 0 ? '' : '+'}${loadStep.amount}${loadStep.unit} a set`,
    aims &&
      aims.length > 0 &&
      aims.map(({ end, weekday }) => `${end} end ${WEEKDAYS[weekday - 1]}`).join(', '),
  ].filter(Boolean)
  return [partsOf(runs).map(formatPart).join(', then '), ...rules].join('; ')
}

interface Part {
  readonly runs: readonly [SetRun, ...SetRun[]]
  /** Sets at the end that go on after the stages of the others. */
  readonly last: SetRun | undefined
}

function partsOf(runs: readonly SetRun[]): readonly Part[] {
  const parts: Part[] = []
  let at = 0
  while (at < runs.length) {
    const first = runs[at]
    if (!first) break
    let end = at + 1
    while (end < runs.length && fitsOneRow([...runs.slice(at, end), runs[end] as SetRun])) end += 1
    const next = runs[end]
    const hasLast =
      next !== undefined &&
      continues(first, next) &&
      fitsOneRow([...runs.slice(at, end), withoutTail(next, first.stages.length)])
    parts.push({ runs: [first, ...runs.slice(at + 1, end)], last: hasLast ? next : undefined })
    at = hasLast ? end + 1 : end
  }
  return parts
}

function continues(run: SetRun, next: SetRun): boolean {
  return (
    next.stages.length > run.stages.length &&
    !run.countRange &&
    !next.countRange &&
    next.stages[run.stages.length]?.kind !== undefined
  )
}

function withoutTail(run: SetRun, length: number): SetRun {
  return { ...run, stages: nonEmpty(run.stages.slice(0, length), 'stages of a set') }
}

const text = orderedText

/** What must be the same in all sets of a part: everything but the number of sets and the first stage's reps, load and RIR. */
function shared({ count: _, stages: [lead, ...others], ...run }: SetRun): string {
  if (lead.kind !== 'work') return text([lead, others, run])
  const { reps: _reps, load: _load, effort: _effort, ...rest } = lead
  return text([rest, others, run])
}

function leads(runs: readonly SetRun[]): readonly WorkStage[] {
  return runs.flatMap(({ stages: [lead] }) => (lead.kind === 'work' ? [lead] : []))
}

function allSame([first, ...others]: readonly unknown[]): boolean {
  return others.every(value => value === first || text(value) === text(first))
}

function fitsOneRow(runs: readonly SetRun[]): boolean {
  const [first] = runs
  if (!first || runs.length === 1) return true
  if (runs.some(run => run.countRange || shared(run) !== shared(first))) return false
  const works = leads(runs)
  if (works.length === 0) return false
  const weights = works.map(({ load }) =>
    load?.kind === 'weight' ? text([load.unit, load.basis]) : undefined,
  )
  return (
    (allSame(works.map(({ reps }) => reps)) || works.every(({ reps }) => fitsRow(reps))) &&
    (allSame(works.map(({ effort }) => effort)) ||
      works.every(({ effort }) => effort?.kind === 'rir')) &&
    (allSame(works.map(({ load }) => load)) || (weights[0] !== undefined && allSame(weights)))
  )
}

function formatCount(run: SetRun, sets: number): string {
  const { countRange } = run
  if (!countRange) return String(sets)
  return countRange.high === null
    ? `${countRange.low}+ (${run.count})`
    : `${countRange.low}-${countRange.high} (${run.count})`
}

function perSet(runs: readonly SetRun[]): readonly WorkStage[] {
  return runs
    .flatMap(run => Array.from({ length: run.count }, () => run.stages[0]))
    .flatMap(lead => (lead.kind === 'work' ? [lead] : []))
}

function formatPart({ runs, last }: Part): string {
  const [first] = runs
  const all: readonly SetRun[] = last ? [...runs, withoutTail(last, first.stages.length)] : runs
  const sets = all.reduce((sum, run) => sum + run.count, 0)
  const head = [
    ROLES.find(([role]) => role === first.role)?.[1],
    PROTOCOLS.find(([protocol]) => protocol === first.protocol)?.[1],
    first.side,
    formatCount(first, sets),
    'x',
  ]
    .filter(Boolean)
    .join(' ')
  const { lead, behind } = formatLead(first, all)
  const stages = [lead, ...first.stages.slice(1).map(formatStage)].join(' | ')
  return [
    `${head} ${stages}`,
    ...behind,
    ...formatRunOptions(first),
    ...(last
      ? [
          `last${last.count === 1 ? '' : ` ${last.count}`}: ${last.stages.slice(first.stages.length).map(formatStage).join(' | ')}`,
        ]
      : []),
  ].join(', ')
}

/** The first stage with its rows; in a set of one stage load, pace and RIR stand behind commas. */
function formatLead(
  first: SetRun,
  runs: readonly SetRun[],
): { readonly lead: string; readonly behind: readonly string[] } {
  const [stage] = first.stages
  if (stage.kind !== 'work') return { lead: formatStage(stage), behind: [] }
  const sets = first.countRange ? [stage] : perSet(runs)
  const { reps: _reps, load: _load, effort: _effort, tempo: _tempo, ...plain } = stage
  const reps = rowOr(sets, ({ reps: own }) => own && formatReps(own)) ?? '?'
  const load = loadRow(sets)
  const effort = rirRow(sets)
  const extra = [load, ...formatFeatures(stage, COMMA_FEATURES.slice(1, 2)), effort].filter(
    (part): part is string => Boolean(part),
  )
  const words = [
    reps,
    ...formatStage({ ...plain })
      .split(' ')
      .slice(1),
  ]
  return first.stages.length === 1
    ? { lead: words.join(' '), behind: extra }
    : { lead: [...words, ...extra].join(' '), behind: [] }
}

function rowOr(
  sets: readonly WorkStage[],
  format: (stage: WorkStage) => string | undefined,
): string | undefined {
  const values = sets.map(format)
  return allSame(values) ? values[0] : values.join('/')
}

function loadRow(sets: readonly WorkStage[]): string | undefined {
  const loads = sets.map(({ load }) => load)
  if (allSame(loads)) return sets[0] && formatFeatures(sets[0], COMMA_FEATURES.slice(0, 1))[0]
  return formatWeights(loads.filter(load => load?.kind === 'weight'))
}

function rirRow(sets: readonly WorkStage[]): string | undefined {
  const efforts = sets.map(({ effort }) => effort)
  if (allSame(efforts)) return sets[0] && formatFeatures(sets[0], COMMA_FEATURES.slice(2))[0]
  return `rir ${efforts.map(effort => (effort?.kind === 'rir' ? effort.rir : '')).join('/')}`
}

function formatRunOptions({ restAfter, sideOrder, startSide, onlyIf }: SetRun): readonly string[] {
  return [
    SIDE_ORDERS.find(([order]) => order === sideOrder)?.[1],
    startSide && `starting ${startSide}`,
    restAfter && formatRest(restAfter),
    onlyIf && `if ${quoted(onlyIf)}`,
  ].filter((part): part is string => Boolean(part))
}

// ── reading ───────────────────────────────────────────────────────────────

/**
 * The set scheme that a text describes.
 *
 * Errors: the first problem with its place in the text and what was expected there; nothing is guessed.
 * Source: docs/shorthand.md; examples in the tests of this folder.
 */
export function parseScheme(text: string): Result<SetScheme, ShorthandProblem> {
  const read = attempt(text, takeScheme)
  if (read.ok) return read
  const spelt = attempt(inOneSpelling(text), takeScheme)
  return spelt.ok ? spelt : read
}

const MOST_LEFT_OUT = 4

/**
 * The scheme a text would be read as if what cannot be read were left out; undefined where nothing sensible is left.
 * It is offered, never taken by itself.
 */
export function nearestScheme(text: string): SetScheme | undefined {
  let left = inOneSpelling(text)
  for (let tried = 0; tried < MOST_LEFT_OUT; tried += 1) {
    const read = attempt(left, takeScheme)
    if (read.ok) return read.value
    const { at, end } = read.error
    const without = `${left.slice(0, at)} ${left.slice(Math.max(end, at + 1))}`
    left = without
      .replace(/\s+/g, ' ')
      .replace(/[\s,;|]+$/, '')
      .replace(/,\s*,/g, ',')
      .trim()
  }
  return undefined
}

/** Takes a scheme up to `&`, the end of a line or the end of the text. */
export function takeScheme(cursor: Cursor): SetScheme {
  const runs = [...requirePart(cursor)]
  while (cursor.takeMark(',')) {
    if (!cursor.takeWords('then')) cursor.fail('then', 'rest 90s', 'rir 2', 'last:')
    runs.push(...requirePart(cursor))
  }
  const rules: Record<string, unknown> = {}
  while (cursor.takeMark(';')) requireRule(cursor, rules)
  return normalScheme({ runs, ...rules })
}

const STEP = shape('([+-])#(kg|lb)')

function requireRule(cursor: Cursor, rules: Record<string, unknown>): void {
  const { at, end } = cursor.place()
  const found = cursor.peek()?.value ?? ''
  const add = (key: string, value: unknown) => {
    if (key in rules) stop({ kind: 'repeated', at, end, found })
    rules[key] = value
  }
  const aims = takeAims(cursor)
  if (aims) return add('aims', aims)
  const rule = [...LOAD_RULES]
    .sort(([, a], [, b]) => b.length - a.length)
    .find(([, words]) => cursor.takeWords(...words.split(' ')))
  if (rule) return add('loadRule', rule[0])
  if (!cursor.takeWords('load'))
    cursor.fail('load +4kg a set', 'load held', 'load must not fall', 'low end tue')
  const [sign, amount, unit] =
    cursor.takeShape(STEP) ??
    cursor.fail('a step such as +4kg', 'held', 'must not fall', 'may fall', 'by feel')
  if (!cursor.takeWords('a', 'set')) cursor.fail('a set')
  add('loadStep', { amount: Number(`${sign}${amount}`), unit: unit as WeightUnit })
}

function takeAims(cursor: Cursor): SetScheme['aims'] {
  const aims = []
  for (;;) {
    const end = (['low', 'high'] as const).find(word => cursor.takeWords(word, 'end'))
    if (!end) return aims.length > 0 ? cursor.fail('low end', 'high end') : undefined
    const weekday = WEEKDAYS.findIndex(day => cursor.takeWords(day)) + 1
    if (weekday === 0) cursor.fail(...WEEKDAYS)
    aims.push({ weekday, end })
    if (!cursor.takeMark(',')) return aims
  }
}

const COUNT = shape('#')
const COUNT_RANGE = shape('#-#')
const COUNT_OPEN = shape('#\\+')

interface Count {
  readonly count: number | null
  readonly countRange?: SetRun['countRange']
}

function requireCount(cursor: Cursor): Count {
  // A row alone says how many sets there are.
  if (cursor.peek(1)?.value !== 'x' && cursor.peek(1)?.value !== '(') return { count: null }
  const range = cursor.takeShape(COUNT_RANGE)
  const open = range ? undefined : cursor.takeShape(COUNT_OPEN)
  if (range ?? open) {
    const low = Number((range ?? open)?.[0])
    const high = range ? Number(range[1]) : null
    return {
      count:
        takeNominal(cursor) ?? (high === null ? Math.max(1, low) : Math.floor((low + high) / 2)),
      countRange: { low, high },
    }
  }
  const [count] = cursor.takeShape(COUNT) ?? cursor.fail('a number of sets such as 4, 2-4 or 2+')
  return { count: Number(count) }
}

function takeNominal(cursor: Cursor): number | undefined {
  if (!cursor.takeMark('(')) return undefined
  const [nominal] = cursor.takeShape(COUNT) ?? cursor.fail('the number of sets to count with')
  if (!cursor.takeMark(')')) cursor.fail(')')
  return Number(nominal)
}

interface Draft {
  readonly run: Record<string, unknown>
  readonly lead: Record<string, unknown>
  rows: Rows
}

function requirePart(cursor: Cursor): readonly SetRun[] {
  const from = cursor.place()
  const run = takePrefix(cursor)
  const { count, countRange } = requireCount(cursor)
  if (count !== null && !cursor.takeWords('x')) cursor.fail('x')
  let rows: Rows = {}
  const addRows = (row: Rows) => {
    if (Object.keys(row).some(key => key in rows))
      stop({ kind: 'repeated', ...from, found: Object.keys(row).join() })
    rows = { ...rows, ...row }
  }
  const lead = requireStage(cursor, addRows)
  const others: Stage[] = []
  while (cursor.takeMark('|')) others.push(requireStage(cursor))
  const draft: Draft = { run, lead: { ...lead }, rows }
  const tail = takeOptions(cursor, draft, addRows)
  draft.rows = rows
  return runsOf({ count, countRange, draft, others, tail, from })
}

function takePrefix(cursor: Cursor): Record<string, unknown> {
  const role = ROLES.find(([, word]) => cursor.takeWords(word))?.[0] ?? 'working'
  const protocol = PROTOCOLS.find(([, word]) => cursor.takeWords(word))?.[0]
  const side = SIDES.find(word => cursor.takeWords(word))
  return { role, ...(protocol && { protocol }), ...(side && { side }) }
}

interface Tail {
  readonly count: number
  readonly stages: readonly Stage[]
  readonly at: number
  readonly end: number
}

/** What stands behind commas, up to `then` or the end of the part. */
function takeOptions(
  cursor: Cursor,
  { run, lead }: Draft,
  addRows: (row: Rows) => void,
): Tail | undefined {
  while (cursor.isMark(',') && cursor.peek(1)?.value !== 'then') {
    cursor.takeMark(',')
    const place = cursor.place()
    const row = takeRow(cursor)
    if (row) addRows(row)
    else if (cursor.takeWords('last')) return requireTail(cursor, place)
    else if (
      !takeRunOption(cursor, run) &&
      !(lead.kind === 'work' && takeFeature(cursor, COMMA_FEATURES, lead))
    ) {
      cursor.fail('rir 2', 'rest 90s', 'a load such as 20kg', 'tempo 3-0-1-0', 'last:', 'then')
    }
    // More of the kind may follow without a comma: `slow dead stop`.
    while (
      lead.kind === 'work' &&
      !cursor.isAtEnd() &&
      cursor.peek()?.kind === 'word' &&
      takeFeature(cursor, COMMA_FEATURES, lead)
    ) {
      /* each is added to the first stage */
    }
  }
  return undefined
}

function takeRunOption(cursor: Cursor, run: Record<string, unknown>): boolean {
  const order = SIDE_ORDERS.find(([, words]) => cursor.takeWords(...words.split(' ')))
  if (order) return Boolean((run.sideOrder = order[0]))
  const rest = takeRest(cursor)
  if (rest) return Boolean((run.restAfter = rest))
  if (cursor.takeWords('starting'))
    return Boolean(
      (run.startSide = SIDES.find(word => cursor.takeWords(word)) ?? cursor.fail('left', 'right')),
    )
  if (cursor.takeWords('if')) return Boolean((run.onlyIf = requireText(cursor)))
  return false
}

function requireTail(cursor: Cursor, place: { at: number; end: number }): Tail {
  const count = Number(cursor.takeShape(COUNT)?.[0] ?? 1)
  if (!cursor.takeMark(':')) cursor.fail(':')
  const stages = [requireStage(cursor)]
  while (cursor.takeMark('|')) stages.push(requireStage(cursor))
  return { count, stages, ...place }
}

interface PartDraft {
  readonly count: number | null
  readonly countRange: SetRun['countRange']
  readonly draft: Draft
  readonly others: readonly Stage[]
  readonly tail: Tail | undefined
  readonly from: { at: number; end: number }
}

/** What was taken word by word is a run; every key was put there by a reader of that feature (features.ts). */
const readRun = (fields: Readonly<Record<string, unknown>>) => fields as unknown as SetRun

function runsOf({ count, countRange, draft, others, tail, from }: PartDraft): readonly SetRun[] {
  const { run, lead, rows } = draft
  const rowLength = (rows.reps ?? rows.rir ?? rows.loads)?.length
  const sets =
    count ??
    rowLength ??
    stop({
      kind: 'unexpected',
      ...from,
      found: 'a set without a number',
      expected: ['a number of sets such as 4 x'],
    })
  if (countRange) {
    if (rowLength !== undefined || tail) stop({ kind: 'open_count', ...from })
    return [readRun({ ...run, count: sets, countRange, stages: [lead, ...others] })]
  }
  for (const row of [rows.reps, rows.rir, rows.loads]) {
    if (row && row.length !== sets) stop({ kind: 'row_length', ...from, sets, values: row.length })
  }
  if (tail && tail.count > sets) stop({ kind: 'too_few_sets', at: tail.at, end: tail.end, sets })
  return Array.from({ length: Math.min(sets, MOST_SETS_READ) }, (_, at): SetRun => {
    const own = {
      ...lead,
      ...(rows.reps && { reps: rows.reps[at] }),
      ...(rows.loads && { load: rows.loads[at] }),
      ...(rows.rir && { effort: { kind: 'rir', rir: rows.rir[at] } }),
    }
    const extra = tail && at >= sets - tail.count ? tail.stages : []
    return readRun({ ...run, count: 1, stages: [own, ...others, ...extra] })
  })
}

/** Enough for any refusal of too many sets to be told by the contract, few enough to keep a typing slip harmless. */
const MOST_SETS_READ = 100
