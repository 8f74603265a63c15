import type { ExerciseId, PlainDate } from '#core/base'
import { type DatedValue, type ExclusionFacts, splitByUse } from '#core/body/log'
import { type DatedTrend, exerciseTrends } from '#core/body/trend'
import { passDates, type PlanDocument } from '#core/plan/block'
import { type ClientFacts, eatsLess } from '#core/plan/method'
import type { SaidTrend } from '#core/words'
import { type Catalogue, catalogueWith, JOINTS } from '#core/plan/catalogue'
import type { Adjustment } from '#core/follow/review'
import type { ClientView } from '#shared/contracts/client'
import type { Database } from '../db/database'
import { decisionsOf } from '../db/queries/decisions'
import { painReportsOf } from '../db/queries/health'
import type { Coach } from './signIn'

/** Where nothing is known but the estimates themselves. */
const NOTHING_KNOWN: ExclusionFacts = {
  isDeload: () => false,
  isPainful: () => false,
  isConfirmed: () => false,
}
/** From here on pain says more about a session than strength does. */
const PAINFUL = 5

type Exposure = Omit<DatedValue, 'exercise'> & { readonly exercise: ExerciseId }

/** Trends by exercise from exposures in any order; what cannot be reckoned with is left out. */
export const trendsOf = (exposures: readonly Exposure[], facts = NOTHING_KNOWN) =>
  exerciseTrends(splitByUse(exposures, facts).used)

/** A trend as pages get it: an endless error is none, and a phase of eating less is told with it. */
export const saidOf = (
  { verdict, slope, error, count, spanWeeks, since, leaning, isHighReps }: DatedTrend,
  client: Pick<ClientFacts, 'slowedBy'>,
): SaidTrend => ({
  verdict,
  slope,
  error: Number.isFinite(error) ? error : null,
  count,
  spanWeeks,
  since,
  leaning,
  ...(isHighReps && { isHighReps }),
  ...(eatsLess(client) && { eatsLess: true }),
})

/** The same for a list of exercises. */
export const saidTrends = (
  trends: readonly { readonly exercise: string; readonly trend: DatedTrend }[],
  client: Pick<ClientFacts, 'slowedBy'>,
) => trends.map(({ exercise, trend }) => ({ exercise, ...saidOf(trend, client) }))

type PainRow = Awaited<ReturnType<typeof painReportsOf>>[number]
interface Sift {
  readonly plan: PlanDocument | null
  readonly reports: readonly Pick<PainRow, 'on' | 'joint' | 'score'>[]
  readonly decisions: readonly { readonly proposal: Adjustment; readonly decision: string }[]
  readonly catalogue: Catalogue
}

/** What is known about the days of a client's estimates: easier rotations, pain, and what the coach has confirmed. */
export function siftFacts({ plan, reports, decisions, catalogue }: Sift): ExclusionFacts {
  const deloads = new Set(plan?.block?.deloads ?? [])
  const easy =
    deloads.size === 0 || !plan
      ? new Set<PlainDate>()
      : new Set(
          passDates(plan)
            .filter((_, pass) => deloads.has(pass))
            .flat(),
        )
  const painful = reports.filter(({ score }) => score >= PAINFUL)
  const confirmed = new Set(
    decisions.flatMap(({ proposal: { change }, decision }) =>
      change.kind === 'confirm' && decision === 'taken'
        ? [`${change.exercise} ${change.on} ${change.value}`]
        : [],
    ),
  )
  return {
    isDeload: on => easy.has(on),
    isPainful: (exercise, on) => {
      const stress = catalogue.get(exercise)?.intents[0].jointStress
      return painful.some(
        report =>
          report.on === on && JOINTS.includes(report.joint) && (stress?.[report.joint] ?? 0) > 0,
      )
    },
    isConfirmed: ({ exercise, on, value }) => confirmed.has(`${exercise} ${on} ${value}`),
  }
}

/** The same, looked up for one client. */
export async function exclusionFactsOf(
  db: Database,
  coach: Coach,
  { id, block, library }: Pick<ClientView, 'id' | 'block' | 'library'>,
): Promise<ExclusionFacts> {
  const [reports, decisions] = await Promise.all([
    painReportsOf(db, coach.id, id),
    block ? decisionsOf(db, coach.id, block.id) : [],
  ])
  return siftFacts({
    plan: block?.plan ?? null,
    reports,
    decisions,
    catalogue: catalogueWith(library),
  })
}
