import { assumedWords, EFFORT, formatDay, loadLineWords, reserveCourseWords } from '#core/words'
import { reserveCourse } from '#core/plan/estimate'
import { type Exercise, type Intent, requireExercise } from '#core/plan/catalogue'
import { intentFor } from '#core/plan/method'
import { assumedIn } from '#core/plan/minutes'
import {
  leadRir,
  type Load,
  type LongSetKind,
  nominalReps,
  parsedSetUp,
  plannedSets,
  type SchemeControl,
  type SchemeControls,
  SET_UP,
  setUpChoices,
  type SetUpField,
  setUpFieldsOf,
  sharedControls,
  type Span,
  TECHNIQUES,
  USUAL_BASIS,
  withControl,
  withSetsAdded,
  workStages,
  splitSets,
} from '#core/plan/scheme'
import { SLOT_ROLE_TABLE, SLOT_ROLES, type Slot, type SlotRole } from '#core/plan/session'
import { CHOICE_LISTS, type ChoiceKey } from './choiceLists'
import type { SessionBuilder } from './useSessionBuilder'

/** A number of a scheme that a coach sets: empty means open. */
export type NumberKey =
  'sets' | 'low' | 'high' | 'rir' | 'rest' | 'load' | 'lower' | 'longPause' | 'lift' | 'shortPause'
export interface NumberField {
  readonly key: NumberKey
  readonly name: string
  readonly value: number | ''
  readonly varies: boolean
  readonly max: number
  readonly step: number
}
export interface TextField {
  readonly key: 'position' | 'attachment' | 'note' | SetUpField
  readonly name: string
  readonly value: string
  readonly example: string
}

const spanValue = (span: Span | undefined): number | '' => (typeof span === 'number' ? span : '')

function repEnds({ reps }: SchemeControls): { low: number | ''; high: number | '' } {
  if (reps?.kind === 'between') return { low: reps.low, high: reps.high }
  if (reps?.kind === 'exactly') return { low: reps.count, high: reps.count }
  return { low: '', high: '' }
}

/** The controls of one exercise's sets: what the working sets share, and how to set it. */
export function useRowControls(slot: () => Slot, builder: SessionBuilder) {
  const store = usePlanStore()
  const context = computed(() => store.context!)
  const exercise = computed((): Exercise =>
    requireExercise(context.value.catalogue, slot().exercise),
  )
  const intent = computed((): Intent => intentFor(context.value, exercise.value, slot().intent))
  const controls = computed(() => sharedControls(slot().scheme))
  const shared = computed(() => controls.value.shared)

  const numbers = computed((): readonly NumberField[] => {
    const { shared: own, varies } = controls.value
    const ends = repEnds(own)
    const field = (
      key: NumberKey,
      name: string,
      value: number | '',
      control: SchemeControl | null,
      max: number,
      step = 1,
    ): NumberField => ({
      key,
      name,
      value,
      varies: control !== null && varies.has(control),
      max,
      step,
    })
    return [
      field('sets', 'Sets', plannedSets(slot().scheme), null, 20),
      field('low', 'Reps from', ends.low, 'reps', 1000),
      field('high', 'Reps to', ends.high, 'reps', 1000),
      field(
        'rir',
        EFFORT.short,
        own.effort?.kind === 'rir' ? own.effort.rir : own.effort?.kind === 'failure' ? 0 : '',
        'effort',
        20,
        0.5,
      ),
      field(
        'rest',
        'Rest, s',
        own.restAfter?.kind === 'seconds' ? own.restAfter.seconds : '',
        'restAfter',
        3600,
        15,
      ),
      field(
        'load',
        `Load, ${own.load?.kind === 'weight' ? own.load.unit : 'kg'}`,
        own.load?.kind === 'weight' ? own.load.amount : '',
        'load',
        2000,
        0.5,
      ),
      field('lower', 'Lowering, s', spanValue(own.tempo?.lower), 'tempo', 30),
      field('longPause', 'Pause long, s', spanValue(own.tempo?.longPause), 'tempo', 30),
      field('lift', 'Lifting, s', spanValue(own.tempo?.lift), 'tempo', 30),
      field('shortPause', 'Pause short, s', spanValue(own.tempo?.shortPause), 'tempo', 30),
    ]
  })
  const choices = computed((): Readonly<Partial<Record<ChoiceKey, string>>> => shared.value)
  const texts = computed((): readonly TextField[] => [
    ...setUpFieldsOf(exercise.value).map((field): TextField => ({
      key: field,
      name: SET_UP[field].name,
      value: String(shared.value.setUp?.[field] ?? ''),
      example: SET_UP[field].example,
    })),
    {
      key: 'position',
      name: 'Set-up besides',
      value: shared.value.position ?? '',
      example: 'box under the heels',
    },
    {
      key: 'attachment',
      name: 'Handle',
      value: shared.value.attachment ?? '',
      example: 'rope, straight bar',
    },
    {
      key: 'note',
      name: 'Note for the client',
      value: slot().note ?? '',
      example: 'elbows stay beside the body',
    },
  ])

  function control<Key extends SchemeControl>(key: Key, value: SchemeControls[Key] | null): void {
    builder.setScheme(slot().id, withControl(slot().scheme, key, value))
  }

  function setReps(key: 'low' | 'high', value: number | null): void {
    const ends = repEnds(shared.value)
    if (value === null) return control('reps', null)
    const low = key === 'low' ? value : Number(ends.low === '' ? value : ends.low)
    const high = key === 'high' ? value : Number(ends.high === '' ? value : ends.high)
    const [least, most] = [Math.min(low, high), Math.max(low, high)]
    control(
      'reps',
      least === most
        ? { kind: 'exactly', count: least }
        : { kind: 'between', low: least, high: most },
    )
  }
  function setLoad(value: number | null): void {
    const now = shared.value.load
    const load: Load | null =
      value === null
        ? null
        : now?.kind === 'weight'
          ? { ...now, amount: value }
          : {
              kind: 'weight',
              amount: value,
              unit: 'kg',
              basis: USUAL_BASIS[exercise.value.loadBasis],
            }
    control('load', load)
  }
  function setSets(value: number): void {
    const change = value - plannedSets(slot().scheme)
    if (change !== 0)
      builder.setScheme(
        slot().id,
        change > 0 ? withSetsAdded(slot().scheme, change) : splitSets(slot().scheme, -change).kept,
      )
  }
  function setNumber(key: NumberKey, typed: string): void {
    const value = typed.trim() === '' ? null : Number(typed)
    const { max = 0 } = numbers.value.find(field => field.key === key) ?? {}
    if (value !== null && (!Number.isFinite(value) || value < 0 || value > max))
      return builder.say(`Choose a number from 0 to ${max}.`)
    switch (key) {
      case 'sets':
        return value === null || value < 1
          ? builder.say('At least one set, or take the exercise out.')
          : setSets(Math.round(value))
      case 'low':
      case 'high':
        return setReps(key, value)
      case 'rir':
        return control('effort', value === null ? null : { kind: 'rir', rir: value })
      case 'rest':
        return control('restAfter', value === null ? null : { kind: 'seconds', seconds: value })
      case 'load':
        return setLoad(value)
      default:
        return control('tempo', withoutEmpty({ ...shared.value.tempo, [key]: value }))
    }
  }
  function setChoice(key: ChoiceKey, value: string): void {
    control(key, value === '' ? null : (value as never))
  }
  function setText(key: TextField['key'], value: string): void {
    if (key === 'note') builder.edit({ kind: 'set_note', slot: slot().id, note: value })
    else if (key === 'position' || key === 'attachment')
      control(key, value.trim() === '' ? null : value.trim())
    else setSetUp(key, value)
  }
  function setSetUp(field: SetUpField, value: string): void {
    const { [field]: _, ...others } = shared.value.setUp ?? {}
    const read = value.trim() === '' ? undefined : parsedSetUp(field, value)
    if (value.trim() !== '' && read === undefined) return builder.say(setUpChoices(field))
    const next = read === undefined ? others : { ...others, [field]: read }
    control('setUp', Object.keys(next).length === 0 ? null : next)
  }
  function setRole(role: string): void {
    builder.edit({
      kind: 'set_role',
      slot: slot().id,
      role: role === '' ? null : (role as SlotRole),
    })
  }
  function applyTechnique(id: string): void {
    const technique = TECHNIQUES.find(candidate => candidate.id === id)
    if (!technique) return
    builder.setScheme(slot().id, technique.apply(slot().scheme))
    builder.say(`${technique.name}. Z undoes it.`)
  }
  function isInMethod(id: string, longSet: LongSetKind | undefined): boolean {
    const { extendedKinds, restricted } = context.value.method.effort
    return id === 'restricted_flow'
      ? restricted
      : longSet === undefined || extendedKinds.includes(longSet)
  }
  const techniques = computed(() =>
    TECHNIQUES.map(({ id, name, what, longSet, asks = '' }) => ({
      id,
      words: `${name}${isInMethod(id, longSet) ? '' : ' (not in this method)'}: ${what} ${asks}`,
    })),
  )
  const forecast = useLoadsStore()
  const next = computed(() => {
    const found = forecast.nextOf(builder.dayAt(), builder.sessionAt())
    const loads = found?.loads.get(slot().id)
    return found && loads ? `On ${formatDay(found.on)}: ${loadLineWords(loads)}` : ''
  })
  /** What reserve to expect over the sets where they have one load; empty where they have not. */
  const course = computed(() => {
    const found = forecast.nextOf(builder.dayAt(), builder.sessionAt())?.loads.get(slot().id)
    const run = slot().scheme.runs.find(({ role }) => role === 'working')
    const reps = nominalReps(run && workStages(run)[0]?.reps)
    const rir = run && leadRir(run)
    const amounts = new Set(found?.sets.map(({ amount }) => amount))
    const [load] = amounts
    if (!found || amounts.size !== 1 || !load || reps === undefined || rir === undefined) return ''
    const own = reserveCourse(load, reps, rir, found.sets.length)
    return own ? reserveCourseWords(own) : ''
  })
  return {
    /** What the phone will say the next time. */
    next,
    course,
    /** What minutes and worth rest on where the sets leave room. */
    assumed: computed(() => assumedWords(assumedIn(slot(), context.value))),
    techniques,
    lists: CHOICE_LISTS,
    exercise,
    intent,
    numbers,
    choices,
    texts,
    setNumber,
    setChoice,
    setText,
    applyTechnique,
    roles: SLOT_ROLES.map(id => ({ id, name: SLOT_ROLE_TABLE[id].name })),
    setRole,
  }
}

function withoutEmpty(tempo: Readonly<Record<string, unknown>>): SchemeControls['tempo'] | null {
  const entries = Object.entries(tempo).filter(([, value]) => value !== null && value !== undefined)
  return entries.length === 0 ? null : (Object.fromEntries(entries) as SchemeControls['tempo'])
}
