import { formatOneDecimal, GROUP_NAMES, JOINT_NAMES, NBSP, ROW_NAMES } from '#core/words'
import { type Group, JOINTS } from '#core/plan/catalogue'
import { jointCeiling } from '#core/body/joints'
import type { RehearsalSpread, Spread } from '#core/follow/rehearsal'
import type { Data } from 'plotly.js'
import type { RehearseAnswer, RehearseQuestion } from '~/workers/rehearse'
import { SavedClient } from '#shared/contracts/profile'
import type { BlockChart, ChartColours } from '~/screens/block/useBlockCharts'
import { familyOfGroup } from '~/ui/pegFamily'

export const RUN_COUNTS = [100, 300, 1000] as const
const MOST_SEED = 999_999

/** A course over the rotations as a band from a tenth to nine tenths of the runs, with its middle. */
function bandOf(spreads: readonly Spread[], colour: string): readonly Partial<Data>[] {
  const x = spreads.map((_, at) => at + 1)
  return [
    {
      type: 'scatter',
      mode: 'lines',
      name: 'one in ten below',
      x,
      y: spreads.map(({ low }) => low),
      line: { color: colour, width: 1, dash: 'dot' },
    },
    {
      type: 'scatter',
      mode: 'lines',
      name: 'one in ten above',
      x,
      y: spreads.map(({ high }) => high),
      line: { color: colour, width: 1, dash: 'dot' },
      fill: 'tonexty',
      fillcolor: 'rgba(128,128,128,0.15)',
    },
    {
      type: 'scatter',
      mode: 'lines+markers',
      name: 'half below, half above',
      x,
      y: spreads.map(({ middle }) => middle),
      line: { color: colour },
    },
  ]
}

const spreadRows = (what: string, spreads: readonly Spread[], planned: readonly number[] = []) =>
  spreads.map(({ low, middle, high }, at) => ({
    rotation: at + 1,
    what,
    one_in_ten_below: formatOneDecimal(low),
    middle: formatOneDecimal(middle),
    one_in_ten_above: formatOneDecimal(high),
    ...(planned.length > 0 && { planned: formatOneDecimal(planned[at] ?? 0) }),
  }))

function signedPercent(share: number): string {
  const percent = Math.round(share * 1000) / 10
  return `${percent < 0 ? '−' : percent > 0 ? '+' : ''}${formatOneDecimal(Math.abs(percent))}${NBSP}%`
}
const percents = ({ low, middle, high }: Spread): string =>
  `${signedPercent(middle)}, ${signedPercent(low)} to ${signedPercent(high)}`

/** What the rules bring each muscle beside the same clients on the same days with nothing decided, and what it costs. */
function againstLines({ groups, againstNothing: cost }: RehearsalSpread) {
  return [
    ...groups.map(({ group, strength, against }) => ({
      name: GROUP_NAMES[group],
      gained: percents(strength),
      against: percents(against),
    })),
    {
      name: 'Exposures under 80 % ready',
      gained: formatOneDecimal(cost.unready),
      against: `${formatOneDecimal(cost.unreadyWithout)} without`,
    },
    {
      name: 'Rotations in pain',
      gained: formatOneDecimal(cost.pains),
      against: `${formatOneDecimal(cost.painsWithout)} without`,
    },
  ]
}

/** A simulated client goes through the block ahead of time, many times over, in a worker. */
export function useRehearsal(clientId: string, colours: Readonly<Ref<ChartColours | null>>) {
  const store = usePlanStore()
  const { ask } = useApi()
  let worker: Worker | null = null
  const state = ref<'idle' | 'running' | 'done' | 'cancelled' | 'failed'>('idle')
  const progress = ref(0)
  const seed = ref(1)
  const runs = ref<(typeof RUN_COUNTS)[number]>(300)
  const spread = shallowRef<RehearsalSpread | null>(null)
  const seconds = ref(0)
  const group = ref<Group | null>(null)
  const joint = ref<(typeof JOINTS)[number]>('elbow_flexor_side')
  const notice = ref('')

  function stop(): void {
    worker?.terminate()
    worker = null
  }
  function start(): void {
    const [plan, context] = [store.plan, store.context]
    if (
      !plan ||
      !context ||
      !Number.isInteger(seed.value) ||
      seed.value < 0 ||
      seed.value > MOST_SEED
    )
      return void (notice.value = `Draw: give a whole number from 0 to ${MOST_SEED}. The same draw gives the same rehearsal.`)
    stop()
    notice.value = ''
    progress.value = 0
    state.value = 'running'
    const own = (worker = new Worker(new URL('../../workers/rehearse.ts', import.meta.url), {
      type: 'module',
    }))
    own.addEventListener('message', ({ data }: MessageEvent<RehearseAnswer>) => {
      if (data.kind === 'progress') return void (progress.value = data.share)
      spread.value = data.spread
      seconds.value = data.milliseconds / 1000
      state.value = 'done'
      stop()
    })
    own.addEventListener('error', () => (state.value = 'failed'))
    own.postMessage({
      plan: toRaw(plan),
      context: toRaw(context),
      runs: runs.value,
      seed: seed.value,
    } satisfies RehearseQuestion)
  }
  function cancel(): void {
    if (state.value !== 'running') return
    stop()
    state.value = 'cancelled'
  }
  onScopeDispose(stop)

  /** A simulated client with weeks of log, to try the sheet and the review with. */
  async function makePractice(): Promise<void> {
    const result = await ask(`/api/clients/${clientId}/practice`, {
      method: 'POST',
      body: {},
      answer: SavedClient,
    })
    if (result.ok) await navigateTo(`/clients/${result.value.id}/review`)
    else
      notice.value =
        result.error.kind === 'unreachable'
          ? 'The server does not answer. Nothing was made; try again.'
          : result.error.problem.detail
  }

  const groupNow = computed(
    () =>
      spread.value?.groups.find(one => one.group === group.value) ??
      spread.value?.groups.find(one => one.group === 'biceps') ??
      spread.value?.groups[0] ??
      null,
  )
  const charts = computed((): readonly BlockChart[] => {
    const [held, paint, own, context] = [spread.value, colours.value, groupNow.value, store.context]
    if (!held || !paint || !own || !context) return []
    const colour = paint.of(familyOfGroup(own.group))
    const name = GROUP_NAMES[own.group]
    const load = held.joints.find(one => one.joint === joint.value)?.load ?? []
    const axis = (title: string) => ({
      yaxis: { title: { text: title }, rangemode: 'tozero' as const },
      xaxis: { title: { text: 'rotation' }, dtick: 1 },
    })
    const ceiling = jointCeiling(joint.value, context).week
    const flat = (label: string, y: readonly number[]): Partial<Data> => ({
      type: 'scatter',
      mode: 'lines',
      name: label,
      x: y.map((_, at) => at + 1),
      y: [...y],
      line: { color: paint.ink2, width: 1 },
    })
    return [
      {
        key: 'rehearsed-volume',
        title: `Simulated: ${name}, counted sets done per 7 days`,
        layout: axis('sets per 7 days'),
        rows: spreadRows(name, own.counted, own.planned),
        data: [...bandOf(own.counted, colour), flat('planned', own.planned)],
      },
      {
        key: 'rehearsed-readiness',
        title: `Simulated: ${name}, readiness where it was least`,
        layout: { ...axis('per cent'), yaxis: { title: { text: 'per cent' }, range: [0, 104] } },
        rows: spreadRows(name, own.readiness),
        data: bandOf(own.readiness, colour),
      },
      {
        key: 'rehearsed-joint',
        title: `Simulated: ${JOINT_NAMES[joint.value]}, points per 7 days`,
        layout: axis('points per 7 days'),
        rows: spreadRows(JOINT_NAMES[joint.value], load),
        data: [
          ...bandOf(load, paint.of('body')),
          flat(
            'ceiling',
            load.map(() => ceiling),
          ),
        ],
      },
    ]
  })
  return {
    state: readonly(state),
    progress: readonly(progress),
    seed,
    runs,
    group: computed({
      get: () => groupNow.value?.group ?? null,
      set: value => (group.value = value),
    }),
    joint,
    notice: readonly(notice),
    start,
    cancel,
    makePractice,
    charts,
    groups: computed(() =>
      (spread.value?.groups ?? []).map(one => ({ group: one.group, name: GROUP_NAMES[one.group] })),
    ),
    joints: JOINTS.map(one => ({ joint: one, name: JOINT_NAMES[one] })),
    summary: computed(() => {
      const held = spread.value
      return held
        ? [
            `${held.runs} runs in ${formatOneDecimal(seconds.value)} s. A simulated client missed ${Math.round(held.missedShare * 100)} % of the sessions and was sore in ${formatOneDecimal(held.painPasses)} rotations.`,
          ]
        : []
    }),
    against: computed(() => (spread.value ? againstLines(spread.value) : [])),
    rules: computed(() =>
      (spread.value?.rows ?? []).map(({ row, whole, missed }) => ({
        row,
        name: ROW_NAMES[row],
        whole: `${formatOneDecimal(whole * 100)} %`,
        missed: `${formatOneDecimal(missed * 100)} %`,
      })),
    ),
  }
}
