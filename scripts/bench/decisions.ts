import { expandedBlock } from '#core/design/progress'
import { GROUPS } from '#core/plan/catalogue'
import { defaultContext } from '#core/plan/method'
import {
  chance,
  type Policy,
  REHEARSED_WORLDS,
  type RehearsalData,
  rehearsalData,
  rehearsedRun,
  type RehearsedWorld,
  type Run,
} from '#core/follow/rehearsal'
import { decisionWeek } from '#core/testing/decisionWeek'

const WEEKS = 24
const AGES = { 'trained 18 months': 18, 'trained 5 years': 60 } as const

/** Doses a block may begin with, as shares of the target. */
const STARTS = {
  low: [0.6, 0.75],
  target: [1.1, 1.3],
  high: [1.7, 2.05],
} as const
type Start = keyof typeof STARTS
/** Constant doses of which the best, muscle by muscle, is what could be had. */
const LEVELS = [0.6, 0.8, 1, 1.2, 1.4, 1.6, 1.8, 2, 2.3] as const

const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length

interface Came {
  /** Strength gained by the muscles trained, in percent, on average. */
  readonly gain: number
  readonly unready: number
  readonly pains: number
  readonly sets: number
}

function cameOf(run: Run, { trained }: RehearsalData): Came {
  return {
    gain: 100 * mean(trained.map(group => Math.exp(run.strength[group]!) - 1)),
    unready: run.passes.reduce((sum, pass) => sum + pass.unready, 0),
    pains: run.passes.reduce((sum, pass) => sum + pass.pains, 0),
    sets: mean(run.passes.slice(-4).map(pass => mean(trained.map(group => pass.counted[group]!)))),
  }
}

/** Of constant doses the best for each muscle of this very client, all of them together in one run. */
function bestOf(data: RehearsalData, seed: number, world: RehearsedWorld): Came {
  const runs = LEVELS.map(level =>
    rehearsedRun(data, seed, {
      world,
      policy: { kind: 'level', of: new Float64Array(GROUPS.length).fill(level) },
    }),
  )
  const of = Float64Array.from(GROUPS, (_, group) => {
    const gains = runs.map(run => run.strength[group]!)
    return LEVELS[gains.indexOf(Math.max(...gains))]!
  })
  return cameOf(rehearsedRun(data, seed, { world, policy: { kind: 'level', of } }), data)
}

function startsOf(seed: number, [low, high]: readonly [number, number]): Float64Array {
  const { uniform } = chance(seed + 31)
  return Float64Array.from(GROUPS, () => low + (high - low) * uniform())
}

type Table = Readonly<Record<'nothing' | 'rules' | 'plain' | 'target' | 'best', readonly Came[]>>

function compared(months: number, start: Start, world: RehearsedWorld, clients: number): Table {
  const context = defaultContext({
    trainingAgeMonths: months,
    modes: Object.fromEntries(GROUPS.map(group => [group, 'build' as const])),
  })
  const data = rehearsalData(expandedBlock(decisionWeek(4, WEEKS), context), context)
  const seeds = Array.from({ length: clients }, (_, at) => 1 + at)
  const under = (policy: Policy) =>
    seeds.map(seed =>
      cameOf(
        rehearsedRun(data, seed, { policy, world, start: startsOf(seed, STARTS[start]) }),
        data,
      ),
    )
  return {
    nothing: under({ kind: 'nothing' }),
    rules: under({ kind: 'rules' }),
    plain: under({ kind: 'plain' }),
    target: under({ kind: 'target' }),
    best: seeds.map(seed => bestOf(data, seed, world)),
  }
}

const of = (all: readonly Came[], what: keyof Came) => mean(all.map(one => one[what]))

/** Prints what each policy came to, against doing nothing, in every cell. */
export function decisionTables(clients = 1000): void {
  console.log(`decisions over ${WEEKS} weeks, ${clients} simulated clients a cell, paired seeds`)
  for (const [age, months] of Object.entries(AGES))
    for (const world of REHEARSED_WORLDS)
      for (const start of Object.keys(STARTS) as Start[]) {
        const table = compared(months, start, world, clients)
        const nothing = of(table.nothing, 'gain')
        const room = of(table.best, 'gain') - nothing
        const cell = (policy: keyof Table) => {
          const more = of(table[policy], 'gain') - nothing
          const share = room > 0.05 ? `, ${Math.round((100 * more) / room)} % of the best` : ''
          const unready =
            of(table[policy], 'unready') / Math.max(0.01, of(table.nothing, 'unready'))
          const pains = of(table[policy], 'pains') / Math.max(0.01, of(table.nothing, 'pains'))
          return `${policy} ${more >= 0 ? '+' : ''}${more.toFixed(2)}${share}; under 80 % ready × ${unready.toFixed(2)}; pain × ${pains.toFixed(2)}; ends at ${of(table[policy], 'sets').toFixed(1)} sets`
        }
        console.log(
          `${age}, ${world === 'more' ? 'more is better' : 'best at her need'}, ${start} start: nothing gains ${nothing.toFixed(2)} %, ends at ${of(table.nothing, 'sets').toFixed(1)} sets, unready ${of(table.nothing, 'unready').toFixed(1)}, pains ${of(table.nothing, 'pains').toFixed(2)}`,
        )
        for (const policy of ['rules', 'plain', 'target', 'best'] as const)
          console.log(`  ${cell(policy)}`)
      }
}
