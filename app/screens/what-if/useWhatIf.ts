import type { PlainDate } from '#core/base'
import type { StationKind } from '#core/follow/floor'
import type { Group, Pattern } from '#core/plan/catalogue'
import { SentAnswer } from '#shared/contracts/block'
import { TakenWhatIf, WhatIfView, type WhatIf } from '#shared/contracts/whatIf'
import { refusalWords } from '~/shell/refusalWords'

export type WhatIfKind = WhatIf['kind']
const NOTHING_DONE = 'the server did not answer, so nothing was changed. Try again.'

/** What is asked, field by field, whatever the kind. */
export interface WhatIfTyped {
  kind: WhatIfKind
  station: StationKind
  left: number
  from: string
  to: string
  effect: 'skip' | 'shift' | 'light'
  pattern: Pattern
  group: Group
  credit: number
  method: string
  setting: string
  value: string
}

function askedOf(typed: WhatIfTyped): WhatIf {
  const { kind, station, left, effect, pattern, group, credit, method, setting, value } = typed
  const days = { from: typed.from as PlainDate, to: typed.to as PlainDate }
  switch (kind) {
    case 'station':
      return { kind, station, left, ...days }
    case 'away':
      return { kind, effect, ...days }
    case 'closed':
      return { kind, effect: effect === 'light' ? 'skip' : effect, ...days }
    case 'credit':
      return { kind, pattern, group, credit }
    case 'method':
      return { kind, method, setting, value }
  }
}

/** Something that happens to everybody: looked at first, then done for all but who is left out. */
export function useWhatIf() {
  const { ask } = useApi()
  const today = useToday()
  // A page that is set up anew after an undo goes on with what was typed.
  const typed = useState<WhatIfTyped>('what-if', () => ({
    kind: 'station',
    station: 'cable',
    left: 0,
    from: today.value,
    to: today.value,
    effect: 'shift',
    pattern: 'horizontal_pull',
    group: 'biceps',
    credit: 0.25,
    method: '',
    setting: '',
    value: '',
  }))
  const seen = shallowRef<{ readonly asked: WhatIf; readonly view: WhatIfView } | null>(null)
  const leftOut = ref<ReadonlySet<string>>(new Set())
  const taken = shallowRef<TakenWhatIf | null>(null)
  const said = ref('')
  const isBusy = ref(false)
  /** What was looked at is of another question once a field changes. */
  watch(typed, () => (seen.value = null), { deep: true })
  async function once<Value>(work: () => Promise<Value>): Promise<void> {
    if (isBusy.value) return
    isBusy.value = true
    await work()
    isBusy.value = false
  }
  const look = () =>
    once(async () => {
      const asked = askedOf(typed.value)
      const result = await ask('/api/what-if/look', {
        method: 'POST',
        body: asked,
        answer: WhatIfView,
      })
      leftOut.value = new Set()
      seen.value = result.ok ? { asked, view: result.value } : null
      said.value = result.ok ? '' : refusalWords(result.error, NOTHING_DONE)
    })
  const lines = computed(() =>
    (seen.value?.view.lines ?? []).map(line => ({
      ...line,
      isIn: line.isWritten && !leftOut.value.has(line.client),
    })),
  )
  const count = computed(() => lines.value.filter(({ isIn }) => isIn).length)
  function toggle(client: string): void {
    const all = new Set(leftOut.value)
    if (!all.delete(client)) all.add(client)
    leftOut.value = all
  }
  const take = () =>
    once(async () => {
      if (!seen.value) return
      const result = await ask('/api/what-if/take', {
        method: 'POST',
        body: { asked: seen.value.asked, leftOut: [...leftOut.value] },
        answer: TakenWhatIf,
      })
      if (result.ok) {
        taken.value = result.value
        seen.value = null
      }
      said.value = result.ok
        ? `${result.value.did} Z takes all of it back.`
        : refusalWords(result.error, NOTHING_DONE)
    })
  const toSend = computed(() => taken.value?.toSend ?? [])
  /** Sends what changed; who it could not be sent to is named. */
  const send = () =>
    once(async () => {
      const [sent, not]: [Set<string>, string[]] = [new Set(), []]
      for (const { name, block, version, pass } of toSend.value) {
        const result = await ask(`/api/blocks/${block}/send`, {
          method: 'POST',
          body: { pass, version, again: true },
          answer: SentAnswer,
        })
        if (result.ok) sent.add(name)
        else not.push(`${name}: ${refusalWords(result.error, NOTHING_DONE)}`)
      }
      if (taken.value) taken.value = { ...taken.value, toSend: [] }
      said.value = [sent.size > 0 ? `Sent to ${[...sent].join(', ')}.` : '', ...not]
        .join(' ')
        .trim()
    })
  return { typed, seen, lines, count, taken, toSend, said, isBusy, look, toggle, take, send }
}
export type WhatIfPage = ReturnType<typeof useWhatIf>
