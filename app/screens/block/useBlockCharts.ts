import { effortRows, jointRows, readinessRows, type Row, volumeRows } from '#core/exchange/exports'
import { ARM_GROUPS, type Group, GROUPS, JOINTS } from '#core/plan/catalogue'
import { EFFORT, GROUP_NAMES, JOINT_NAMES, wholeReadiness } from '#core/words'
import { jointCeiling } from '#core/body/joints'
import type { Data, Layout } from 'plotly.js'
import { useBlockState } from './blockContext'
import { familyOfGroup } from '~/ui/pegFamily'

export interface BlockChart {
  readonly key: string
  readonly title: string
  readonly data: readonly Partial<Data>[]
  readonly layout: Partial<Layout>
  readonly rows: readonly Row[]
}

/** Colours as the theme has them, read when the page is drawn. */
export interface ChartColours {
  readonly ink: string
  readonly ink2: string
  readonly line: string
  readonly sunk: string
  readonly of: (family: string) => string
}

/** Four charts of the block, each with the rows of its table. */
export function useBlockCharts(colours: Readonly<Ref<ChartColours | null>>) {
  const store = usePlanStore()
  const { verdict } = useBlockState()
  const group = ref<Group>('biceps')
  const joint = ref<(typeof JOINTS)[number]>('elbow_flexor_side')

  const charts = computed((): readonly BlockChart[] => {
    const [held, context, paint] = [verdict.value, store.context, colours.value]
    if (!held || !context || !paint) return []
    const numbers = held.passes.map(({ pass }) => pass.at + 1)
    const name = GROUP_NAMES[group.value]
    const volume = volumeRows(held, [group.value])
    const own = paint.of(familyOfGroup(group.value))
    const line = (key: 'floor' | 'target' | 'ceiling'): Partial<Data> => ({
      type: 'scatter',
      mode: 'lines',
      name: key,
      x: numbers,
      y: volume.map(row => Number(row[key])),
      line: { color: paint.ink2, width: 1, dash: key === 'target' ? 'dot' : 'solid' },
    })
    const arrivals = held.arrivals[group.value]
    const ceiling = jointCeiling(joint.value, context)
    const axis = (title: string): Partial<Layout> => ({
      yaxis: { title: { text: title }, rangemode: 'tozero' },
      xaxis: { title: { text: 'rotation' }, dtick: 1 },
    })
    return [
      {
        key: 'volume',
        title: `${name}, counted sets per 7 days against the band`,
        rows: volumeRows(
          held,
          store.context
            ? GROUPS.filter(one =>
                held.passes.some(({ ledger }) => ledger.groups[one].week.counted.value > 0),
              )
            : ARM_GROUPS,
        ),
        layout: { ...axis('sets per 7 days'), barmode: 'stack' },
        data: [
          {
            type: 'bar',
            name: 'direct',
            x: numbers,
            y: volume.map(row => Number(row.direct)),
            marker: { color: own },
          },
          {
            type: 'bar',
            name: 'indirect',
            x: numbers,
            y: volume.map(row => Number(row.indirect)),
            marker: { color: 'rgba(0,0,0,0)', line: { color: own, width: 1.5 } },
          },
          line('floor'),
          line('target'),
          line('ceiling'),
        ],
      },
      {
        key: 'effort',
        title: `${EFFORT.name} and sets`,
        rows: effortRows(held),
        layout: {
          ...axis('sets of the rotation'),
          yaxis2: {
            title: { text: EFFORT.inText },
            overlaying: 'y',
            side: 'right',
            range: [0, 6],
            dtick: 1,
            showgrid: false,
          },
        },
        data: [
          {
            type: 'bar',
            name: 'sets',
            x: numbers,
            y: held.passes.map(({ sets }) => sets),
            marker: { color: paint.line },
          },
          {
            type: 'scatter',
            mode: 'lines+markers',
            name: `compounds, ${EFFORT.after}`,
            yaxis: 'y2',
            x: numbers,
            y: held.passes.map(({ pass }) => (pass.isDeload ? 4 : (pass.rir?.compound ?? null))),
            line: { color: paint.ink, shape: 'hv' },
          },
          {
            type: 'scatter',
            mode: 'lines+markers',
            name: `single-joint, ${EFFORT.after}`,
            yaxis: 'y2',
            x: numbers,
            y: held.passes.map(({ pass }) => (pass.isDeload ? 4 : (pass.rir?.isolation ?? null))),
            line: { color: own, shape: 'hv' },
          },
        ],
      },
      {
        key: 'readiness',
        title: `${name}, readiness at each exposure`,
        rows: readinessRows(held, [group.value]),
        layout: {
          yaxis: { title: { text: 'per cent' }, range: [0, 104] },
          xaxis: { type: 'date' },
        },
        data: [
          {
            type: 'scatter',
            mode: 'lines+markers',
            name: 'readiness',
            x: arrivals.map(({ on }) => on as string),
            y: arrivals.map(({ readiness }) => wholeReadiness(readiness)),
            line: { color: own },
          },
          {
            type: 'scatter',
            mode: 'lines',
            name: 'wanted',
            x: arrivals.map(({ on }) => on as string),
            y: arrivals.map(({ required }) => required),
            line: { color: paint.ink2, dash: 'dot', shape: 'hv' },
          },
        ],
      },
      {
        key: 'joints',
        title: `${JOINT_NAMES[joint.value].replace(/^./, first => first.toUpperCase())}, seven days and the rise`,
        rows: jointRows(held).filter(row => row.joint === JOINT_NAMES[joint.value]),
        layout: {
          ...axis('points in seven days'),
          yaxis2: {
            title: { text: 'times the weeks before' },
            overlaying: 'y',
            side: 'right',
            range: [0, 2],
            dtick: 0.5,
            showgrid: false,
          },
        },
        data: [
          {
            type: 'bar',
            name: 'largest seven days',
            x: numbers,
            y: held.passes.map(({ joints }) => joints[joint.value].week),
            marker: { color: paint.of('body') },
          },
          {
            type: 'scatter',
            mode: 'lines',
            name: 'ceiling',
            x: numbers,
            y: numbers.map(() => ceiling.week),
            line: { color: paint.ink2 },
          },
          {
            type: 'scatter',
            mode: 'lines+markers',
            name: 'times the weeks before',
            yaxis: 'y2',
            x: numbers,
            y: held.passes.map(({ joints }) =>
              joints[joint.value].ramp.kind === 'no_history'
                ? null
                : 'ramp' in joints[joint.value].ramp
                  ? (joints[joint.value].ramp as { ramp: number }).ramp
                  : null,
            ),
            line: { color: paint.ink },
          },
        ],
      },
    ]
  })
  const groups = computed(() =>
    GROUPS.filter(one => (verdict.value?.arrivals[one].length ?? 0) > 0).map(one => ({
      group: one,
      name: GROUP_NAMES[one],
    })),
  )
  const joints = JOINTS.map(one => ({ joint: one, name: JOINT_NAMES[one] }))
  return { charts, group, groups, joint, joints }
}
