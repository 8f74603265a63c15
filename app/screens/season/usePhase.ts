import { refusalWords } from '~/shell/refusalWords'
import type { PhaseKind } from '#core/plan/method'
import { FIRST_IN, type FirstChoice, modesOf, type SeasonBlock } from '#core/follow/season'
import { DraftAnswer, PhaseBody } from '#shared/contracts/block'
import { ClientView } from '#shared/contracts/client'

interface PhaseEntered {
  readonly kind: PhaseKind | ''
  readonly what: string
  readonly on: string
  readonly armsEvery: string
  /** Percent of the usual arm sets. */ readonly volume: string
  readonly first: FirstChoice
}

const enteredOf = ({ phase }: SeasonBlock): PhaseEntered => ({
  kind: phase?.kind ?? '',
  what: phase?.what ?? '',
  on: phase?.on ?? '',
  armsEvery: phase?.armsEvery === undefined ? '' : String(phase.armsEvery),
  volume: phase?.volume === undefined ? '' : String(Math.round(phase.volume * 100)),
  first: 'as_now',
})

const figure = (typed: string) => Number(typed.trim().replace(',', '.'))

/** What was typed, as the door takes it; empty fields say nothing. */
function bodyOf({ kind, what, on, armsEvery, volume, first }: PhaseEntered) {
  const phase =
    kind === ''
      ? null
      : {
          kind,
          ...(what.trim() !== '' && { what }),
          ...(on !== '' && { on }),
          ...(armsEvery.trim() !== '' && { armsEvery: figure(armsEvery) }),
          ...(volume.trim() !== '' && { volume: figure(volume) / 100 }),
        }
  return PhaseBody.omit({ version: true }).safeParse({
    phase,
    ...(first !== 'as_now' && { modes: modesOf(first) }),
  })
}

const REMEDIES: Readonly<Record<string, string>> = {
  what: `What it leads to: at most ${LIMITS.title} characters.`,
  on: 'The day: give a calendar day, or leave it empty for the end of the block.',
  armsEvery: `Arms at least every so many days: a whole number from ${LIMITS.armsEvery.min} to ${LIMITS.armsEvery.max}, or nothing.`,
  volume: `Arm sets: from ${LIMITS.phaseVolume.min * 100} to ${LIMITS.phaseVolume.max * 100} % of the usual, or nothing.`,
}

/** The phase of the chosen block, typed in one form. */
export function usePhase(
  clientId: string,
  chosen: () => SeasonBlock | null,
  done: () => Promise<unknown>,
) {
  const { ask } = useApi()
  const entered = ref<PhaseEntered | null>(null)
  const problem = ref('')
  const isBusy = ref(false)
  function open(): void {
    const block = chosen()
    problem.value = ''
    // What is over stays as it was.
    if (block && block.state !== 'behind') entered.value = enteredOf(block)
  }
  const close = () => (entered.value = null)
  function change(part: Partial<PhaseEntered>): void {
    if (!entered.value) return
    // What comes first follows the phase until it is said otherwise.
    const first = part.kind ? { first: FIRST_IN[part.kind] } : {}
    entered.value = { ...entered.value, ...first, ...part }
  }
  async function keep(): Promise<void> {
    const [block, now] = [chosen(), entered.value]
    if (!block || !now || isBusy.value) return
    const body = bodyOf(now)
    if (!body.success) {
      problem.value = REMEDIES[String(body.error.issues[0]?.path[1])] ?? 'Look at what was typed.'
      return
    }
    isBusy.value = true
    const held = await ask(`/api/clients/${clientId}?block=${block.id}`, { answer: ClientView })
    const result = held.ok
      ? await ask(`/api/blocks/${block.id}/phase`, {
          method: 'PUT',
          body: { version: held.value.block?.version ?? 0, ...body.data },
          answer: DraftAnswer,
        })
      : held
    await done()
    isBusy.value = false
    if (result.ok) return void close()
    problem.value = refusalWords(result.error, 'The server does not answer. Try again.')
  }
  return {
    entered,
    open,
    close,
    change,
    keep,
    problem: readonly(problem),
    isBusy: readonly(isBusy),
  }
}
