import { refusalWords } from '~/shell/refusalWords'
import { addDays, type PlainDate } from '#core/base'
import { type BlockAhead, FIRST_CHOICES, FIRST_IN, modesOf, yearAhead } from '#core/follow/season'
import { planEnd } from '#core/plan/block'
import { FIRST_WORDS } from '#core/words'
import { NextBlockAnswer, NextBlockBody } from '#shared/contracts/block'
import { ClientView } from '#shared/contracts/client'

const MOST_BLOCKS = 12

/** Blocks put one behind the other, from the last one on: a year in one form. */
export function usePlanAhead(
  clientId: string,
  last: () => string | undefined,
  done: () => unknown,
) {
  const { ask } = useApi()
  const isOpen = ref(false)
  const rows = ref<BlockAhead[]>([])
  const problem = ref('')
  const put = ref(0)
  const isBusy = ref(false)

  function open(): void {
    if (!last()) return
    rows.value = [...yearAhead()]
    problem.value = ''
    put.value = 0
    isOpen.value = true
  }
  const change = (at: number, part: Partial<BlockAhead>) =>
    (rows.value = rows.value.map((row, n) =>
      // What comes first follows the phase until it is said otherwise.
      n === at ? { ...row, ...(part.phase && { first: FIRST_IN[part.phase] }), ...part } : row,
    ))
  const drop = (at: number) => (rows.value = rows.value.filter((_, n) => n !== at))
  const add = () =>
    (rows.value = [
      ...rows.value,
      { title: `Block ${rows.value.length + 1}`, weeks: 8, first: 'as_now', phase: null },
    ])

  /** The block another is to follow, as the server has it. */
  async function held(id: string) {
    const result = await ask(`/api/clients/${clientId}?block=${id}`, { answer: ClientView })
    return result.ok ? result.value.block : null
  }
  async function putBehind(id: string, row: BlockAhead): Promise<string | null> {
    const before = await held(id)
    if (!before) return null
    const startsOn: PlainDate = addDays(planEnd(before.plan), 1)
    const body = NextBlockBody.safeParse({
      version: before.version,
      title: row.title,
      startsOn,
      weeks: row.weeks,
      from: 'first',
      modes: modesOf(row.first),
      phase: row.phase && { kind: row.phase },
      isCut: false,
      isDraft: true,
    })
    if (!body.success) {
      problem.value = `${row.title.trim() || 'A block without a title'}: give it a title and 2 to 16 weeks.`
      return null
    }
    const result = await ask(`/api/blocks/${id}/next`, {
      method: 'POST',
      body: body.data,
      answer: NextBlockAnswer,
    })
    if (result.ok) return result.value.id
    problem.value = `${row.title}: ${refusalWords(
      result.error,
      'the server did not answer; what was put before stays. Try again.',
    )}`
    return null
  }
  /** One after the other; where one is refused those before it stay, and those after it wait here. */
  async function begin(): Promise<void> {
    problem.value = ''
    isBusy.value = true
    let before = last()
    while (before !== undefined && rows.value.length > 0) {
      const id: string | null = await putBehind(before, rows.value[0]!)
      if (id === null) break
      before = id
      put.value += 1
      rows.value = rows.value.slice(1)
    }
    isBusy.value = false
    await done()
    if (rows.value.length === 0) isOpen.value = false
  }
  return {
    isOpen,
    choices: FIRST_CHOICES.map(choice => [choice, FIRST_WORDS[choice]] as const),
    open,
    rows,
    change,
    drop,
    add,
    begin,
    put,
    problem: readonly(problem),
    isBusy: readonly(isBusy),
    weeks: computed(() => rows.value.reduce((sum, row) => sum + row.weeks, 0)),
    canAdd: computed(() => rows.value.length < MOST_BLOCKS),
  }
}
