import { STORY_ACTIONS } from './storyActions'

const MARK = 'data-exercise'

/** The exercise an element belongs to; undefined where it belongs to none. */
const exerciseAt = (element: Element | null | undefined) =>
  element?.closest(`[${MARK}]`)?.getAttribute(MARK) ?? undefined

/** The exercise at hand: where the keyboard is, under the mouse, chosen on the screen, or the first one shown. */
function exerciseAtHand(): string | undefined {
  const hovered = [...document.querySelectorAll(':hover')].at(-1)
  const chosen = document.querySelector(
    `[${MARK}] [aria-current=true], [${MARK}][data-selected], [${MARK}][aria-selected=true]`,
  )
  return (
    exerciseAt(document.activeElement) ??
    exerciseAt(hovered) ??
    exerciseAt(chosen) ??
    exerciseAt(document.querySelector(`[${MARK}]`))
  )
}

/** Opens the story of the exercise at hand by one key, on whatever screen of a client; `?story=` opens it by a link. */
export function useStoryDesk() {
  const route = useRoute()
  const exercise = ref(String(route.query.story ?? ''))
  useActions(STORY_ACTIONS, { open: () => (exercise.value = exerciseAtHand() ?? exercise.value) })
  return { exercise, close: () => (exercise.value = '') }
}
