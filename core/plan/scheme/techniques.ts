import { nominalReps, workStages } from './plainValue'
import { plannedSets, type SetRun, type SetScheme } from './setScheme'
import type { Effort, Reps, Stage, WorkStage } from './stage'

/** Kinds of long sets a method may allow, read off a set's stages, never stored in it. */
export const LONG_SET_KINDS = [
  'drop',
  'rest_pause',
  'total_of_n',
  'sevens',
  'stretch_hold',
] as const
export type LongSetKind = (typeof LONG_SET_KINDS)[number]

/** A way to do the sets of one exercise, laid over the sets, reps and effort that stand there. */
export interface Technique {
  readonly id: string
  readonly name: string
  readonly what: string
  /** Which long-set kind of a method it belongs to; none for straight sets in every form. */
  readonly longSet?: LongSetKind
  readonly asks?: string
  readonly apply: (scheme: SetScheme) => SetScheme
}

interface Base {
  readonly sets: number
  readonly run: SetRun
  readonly lead: WorkStage
  readonly reps: number
  readonly warmups: readonly SetRun[]
  readonly scheme: SetScheme
}

function baseOf(scheme: SetScheme): Base {
  const working = scheme.runs.filter(({ role }) => role !== 'warmup')
  const first = working[0] ?? {
    count: 3,
    role: 'working' as const,
    stages: [{ kind: 'work' as const }] as const,
  }
  const { countRange: _range, protocol: _protocol, onlyIf: _onlyIf, ...plain } = first
  const lead: WorkStage = workStages(first)[0] ?? { kind: 'work' }
  return {
    sets: Math.max(1, plannedSets(scheme)),
    run: { ...plain, role: 'working' },
    lead,
    reps: nominalReps(lead.reps) ?? 10,
    warmups: scheme.runs.filter(({ role }) => role === 'warmup'),
    scheme,
  }
}

const FAILURE: Reps = { kind: 'to_failure' }
const rir = (value: number): Effort => ({ kind: 'rir', rir: value })
const work = (stage: Omit<WorkStage, 'kind'>): WorkStage => ({ kind: 'work', ...stage })
const seconds = (value: number): Stage => ({
  kind: 'rest',
  rest: { kind: 'seconds', seconds: value },
})
const drop = (percent: number, from: 'first' | 'previous' = 'previous'): WorkStage =>
  work({ reps: FAILURE, load: { kind: 'drop_percent', percent, from } })
const lower = { kind: 'part', from: 0, to: 0.5 } as const
const upper = { kind: 'part', from: 0.5, to: 1 } as const

/** Runs in place of those that stand there; warm-up sets and what holds for all sets stay. */
function withRuns({ scheme, warmups }: Base, ...runs: readonly SetRun[]): SetScheme {
  return { ...scheme, runs: [...warmups, ...runs.filter(({ count }) => count > 0)] }
}

function every(base: Base, stages: readonly [Stage, ...Stage[]], sets = base.sets): SetRun {
  return { ...base.run, count: sets, stages }
}

/** All sets as they are, and something more on the last one. */
function onLast(...more: readonly Stage[]) {
  return (scheme: SetScheme): SetScheme => {
    const base = baseOf(scheme)
    return withRuns(
      base,
      every(base, [base.lead], base.sets - 1),
      every(base, [base.lead, ...more], 1),
    )
  }
}

function onEvery(stages: (base: Base) => readonly [Stage, ...Stage[]]) {
  return (scheme: SetScheme): SetScheme => {
    const base = baseOf(scheme)
    return withRuns(base, every(base, stages(base)))
  }
}

function eachSet(stage: (base: Base, at: number) => WorkStage) {
  return (scheme: SetScheme): SetScheme => {
    const base = baseOf(scheme)
    return withRuns(
      base,
      ...Array.from({ length: base.sets }, (_, at) => every(base, [stage(base, at)], 1)),
    )
  }
}

function withoutReps({ reps: _, ...lead }: WorkStage): Omit<WorkStage, 'kind' | 'reps'> {
  return lead
}

/** Ways to do sets that a coach can choose without typing; every one can be written and changed as shorthand. */
export const TECHNIQUES: readonly Technique[] = [
  {
    id: 'straight',
    name: 'Straight sets',
    what: 'Equal sets, nothing behind them.',
    apply: onEvery(({ lead }) => [lead]),
  },
  {
    id: 'failure_last',
    name: 'Last set to failure',
    what: 'Only the last set goes until no rep is possible.',
    apply: scheme => {
      const base = baseOf(scheme)
      const { effort: _, ...lead } = base.lead
      return withRuns(
        base,
        every(base, [base.lead], base.sets - 1),
        every(base, [{ ...lead, effort: { kind: 'failure' } }], 1),
      )
    },
  },
  {
    id: 'falling_rir',
    name: 'Nearer to failure set by set',
    what: 'Reps stay, reps in reserve fall to none.',
    apply: eachSet(({ lead, sets }, at) => ({ ...lead, effort: rir(sets - 1 - at) })),
  },
  {
    id: 'falling_reps',
    name: 'Heavier as reps fall',
    what: 'Two reps fewer each set, the load rises.',
    apply: eachSet(({ lead, sets, reps }, at) => ({
      ...lead,
      reps: { kind: 'exactly', count: Math.max(1, Math.round(reps) + sets - 1 - 2 * at) },
    })),
  },
  {
    id: 'top_and_back_off',
    name: 'Top set, then back-off sets',
    what: 'One heavier set first, the others lighter.',
    apply: scheme => {
      const base = baseOf(scheme)
      const top = work({
        ...withoutReps(base.lead),
        reps: { kind: 'exactly', count: Math.max(1, Math.round(base.reps * 0.7)) },
      })
      return withRuns(
        base,
        every(base, [top], 1),
        every(
          base,
          [work({ ...base.lead, load: { kind: 'than_before', direction: 'lighter' } })],
          base.sets - 1,
        ),
      )
    },
  },
  {
    id: 'ramp',
    name: 'Ramp to a top set',
    what: 'Build-up sets that rise, then one that counts.',
    apply: scheme => {
      const base = baseOf(scheme)
      const { effort: _, ...lead } = base.lead
      return withRuns(
        base,
        {
          ...every(
            base,
            [{ ...lead, load: { kind: 'than_before', direction: 'heavier' } }],
            base.sets - 1,
          ),
          role: 'ramp',
        },
        every(base, [base.lead], 1),
      )
    },
  },
  {
    id: 'drop_last',
    name: 'Drop on the last set',
    what: 'A third lighter at once, to failure.',
    longSet: 'drop',
    apply: onLast(drop(30)),
  },
  {
    id: 'double_drop_last',
    name: 'Two drops on the last set',
    what: 'Twice a fifth of the first load less.',
    longSet: 'drop',
    apply: onLast(drop(20, 'first'), drop(20, 'first')),
  },
  {
    id: 'drop_every',
    name: 'Drop on every set',
    what: 'Each set goes on lighter; few sets are enough.',
    longSet: 'drop',
    apply: onEvery(({ lead }) => [lead, drop(20)]),
  },
  {
    id: 'rest_pause_last',
    name: 'Short rests on the last set',
    what: 'Twenty seconds, more reps, twice.',
    longSet: 'rest_pause',
    apply: onLast(seconds(20), work({ reps: FAILURE }), seconds(20), work({ reps: FAILURE })),
  },
  {
    id: 'until_total',
    name: 'Up to a total',
    what: 'One load, short rests, until the total is reached.',
    longSet: 'total_of_n',
    apply: scheme => {
      const base = baseOf(scheme)
      const { effort: _, ...lead } = base.lead
      return withRuns(
        base,
        every(
          base,
          [
            { ...lead, effort: { kind: 'failure' } },
            seconds(20),
            work({ reps: { kind: 'until_total', total: Math.round(base.reps * 2.5) } }),
          ],
          1,
        ),
      )
    },
  },
  {
    id: 'sevens',
    name: 'Seven, seven, seven',
    what: 'Lower half, upper half, full range without a rest.',
    longSet: 'sevens',
    apply: onEvery(({ lead }) => {
      const seven = { ...withoutReps(lead), reps: { kind: 'exactly' as const, count: 7 } }
      const { effort: _effort, ...open } = seven
      return [work({ ...open, range: lower }), work({ ...open, range: upper }), work(seven)]
    }),
  },
  {
    id: 'partials_last',
    name: 'Partial reps after the last set',
    what: 'Half reps in the lower half until they stall.',
    apply: onLast(work({ reps: FAILURE, range: lower })),
  },
  {
    id: 'hold_last',
    name: 'Hold long after the last set',
    what: 'Thirty seconds at the long end under load.',
    longSet: 'stretch_hold',
    apply: onLast({ kind: 'hold', at: 'lengthened', seconds: 30 }),
  },
  {
    id: 'slow_lowering',
    name: 'Slow lowering',
    what: 'Four seconds down in every rep.',
    apply: onEvery(({ lead }) => [{ ...lead, tempo: { ...lead.tempo, lower: 4 } }]),
  },
  {
    id: 'momentum_last',
    name: 'Momentum on the last reps',
    what: 'Two or three more with help of the body, lowered slowly; last set only.',
    apply: onLast(
      work({ reps: { kind: 'between', low: 2, high: 3 }, form: 'momentum', tempo: { lower: 3 } }),
    ),
  },
  {
    id: 'lowering_only',
    name: 'Lowering only',
    what: 'Helped up, five seconds down: for what is still too heavy.',
    apply: onEvery(({ lead }) => [
      { ...lead, form: 'lowering_only', tempo: { ...lead.tempo, lower: 5 } },
    ]),
  },
  {
    id: 'restricted_flow',
    name: 'Restricted flow',
    what: 'Cuffs, a quarter of the one-rep maximum, 30 and three times 15.',
    asks: 'Only for clients cleared for it.',
    apply: scheme => {
      const base = baseOf(scheme)
      const { effort: _effort, load: _load, ...lead } = base.lead
      const fifteen = () => [seconds(40), work({ reps: { kind: 'exactly', count: 15 } })]
      return withRuns(base, {
        ...every(
          base,
          [
            {
              ...lead,
              reps: { kind: 'exactly', count: 30 },
              load: { kind: 'percent_of_e1rm', percent: 25 },
            },
            ...fifteen(),
            ...fifteen(),
            ...fifteen(),
          ],
          1,
        ),
        protocol: 'restricted_flow',
      })
    },
  },
]
