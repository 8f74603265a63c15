import { DAYS_PER_WEEK } from '../../base'
import type { BlockBefore } from '../../plan/block'
import { sessionSlots } from '../../plan/session'
import { GROUPS, type Group, JOINTS, type Joint } from '../../plan/catalogue'
import { jointCeiling } from '../../body/joints'
import { modeOf, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import type { ExpandedBlock } from './expand'
import { passContext } from './passContext'
import { type BlockVerdict, blockVerdict, type DatedArrival } from './judge'
import { type Return, RETURN_SHARE, returnsIn, weeksWithoutEasier } from './weeksTrained'
import { setsWithoutPlace, type SetObstacle } from './setsOverBlock'

/** What there is to look at in a block, worst first. */
export type BlockConcern =
  | {
      readonly kind: 'over_ceiling'
      readonly group: Group
      readonly from: number
      readonly to: number
      readonly most: number
    }
  | {
      readonly kind: 'not_placed'
      readonly group: Group
      readonly pass: number
      readonly sets: number
      readonly by: SetObstacle
    }
  | { readonly kind: 'readiness'; readonly arrival: DatedArrival }
  | {
      readonly kind: 'joint_week' | 'joint_session'
      readonly joint: Joint
      readonly pass: number
      readonly load: number
      readonly ceiling: number
    }
  | {
      readonly kind: 'joint_ramp'
      readonly joint: Joint
      readonly pass: number
      readonly ramp: number
    }
  | {
      readonly kind: 'over_time'
      readonly pass: number
      readonly day: number
      readonly minutes: number
      readonly limit: number
    }
  | { readonly kind: 'no_deload'; readonly working: number; readonly after: number }
  | ({ readonly kind: 'return' } & Return)
  /** A muscle's sets from one working rotation to the next. Units: counted sets per 7 days. */
  | {
      readonly kind: 'steep_sets'
      readonly group: Group
      readonly pass: number
      readonly before: number
      readonly after: number
    }
  /** All sets of the first working rotation against the block before. Units: sets per 7 days. */
  | { readonly kind: 'total_jump'; readonly before: number; readonly after: number }
  /** Exercises that the block before had too. */
  | { readonly kind: 'churn'; readonly kept: number; readonly of: number }

/** What is much at once. Rules of thumb. Source: docs/methods.md#season. */
export const MUCH_AT_ONCE = {
  /** Sets over those before. */ growth: 1.2,
  /** Share of the exercises that were there before. */ kept: 0.5,
} as const
/** Fewer than this is no ramp, however large its share. Units: counted sets per 7 days. */
const LEAST_STEP = 2

const SPEAKS_FROM = 0.5
const FRAYED = 10

function ceilingConcerns({ passes }: BlockVerdict): readonly BlockConcern[] {
  return GROUPS.flatMap((group): BlockConcern[] => {
    const over = passes.filter(
      ({ pass, ledger }) => !pass.isDeload && ledger.groups[group].outside >= SPEAKS_FROM,
    )
    const [first] = over
    return first
      ? [
          {
            kind: 'over_ceiling',
            group,
            from: first.pass.at,
            to: over.at(-1)?.pass.at ?? first.pass.at,
            most: Math.max(...over.map(({ ledger }) => ledger.groups[group].outside)),
          },
        ]
      : []
  })
}

function jointConcerns({ passes }: BlockVerdict, context: PlanContext): readonly BlockConcern[] {
  return JOINTS.flatMap((joint): BlockConcern[] => {
    const ceiling = jointCeiling(joint, context)
    const week = passes.find(({ joints }) => joints[joint].week > ceiling.week + 1e-6)
    const session = passes.find(({ joints }) => joints[joint].session > ceiling.session + 1e-6)
    const steep = passes.find(
      ({ joints }) =>
        joints[joint].ramp.kind === 'steep' || joints[joint].ramp.kind === 'too_steep',
    )
    const ramp = steep?.joints[joint].ramp
    return [
      ...(week
        ? [
            {
              kind: 'joint_week' as const,
              joint,
              pass: week.pass.at,
              load: week.joints[joint].week,
              ceiling: ceiling.week,
            },
          ]
        : []),
      ...(session
        ? [
            {
              kind: 'joint_session' as const,
              joint,
              pass: session.pass.at,
              load: session.joints[joint].session,
              ceiling: ceiling.session,
            },
          ]
        : []),
      ...(steep && ramp && ramp.kind !== 'no_history'
        ? [{ kind: 'joint_ramp' as const, joint, pass: steep.pass.at, ramp: ramp.ramp }]
        : []),
    ]
  })
}

/** Working passes in a row that are usual before an easier one, in weeks. Source: docs/methods.md#block. */
export function weeksBeforeDeload(context: PlanContext): number {
  const sensitive = Object.values(context.client.joints ?? {}).filter(
    setting => setting === 'sensitive',
  ).length
  return sensitive >= 3 ? 4 : context.method.progress.workingWeeks
}

/** The arrival furthest under what is asked for, of those that fall far short; undefined where none does. */
function leastReady(
  { arrivals, passes }: BlockVerdict,
  context: PlanContext,
): DatedArrival | undefined {
  const contexts = passes.map(({ pass }) => passContext(context, pass))
  return GROUPS.flatMap(group => arrivals[group])
    .filter(({ group, pass }) => modeOf(contexts[pass] ?? context, group) !== 'maintain')
    .filter(({ readiness, required }) => required - readiness > FRAYED)
    .reduce<DatedArrival | undefined>(
      (one, other) =>
        !one || other.required - other.readiness > one.required - one.readiness ? other : one,
      undefined,
    )
}

/** The steepest step of each muscle from one working rotation to the next, where it is past the limit. */
function rampConcerns({ passes }: BlockVerdict): readonly BlockConcern[] {
  const working = passes.filter(({ pass }) => !pass.isDeload)
  return GROUPS.flatMap((group): BlockConcern[] => {
    const steps = working.slice(1).flatMap((verdict, at) => {
      const [was, is] = [working[at]!, verdict].map(
        ({ ledger }) => ledger.groups[group].week.counted.value,
      ) as [number, number]
      return is - was >= LEAST_STEP && was > 0 && is > was * MUCH_AT_ONCE.growth
        ? [{ pass: verdict.pass.at, before: was, after: is }]
        : []
    })
    const [steepest] = steps.sort((a, b) => b.after / b.before - a.after / a.before)
    return steepest ? [{ kind: 'steep_sets', group, ...steepest }] : []
  })
}

/** What is much at once where the block follows another. */
function beforeConcerns({ passes }: BlockVerdict, before: BlockBefore): readonly BlockConcern[] {
  const first = passes.find(({ pass }) => !pass.isDeload)
  if (!first) return []
  const after = (first.sets * DAYS_PER_WEEK) / first.pass.rotation.days.length
  const was = Object.values(before.sets).reduce((sum, sets) => sum + sets, 0)
  const exercises = new Set(
    first.pass.sessions.flatMap(({ content }) =>
      sessionSlots(content).map(({ exercise }) => exercise),
    ),
  )
  const kept = [...exercises].filter(exercise => before.sets[exercise] !== undefined).length
  return [
    ...(was > 0 && after > was * MUCH_AT_ONCE.growth
      ? [{ kind: 'total_jump' as const, before: was, after }]
      : []),
    ...(was > 0 && kept < exercises.size * MUCH_AT_ONCE.kept
      ? [{ kind: 'churn' as const, kept, of: exercises.size }]
      : []),
  ]
}

/** Everything about a block that a coach would want to be told before it begins. */
export function blockConcerns(
  expanded: ExpandedBlock,
  context: PlanContext,
  before: BlockBefore | null = null,
): readonly BlockConcern[] {
  const verdict = blockVerdict(expanded, context)
  const time = verdict.passes.flatMap(({ pass }) =>
    pass.sessions.flatMap(({ content, minuteLimit, isSkipped, day }): BlockConcern[] => {
      const minutes = sessionSeconds(content, context) / 60
      return !isSkipped && minuteLimit !== undefined && minutes > minuteLimit + 1
        ? [{ kind: 'over_time', pass: pass.at, day, minutes, limit: minuteLimit }]
        : []
    }),
  )
  const worst = leastReady(verdict, context)
  const deload = weeksWithoutEasier(expanded)
  const after = weeksBeforeDeload(context)
  return [
    ...jointConcerns(verdict, context),
    ...(worst ? [{ kind: 'readiness' as const, arrival: worst }] : []),
    ...(before ? beforeConcerns(verdict, before) : []),
    ...ceilingConcerns(verdict),
    ...rampConcerns(verdict),
    ...time.slice(0, 1),
    ...setsWithoutPlace(expanded).map((miss): BlockConcern => ({ kind: 'not_placed', ...miss })),
    ...returnsIn(expanded)
      .filter(({ share }) => share > RETURN_SHARE)
      .map((one): BlockConcern => ({ kind: 'return', ...one })),
    ...(context.method.deload.mode !== 'none' &&
    context.method.deload.mode !== 'triggered' &&
    deload > after + 1
      ? [{ kind: 'no_deload' as const, working: Math.round(deload), after }]
      : []),
  ]
}
