import type { OrderRule } from '../../plan/method'

interface CheckRow {
  /** What is looked at: one session, the rotation, or the block. */
  readonly scope: 'session' | 'rotation' | 'block'
  /** `stop` can hurt and holds back handing the plan over, `caution` likely costs results or comfort, `info` is worth knowing. */
  readonly severity: 'stop' | 'caution' | 'info'
  /** Where docs/methods.md says what the rule rests on. */
  readonly anchor: string
  /** The rule of order of a method that it belongs to; a method can leave it alone. */
  readonly watch?: OrderRule
}

/**
 * Every check by its name: the only list of them. Its rule stands in rules/, its sentence in words/findings.ts; a row
 * without either does not compile or fails a test that names it.
 */
// prettier-ignore
export const CHECK_TABLE = {
  'pain-stop': { scope: 'session', severity: 'stop', anchor: 'pain' },
  'pain-swap': { scope: 'session', severity: 'stop', anchor: 'pain' },
  'pain-hold-increase': { scope: 'session', severity: 'caution', anchor: 'pain' },
  'screening-open': { scope: 'block', severity: 'stop', anchor: 'cautions' },
  'restricted-flow-excluded': { scope: 'session', severity: 'stop', anchor: 'cautions' },
  'failure-under-bar': { scope: 'session', severity: 'stop', anchor: 'cautions' },
  'thumbless-press': { scope: 'session', severity: 'stop', anchor: 'cautions' },
  'overhead-failure': { scope: 'session', severity: 'caution', anchor: 'cautions' },
  'not-permitted': { scope: 'session', severity: 'caution', anchor: 'cautions' },
  'first-months': { scope: 'session', severity: 'caution', anchor: 'cautions' },
  'momentum-low-back': { scope: 'session', severity: 'caution', anchor: 'cautions' },
  'minor-limits': { scope: 'session', severity: 'stop', anchor: 'cautions' },
  'equipment-missing': { scope: 'session', severity: 'caution', anchor: 'swaps' },
  'exercise-avoided': { scope: 'session', severity: 'caution', anchor: 'swaps' },
  'over-heaviest': { scope: 'session', severity: 'caution', anchor: 'cautions' },
  'above-level': { scope: 'session', severity: 'info', anchor: 'exercises' },
  'heavy-lock': { scope: 'session', severity: 'caution', anchor: 'cautions' },
  'exhausting-early': { scope: 'session', severity: 'info', anchor: 'checks', watch: 'exhausting' },
  'lead-late': { scope: 'session', severity: 'info', anchor: 'checks', watch: 'lead' },
  'session-no-stretch': { scope: 'session', severity: 'info', anchor: 'coverage', watch: 'stretch' },
  'momentum-unwanted': { scope: 'session', severity: 'info', anchor: 'schools' },
  'role-unfit': { scope: 'session', severity: 'info', anchor: 'checks' },
  'many-new': { scope: 'rotation', severity: 'info', anchor: 'checks' },
  'kept-exercise-missing': { scope: 'rotation', severity: 'info', anchor: 'checks' },
  'compound-after-arms': { scope: 'session', severity: 'caution', anchor: 'checks', watch: 'compounds' },
  'grip-work-early': { scope: 'session', severity: 'caution', anchor: 'checks', watch: 'grip' },
  'overhead-extension-cold': { scope: 'session', severity: 'caution', anchor: 'checks' },
  'low-reps-late': { scope: 'session', severity: 'caution', anchor: 'checks', watch: 'compounds' },
  'extended-not-last': { scope: 'session', severity: 'info', anchor: 'long-sets', watch: 'exhausting' },
  'low-back-crowd': { scope: 'session', severity: 'caution', anchor: 'checks' },
  'isolation-before-compound': { scope: 'session', severity: 'info', anchor: 'checks', watch: 'compounds' },
  'group-crowded': { scope: 'session', severity: 'caution', anchor: 'session-limits' },
  'session-many-sets': { scope: 'session', severity: 'caution', anchor: 'session-limits' },
  'many-exercises': { scope: 'session', severity: 'info', anchor: 'session-limits' },
  'exposure-too-small': { scope: 'session', severity: 'info', anchor: 'session-limits' },
  'effort-too-low': { scope: 'session', severity: 'info', anchor: 'effort' },
  'failure-share': { scope: 'session', severity: 'caution', anchor: 'effort' },
  'extended-too-many': { scope: 'session', severity: 'caution', anchor: 'long-sets' },
  'low-rep-isolation': { scope: 'session', severity: 'caution', anchor: 'session-limits' },
  'pair-shares-grip': { scope: 'session', severity: 'caution', anchor: 'pairing' },
  'pair-lead-compound': { scope: 'session', severity: 'caution', anchor: 'pairing' },
  'pair-same-group': { scope: 'session', severity: 'info', anchor: 'pairing' },
  'rest-too-short': { scope: 'session', severity: 'caution', anchor: 'pairing' },
  'pieces-at-once': { scope: 'session', severity: 'info', anchor: 'pairing' },
  'elbow-stress-twice': { scope: 'session', severity: 'caution', anchor: 'joints' },
  'bar-and-chin-up-crowd': { scope: 'session', severity: 'caution', anchor: 'joints' },
  'shoulder-crowd': { scope: 'session', severity: 'caution', anchor: 'joints' },
  'stretch-intro': { scope: 'session', severity: 'info', anchor: 'joints' },
  'warm-up-missing': { scope: 'session', severity: 'caution', anchor: 'joints' },
  'time-over': { scope: 'session', severity: 'caution', anchor: 'minutes' },
  'session-joint-ceiling': { scope: 'session', severity: 'caution', anchor: 'joints' },
  'odd-figures': { scope: 'session', severity: 'caution', anchor: 'checks' },
  'below-floor': { scope: 'rotation', severity: 'caution', anchor: 'bands' },
  'above-ceiling': { scope: 'rotation', severity: 'caution', anchor: 'bands' },
  'indirect-only': { scope: 'rotation', severity: 'caution', anchor: 'direct-share' },
  'frequency-low': { scope: 'rotation', severity: 'caution', anchor: 'frequency' },
  'gap-long': { scope: 'rotation', severity: 'info', anchor: 'frequency' },
  'rolling-peak': { scope: 'rotation', severity: 'info', anchor: 'bands' },
  'head-uncovered': { scope: 'rotation', severity: 'info', anchor: 'coverage' },
  'head-below-floor': { scope: 'rotation', severity: 'caution', anchor: 'coverage' },
  'arm-balance': { scope: 'rotation', severity: 'info', anchor: 'ratio' },
  'too-many-builds': { scope: 'block', severity: 'info', anchor: 'bands' },
  'not-recovered': { scope: 'rotation', severity: 'caution', anchor: 'recovery' },
  'press-then-arms': { scope: 'rotation', severity: 'caution', anchor: 'recovery' },
  'pull-then-arms': { scope: 'rotation', severity: 'caution', anchor: 'recovery' },
  'arms-then-press': { scope: 'rotation', severity: 'caution', anchor: 'recovery' },
  'elbow-no-quiet-day': { scope: 'rotation', severity: 'caution', anchor: 'joints' },
  'joint-ceiling': { scope: 'rotation', severity: 'caution', anchor: 'joints' },
  'joint-ramp': { scope: 'block', severity: 'caution', anchor: 'joints' },
  'no-rest-day': { scope: 'rotation', severity: 'caution', anchor: 'rotations' },
  'gap-rule-broken': { scope: 'rotation', severity: 'info', anchor: 'frequency' },
  'open-day': { scope: 'rotation', severity: 'info', anchor: 'rotations' },
  'places-assumed': { scope: 'rotation', severity: 'info', anchor: 'rotations' },
  'deload-missing': { scope: 'block', severity: 'info', anchor: 'block' },
} as const satisfies Readonly<Record<string, CheckRow>>

export type CheckId = keyof typeof CHECK_TABLE

/** The rule of order that a check belongs to; undefined for checks that no method can leave alone. */
export const watchOf = (check: CheckId): OrderRule | undefined =>
  (CHECK_TABLE as Readonly<Record<CheckId, CheckRow>>)[check].watch
