import { type ExerciseId, groupedBy, type PlainDate } from '#core/base'
import { type DatedValue, exerciseTrend, sifted, type SiftFacts } from '#core/log'
import { type Catalogue, JOINTS } from '#core/catalogue'
import type { ExpandedBlock } from '#core/progress'
import type { Adjustment } from '#core/review'
import type { painReportsOf } from '../db/queries/health'

/** Where nothing is known but the estimates themselves. */
const NOTHING_KNOWN: SiftFacts = { isDeload: () => false, isPainful: () => false, isConfirmed: () => false }
/** From here on pain says more about a session than strength does. */
const PAINFUL = 5

type Exposure = Omit<DatedValue, 'exercise'> & { readonly exercise: ExerciseId }

/** Trends by exercise from exposures in any order; what cannot be reckoned with is left out. */
export function trendsOf(exposures: readonly Exposure[], facts = NOTHING_KNOWN) {
  return trendsOfUsed(sifted(exposures, facts).used)
}

/** Trends of what was sifted already. */
export function trendsOfUsed(used: readonly Exposure[]) {
  return [...groupedBy(used, ({ exercise }) => exercise)].map(([exercise, points]) => ({ exercise, trend: exerciseTrend(points.map(({ on, value, repsToFailure }) => ({ week: weekOf(on), value, repsToFailure }))) }))
}

/** What is known about the days of a client's estimates: easier rotations, pain, and what the coach has confirmed. */
export function siftFacts({ expanded, reports, decisions, catalogue }: { readonly expanded: ExpandedBlock | null, readonly reports: Awaited<ReturnType<typeof painReportsOf>>, readonly decisions: readonly { readonly proposal: Adjustment, readonly decision: string }[], readonly catalogue: Catalogue }): SiftFacts {
  const easy = expanded?.passes.filter(({ isDeload }) => isDeload) ?? []
  const painful = reports.filter(({ score }) => score >= PAINFUL)
  const confirmed = new Set(decisions.flatMap(({ proposal: { change }, decision }) => (change.kind === 'confirm' && decision === 'taken' ? [`${change.exercise} ${change.on} ${change.value}`] : [])))
  return {
    isDeload: on => easy.some(({ from, to }) => from <= on && on <= to),
    isPainful: (exercise, on) => {
      const stress = catalogue.get(exercise)?.intents[0].jointStress
      return painful.some(report => report.on === on && JOINTS.includes(report.joint) && (stress?.[report.joint] ?? 0) > 0)
    },
    isConfirmed: ({ exercise, on, value }) => confirmed.has(`${exercise} ${on} ${value}`),
  }
}

const MS_PER_WEEK = 604_800_000
function weekOf(on: PlainDate): number {
  return Date.parse(`${on}T00:00:00Z`) / MS_PER_WEEK
}
