import { formatDay, formatOneDecimal, strengthInWords } from '#core/words'
import { type ExerciseCourse, TrendsAnswer } from '#shared/contracts/trends'
import { useLocalStorage } from '@vueuse/core'

const SHOWN = 2
/** A point is no course. */
const LEAST_POINTS = 2

/** Best estimates of two exercises over the season: those trained most often, or those the coach has chosen in this browser. */
export function useEstimates(clientId: string) {
  const { ask } = useApi()
  const courses = shallowRef<readonly ExerciseCourse[]>([])
  const chosen = useLocalStorage<readonly string[]>(`tholepin-season-${clientId}`, [], {
    initOnMounted: true,
  })
  onMounted(async () => {
    const result = await ask(`/api/clients/${clientId}/trends`, { answer: TrendsAnswer })
    if (result.ok)
      courses.value = result.value.exercises.filter(
        ({ points }) => points.filter(({ leftOut }) => leftOut === null).length >= LEAST_POINTS,
      )
  })
  const shown = computed(() => {
    const wanted = chosen.value.flatMap(
      id => courses.value.find(({ exercise }) => exercise === id) ?? [],
    )
    return [...wanted, ...courses.value.filter(one => !wanted.includes(one))].slice(0, SHOWN)
  })
  function choose(place: number, exercise: string): void {
    const now = shown.value.map(one => one.exercise)
    chosen.value = now.map((one, at) =>
      at === place ? exercise : one === exercise ? now[place]! : one,
    )
  }
  return {
    choose,
    choices: computed(() => courses.value.map(({ exercise, name }) => ({ exercise, name }))),
    lines: computed(() =>
      shown.value.map(({ exercise, name, points, trend }) => {
        const used = points.filter(({ leftOut }) => leftOut === null)
        const last = used.at(-1)!
        return {
          exercise,
          name,
          points: used.map(({ on, value }) => ({ on, value })),
          words: `${formatOneDecimal(last.value)} kg on ${formatDay(last.on)}; ${strengthInWords(trend.verdict, trend.slope, trend.spanWeeks)}`,
        }
      }),
    ),
  }
}
export type Estimates = ReturnType<typeof useEstimates>
