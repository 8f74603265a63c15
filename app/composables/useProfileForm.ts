import type { Equipment, Group, Joint } from '#core/catalogue'
import { ARM_GROUPS, EQUIPMENT, EQUIPMENT_PRESETS, GROUPS, JOINTS } from '#core/catalogue'
import { bandOf, contextWith, DEFAULT_MODES, HINDRANCES, type Hindrance, methodById, METHODS, type Mode, MODES, trainingAge } from '#core/method'
import { SCREENING_QUESTIONS, type ScreeningAnswer, type ScreeningId, screeningState } from '#core/safety'
import { ProfileContract, type Profile, SavedClient } from '#shared/contracts/profile'
import { factsOf } from '#shared/contracts/profileFacts'

const USUAL_DAYS = [1, 2, 4, 5]
const USUAL_MINUTES = 60
const USUAL_START = '17:30'

/** A weekday of the form; switched off it keeps its minutes for when it is switched on again. */
interface FormDay { readonly weekday: number, isOn: boolean, minutes: string, start: string }

/** What is being entered, as fields hold it. */
interface Entered {
  name: string
  about: string
  units: 'kg' | 'lb'
  goal: string
  weakPoints: string
  trainingAgeMonths: string
  method: string
  modes: Partial<Record<Group, Mode>>
  days: FormDay[]
  equipment: Equipment[]
  sensitiveJoints: Joint[]
  slowedBy: Hindrance[]
  outside: { what: string, groups: Group[], times: string, setsEach: string }
  hasSafeties: boolean
  answers: Partial<Record<ScreeningId, ScreeningAnswer>>
}

/** What a form for a new client begins with. */
const NEW_PROFILE: Omit<Profile, 'trainingAgeMonths'> = {
  name: '', about: '', units: 'kg', goal: '', weakPoints: '', method: METHODS[0]?.id ?? '', modes: {}, equipment: [], sensitiveJoints: [], jointNotes: [], slowedBy: [], sideLoads: [], hasSafeties: false,
  days: USUAL_DAYS.map(weekday => ({ weekday, minutes: USUAL_MINUTES, start: USUAL_START })), screening: { answers: {}, clearance: null },
}

function formDay(weekday: number, days: Profile['days']): FormDay {
  const known = days.find(day => day.weekday === weekday)
  return { weekday, isOn: known !== undefined, minutes: String(known?.minutes ?? USUAL_MINUTES), start: known?.start ?? USUAL_START }
}

function outsideFields([first]: Profile['sideLoads']): Entered['outside'] {
  if (!first) return { what: '', groups: [], times: '', setsEach: '' }
  return { what: first.what, groups: [...first.groups], times: String(first.times.low), setsEach: first.setsEach === null ? '' : String(first.setsEach) }
}

function fieldsOf(before: Profile | null): Entered {
  const { name, about, units, goal, weakPoints, method, modes, days, equipment, sensitiveJoints, slowedBy, sideLoads, hasSafeties, screening } = before ?? NEW_PROFILE
  return {
    name, about, units, goal, weakPoints, method, hasSafeties, trainingAgeMonths: before ? String(before.trainingAgeMonths) : '', modes: { ...modes },
    days: Array.from({ length: 7 }, (_, at) => formDay(at + 1, days)), equipment: [...equipment], sensitiveJoints: [...sensitiveJoints], slowedBy: [...slowedBy],
    outside: outsideFields(sideLoads), answers: { ...screening.answers },
  }
}

const numberOr = (text: string, empty: number) => (text.trim() === '' ? empty : Number(text))

function profileOf(entered: Entered, before: Profile | null): unknown {
  const { days, outside, answers, trainingAgeMonths, ...plain } = entered
  const times = numberOr(outside.times, 1)
  const first = outside.what.trim() === '' ? [] : [{ what: outside.what, groups: outside.groups, times: { low: times, high: times }, setsEach: outside.setsEach.trim() === '' ? null : Number(outside.setsEach) }]
  return {
    ...plain, trainingAgeMonths: numberOr(trainingAgeMonths, Number.NaN), jointNotes: before?.jointNotes ?? [],
    days: days.filter(({ isOn }) => isOn).map(({ weekday, minutes, start }) => ({ weekday, minutes: Number(minutes), start })),
    sideLoads: [...first, ...(before?.sideLoads ?? []).slice(1)], screening: { answers, clearance: before?.screening.clearance ?? null },
  }
}

/** The intake form: what is entered, what follows from it, and saving it. `before` is null for a new client. */
export function useProfileForm(before: Profile | null, path: () => string) {
  const entered = reactive(fieldsOf(before))
  const submission = useSubmission({ path, method: before ? 'PUT' : 'POST', body: ProfileContract, answer: SavedClient })
  const method = computed(() => methodById(entered.method))
  const months = computed(() => (entered.trainingAgeMonths.trim() === '' ? null : Number(entered.trainingAgeMonths)))
  const screening = computed(() => screeningState({ answers: entered.answers, clearance: before?.screening.clearance ?? null }))

  /** Bands as they follow from what is entered so far, for the arm groups. */
  const bands = computed(() => {
    const parsed = ProfileContract.safeParse(profileOf({ ...entered, name: entered.name || 'x', trainingAgeMonths: entered.trainingAgeMonths || '24' }, before))
    if (!parsed.success) return []
    const context = contextWith(method.value, factsOf(parsed.data))
    return ARM_GROUPS.map(group => ({ group, ...bandOf(context, group) }))
  })

  function usePreset(id: string): void {
    const preset = EQUIPMENT_PRESETS.find(candidate => candidate.id === id)
    if (preset) entered.equipment = [...preset.equipment]
  }
  function modeOf(group: Group): Mode {
    return entered.modes[group] ?? DEFAULT_MODES[group]
  }
  function setMode(group: Group, mode: Mode): void {
    entered.modes = { ...entered.modes, [group]: mode }
  }
  function save() {
    return submission.send(profileOf(entered, before))
  }

  return {
    entered, ...submission, method, screening, bands, save, usePreset, modeOf, setMode,
    age: computed(() => (months.value === null || Number.isNaN(months.value) ? null : trainingAge(months.value))),
    choices: { methods: METHODS, modes: MODES, groups: GROUPS, armGroups: ARM_GROUPS, equipment: EQUIPMENT, presets: EQUIPMENT_PRESETS, joints: JOINTS, hindrances: HINDRANCES, questions: SCREENING_QUESTIONS },
  }
}
