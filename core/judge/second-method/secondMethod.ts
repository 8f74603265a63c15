import type { PlanDocument } from '../../plan/block'
import { type Group, GROUPS } from '../../plan/catalogue'
import {
  type Band,
  type BandPosition,
  contextWith,
  type Method,
  type PlanContext,
} from '../../plan/method'
import {
  type CheckInput,
  checkInput,
  type Finding,
  findingKey,
  minutesOn,
  openFindings,
} from '../checks'

/** A muscle's week as one method counts and judges it; sets per 7 days. */
export interface SeenMuscle {
  readonly counted: number
  readonly direct: number
  readonly band: Band
  readonly position: BandPosition
  /** Under the floor below 0, over the ceiling above, else 0. */
  readonly outside: number
}

/** A muscle under the client's method and under another. */
export interface TwiceSeen {
  readonly group: Group
  readonly own: SeenMuscle
  readonly other: SeenMuscle
  /** Under, inside or over the band by the one method and not by the other. */
  readonly changesSides: boolean
}

/** What another method makes of a plan as it stands. Minutes per 7 days, and of each day. */
export interface SecondMethod {
  readonly method: Method
  /** The context in which the other method reads the plan. */
  readonly context: PlanContext
  /** Those that change sides first, the furthest first; the others in the board's order. */
  readonly muscles: readonly TwiceSeen[]
  /** Findings that only the other method has, and that only the client's has. */
  readonly appears: readonly Finding[]
  readonly goes: readonly Finding[]
  readonly minutes: { readonly own: number; readonly other: number }
  readonly days: readonly { readonly day: number; readonly own: number; readonly other: number }[]
}

/** The same client followed by another method. */
export const underMethod = ({ client, catalogue }: PlanContext, method: Method): PlanContext =>
  contextWith(method, client, catalogue)

const sideOf = ({ outside }: SeenMuscle) => Math.sign(outside)

/**
 * A second method laid over a plan: what it counts, how it judges, what it would be told of. The plan stays as it is.
 *
 * Edge: the client's own method over itself changes nothing.
 */
export function secondMethod(
  plan: PlanDocument,
  context: PlanContext,
  method: Method,
): SecondMethod {
  const under = underMethod(context, method)
  const [own, other] = [checkInput(plan, context), checkInput(plan, under)]
  const muscles = GROUPS.map((group): TwiceSeen => {
    const [here, there] = [seen(own, group), seen(other, group)]
    return { group, own: here, other: there, changesSides: sideOf(here) !== sideOf(there) }
  })
  const [found, foundThere] = [own, other].map(input => openFindings(plan, input).open)
  const week = 7 / plan.rotation.days.length
  const days = plan.rotation.days.map((_, day) => ({
    day,
    own: minutesOn(own, day),
    other: minutesOn(other, day),
  }))
  const sum = (of: 'own' | 'other') => week * days.reduce((all, day) => all + day[of], 0)
  return {
    method,
    context: under,
    muscles: [...muscles].sort((a, b) => distance(b) - distance(a)),
    appears: without(foundThere!, found!),
    goes: without(found!, foundThere!),
    minutes: { own: sum('own'), other: sum('other') },
    days,
  }
}

/** How far apart two methods place a muscle that changes sides; 0 for the others. */
const distance = ({ own, other, changesSides }: TwiceSeen) =>
  changesSides ? Math.abs(own.outside) + Math.abs(other.outside) : 0

function seen({ ledger }: CheckInput, group: Group): SeenMuscle {
  const { week, band, position, outside } = ledger.groups[group]
  return { counted: week.counted.value, direct: week.direct.value, band, position, outside }
}

function without(findings: readonly Finding[], others: readonly Finding[]): readonly Finding[] {
  const known = new Set(others.map(findingKey))
  return findings.filter(finding => !known.has(findingKey(finding)))
}
