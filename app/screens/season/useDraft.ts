import { refusalWords } from '~/shell/refusalWords'
import { ARM_GROUPS, type Group } from '#core/plan/catalogue'
import type { Mode } from '#core/plan/method'
import type { SeasonBlock } from '#core/follow/season'
import { formatOneDecimal, GROUP_NAMES } from '#core/words'
import { DraftAnswer, DraftBody } from '#shared/contracts/block'
import { ClientView } from '#shared/contracts/client'

interface DraftRow {
  readonly group: Group
  readonly name: string
  readonly mode: Mode
  /** As typed; empty where it is what is usual. */ readonly end: string
  /** Where the sets go now, counted per 7 days. */ readonly now: string
}

/** Where the sets begin and come furthest. */
function courseOf({ passes }: SeasonBlock, group: Group): string {
  const sets = passes.filter(({ isDeload }) => !isDeload).map(pass => pass.sets[group] ?? 0)
  const [first = 0] = sets
  const furthest = sets.reduce(
    (far, one) => (Math.abs(one - first) > Math.abs(far - first) ? one : far),
    first,
  )
  return [...new Set([first, furthest].map(formatOneDecimal))].join(' to ')
}

const rowsOf = (block: SeasonBlock): readonly DraftRow[] =>
  ARM_GROUPS.map(group => {
    const end = block.draft?.ends?.[group]
    return {
      group,
      name: GROUP_NAMES[group],
      mode: block.modes[group] ?? 'keep',
      end: end === undefined ? '' : String(end),
      now: courseOf(block, group),
    }
  })

/** What is decided of the chosen draft, and the key that makes it a plan. */
export function useDraft(
  clientId: string,
  chosen: () => SeasonBlock | null,
  done: () => Promise<unknown>,
) {
  const { ask } = useApi()
  const said = ref('')
  const isBusy = ref(false)
  const rows = ref<readonly DraftRow[]>([])
  /** Weeks of base as typed; empty for none. */
  const baseWeeks = ref('')
  const isDraft = computed(() => chosen()?.draft !== null && chosen()?.state === 'ahead')
  watch(
    () => chosen(),
    block => {
      rows.value = block?.draft ? rowsOf(block) : []
      baseWeeks.value = String(block?.draft?.baseWeeks ?? '')
    },
    { immediate: true },
  )

  async function write(
    what: 'PUT' | 'POST',
    bodyOf: (version: number) => unknown,
    told: string,
  ): Promise<void> {
    const block = chosen()
    if (!block?.draft || isBusy.value) return
    isBusy.value = true
    const held = await ask(`/api/clients/${clientId}?block=${block.id}`, { answer: ClientView })
    const result = held.ok
      ? await ask(`/api/blocks/${block.id}/draft`, {
          method: what,
          body: bodyOf(held.value.block?.version ?? 0) as Record<string, unknown>,
          answer: DraftAnswer,
        })
      : held
    await done()
    isBusy.value = false
    said.value = result.ok
      ? told
      : refusalWords(result.error, 'The server does not answer. Nothing was changed; try again.')
  }
  const make = () =>
    write(
      'POST',
      version => ({ version }),
      'It is a plan now, with the exercises and weights of the block before.',
    )
  function keep() {
    const ends = Object.fromEntries(
      rows.value.flatMap(({ group, end }) =>
        end.trim() === '' ? [] : [[group, Number(end.replace(',', '.'))]],
      ),
    )
    const modes = Object.fromEntries(rows.value.map(({ group, mode }) => [group, mode]))
    const weeks = baseWeeks.value.trim()
    const body = DraftBody.omit({ version: true }).safeParse({
      modes,
      ends,
      baseWeeks: weeks === '' ? null : Number(weeks),
    })
    if (body.error?.issues[0]?.path[0] === 'baseWeeks') {
      said.value = `Base: whole weeks from ${LIMITS.baseWeeks.min} to ${LIMITS.baseWeeks.max}, or nothing for none.`
      return
    }
    if (!body.success) {
      const group = body.error.issues[0]?.path[1] as Group | undefined
      said.value = `${group ? GROUP_NAMES[group] : 'A muscle'}: sets per 7 days from ${LIMITS.weekSets.min} to ${LIMITS.weekSets.max}, or nothing for what is usual.`
      return
    }
    return write('PUT', version => ({ version, ...body.data }), 'Kept.')
  }
  const change = (group: Group, part: Partial<DraftRow>) =>
    (rows.value = rows.value.map(row => (row.group === group ? { ...row, ...part } : row)))
  return {
    isDraft,
    rows,
    baseWeeks,
    change,
    keep,
    make,
    said: readonly(said),
    isBusy: readonly(isBusy),
  }
}
