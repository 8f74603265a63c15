import { ARM_GROUPS, type Group, ELBOW_JOINTS } from '#core/plan/catalogue'
import { GROUP_NAMES } from '#core/words'
import type { GroupWithin, JointWithin } from '#core/judge/within-session'
import { useElementSize } from '@vueuse/core'
import { shownMinutes } from './sessionStripLayout'
import { familyOfGroup } from '~/ui/pegFamily'
import type { SessionBuilder } from './useSessionBuilder'

export const ARM_GROUP_LIST: readonly Group[] = ARM_GROUPS
/** Joints that are shown even at a low load. */
/** Other joints from this share of their ceiling on. */
const SHOWN_FROM = 0.6

/** Muscles and joints of a session as lines under the strip, on the strip's own scale. Units: px. */
export function useSessionLines(builder: SessionBuilder) {
  const frame = ref<HTMLElement | null>(null)
  const { width: measured, height } = useElementSize(frame, { width: 870, height: 0 })
  const width = computed(() => measured.value || 870)
  const minutes = computed(() =>
    shownMinutes(builder.view.value?.time.seconds ?? 0, builder.limit.value),
  )
  const toX = (seconds: number) => ((seconds / 60) * width.value) / minutes.value

  function muscleLine({ group, startReadiness, endReadiness, sets, shortestRest }: GroupWithin) {
    return {
      group,
      short: GROUP_NAMES[group].split(' ')[0],
      family: familyOfGroup(group),
      start: startReadiness,
      end: endReadiness,
      shortest: shortestRest,
      sets: sets.map(({ start, end, credit }) => ({
        x: toX(start),
        width: Math.max(3, toX(end) - toX(start) - 1.5),
        isDirect: credit === 1,
      })),
      rests: sets.slice(1).flatMap((set, at) => {
        const before = sets[at]
        return before && set.start > before.end
          ? [{ from: toX(before.end), to: toX(set.start), seconds: set.start - before.end }]
          : []
      }),
    }
  }
  function jointLine({ joint, ceiling, total, points, passed }: JointWithin) {
    const yOf = (load: number, foot: number, height: number) =>
      foot - Math.min(1.3, load / ceiling) * height
    return {
      joint,
      ceiling,
      total,
      passed: passed && { ...passed, x: toX(passed.at) },
      /** Steps up with every set, the ceiling at `height` over the foot. */
      path: (foot: number, tall: number) =>
        `M0 ${foot}${points.map(({ at, load }) => `H${toX(at)}V${yOf(load, foot, tall)}`).join('')}`,
    }
  }
  const muscles = computed(() => builder.along.value?.groups.map(muscleLine) ?? [])
  const joints = computed(() =>
    (builder.along.value?.joints ?? [])
      .filter(
        ({ joint, total, ceiling }) =>
          ELBOW_JOINTS.includes(joint) || total / ceiling >= SHOWN_FROM,
      )
      .map(jointLine),
  )
  const scale = computed(() => `${minutes.value} minutes across`)
  return { frame, width, height, muscles, joints, scale }
}
