import {
  formatDay,
  formatOneDecimal,
  GROUP_NAMES,
  shareInWords,
  strengthInWords,
} from '#core/words'
import { usualWeek } from '#core/follow/season'
import { MEASUREMENT_TABLE } from '#core/body/measurements'
import { ReportAnswer, type ReportView } from '#shared/contracts/report'
import type { BlockChart, ChartColours } from '~/screens/block/useBlockCharts'
import { familyOfGroup } from '~/ui/pegFamily'

/** Exercises a client is told about; the others are in the coach's trends. */
const MOST_EXERCISES = 12
const MOST_CHARTS = 2

function sentences({
  sessionsDone,
  sessionsDue,
  setsDone,
  setsDue,
  built,
}: ReportView): readonly string[] {
  const names = built.map(group => GROUP_NAMES[group].toLowerCase())
  return [
    ...(names.length > 0
      ? [
          `This block was there to build up ${names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names[0]}.`,
        ]
      : []),
    sessionsDue === 0
      ? 'It has not begun yet.'
      : `You came to ${sessionsDone} of ${sessionsDue} sessions and did ${shareInWords(setsDue === 0 ? 1 : setsDone / setsDue)} of the sets: ${setsDone} of ${setsDue}.`,
  ]
}

/** A block told to the client in plain words, with charts, and the coach's closing notes. */
export async function useReport(clientId: string, colours: Readonly<Ref<ChartColours | null>>) {
  const { ask } = useApi()
  const { query } = useChosenBlock(clientId)
  const { data } = await useAsyncData(
    `told-block-${clientId}`,
    async () => {
      const result = await ask(`/api/clients/${clientId}/report${query.value}`, {
        answer: ReportAnswer,
      })
      if (!result.ok)
        throw createError({
          statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
          fatal: true,
        })
      return result.value
    },
    { deep: false },
  )
  const view = computed((): ReportView | null => data.value ?? null)
  return {
    view,
    dates: computed(() =>
      view.value ? `${formatDay(view.value.from)} to ${formatDay(view.value.to)}` : '',
    ),
    sentences: computed(() => (view.value ? sentences(view.value) : [])),
    muscles: computed(() =>
      [...new Set((view.value?.volume ?? []).map(({ group }) => group))].map(group => {
        const { planned, done } = usualWeek(view.value?.volume ?? [], group)
        return {
          group,
          name: GROUP_NAMES[group],
          planned: formatOneDecimal(planned),
          done: formatOneDecimal(done),
        }
      }),
    ),
    exercises: computed(() =>
      (view.value?.exercises ?? [])
        .slice(0, MOST_EXERCISES)
        .map(({ exercise, name, trend: { verdict, slope, spanWeeks } }) => ({
          exercise,
          name,
          words: strengthInWords(verdict, slope, spanWeeks),
        })),
    ),
    measured: computed(() =>
      (view.value?.measured ?? []).map(({ kind, first, last }) => ({
        kind,
        words: `${MEASUREMENT_TABLE[kind].name}: ${formatOneDecimal(first)} to ${formatOneDecimal(last)} ${MEASUREMENT_TABLE[kind].unit}`,
      })),
    ),
    charts: computed((): readonly BlockChart[] => {
      const [held, paint] = [view.value, colours.value]
      if (!held || !paint) return []
      return held.built
        .filter(group => held.volume.some(row => row.group === group))
        .slice(0, MOST_CHARTS)
        .map((group): BlockChart => {
          const rows = held.volume.filter(row => row.group === group)
          const x = rows.map(({ pass }) => pass + 1)
          return {
            key: `report-${group}`,
            title: `${GROUP_NAMES[group]}: sets in a week, done and planned`,
            layout: {
              yaxis: { title: { text: 'sets in a week' }, rangemode: 'tozero' },
              xaxis: { title: { text: 'rotation' }, dtick: 1 },
              barmode: 'group',
            },
            rows: rows.map(row => ({
              rotation: row.pass + 1,
              planned: formatOneDecimal(row.planned),
              done: formatOneDecimal(row.done),
            })),
            data: [
              {
                type: 'bar',
                name: 'planned',
                x,
                y: rows.map(({ planned }) => Math.round(planned * 10) / 10),
                marker: { color: 'rgba(0,0,0,0)', line: { color: paint.ink2, width: 1.5 } },
              },
              {
                type: 'bar',
                name: 'done',
                x,
                y: rows.map(({ done }) => Math.round(done * 10) / 10),
                marker: { color: paint.of(familyOfGroup(group)) },
              },
            ],
          }
        })
    }),
  }
}
