import { assert } from '../../base'
import { LOAD_PROGRESSIONS, type Method } from './method'
import { choice, type MethodSetting, number } from './settingKinds'
import { COUNTING_SCHOOL_IDS, COUNTING_SCHOOLS, type CountingSchoolId } from './school'

const RULES = LOAD_PROGRESSIONS.map(rule => `${rule}|${rule.replaceAll('_', ' ')}`)

/** The settings of a method in the order of the editing form. Bounds keep a slip of the finger out, not an opinion. */
export const METHOD_SETTINGS: readonly MethodSetting[] = [
  choice(
    'Counting and dose',
    'Counting',
    'school',
    'direct_only|direct sets only',
    'fractional|indirect sets in part',
    'whole|every set whole',
    'stimulus|weighed by effort and kind of set',
  ),
  choice(
    'Counting and dose',
    'Build-up sets',
    'counts.buildUp',
    'nothing|count nothing',
    'whole|count like the others',
  ),
  choice(
    'Counting and dose',
    'A restricted-flow set',
    'counts.restricted',
    'by_stage|by its stages',
    'as_one|as one set',
  ),
  choice(
    'Counting and dose',
    'A long set',
    'counts.long',
    'as_one|count as one',
    'by_parts|count by their parts',
  ),
  number('Counting and dose', 'Easiest set that counts', 'counts.easiest', 0, 8, 1, 'in reserve'),
  number('Counting and dose', 'Usual bands, times', 'dose.bandScale', 0.3, 2, 0.05),
  number(
    'Counting and dose',
    'Sets per exercise, from',
    'dose.setsPerExercise.0',
    1,
    10,
    1,
    'sets',
  ),
  number('Counting and dose', 'Sets per exercise, to', 'dose.setsPerExercise.1', 1, 10, 1, 'sets'),
  number(
    'Counting and dose',
    'Least sets that make an exposure',
    'dose.minSetsPerExposure',
    0.5,
    6,
    0.5,
    'sets',
  ),
  number(
    'Counting and dose',
    'Most sets of an arm group in a session',
    'dose.maxSetsPerExposure',
    1,
    20,
    0.5,
    'sets',
  ),
  number(
    'Counting and dose',
    'Exposures of arms in 7 days, at least',
    'dose.frequencyMin',
    0.5,
    5,
    0.25,
  ),
  number('Counting and dose', 'Wanted triceps sets per flexor set', 'ratioWish', 0.5, 2, 0.05),
  number('Effort', 'Compounds, first week', 'effort.rirCompound.from', 0, 5, 1, 'RIR'),
  number('Effort', 'Compounds, last week', 'effort.rirCompound.to', 0, 5, 1, 'RIR'),
  number('Effort', 'Single-joint, first week', 'effort.rirIsolation.from', 0, 5, 1, 'RIR'),
  number('Effort', 'Single-joint, last week', 'effort.rirIsolation.to', 0, 5, 1, 'RIR'),
  choice(
    'Effort',
    'Last set to failure',
    'effort.lastSetToFailure',
    'never',
    'always',
    '3|from week 3',
    '4|from week 4',
    '5|from week 5',
  ),
  number(
    'Effort',
    'Long sets per group and session, at most',
    'effort.extendedMax',
    0,
    4,
    1,
    'sets',
  ),
  number('Effort', 'Reps of compounds, from', 'reps.compound.0', 3, 20, 1, 'reps'),
  number('Effort', 'Reps of compounds, to', 'reps.compound.1', 3, 30, 1, 'reps'),
  number('Effort', 'Reps of single-joint work, from', 'reps.isolation.0', 5, 25, 1, 'reps'),
  number('Effort', 'Reps of single-joint work, to', 'reps.isolation.1', 5, 30, 1, 'reps'),
  number('Rest and pairing', 'Rest, heavy compounds', 'rest.compoundHeavy', 30, 480, 15, 's'),
  number('Rest and pairing', 'Rest, compounds', 'rest.compound', 30, 480, 15, 's'),
  number('Rest and pairing', 'Rest, single-joint', 'rest.isolation', 15, 360, 15, 's'),
  choice(
    'Rest and pairing',
    'Pairing of arm work',
    'pairing.mode',
    'straight',
    'alternating',
    'superset',
  ),
  number('Rest and pairing', 'Between partners', 'pairing.inside', 0, 180, 5, 's'),
  number('Rest and pairing', 'After a round', 'pairing.after', 15, 240, 5, 's'),
  choice(
    'Order and form',
    'First in the session',
    'order.first',
    'heavy|the heavy lift',
    'primer|a light primer',
  ),
  choice(
    'Order and form',
    'Arm work',
    'order.armPlacement',
    'ownDay|on a day of its own',
    'finisher|as a finisher',
    'both|both ways',
  ),
  choice('Order and form', 'Overhead extensions', 'order.overhead', 'early', 'late', 'any'),
  choice(
    'Order and form',
    'Forearms',
    'order.forearms',
    'armDay|arm day, last',
    'pullDay|pull day',
    'ownSlot|their own slot',
    'none|left to the grip',
  ),
  ...(
    [
      ['compounds', 'Compounds before arms'],
      ['lead', 'What is built up before what is maintained'],
      ['grip', 'Grip work after what needs the grip'],
      ['exhausting', 'Sets that exhaust not early'],
      ['stretch', 'Long length in each muscle’s session'],
    ] as const
  ).map(([rule, label]) =>
    choice(
      'Order and form',
      label,
      `order.watch.${rule}`,
      'told|told where it is not so',
      'left|left alone',
    ),
  ),
  choice('Order and form', 'Lock-out', 'range.lockout', 'full', 'shortOf|just short of it'),
  choice(
    'Order and form',
    'Momentum',
    'form.momentum',
    'strict|never',
    'lastReps|last reps only',
    'allowed',
  ),
  choice(
    'Block and recovery',
    'Sets over the weeks',
    'progress.setRamp',
    'none|level',
    'linear|rising',
    'step|a set now and then',
  ),
  number('Block and recovery', 'Working weeks', 'progress.workingWeeks', 2, 16, 1, 'weeks'),
  number('Block and recovery', 'Easier weeks after them', 'progress.deloadWeeks', 0, 2, 1, 'weeks'),
  choice(
    'Block and recovery',
    'Easier weeks come',
    'deload.mode',
    'planned',
    'triggered|when signs ask for them',
    'both|planned or when signs ask',
    'none|never',
  ),
  choice('Block and recovery', 'Loads of compounds', 'progress.compoundRule', ...RULES),
  choice('Block and recovery', 'Loads of single-joint work', 'progress.isolationRule', ...RULES),
  choice(
    'Block and recovery',
    'Exercises',
    'progress.alternation',
    'none|kept',
    'exposure|A and B by turns',
    'week|A and B by week',
  ),
  number(
    'Block and recovery',
    'Readiness for lead work',
    'recovery.required.lead',
    50,
    100,
    5,
    '%',
  ),
  number(
    'Block and recovery',
    'Readiness for other direct work',
    'recovery.required.other',
    50,
    100,
    5,
    '%',
  ),
  choice(
    'Block and recovery',
    'Checks are',
    'checks.strictness',
    'low|lenient',
    'normal',
    'high|strict',
  ),
]

type Tree = Readonly<Record<string, unknown>>

/** A setting's value as a form holds it. Errors: InvariantError for a path that a method does not have. */
export function settingOf(method: Method, { path }: MethodSetting): string {
  const value = path.reduce<unknown>((at, key) => (at as Tree)[key], method)
  assert(value !== undefined, `a method has no ${path.join('.')}`)
  if (path[0] === 'school') return (value as Method['school']).id
  return typeof value === 'object' && value !== null && 'fromWeek' in value
    ? String((value as { fromWeek: number }).fromWeek)
    : String(value)
}

function stored(setting: MethodSetting, text: string): unknown {
  if (setting.path[0] === 'school')
    return COUNTING_SCHOOLS[
      COUNTING_SCHOOL_IDS.includes(text as CountingSchoolId)
        ? (text as CountingSchoolId)
        : 'fractional'
    ]
  if (setting.kind === 'number') return Number(text)
  return setting.path.at(-1) === 'lastSetToFailure' && /^\d+$/.test(text)
    ? { fromWeek: Number(text) }
    : text
}

/** The method with one setting changed; everything else is the same object. What it says is not judged here but by its contract. */
export function withSetting(method: Method, setting: MethodSetting, text: string): Method {
  return replaced(method, setting.path, stored(setting, text)) as Method
}

function replaced(tree: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value
  const below = replaced((tree as Tree)[key], rest, value)
  return Array.isArray(tree)
    ? tree.map((entry: unknown, at) => (String(at) === key ? below : entry))
    : { ...(tree as Tree), [key]: below }
}
