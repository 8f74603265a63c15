import { addDays, daysBetween, DAYS_PER_WEEK } from '#core/base'
import {
  type BlockException,
  type BlockPlan,
  exceptionOf,
  withException,
  withoutException,
  withoutExceptions,
  withPart,
} from '#core/plan/block'
import { ARM_GROUPS, BUNDLES, type Group, ELBOW_JOINTS } from '#core/plan/catalogue'
import {
  blockConcernWords,
  exceptionWords,
  formatDay,
  formatOneDecimal,
  GROUP_NAMES,
  splitOnScreen,
} from '#core/words'
import { jointCeiling } from '#core/body/joints'
import { tallyOnce } from '#core/count/ledger'
import { type Band, bandOf } from '#core/plan/method'
import { blockConcerns, blockVerdict, deloadBand, type PassVerdict } from '#core/design/progress'
import { threadState } from '#core/body/recovery'
import { SentAnswer } from '#shared/contracts/block'
import { familyOfGroup } from '~/screens/session/useSessionBuilder'

/** A deload's own channel, as shares of the target. */
const BUNDLE_NAMES = {
  chest: 'Chest',
  back: 'Back',
  delts: 'Delts',
  legs: 'Legs',
  abs: 'Abs',
} as const
const MOST_CONCERNS = 4

export type PassState = 'done' | 'under way' | 'sent' | 'edited since sent' | 'deload' | 'planned'

/** Everything the Block page shows and does, apart from its forms, charts and calendar. */
export function useBlock() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const { ask } = useApi()
  const today = useToday()
  const at = ref(0)
  const groupAt = ref(0)
  const message = ref('')
  const isAskingAgain = ref(false)
  const isSending = ref(false)

  const verdict = computed(() =>
    issued.expanded && store.context ? blockVerdict(issued.expanded, store.context) : null,
  )
  const concerns = computed(() =>
    issued.expanded && store.context ? blockConcerns(issued.expanded, store.context) : [],
  )
  const passes = computed(() => verdict.value?.passes ?? [])
  const current = computed(() => passes.value[Math.min(at.value, passes.value.length - 1)])
  const group = computed<Group>(() => ARM_GROUPS[groupAt.value] ?? 'biceps')

  function stateOf({ pass }: PassVerdict): PassState {
    const own = pass.sessions.flatMap(({ sent }) => sent ?? [])
    if (own.length > 0 && own.every(({ isDone }) => isDone)) return 'done'
    if (own.some(({ isEdited, isDone }) => isEdited && !isDone)) return 'edited since sent'
    if (own.some(({ isDone }) => isDone)) return 'under way'
    if (own.length > 0) return 'sent'
    return pass.isDeload ? 'deload' : 'planned'
  }

  const columns = computed(() =>
    passes.value.map(one => {
      const { pass, lowest, joints, sets, minutes } = one
      const done = pass.sessions.reduce((sum, { sent }) => sum + (sent?.setsDone ?? 0), 0)
      const elbow = store.context
        ? ELBOW_JOINTS.map(joint => ({
            load: joints[joint].week,
            ceiling: jointCeiling(joint, store.context!).week,
          })).reduce((most, side) =>
            side.load / side.ceiling > most.load / most.ceiling ? side : most,
          )
        : { load: 0, ceiling: 1 }
      return {
        at: pass.at,
        number: pass.at + 1,
        isSent: pass.sessions.some(({ sent }) => sent !== undefined),
        from: formatDay(pass.from),
        isDeload: pass.isDeload,
        state: stateOf(one),
        isNow: pass.from <= today.value && today.value <= pass.to,
        rir: pass.rir,
        choice: pass.choice,
        lowest: lowest && {
          percent: Math.round(lowest.readiness),
          thread: threadState(lowest.readiness, lowest.required),
          words: `${GROUP_NAMES[lowest.group]} ${Math.round(lowest.readiness)} % ready for ${lowest.name} on ${formatDay(lowest.on)}, ${lowest.required} % wanted`,
        },
        elbow: {
          load: formatOneDecimal(elbow.load),
          of: formatOneDecimal(elbow.ceiling),
          isOver: elbow.load > elbow.ceiling + 1e-6,
        },
        sets,
        minutes: Math.round(minutes),
        done,
        exceptions: pass.exceptions.map(exception =>
          exceptionWords(
            exception,
            exercise => store.context?.catalogue.get(exercise)?.name ?? exercise,
          ),
        ),
        notPlaced: pass.notPlaced.length,
        leftOut: pass.sessions.filter(({ isSkipped }) => isSkipped).length,
      }
    }),
  )

  const rails = computed(() =>
    ARM_GROUPS.map(own => {
      const band = store.context ? bandOf(store.context, own) : { floor: 0, target: 0, ceiling: 0 }
      const cells = passes.value.map(({ pass, ledger }) => {
        const { week, outside } = ledger.groups[own]
        const split = splitOnScreen(week.direct.value, week.counted.value)
        const channel: Band = pass.isDeload ? deloadBand(band) : band
        const isDone = pass.sessions.some(({ sent }) => sent?.isDone)
        return {
          at: pass.at,
          direct: week.direct.value,
          indirect: week.indirect.value,
          counted: week.counted.value,
          total: split.counted,
          parts: `${split.direct} + ${split.indirect}`,
          band: channel,
          isDone,
          outside: pass.isDeload ? 0 : outside,
          isException: pass.exceptions.some(
            exception => exception.kind === 'sets' && exception.group === own,
          ),
        }
      })
      const working = cells
        .filter(({ at: pass }) => !passes.value[pass]?.pass.isDeload)
        .map(({ counted }) => counted)
      const [first, peak] = [working[0] ?? 0, Math.max(0, ...working)]
      return {
        group: own,
        name: GROUP_NAMES[own],
        family: familyOfGroup(own),
        band,
        cells,
        first: formatOneDecimal(first),
        peak: formatOneDecimal(peak),
        room:
          peak > band.ceiling + 0.05
            ? `peak ${formatOneDecimal(peak - band.ceiling)} over the ceiling`
            : `peak ${formatOneDecimal(band.ceiling - peak)} below the ceiling`,
        isOver: peak > band.ceiling + 0.05,
      }
    }),
  )

  const bodyRails = computed(() =>
    BUNDLES.filter(({ id }) => id !== 'abs').map(({ id, groups }) => {
      const cells = passes.value.map(({ pass, ledger }) => ({
        at: pass.at,
        isDone: pass.sessions.some(({ sent }) => sent?.isDone),
        sets:
          (tallyOnce(ledger.work.flat(), groups, store.context!.method.school).counted.value *
            DAYS_PER_WEEK) /
          pass.rotation.days.length,
      }))
      return {
        id,
        name: BUNDLE_NAMES[id],
        most: Math.max(1, ...cells.map(({ sets }) => sets)),
        cells: cells.map(cell => ({ ...cell, words: formatOneDecimal(cell.sets) })),
      }
    }),
  )

  /** Weeks of the calendar over the rotations: where each begins, as a share of the block. */
  const weeks = computed(() => {
    const expanded = issued.expanded
    if (!expanded) return []
    const days = daysBetween(expanded.from, expanded.to) + 1
    return Array.from({ length: Math.ceil(days / DAYS_PER_WEEK) }, (_, week) => ({
      number: week + 1,
      from: (week * DAYS_PER_WEEK) / days,
      to: Math.min(1, ((week + 1) * DAYS_PER_WEEK) / days),
      date: addDays(expanded.from, week * DAYS_PER_WEEK),
    }))
  })
  const todayShare = computed(() => {
    const expanded = issued.expanded
    if (!expanded || today.value < expanded.from || today.value > expanded.to) return null
    return (
      (daysBetween(expanded.from, today.value) + 0.5) /
      (daysBetween(expanded.from, expanded.to) + 1)
    )
  })
  const looks = computed(() =>
    concerns.value.slice(0, MOST_CONCERNS).map(concern => {
      const [what, much] = blockConcernWords(concern)
      return {
        what,
        much,
        pass:
          'pass' in concern
            ? concern.pass
            : 'from' in concern
              ? concern.from
              : 'arrival' in concern
                ? concern.arrival.pass
                : null,
      }
    }),
  )
  const readout = computed(() => {
    const column = columns.value[at.value]
    const rail = rails.value[groupAt.value]
    const cell = rail?.cells[at.value]
    if (!column || !rail || !cell) return ''
    const before = columns.value[at.value - 1]
    const change = before ? column.sets - before.sets : 0
    return [
      `Rotation ${column.number}, ${column.state}`,
      `${column.sets} sets, ${column.minutes} min`,
      column.rir ? `RIR ${column.rir.compound} and ${column.rir.isolation}` : '',
      column.choice ? `exercises ${column.choice === 'both' ? 'A and B' : column.choice}` : '',
      `${rail.name} ${cell.total} (${cell.parts})`,
      change === 0
        ? ''
        : `${Math.abs(change)} ${Math.abs(change) === 1 ? 'set' : 'sets'} ${change > 0 ? 'more' : 'fewer'} than rotation ${column.number - 1}`,
      ...column.exceptions,
    ]
      .filter(Boolean)
      .join(' · ')
  })

  function change(next: (block: BlockPlan) => BlockPlan, words: string): void {
    if (!store.plan) return
    const result = store.edit({ kind: 'set_block', block: next(store.plan.block ?? {}) })
    message.value = result.ok ? words : 'This cannot be changed.'
  }
  const block = computed(() => store.plan?.block ?? {})

  function changeOf(asked: BlockException & { readonly kind: 'sets' | 'rir' }): number {
    const known = exceptionOf(block.value, asked)
    return known && (known.kind === 'sets' || known.kind === 'rir') ? known.change : 0
  }
  function stepSets(by: 1 | -1): void {
    const asked = { kind: 'sets', pass: at.value, group: group.value, change: 0 } as const
    const next = changeOf(asked) + by
    change(
      held => withException(held, { ...asked, change: next }),
      `${GROUP_NAMES[group.value]} in rotation ${at.value + 1}: ${next === 0 ? 'as the block has it' : `${next > 0 ? '+' : '−'}${Math.abs(next)} sets, an exception`}`,
    )
  }
  function stepRir(by: 1 | -1): void {
    const asked = { kind: 'rir', pass: at.value, change: 0 } as const
    const next = changeOf(asked) + by
    change(
      held => withException(held, { ...asked, change: next }),
      `Reps in reserve in rotation ${at.value + 1}: ${next === 0 ? 'as the block has them' : `${next > 0 ? '+' : '−'}${Math.abs(next)}, an exception`}`,
    )
  }
  function toggleDeload(): void {
    const deloads = block.value.deloads ?? []
    const isOn = deloads.includes(at.value)
    change(
      held =>
        withPart(
          held,
          'deloads',
          isOn
            ? deloads.filter(pass => pass !== at.value)
            : [...deloads, at.value].sort((a, b) => a - b),
        ),
      isOn
        ? `Rotation ${at.value + 1} is a working one again.`
        : `Rotation ${at.value + 1} is a deload.`,
    )
  }
  function swapChoice(): void {
    if (!current.value?.pass.choice)
      return void (message.value = 'No exercises take turns yet. Say which do under Terms.')
    const exception: BlockException = { kind: 'choice', pass: at.value }
    change(
      held =>
        exceptionOf(held, exception)
          ? withoutException(held, exception)
          : withException(held, exception),
      `Rotation ${at.value + 1} takes the other exercises.`,
    )
  }
  /** What this rotation does otherwise, the next one does too. */
  function copyToNext(): void {
    const own = (block.value.exceptions ?? []).filter(
      ({ pass, kind }) => pass === at.value && kind !== 'moved' && kind !== 'dropped',
    )
    if (own.length === 0 || at.value + 1 >= passes.value.length)
      return void (message.value = 'There is nothing to copy here.')
    change(
      held =>
        own.reduce(
          (next, exception) => withException(next, { ...exception, pass: at.value + 1 }),
          held,
        ),
      `Copied to rotation ${at.value + 2}.`,
    )
    at.value += 1
  }
  function clearExceptions(): void {
    if ((current.value?.pass.exceptions.length ?? 0) === 0)
      return void (message.value = 'There is no exception here.')
    change(
      held => withoutExceptions(held, at.value),
      `Rotation ${at.value + 1} is as the block has it again.`,
    )
  }

  async function send(again = false): Promise<void> {
    const held = store.client?.block
    if (!held || isSending.value) return
    // What the client has is replaced only when the coach says so.
    if (!again && current.value?.pass.sessions.some(({ sent }) => sent !== undefined))
      return void (isAskingAgain.value = true)
    isAskingAgain.value = false
    isSending.value = true
    await store.save()
    if (!store.isSaved)
      message.value = 'The plan is not saved yet, so nothing was sent. Try again in a moment.'
    else {
      const result = await ask(`/api/blocks/${held.id}/send`, {
        method: 'POST',
        body: { pass: at.value, version: store.version, again },
        answer: SentAnswer,
      })
      isAskingAgain.value =
        !result.ok &&
        result.error.kind === 'refused' &&
        result.error.problem.type === '/problems/already-sent'
      if (result.ok) {
        await issued.load()
        message.value = `Rotation ${at.value + 1} is sent: ${result.value.sessions} ${result.value.sessions === 1 ? 'session' : 'sessions'}.`
      } else if (!isAskingAgain.value)
        message.value =
          result.error.kind === 'unreachable'
            ? 'Not sent: the server did not answer. Try again.'
            : `Not sent. ${result.error.problem.errors?.[0]?.detail ?? result.error.problem.detail}`
    }
    isSending.value = false
  }
  const go = (by: { readonly passes: number; readonly rails: number }): void => {
    at.value = Math.min(passes.value.length - 1, Math.max(0, at.value + by.passes))
    groupAt.value = Math.min(ARM_GROUPS.length - 1, Math.max(0, groupAt.value + by.rails))
    message.value = ''
  }
  let lookAt = -1
  function nextLook(): void {
    if (looks.value.length === 0) return void (message.value = 'Nothing to look at.')
    lookAt = (lookAt + 1) % looks.value.length
    const look = looks.value[lookAt]
    if (look?.pass !== null && look?.pass !== undefined) at.value = look.pass
    message.value = look ? `${look.what}: ${look.much}` : ''
  }

  return {
    at,
    groupAt,
    group,
    message,
    verdict,
    columns,
    rails,
    bodyRails,
    weeks,
    todayShare,
    looks,
    readout,
    block,
    isAskingAgain,
    isSending,
    current,
    change,
    stepSets,
    stepRir,
    toggleDeload,
    swapChoice,
    copyToNext,
    clearExceptions,
    send,
    go,
    nextLook,
  }
}

export type BlockState = ReturnType<typeof useBlock>
