import { ARM_GROUPS, type Group } from '../../plan/catalogue'
import {
  armPlacementFit,
  type CarriedPlan,
  isTraining,
  type MadeFrom,
  type PlanDocument,
  type PlanEdit,
  ROTATION_TEMPLATES,
  type RotationTemplate,
  templateDays,
  usualSets,
} from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import { type RotationStrip, rotationStrip } from '../../count/ledger'
import { checkInput } from '../../judge/checks'
import {
  type FitChange,
  fittedRotation,
  type FittedRotation,
  rotationEdit,
  type RotationFit,
  withRotation,
} from './fittedRotation'

/** A rotation as a client would get it, with what speaks for and against it. */
export interface OfferedRotation<Wanted> {
  readonly wanted: Wanted
  readonly fitted: FittedRotation
  /** Sessions that find a day, and days the client has; 0 where nothing is known of the days. */
  readonly sessions: number
  readonly daysThere: number
  /** Minutes of the longest session. */
  readonly longest: number
  /** Sets of each arm muscle outside its band: below 0 under the floor, 0 inside. Units: counted sets per 7 days. */
  readonly bands: readonly { readonly group: Group; readonly outside: number }[]
  readonly strip: RotationStrip
}

const count = ({ changes }: FittedRotation, kind: FitChange['kind']) =>
  changes.filter(change => change.kind === kind).length

/** A rotation laid before a client: fitted, with its figures. */
export function offeredRotation<Wanted>(
  wanted: Wanted,
  days: Parameters<typeof fittedRotation>[0],
  plan: PlanDocument,
  fit: RotationFit,
): OfferedRotation<Wanted> {
  const fitted = fittedRotation(days, fit)
  const { context } = fit
  const laid = withRotation(plan, fitted)
  const input = checkInput(laid, context)
  return {
    wanted,
    fitted,
    sessions: fitted.days.filter(isTraining).length,
    daysThere: context.client.days?.length ?? 0,
    longest: Math.max(0, ...input.sessions.map(({ time }) => time.seconds / 60)),
    bands: ARM_GROUPS.map(group => ({ group, outside: input.ledger.groups[group].outside })),
    strip: rotationStrip(laid.rotation, context),
  }
}

/**
 * A plan made elsewhere laid before a client: its sets follow the client's method where that differs, and `edits` put the
 * whole into the plan; how a carried block goes on stands over what the client's block has of it.
 */
export function offeredPlan<Wanted>(
  wanted: Wanted,
  { days, usualSets: writtenFor, passes, block }: CarriedPlan,
  plan: PlanDocument,
  fit: Omit<RotationFit, 'startsOn' | 'now' | 'writtenFor'>,
  madeFrom: MadeFrom | null = null,
): { readonly offer: OfferedRotation<Wanted>; readonly edits: readonly PlanEdit[] } {
  const offer = offeredRotation(wanted, days, plan, {
    ...fit,
    startsOn: plan.startsOn,
    now: plan.rotation,
    ...(writtenFor !== usualSets(fit.context.method) && { writtenFor }),
  })
  return {
    offer,
    edits: [
      rotationEdit(offer.fitted),
      ...(passes === undefined
        ? []
        : [{ kind: 'set_block' as const, passes, block: { ...plan.block, ...block } }]),
      { kind: 'set_made_from' as const, madeFrom },
    ],
  }
}

const KEPT_STEP = 0.05
/** What decides between two rotations, the weightiest first; less is better. */
const against = <Wanted>({ fitted, bands }: OfferedRotation<Wanted>): readonly number[] => [
  count(fitted, 'unplaced'),
  -Math.round(fitted.kept / KEPT_STEP),
  count(fitted, 'left_out'),
  -bands.filter(({ outside }) => outside === 0).length,
  count(fitted, 'swapped'),
]

/** Rotations by how well they fit: days first, then what is kept, the bands, the equipment. */
export function byFit<Wanted>(
  offered: readonly OfferedRotation<Wanted>[],
): readonly OfferedRotation<Wanted>[] {
  return [...offered].sort((a, b) => {
    const [of, other] = [against(a), against(b)]
    return of.map((value, at) => value - other[at]!).find(difference => difference !== 0) ?? 0
  })
}

/**
 * The built-in templates as one client would get them, those first that fit best; among equals those with arm work where
 * the method has it.
 */
export function rankedTemplates(
  plan: PlanDocument,
  context: PlanContext,
  newId: () => string,
): readonly OfferedRotation<RotationTemplate>[] {
  const fit = { context, newId, startsOn: plan.startsOn, now: plan.rotation }
  return byFit(
    [...ROTATION_TEMPLATES]
      .sort(
        (a, b) => armPlacementFit(b.days, context.method) - armPlacementFit(a.days, context.method),
      )
      .map(template =>
        offeredRotation(template, templateDays(template, context, newId), plan, fit),
      ),
  )
}
