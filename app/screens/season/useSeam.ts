import { refusalWords } from '~/shell/refusalWords'
import { type SeamFix, SeamFixesView, SeamFixTaken, SeamMoved } from '#shared/contracts/season'
import type { SeasonBlock } from '#core/follow/season'
import type { z } from 'zod'
import type { ApiFailure } from '~/shell/useApi'

type Offers = z.output<typeof SeamFixesView>
const NOTHING: Offers = { version: 0, offers: [] }

const whyNot = (error: ApiFailure) =>
  refusalWords(error, 'The server does not answer. Nothing was changed; try again.')

/** What can be done at the seam before the chosen block: moved, begun lower, or what would leave too early kept. */
export function useSeam(
  chosen: () => SeasonBlock | null,
  isMuch: () => boolean,
  done: () => Promise<unknown>,
) {
  const { ask } = useApi()
  const found = shallowRef<Offers>(NOTHING)
  const said = ref('')
  const isBusy = ref(false)
  const isAhead = computed(() => chosen()?.state === 'ahead')

  /** Fixes are looked for where something is past a limit. */
  watch(
    () => [chosen()?.id, isMuch(), chosen()?.passes[0]] as const,
    async ([id]) => {
      found.value = NOTHING
      if (import.meta.server || id === undefined || !isAhead.value || !isMuch()) return
      const result = await ask(`/api/blocks/${id}/seam-fix`, { answer: SeamFixesView })
      if (result.ok && chosen()?.id === id) found.value = result.value
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

  async function take(fix: SeamFix): Promise<void> {
    const block = chosen()
    const { version, offers } = found.value
    const own = offers.find(offer => offer.fix === fix)
    if (!block || !own || isBusy.value) return
    isBusy.value = true
    const result = await ask(`/api/blocks/${block.id}/seam-fix`, {
      method: 'POST',
      body: { fix, version },
      answer: SeamFixTaken,
    })
    await done()
    isBusy.value = false
    said.value = result.ok
      ? `Taken: ${own.words.charAt(0).toLowerCase()}${own.words.slice(1)}.`
      : whyNot(result.error)
  }
  return {
    offers: computed(() => found.value.offers),
    said: readonly(said),
    isAhead,
    move,
    take,
  }
}
