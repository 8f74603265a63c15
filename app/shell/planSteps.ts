import type { OwnSteps } from '~/stores/changes'

/** Steps of the plan that is being edited, undone and redone by the screen, which says what came of it. */
export function planSteps(
  isReady: () => boolean,
  undo: () => unknown,
  redo: () => unknown,
): OwnSteps {
  const store = usePlanStore()
  return {
    isReady,
    undo,
    redo,
    canUndo: () => store.past.length > 0,
    canRedo: () => store.future.length > 0,
    isAhead: () => !store.isSaved,
  }
}
