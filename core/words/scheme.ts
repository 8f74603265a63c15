import type { Catalogue } from '../plan/catalogue'
import type {
  Grip,
  HoldStage,
  Load,
  RangeOfMotion,
  Reps,
  Rest,
  SetRun,
  SetScheme,
  Span,
  Stage,
  Tempo,
  WorkStage,
} from '../plan/scheme'
import { setUpText } from '../plan/scheme'
import { effortWords } from './effort'
import { formatSets, formatSpanWords, NBSP } from './figures'

/* Sets in the words a client reads in the gym: no codes, every unit said. */

const X = '×'
const dash = (low: number, high: number) =>
  low === high ? formatSets(low) : `${formatSets(low)}–${formatSets(high)}`
const seconds = (span: Span) => `${formatSpanWords(span)}${NBSP}s`

/** `10–12`, `to failure`, `until 30 in all`. */
export function repsWords(reps: Reps | undefined): string {
  switch (reps?.kind) {
    case undefined:
      return 'reps open'
    case 'exactly':
      return reps.intended === undefined
        ? formatSets(reps.count)
        : `${formatSets(reps.count)} of ${formatSets(reps.intended)}`
    case 'between':
      return dash(reps.low, reps.high)
    case 'up_to':
      return `up to ${formatSets(reps.high)}`
    case 'to_failure':
      return reps.low === undefined && reps.high === undefined
        ? 'to failure'
        : `to failure, between ${formatSets(reps.low ?? 1)} and ${reps.high === undefined ? 'as many as it takes' : formatSets(reps.high)}`
    case 'same_as':
      return `as many as in part ${reps.stage + 1}`
    case 'until_total':
      return `in short bouts until ${formatSets(reps.total)} in all`
    case 'first_to_last':
      return `${formatSets(reps.first)} in the first set down to ${formatSets(reps.last)} in the last`
  }
}

const BASIS: Readonly<Record<Extract<Load, { kind: 'weight' }>['basis'], string>> = {
  total: '',
  per_side: ' on each side',
  per_hand: ' in each hand',
  added: ' added',
  assisted: ' taken off',
  stack: ' on the stack',
}

/** `22.5 kg in each hand`, `30 % lighter`. */
export function loadWords(load: Load | undefined): string {
  switch (load?.kind) {
    case undefined:
      return ''
    case 'weight':
      return `${formatSets(load.amount)}${NBSP}${load.unit}${BASIS[load.basis]}`
    case 'stack_position':
      return `plate ${load.position} of the stack`
    case 'percent_of_e1rm':
      return `${formatSets(load.percent)}${NBSP}% of the one-rep maximum`
    case 'percent_of_usual':
      return `${formatSets(load.percent)}${NBSP}% of the working weight`
    case 'drop_percent':
      return `${formatSets(load.percent)}${NBSP}% lighter${load.from === 'first' ? ' than at first' : ''}`
    case 'drop_weight':
      if (load.amount === 0) return load.from === 'first' ? 'as the first set' : 'as the set before'
      return `${formatSets(load.amount)}${NBSP}${load.unit} lighter${load.from === 'first' ? ' than at first' : ''}`
    case 'drop_open':
      return 'lighter'
    case 'than_before':
      return `${load.direction} than the set before`
    case 'bodyweight':
      return 'body weight'
    case 'band':
      return `${load.name} band`
    case 'in_words':
      return load.atMost
        ? `${load.text}, at most ${formatSets(load.atMost.amount)}${NBSP}${load.atMost.unit}`
        : load.text
  }
}

/** `90 s`, `stretch 20 s`, `no rest`. */
export function restWords(rest: Rest | undefined): string {
  switch (rest?.kind) {
    case undefined:
      return ''
    case 'seconds':
      return `${formatSets(rest.seconds)}${NBSP}s`
    case 'between':
      return `${dash(rest.low, rest.high)}${NBSP}s`
    case 'none':
      return 'no rest'
    case 'in_words':
      return rest.text
    case 'stretch':
      return `stretch ${formatSets(rest.seconds)}${NBSP}s`
  }
}

/** `3 s down, 1 s up, slow`. */
export function tempoWords(tempo: Tempo | undefined): string {
  if (!tempo) return ''
  const part = (span: Span | undefined, word: string) =>
    span === undefined || span === 0 ? '' : `${seconds(span)} ${word}`
  return [
    tempo.word ?? '',
    part(tempo.lower, 'down'),
    part(tempo.longPause, 'at the long end'),
    part(tempo.midPause, 'part-way'),
    part(tempo.lift, 'up'),
    part(tempo.shortPause, 'at the short end'),
    tempo.deadStop ? 'come to rest on the support each rep' : '',
  ]
    .filter(Boolean)
    .join(', ')
}

const THIRDS: readonly (readonly [from: number, to: number, words: string])[] = [
  [0, 0.5, 'lower half'],
  [0.5, 1, 'upper half'],
  [0, 1 / 3, 'bottom third'],
  [1 / 3, 2 / 3, 'middle third'],
  [2 / 3, 1, 'top third'],
  [0, 2 / 3, 'lower two thirds'],
  [1 / 3, 1, 'upper two thirds'],
]
const isNear = (a: number, b: number) => Math.abs(a - b) < 0.02

function rangeWords(range: RangeOfMotion | undefined): string {
  switch (range?.kind) {
    case undefined:
      return ''
    case 'landmark':
      return range.text
    case 'may_shorten':
      return 'range may get shorter'
    case 'part':
      return (
        THIRDS.find(([from, to]) => isNear(from, range.from) && isNear(to, range.to))?.[2] ??
        `${Math.round(range.from * 100)} to ${Math.round(range.to * 100)}${NBSP}% of the range`
      )
  }
}

const GRIP: Readonly<Record<Grip, string>> = {
  supinated: 'palms up',
  neutral: 'palms facing',
  pronated: 'palms down',
  angled: 'angled grip',
  turning: 'turn the hands',
}
const FORM = {
  strict: 'strict',
  momentum: 'momentum allowed',
  assisted: 'with help',
  lowering_only: 'lowering only',
} as const
const LOCK_OUT = { hard: 'lock out', soft: 'soft lock-out', never: 'do not lock out' } as const

/** How a stage is set up and done, besides reps, load and effort. */
export function setUpWords(stage: WorkStage): string {
  return [
    rangeWords(stage.range),
    tempoWords(stage.tempo),
    stage.form ? FORM[stage.form] : '',
    stage.lockOut ? LOCK_OUT[stage.lockOut] : '',
    stage.grip ? GRIP[stage.grip] : '',
    stage.gripWidth ? `${stage.gripWidth} grip` : '',
    stage.thumbless ? 'thumb beside the fingers' : '',
    setUpText(stage.setUp),
    stage.position ?? '',
    stage.attachment ? `with ${stage.attachment}` : '',
    stage.optional ? 'if you like' : '',
    stage.onlyIf ? `only if ${stage.onlyIf}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}

function workWords(stage: WorkStage, catalogue: Catalogue): string {
  const other = stage.exercise && (catalogue.get(stage.exercise.id)?.name ?? stage.exercise.id)
  return [
    [repsWords(stage.reps), stage.repsInAll ? 'in all' : ''].filter(Boolean).join(' '),
    other ? `as ${other.toLowerCase()}` : '',
    loadWords(stage.load),
    effortWords(stage.effort),
    setUpWords(stage),
  ]
    .filter(Boolean)
    .join(', ')
}

const HELD: Readonly<Record<HoldStage['at'], string>> = {
  lengthened: 'long',
  mid: 'half-way',
  shortened: 'short',
}

/** One stage of a set. */
export function stageWords(stage: Stage, catalogue: Catalogue): string {
  switch (stage.kind) {
    case 'work':
      return workWords(stage, catalogue)
    case 'hold':
      return `hold ${HELD[stage.at]}${stage.seconds === undefined ? '' : ` ${formatSets(stage.seconds)}${NBSP}s`}`
    case 'rest':
      return stage.rest.kind === 'none'
        ? 'no rest'
        : stage.rest.kind === 'stretch'
          ? restWords(stage.rest)
          : `rest ${restWords(stage.rest)}`
  }
}

const ROLE: Readonly<Record<SetRun['role'], string>> = {
  working: '',
  warmup: 'warm-up',
  primer: 'light primer',
  ramp: 'build-up',
}
const SIDES = {
  switch: 'left, then right',
  rest_between: 'one side, rest, the other',
  alternating_reps: 'arms by turns',
  alternating_sets: 'left, right, left, right',
  together: 'both arms at once',
} as const

/** Equal sets in one line: number, what is done, sides, rest. */
export function runWords(run: SetRun, catalogue: Catalogue): string {
  const count = run.countRange
    ? `${run.countRange.low}${run.countRange.high === null ? ' or more' : `–${run.countRange.high}`}`
    : String(run.count)
  const head = [
    ROLE[run.role],
    run.protocol === 'restricted_flow' ? 'restricted flow' : '',
    `${count} ${X} ${run.stages.map(stage => stageWords(stage, catalogue)).join(' → ')}`,
  ]
    .filter(Boolean)
    .join(' ')
  return [
    head,
    run.side ? `${run.side} side only` : '',
    run.sideOrder ? SIDES[run.sideOrder] : '',
    run.startSide ? `start ${run.startSide}` : '',
    run.restAfter
      ? run.restAfter.kind === 'seconds' || run.restAfter.kind === 'between'
        ? `rest ${restWords(run.restAfter)}`
        : restWords(run.restAfter)
      : '',
    run.onlyIf ? `only if ${run.onlyIf}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}

const RULES = {
  hold: 'keep the weight',
  must_not_fall: 'the weight must not fall',
  may_fall: 'the weight may fall',
  hold_or_rise: 'keep the weight or add',
  by_feel: 'weight by feel',
} as const

/** A whole scheme, one line for each row of equal sets, and what holds for all of them. */
export function schemeLines(
  { runs, loadRule, loadStep }: SetScheme,
  catalogue: Catalogue,
): readonly string[] {
  const rules = [
    loadRule ? RULES[loadRule] : '',
    loadStep
      ? `${loadStep.amount < 0 ? '' : '+'}${formatSets(loadStep.amount)}${NBSP}${loadStep.unit} each set`
      : '',
  ].filter(Boolean)
  return [
    ...runs.map(run => runWords(run, catalogue)),
    ...(rules.length > 0 ? [rules.join(', ')] : []),
  ]
}
