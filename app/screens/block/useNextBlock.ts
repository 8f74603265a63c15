import { refusalWords } from '~/shell/refusalWords'
import { addDays, isPlainDate, plainDate } from '#core/base'
import { type Group, GROUPS } from '#core/plan/catalogue'
import { phaseGoingOn } from '#core/design/progress'
import { formatDay, GROUP_NAMES, phaseName } from '#core/words'
import { cutBefore, modesIn, planEnd } from '#core/plan/block'
import { type Mode, modeOf, MODES } from '#core/plan/method'
import { NextBlockAnswer, NextBlockBody } from '#shared/contracts/block'

/** The form that begins the next block from this one. */
export function useNextBlock() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const { ask } = useApi()
  const title = ref('')
  const startsOn = ref<string>(issued.expanded ? addDays(issued.expanded.to, 1) : '')
  const weeks = ref(8)
  const from = ref<'first' | 'last'>('first')
  const problem = ref('')
  const isBusy = ref(false)
  const isCut = ref(false)
  const known = GROUPS.filter(group => (store.ledger?.groups[group].week.counted.value ?? 0) > 0)
  /** What is wanted at the end of this block. */
  const wanted = modesIn(store.plan?.block ?? {}, (store.plan?.passes ?? 1) - 1)
  const before = (group: Group): Mode =>
    wanted[group] ?? (store.context ? modeOf(store.context, group) : 'keep')
  const modes = reactive(
    Object.fromEntries(known.map(group => [group, before(group)])) as Record<Group, Mode>,
  )
  const rows = known.map(group => ({ group, name: GROUP_NAMES[group] }))

  async function begin(): Promise<boolean> {
    const block = store.client?.block
    if (!block || isBusy.value) return false
    if (title.value.trim() === '') return complain('Title: give the next block a name.')
    if (!isPlainDate(startsOn.value)) return complain('Starts on: choose a calendar day.')
    if (!Number.isInteger(weeks.value) || weeks.value < 2 || weeks.value > 16)
      return complain('Weeks: give a whole number from 2 to 16.')
    isBusy.value = true
    await store.save()
    const changed = Object.fromEntries(
      known.filter(group => modes[group] !== before(group)).map(group => [group, modes[group]]),
    )
    const body = NextBlockBody.parse({
      version: store.version,
      title: title.value,
      startsOn: plainDate(startsOn.value),
      weeks: weeks.value,
      from: from.value,
      modes: changed,
      isCut: isCut.value,
    })
    const result = await ask(`/api/blocks/${block.id}/next`, {
      method: 'POST',
      body,
      answer: NextBlockAnswer,
    })
    isBusy.value = false
    if (!result.ok)
      return complain(
        refusalWords(result.error, 'The server did not answer, so nothing was begun. Try again.'),
      )
    const client = store.client?.id
    if (client) await navigateTo(`/clients/${client}/season`)
    return true
  }
  function complain(words: string): false {
    problem.value = words
    return false
  }
  const overlaps = computed(() => issued.expanded !== null && startsOn.value <= issued.expanded.to)
  /** What is left of this block where it makes room. */
  const left = computed(() => {
    const cut =
      store.plan && isPlainDate(startsOn.value) ? cutBefore(store.plan, startsOn.value) : undefined
    return cut ? { passes: cut.passes, to: formatDay(planEnd(cut)) } : null
  })
  /** The phase it goes on in, where it does. */
  const phase = computed(() => {
    const own =
      store.plan && isPlainDate(startsOn.value) ? phaseGoingOn(store.plan, startsOn.value) : null
    return own ? phaseName(own) : ''
  })
  return {
    title,
    phase,
    startsOn,
    weeks,
    from,
    modes,
    rows,
    problem,
    isBusy,
    overlaps,
    left,
    isCut,
    begin,
    MODES,
    notes: computed(() => store.plan?.closingNotes ?? ''),
  }
}
