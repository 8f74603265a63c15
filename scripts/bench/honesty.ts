import { exerciseTrend, type Verdict } from '#core/body/log'
import { estimatedOneRep, expectedReps, loadForReps } from '#core/plan/estimate'
import { ownPace, type PaceExposure, PERFORMANCE_LOSS, RECOVERY } from '#core/body/recovery'
import { chance, saidRir, saysRecovered, SIMULATED } from '#core/follow/rehearsal'

const CLIENTS = 2000
const WANTED_RIR = 1
const REPS = 10

/** Sessions of one exercise of a client whose strength goes by a known share a week, twice a week. */
function verdictFor(slope: number, sessions: number, seed: number): Verdict {
  const by = chance(seed)
  const points = Array.from({ length: Math.min(sessions, 12) }, (_, at) => {
    const week = at * 0.6
    const today = 40 * Math.exp(slope * week) * Math.exp(by.normal(0, SIMULATED.dayScatter))
    const load = Math.round(loadForReps(40 * Math.exp(slope * week), REPS, WANTED_RIR))
    const able = expectedReps(today, load)
    const reps = Math.max(1, Math.floor(able - WANTED_RIR + 1e-9))
    const rir = saidRir(Math.max(0, able - reps), by)
    return {
      week,
      value: estimatedOneRep(load, reps, rir)?.load ?? today,
      repsToFailure: reps + rir,
    }
  })
  return exerciseTrend(points).verdict
}

const TRUTHS = [
  ['rising 1 % a week', 0.01],
  ['rising 0.5 % a week', 0.005],
  ['flat', 0],
  ['falling 0.5 % a week', -0.005],
  ['falling 1 % a week', -0.01],
] as const
const SAID = ['progress', 'plateau', 'decline', 'unclear', 'insufficient'] as const
const percent = (count: number, of: number) => `${Math.round((100 * count) / of)} %`

function verdictRows() {
  return TRUTHS.flatMap(([truth, slope]) =>
    [5, 10, 12].map(sessions => {
      const said = Array.from({ length: CLIENTS }, (_, seed) =>
        verdictFor(slope, sessions, seed + 1),
      )
      return {
        truth,
        sessions,
        ...Object.fromEntries(
          SAID.map(verdict => [
            verdict,
            percent(said.filter(one => one === verdict).length, CLIENTS),
          ]),
        ),
      }
    }),
  )
}

const GAPS = [24, 72, 48, 96, 24, 48, 72, 120] as const
const IMPULSE = 7

/** Exposures of a client with a known pace, at gaps as a rotation with an arm day after a pull day has them. */
function exposuresOf(
  pace: number,
  count: number,
  seed: number,
  hasAnswers: boolean,
): readonly PaceExposure[] {
  const by = chance(seed)
  const { tauHours, capacity } = RECOVERY.biceps
  return Array.from({ length: count }, (_, at): PaceExposure => {
    const hours = GAPS[at % GAPS.length] ?? 48
    const before = GAPS[(at + GAPS.length - 1) % GAPS.length] ?? 48
    const doses = [
      { impulse: IMPULSE, hours },
      { impulse: IMPULSE, hours: hours + before },
    ]
    const fatigue = doses.reduce(
      (sum, dose) => sum + dose.impulse * Math.exp(-dose.hours / (tauHours * pace)),
      0,
    )
    return {
      doses,
      deviation: (-PERFORMANCE_LOSS * fatigue) / capacity + by.normal(0, SIMULATED.dayScatter),
      ...(hasAnswers && { recovered: saysRecovered(100 * (1 - fatigue / capacity), by) }),
    }
  })
}

function paceRows() {
  return [5, 10, 20].flatMap(sessions =>
    [0.7, 1, 1.5].map(truth => {
      const learned = Array.from({ length: CLIENTS / 4 }, (_, seed) =>
        ownPace(exposuresOf(truth, sessions, seed + 1, true), 'biceps'),
      ).flatMap(own => (own.kind === 'pace' ? [own] : []))
      const errors = learned.map(({ pace }) => Math.abs(pace / truth - 1)).sort((a, b) => a - b)
      const all = CLIENTS / 4
      return {
        'true pace': truth,
        sessions,
        'said anything': percent(learned.length, all),
        'middle error':
          errors.length > 0 ? `${Math.round(100 * (errors[errors.length >> 1] ?? 0))} %` : '',
        'interval holds the truth':
          learned.length > 0
            ? percent(
                learned.filter(({ low, high }) => low <= truth && truth <= high).length,
                learned.length,
              )
            : '',
        'used of itself': percent(
          learned.filter(({ low, high }) => low > 1 || high < 1).length,
          all,
        ),
        'the wrong way': percent(
          learned.filter(({ low, high }) => (truth <= 1 && low > 1) || (truth >= 1 && high < 1))
            .length,
          all,
        ),
      }
    }),
  )
}

function markdown(rows: readonly Readonly<Record<string, string | number>>[]): string {
  const columns = Object.keys(rows[0] ?? {})
  return [
    `| ${columns.join(' | ')} |`,
    `|${columns.map(() => '---').join('|')}|`,
    ...rows.map(row => `| ${columns.map(column => row[column]).join(' | ')} |`),
  ].join('\n')
}

/** How often trends and paces are told rightly of simulated clients whose truth is known; as tables for docs/methods.md. */
export function honestyTables(): string {
  return `${markdown(verdictRows())}\n\n${markdown(paceRows())}`
}
