import type { BlockState } from './useBlock'
import type { InjectionKey } from 'vue'

const KEY: InjectionKey<BlockState> = Symbol('block')

/** Gives the block to everything inside the page. */
export function provideBlock(block: BlockState): void {
  provide(KEY, block)
}

export function useBlockState(): BlockState {
  const block = inject(KEY)
  if (!block) throw new Error('there is no block around this component')
  return block
}
