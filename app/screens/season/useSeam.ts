import { SeamMoved, SoftStartTaken, SoftStartView } from '#shared/contracts/season'
import type { SeasonBlock } from '#core/follow/season'
import type { z } from 'zod'
import type { ApiFailure } from '~/shell/useApi'

type Offer = NonNullable<z.output<typeof SoftStartView>['offer']>

const whyNot = (error: ApiFailure) =>
  error.kind === 'unreachable'
    ? 'The server does not answer. Nothing was changed; try again.'
    : (error.problem.errors?.[0]?.detail ?? error.problem.detail)

/** What can be done at the seam before the chosen block: moved, or its block begun lower. */
export function useSeam(
  chosen: () => SeasonBlock | null,
  isJump: () => boolean,
  done: () => Promise<unknown>,
) {
  const { ask } = useApi()
  const offer = shallowRef<(Offer & { readonly version: number }) | null>(null)
  const said = ref('')
  const isBusy = ref(false)
  const isAhead = computed(() => chosen()?.state === 'ahead')

  /** A softer start is looked for where something jumps. */
  watch(
    () => [chosen()?.id, isJump(), chosen()?.passes[0]] as const,
    async ([id]) => {
      offer.value = null
      if (import.meta.server || id === undefined || !isAhead.value || !isJump()) return
      const result = await ask(`/api/blocks/${id}/soft-start`, { answer: SoftStartView })
      if (result.ok && chosen()?.id === id)
        offer.value = result.value.offer && { ...result.value.offer, version: result.value.version }
    },
    { immediate: true },
  )

  async function move(by: 1 | -1): Promise<void> {
    const block = chosen()
    if (!block || isBusy.value) return
    isBusy.value = true
    const result = await ask(`/api/blocks/${block.id}/seam`, {
      method: 'POST',
      body: { by },
      answer: SeamMoved,
    })
    await done()
    isBusy.value = false
    said.value = result.ok
      ? `The seam is ${by === 1 ? 'later' : 'earlier'}; every block behind it went along.`
      : whyNot(result.error)
  }

  async function soften(): Promise<void> {
    const [block, own] = [chosen(), offer.value]
    if (!block || !own || isBusy.value) return
    isBusy.value = true
    const result = await ask(`/api/blocks/${block.id}/soft-start`, {
      method: 'POST',
      body: { version: own.version },
      answer: SoftStartTaken,
    })
    await done()
    isBusy.value = false
    said.value = result.ok ? `Taken: ${own.words.toLowerCase()}.` : whyNot(result.error)
  }
  return { offer, said: readonly(said), isAhead, move, soften }
}
