import type { CheckInput } from '#core/judge/checks'
import { planFigures } from '#core/judge/checks'
import type { PlanDocument } from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import { formatOneDecimal, GROUP_NAMES, POSITION_NAMES, wholeReadiness } from '#core/words'
import { familyOfGroup } from '~/ui/pegFamily'

/** A muscle in one column: its week, and its sets by day. */
export interface ColumnRail {
  readonly group: string
  readonly name: string
  readonly family: string
  readonly week: string
  readonly change: string
  readonly position: string
  readonly isOut: boolean
  readonly days: readonly {
    readonly direct: number
    readonly indirect: number
    readonly change: number
  }[]
}

/** Muscles with a rail of their own, with what changes against the plan before. */
export const columnRails = (
  input: CheckInput,
  before: CheckInput,
  groups: readonly Group[],
): readonly ColumnRail[] =>
  groups.map((group): ColumnRail => {
    const { week, position, outside } = input.ledger.groups[group]
    const change = week.counted.value - before.ledger.groups[group].week.counted.value
    return {
      group,
      name: GROUP_NAMES[group],
      family: familyOfGroup(group),
      week: formatOneDecimal(week.counted.value),
      isOut: Math.abs(outside) >= 0.05,
      position: POSITION_NAMES[position],
      change: Math.abs(change) < 0.05 ? '' : `${change > 0 ? '+' : ''}${formatOneDecimal(change)}`,
      days: input.ledger.days.map(({ groups: own }, day) => ({
        direct: own[group].direct.value,
        indirect: own[group].indirect.value,
        change:
          own[group].counted.value - (before.ledger.days[day]?.groups[group].counted.value ?? 0),
      })),
    }
  })

/** The measures under a column: those of the board. */
export function columnFigures(plan: PlanDocument, input: CheckInput) {
  const { least, elbowShare, minutes, sets, toLookAt } = planFigures(plan, input)
  return {
    readiness: least && {
      percent: wholeReadiness(least.readiness),
      isShort: least.thread !== 'whole',
      words: `${GROUP_NAMES[least.group].split(' ')[0]}, day ${least.fromDay + 1} to ${least.day + 1}`,
    },
    elbow: elbowShare,
    minutes: Math.round(minutes),
    sets,
    open: toLookAt,
  }
}
