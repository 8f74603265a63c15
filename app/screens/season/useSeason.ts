import { ARM_GROUPS, type Group } from '#core/plan/catalogue'
import { MEASUREMENT_TABLE } from '#core/body/measurements'
import {
  girthCourses,
  isOverLimit,
  phaseRuns,
  type Seam,
  SEAM_LIMITS,
  type SeasonBlock,
  seamConcerns,
} from '#core/follow/season'
import {
  eventWords,
  formatDay,
  formatOneDecimal,
  girthWords,
  GROUP_NAMES,
  JOINT_NAMES,
  phaseFollows,
  phaseName,
  phaseToGo,
} from '#core/words'
import { SeasonAnswer, type SeasonView } from '#shared/contracts/season'
import { familyOfGroup } from '~/ui/pegFamily'
import { useGoalDays } from './useGoalDays'

const STATE_WORDS = { behind: 'behind', running: 'running', ahead: 'ahead' } as const

const ratio = ({ before, after }: { readonly before: number; readonly after: number }) =>
  before > 0 ? `×${'\u00a0'}${(Math.round((after / before) * 100) / 100).toFixed(2)}` : 'new'

/** A seam in words and figures, in the four columns of its panel. */
function seamLines(seam: Seam, nameOf: (exercise: string) => string) {
  const concerns = seamConcerns(seam)
  return {
    concerns,
    gap:
      seam.gapDays < 0
        ? `They lie over one another for ${-seam.gapDays} days.`
        : seam.gapDays === 0
          ? 'One follows the other without a day between.'
          : `${seam.gapDays} ${seam.gapDays === 1 ? 'day' : 'days'} without a plan between them.`,
    jumps: seam.jumps.map(one => ({
      name: GROUP_NAMES[one.group],
      before: formatOneDecimal(one.before),
      after: formatOneDecimal(one.after),
      ratio: ratio(one),
      isMuch: isOverLimit(one, SEAM_LIMITS.jump),
    })),
    joints: seam.joints.map(one => ({
      name: JOINT_NAMES[one.joint],
      before: formatOneDecimal(one.before),
      after: formatOneDecimal(one.after),
      ratio: ratio(one),
      isMuch: isOverLimit(one, SEAM_LIMITS.jump),
    })),
    carried: seam.carried
      ? `${GROUP_NAMES[seam.carried.group]}: ${Math.round(seam.carried.readiness)} % ready at its first session with what the block before leaves behind, ${Math.round(seam.carried.fresh)} % rested.`
      : 'Nothing is carried over.',
    kept: `${seam.kept.length} of ${seam.kept.length + seam.fresh.length} exercises stay.`,
    fresh: seam.fresh.map(nameOf),
    early: seam.early.map(
      ({ exercise, weeks }) =>
        `${nameOf(exercise)} after ${weeks} ${weeks === 1 ? 'week' : 'weeks'}, ${SEAM_LIMITS.weeks} at least`,
    ),
  }
}

/** Girths that are drawn over the season: what a season of arms is for. */
const DRAWN_GIRTHS = ['upper_arm_right', 'upper_arm_left'] as const

function girthLines(measured: SeasonView['girths']) {
  return girthCourses(measured, DRAWN_GIRTHS).map(course => ({
    ...course,
    name: MEASUREMENT_TABLE[course.kind].name,
    words: girthWords(course),
  }))
}

/** Phases of the season in words, each with what follows it. */
function phaseLines(blocks: readonly SeasonBlock[], today: SeasonView['today']) {
  return phaseRuns(blocks, today).map(run => {
    const name = phaseName(run.phase)
    const more = [phaseToGo(run, today), ...phaseFollows(run.phase)].join(', ')
    return {
      from: run.from,
      to: run.to,
      name,
      more,
      words: `${name}: ${more}`,
      isOver: run.until < today,
    }
  })
}

const modeWords = ({ modes }: SeasonBlock, group: Group) => modes[group] ?? ''

/** A client's line of blocks: which one is chosen, and what stands at the seam before it. */
export async function useSeason(clientId: string) {
  const { ask } = useApi()
  const { choose, leave } = useChosenBlock(clientId)
  const { catalogue } = useStudioSettings()
  const goals = useGoalDays(clientId, () => catalogue.value)
  /** The chosen block's id; kept when the page is set up anew after something was taken back. */
  const kept = useState<string | null>(`season-chosen-${clientId}`, () => null)
  const { data, refresh } = await useAsyncData(
    `season-${clientId}`,
    async () => {
      const result = await ask(`/api/clients/${clientId}/season`, { answer: SeasonAnswer })
      if (result.ok) return result.value
      throw createError({
        statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
        fatal: true,
      })
    },
    { deep: false },
  )
  const view = computed(() => data.value ?? null)
  const blocks = computed(() => view.value?.season.blocks ?? [])
  const at = computed({
    get: () => {
      const place = (id: string | null | undefined) =>
        blocks.value.findIndex(block => block.id === id)
      return Math.max(
        0,
        kept.value && place(kept.value) >= 0 ? place(kept.value) : place(view.value?.current),
      )
    },
    set: place => (kept.value = blocks.value[place]?.id ?? null),
  })
  const chosen = computed(() => blocks.value[at.value] ?? null)
  function step(by: number): void {
    at.value = Math.max(0, Math.min(blocks.value.length - 1, at.value + by))
  }
  const seam = computed(() => {
    const found = view.value?.season.seams.find(({ after }) => after === chosen.value?.id)
    return found ? seamLines(found, id => catalogue.value.get(id)?.name ?? id) : null
  })
  /** Seams with something to look at, by the block after them. */
  const concerns = computed(
    () =>
      new Map(
        (view.value?.season.seams ?? []).map(one => [one.after, seamConcerns(one).length] as const),
      ),
  )
  const rows = computed(() =>
    ARM_GROUPS.map(group => ({
      group,
      name: GROUP_NAMES[group],
      family: familyOfGroup(group),
      most: Math.max(
        1,
        ...blocks.value.flatMap(({ passes }) => passes.map(({ sets }) => sets[group] ?? 0)),
      ),
    })),
  )
  function wordsOf(block: SeasonBlock) {
    const { today } = view.value!
    const pass = block.passes.findIndex(({ from, to }) => from <= today && today <= to)
    const about =
      block.state === 'ahead'
        ? `${block.draft ? 'draft, ' : ''}in ${block.weeksToGo} ${block.weeksToGo === 1 ? 'week' : 'weeks'}`
        : block.state === 'running'
          ? `rotation ${pass + 1} of ${block.passes.length}`
          : STATE_WORDS.behind
    return { about, days: `${formatDay(block.from)} to ${formatDay(block.to)}` }
  }
  /** Sets of a muscle in a block, first rotation to the most of it. */
  function courseWords(block: SeasonBlock, group: Group): string {
    const sets = block.passes.filter(({ isDeload }) => !isDeload).map(pass => pass.sets[group] ?? 0)
    const [first = 0, most] = [sets[0], Math.max(0, ...sets)]
    const figures =
      Math.abs(most - first) < 0.05
        ? formatOneDecimal(first)
        : `${formatOneDecimal(first)} to ${formatOneDecimal(most)}`
    return `${modeWords(block, group)} ${figures}`
  }
  const girths = computed(() => girthLines(view.value?.girths ?? []))
  /** Events of all blocks and days goals are set for, in their order. */
  const events = computed(() =>
    [...blocks.value.flatMap(({ events: own }) => own), ...goals.value]
      .sort((a, b) => (a.from < b.from ? -1 : 1))
      .map(event => ({ ...event, ...eventWords(event, view.value!.today) })),
  )
  const phases = computed(() => (view.value ? phaseLines(blocks.value, view.value.today) : []))
  const ahead = computed(() => blocks.value.filter(({ state }) => state === 'ahead'))
  /** Every page about the client shows it from now on; of today's block nothing is said. */
  function open({ id, title, from }: SeasonBlock, path = '/block', more = '') {
    const isToday = id === view.value?.current
    if (isToday) leave()
    else choose({ block: id, title, startsOn: from })
    return navigateTo(`/clients/${clientId}${path}?block=${isToday ? 'today' : id}${more}`)
  }
  return {
    view,
    blocks,
    at,
    chosen,
    step,
    seam,
    concerns,
    rows,
    girths,
    events,
    phases,
    wordsOf,
    courseWords,
    ahead,
    open,
    refresh,
  }
}
