import type { SplitBoardState } from './useSplitBoard'

const key = Symbol('split board') as InjectionKey<SplitBoardState>

/** Lends the board's state to its parts. */
export function provideBoard(board: SplitBoardState): void {
  provide(key, board)
}

/** The state of the board this part belongs to. Errors: throws outside a SplitBoard. */
export function useBoard(): SplitBoardState {
  const board = inject(key)
  if (!board) throw new Error('useBoard is called outside SplitBoard')
  return board
}
