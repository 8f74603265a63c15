import {
  EFFORT,
  formatOneDecimal,
  GROUP_NAMES,
  LEFT_OUT_WORDS,
  setUpSentence,
  trendSentence,
  wholeReadiness,
} from '#core/words'
import type { Group } from '#core/plan/catalogue'
import type { Data } from 'plotly.js'
import { MEASUREMENT_TABLE } from '#core/body/measurements'
import { type ExerciseCourse, TrendsAnswer, type TrendsView } from '#shared/contracts/trends'
import type { BlockChart, ChartColours } from '~/screens/block/useBlockCharts'
import { familyOfGroup } from '~/ui/pegFamily'

const whole = (value: number) => Math.round(value * 10) / 10

/** Strength of one exercise: every estimate, what was left out of it, and the trend with the range it lies in four times in five. */
function strengthChart(
  { exercise, name, points, line, trend, setUps }: ExerciseCourse,
  paint: ChartColours,
  own: string,
): BlockChart {
  const used = points.filter(({ leftOut }) => leftOut === null)
  const out = points.filter(({ leftOut }) => leftOut !== null)
  const edge = (key: 'low' | 'high', words: string): Partial<Data> => ({
    type: 'scatter',
    mode: 'lines',
    name: words,
    x: line.map(({ on }) => on as string),
    y: line.map(point => whole(point[key])),
    line: { color: paint.ink2, width: 1, dash: 'dot' },
  })
  return {
    key: `strength-${exercise}`,
    title: `${name}: what one rep would be, with ${EFFORT.inText} counted in. ${trendSentence(trend)}${setUpSentence(setUps)}`,
    layout: { yaxis: { title: { text: 'kg' } }, xaxis: { type: 'date' } },
    rows: points.map(({ on, value, leftOut }) => ({
      date: on,
      exercise: name,
      kg: formatOneDecimal(value),
      left_out: leftOut ? LEFT_OUT_WORDS[leftOut] : '',
    })),
    data: [
      {
        type: 'scatter',
        mode: 'markers',
        name: 'estimate',
        x: used.map(({ on }) => on as string),
        y: used.map(({ value }) => whole(value)),
        marker: { color: own, size: 7 },
      },
      {
        type: 'scatter',
        mode: 'markers',
        name: 'left out',
        x: out.map(({ on }) => on as string),
        y: out.map(({ value }) => whole(value)),
        text: out.map(({ leftOut }) => (leftOut ? LEFT_OUT_WORDS[leftOut] : '')),
        marker: { color: paint.ink2, size: 8, symbol: 'x-thin-open' },
      },
      {
        type: 'scatter',
        mode: 'lines',
        name: 'trend',
        x: line.map(({ on }) => on as string),
        y: line.map(({ middle }) => whole(middle)),
        line: { color: paint.ink, width: 2 },
      },
      edge('low', 'four times in five above'),
      edge('high', 'four times in five below'),
    ],
  }
}

function volumeChart(
  group: Group,
  { volume }: TrendsView,
  paint: ChartColours,
  own: string,
): BlockChart {
  const rows = volume.filter(row => row.group === group)
  return {
    key: `volume-${group}`,
    title: `${GROUP_NAMES[group]}: counted sets per 7 days, done beside planned`,
    layout: {
      yaxis: { title: { text: 'sets per 7 days' }, rangemode: 'tozero' },
      xaxis: { title: { text: 'rotation' }, dtick: 1 },
      barmode: 'group',
    },
    rows: rows.map(row => ({
      rotation: row.pass + 1,
      from: row.from,
      muscle: GROUP_NAMES[group],
      planned: formatOneDecimal(row.planned),
      done: formatOneDecimal(row.done),
      floor: formatOneDecimal(row.band.floor),
      ceiling: formatOneDecimal(row.band.ceiling),
      easier: row.isDeload ? 'yes' : '',
    })),
    data: [
      {
        type: 'bar',
        name: 'planned',
        x: rows.map(({ pass }) => pass + 1),
        y: rows.map(({ planned }) => whole(planned)),
        marker: { color: 'rgba(0,0,0,0)', line: { color: paint.ink2, width: 1.5 } },
      },
      {
        type: 'bar',
        name: 'done',
        x: rows.map(({ pass }) => pass + 1),
        y: rows.map(({ done }) => whole(done)),
        marker: { color: own },
      },
    ],
  }
}

function readinessChart(
  group: Group,
  { readiness }: TrendsView,
  paint: ChartColours,
  own: string,
): BlockChart {
  const rows = readiness.filter(row => row.group === group)
  return {
    key: `readiness-${group}`,
    title: `${GROUP_NAMES[group]}: readiness at each session, by the model`,
    layout: { yaxis: { title: { text: 'per cent' }, range: [0, 104] }, xaxis: { type: 'date' } },
    rows: rows.map(row => ({
      date: row.on,
      muscle: GROUP_NAMES[group],
      readiness: wholeReadiness(row.readiness),
      wanted: row.required,
    })),
    data: [
      {
        type: 'scatter',
        mode: 'lines+markers',
        name: 'readiness',
        x: rows.map(({ on }) => on as string),
        y: rows.map(row => wholeReadiness(row.readiness)),
        line: { color: own },
      },
      {
        type: 'scatter',
        mode: 'lines',
        name: 'wanted',
        x: rows.map(({ on }) => on as string),
        y: rows.map(({ required }) => required),
        line: { color: paint.ink2, dash: 'dot', shape: 'hv' },
      },
    ],
  }
}

function densityChart({ density }: TrendsView, paint: ChartColours): BlockChart {
  const of = (key: 'sets' | 'kg') => density.map(one => Math.round(one[key] * 100) / 100)
  const days = density.map(({ on }) => on as string)
  return {
    key: 'density',
    title:
      'Density: sets and weight moved per minute of a session. Less rest adds work that volume does not show',
    layout: {
      yaxis: { title: { text: 'sets a minute' }, rangemode: 'tozero' },
      yaxis2: {
        title: { text: 'kg a minute' },
        overlaying: 'y',
        side: 'right',
        rangemode: 'tozero',
        showgrid: false,
      },
      xaxis: { type: 'date' },
    },
    rows: density.map(({ on, name, sets, kg }) => ({
      date: on,
      session: name,
      sets_a_minute: formatOneDecimal(sets),
      kg_a_minute: formatOneDecimal(kg),
    })),
    data: [
      {
        type: 'scatter',
        mode: 'lines+markers',
        name: 'sets',
        x: days,
        y: of('sets'),
        line: { color: paint.ink },
      },
      {
        type: 'scatter',
        mode: 'lines+markers',
        name: 'weight',
        x: days,
        y: of('kg'),
        yaxis: 'y2',
        line: { color: paint.ink2, dash: 'dot' },
      },
    ],
  }
}

function measuredChart({ measurements }: TrendsView, paint: ChartColours): BlockChart {
  const all = [...measurements].sort((a, b) => a.on.localeCompare(b.on))
  const kinds = [...new Set(all.map(({ kind }) => kind))]
  const FAMILIES = ['flex', 'ext', 'fore', 'body'] as const
  return {
    key: 'measured',
    title: 'Girths and body weight',
    layout: {
      yaxis: { title: { text: 'cm' }, tickformat: '.1f' },
      yaxis2: {
        title: { text: 'kg' },
        tickformat: '.1f',
        nticks: 5,
        overlaying: 'y',
        side: 'right',
        showgrid: false,
      },
      xaxis: { type: 'date' },
    },
    rows: all.map(({ on, kind, value }) => ({
      date: on,
      what: MEASUREMENT_TABLE[kind].name,
      value: formatOneDecimal(value),
      unit: MEASUREMENT_TABLE[kind].unit,
    })),
    data: kinds.map((kind, at): Partial<Data> => {
      const own = all.filter(one => one.kind === kind)
      return {
        type: 'scatter',
        mode: 'lines+markers',
        name: MEASUREMENT_TABLE[kind].name,
        x: own.map(({ on }) => on as string),
        y: own.map(({ value }) => value),
        ...(MEASUREMENT_TABLE[kind].unit === 'kg' && { yaxis: 'y2' }),
        line:
          MEASUREMENT_TABLE[kind].unit === 'kg'
            ? { color: paint.ink2, dash: 'dot' }
            : { color: paint.of(FAMILIES[at % FAMILIES.length] ?? 'body') },
      }
    }),
  }
}

/** Where a client is going: one exercise at a time with what lies behind it, and all of them as a list. */
export async function useTrendCharts(
  clientId: string,
  colours: Readonly<Ref<ChartColours | null>>,
) {
  const { ask } = useApi()
  const { data } = await useAsyncData(
    `trends-${clientId}`,
    async () => {
      const result = await ask(`/api/clients/${clientId}/trends`, { answer: TrendsAnswer })
      if (!result.ok)
        throw createError({
          statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
          fatal: true,
        })
      return result.value
    },
    { deep: false },
  )
  const view = computed((): TrendsView | null => data.value ?? null)
  const chosen = ref('')
  const current = computed(
    () =>
      view.value?.exercises.find(({ exercise }) => exercise === chosen.value) ??
      view.value?.exercises[0] ??
      null,
  )
  return {
    view,
    current,
    choose: (exercise: string) => (chosen.value = exercise),
    list: computed(() =>
      (view.value?.exercises ?? []).map(({ exercise, name, trend, points }) => ({
        exercise,
        name,
        words: trendSentence(trend),
        isFalling: trend.verdict === 'decline',
        estimates: points.length,
        leftOut: points.filter(({ leftOut }) => leftOut !== null).length,
      })),
    ),
    charts: computed((): readonly BlockChart[] => {
      const [held, paint, course] = [view.value, colours.value, current.value]
      if (!held || !paint) return []
      const own = paint.of(course?.group ? familyOfGroup(course.group) : 'body')
      return [
        ...(course ? [strengthChart(course, paint, own)] : []),
        ...(course?.group
          ? [
              volumeChart(course.group, held, paint, own),
              readinessChart(course.group, held, paint, own),
            ]
          : []),
        ...(held.density.length > 1 ? [densityChart(held, paint)] : []),
        ...(held.measurements.length > 0 ? [measuredChart(held, paint)] : []),
      ]
    }),
  }
}
