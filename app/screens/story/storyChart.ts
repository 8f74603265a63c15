import { saidAmount } from '#core/plan/estimate'
import { formatOneDecimal, storyNotes } from '#core/words'
import { type WeightUnit, workStages } from '#core/plan/scheme'
import type { StoryDay } from '#core/follow/story'
import type { Data } from 'plotly.js'
import type { StoryView } from '#shared/contracts/story'
import type { BlockChart, ChartColours } from '~/screens/block/useBlockCharts'
import { familyOfGroup } from '~/ui/pegFamily'

/** Loads the plan names for a day, set by set. */
function plannedLoads({ planned }: StoryDay): readonly number[] {
  return planned.flatMap(({ scheme }) =>
    scheme.runs
      .filter(({ role }) => role !== 'warmup')
      .flatMap(run => {
        const load = workStages(run)[0]?.load
        return load?.kind === 'weight' ? [load.amount] : []
      }),
  )
}

const leads = ({ sets }: StoryDay) =>
  sets.filter(({ role, stage, loadKg }) => role === 'working' && stage === 1 && loadKg !== null)

const said = (kg: number, unit: WeightUnit) => Math.round(saidAmount(kg, unit) * 10) / 10

interface Mark {
  readonly on: string
  readonly load: number
  readonly text?: string
}
const markers = (
  label: string,
  points: readonly Mark[],
  marker: Record<string, unknown>,
): Partial<Data> => ({
  type: 'scatter',
  mode: 'markers',
  name: label,
  x: points.map(({ on }) => on),
  y: points.map(({ load }) => load),
  text: points.map(({ text }) => text ?? ''),
  marker,
})

const plannedMarks = (days: readonly StoryDay[]): readonly Mark[] =>
  days.flatMap(day => plannedLoads(day).map(load => ({ on: day.on, load })))

const doneMarks = (days: readonly StoryDay[], unit: WeightUnit): readonly Mark[] =>
  days.flatMap(day =>
    leads(day).map(set => ({
      on: day.on,
      load: said(set.loadKg ?? 0, unit),
      text: `${set.reps ?? ''} reps`,
    })),
  )

/** Every set as a row of the chart's table. */
const rowsOf = ({ unit, names }: StoryView, days: readonly StoryDay[]): BlockChart['rows'] =>
  days.flatMap(day =>
    leads(day).map(set => ({
      date: day.on,
      session: day.name,
      set: set.set,
      side: set.side ?? '',
      load: formatOneDecimal(said(set.loadKg ?? 0, unit)),
      reps: set.reps ?? '',
      left: set.rir ?? '',
      notes: storyNotes(day, exercise => names[exercise] ?? exercise).join('; '),
    })),
  )

function trendLine({ course, unit }: StoryView, paint: ChartColours): readonly Partial<Data>[] {
  if (!course) return []
  return [
    {
      type: 'scatter',
      mode: 'lines',
      name: 'one rep, by the trend',
      x: course.line.map(({ on }) => on as string),
      y: course.line.map(({ middle }) => said(middle, unit)),
      line: { color: paint.ink2, width: 1.5, dash: 'dot' },
    },
  ]
}

/** Every working set by its day and load, the plan pale and what was done dark, with swaps, pain and the trend. */
export function storyChart(
  view: StoryView,
  days: readonly StoryDay[],
  paint: ChartColours,
): BlockChart {
  const { unit, group, name, names } = view
  const [planned, done] = [plannedMarks(days), doneMarks(days, unit)]
  const lowest = Math.min(...[...planned, ...done].map(({ load }) => load))
  const marked = days
    .filter(day => day.pains.length > 0 || day.instead.length > 0)
    .map(day => ({
      on: day.on,
      load: Number.isFinite(lowest) ? lowest : 0,
      text: storyNotes(day, exercise => names[exercise] ?? exercise).join('; '),
    }))
  return {
    key: `story-${view.exercise}`,
    title: `${name}: load of every working set, planned and done`,
    layout: { yaxis: { title: { text: unit } }, xaxis: { type: 'date' } },
    rows: rowsOf(view, days),
    data: [
      markers('planned', planned, { color: paint.line, size: 14 }),
      markers('done', done, { color: paint.of(group ? familyOfGroup(group) : 'body'), size: 7 }),
      markers('pain or another exercise', marked, {
        color: paint.ink,
        size: 9,
        symbol: 'x-thin-open',
      }),
      ...trendLine(view, paint),
    ],
  }
}

/** Right against left, day by day. */
export function sideChart({ sides, name, exercise }: StoryView, paint: ChartColours): BlockChart {
  const percent = (gap: number) => Math.round(gap * 1000) / 10
  return {
    key: `sides-${exercise}`,
    title: `${name}: the right against the left, in per cent`,
    layout: { yaxis: { title: { text: 'per cent' } }, xaxis: { type: 'date' } },
    rows: sides.days.map(({ on, gap }) => ({ date: on, right_more: percent(gap) })),
    data: [
      {
        type: 'scatter',
        mode: 'lines+markers',
        name: 'right more (above 0) or less',
        x: sides.days.map(({ on }) => on as string),
        y: sides.days.map(({ gap }) => percent(gap)),
        line: { color: paint.ink },
      },
    ],
  }
}
