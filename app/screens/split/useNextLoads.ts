import { sessionSlots } from '#core/plan/session'
import { loadLineWords } from '#core/words'
import { watchDebounced } from '@vueuse/core'
import type { SplitBoardState } from './useSplitBoard'

/** A forecast is reckoned once the hands rest, so that stepping over the board stays quick. */
const REST_MS = 200

/** What the phone will say the next time of the exercise in sight on the board. */
export function useNextLoads(board: SplitBoardState) {
  const store = usePlanStore()
  const forecast = useLoadsStore()
  const words = ref('')
  onMounted(() => forecast.load())
  const placed = () => board.hovered.value ?? board.place.value
  function pieceInSight() {
    const { rail, day } = placed()
    return board.rails.value[rail]?.view.cells[day]?.pieces[board.pick.value ?? 0]
  }
  watchDebounced(
    () => [placed(), board.pick.value, store.plan, forecast.view] as const,
    () => {
      const slot = pieceInSight()?.slot.id
      const { day } = placed()
      const place = board.days.value[day]?.sessions.findIndex(session =>
        sessionSlots(session).some(({ id }) => id === slot),
      )
      const next = slot && place !== undefined ? forecast.nextOf(day, place) : null
      const loads = slot && next?.loads.get(slot)
      words.value = loads ? loadLineWords(loads) : ''
    },
    { debounce: REST_MS },
  )
  return words
}
