import type { Equipment, Group, Joint } from '#core/plan/catalogue'
import type { GearField } from '#core/plan/estimate'
import { typedGear } from '~/ui/gearLines'
import { ARM_GROUPS, EQUIPMENT, EQUIPMENT_PRESETS, GROUPS, JOINTS } from '#core/plan/catalogue'
import { formatSets, MODE_NAMES } from '#core/words'
import {
  bandOf,
  contextWith,
  DEFAULT_MODES,
  type Hindrance,
  HINDRANCES,
  methodById,
  type Mode,
  modeOf as coreModeOf,
  MODES,
  type PlanScope,
  PLAN_SCOPES,
  trainingAge,
} from '#core/plan/method'
import {
  type Permit,
  PERMIT_TABLE,
  PERMITS,
  SCREENING_QUESTIONS,
  type ScreeningAnswer,
  type ScreeningId,
  screeningState,
} from '#core/plan/safety'
import { ProfileContract, type Profile, SavedClient } from '#shared/contracts/profile'
import { factsOf } from '#shared/contracts/profileFacts'
import { NEW_PROFILE, USUAL_MINUTES, USUAL_START } from './newProfile'
import { type FormExerciseRule, formRule, ruleOf } from './exerciseRuleForm'

/** A weekday of the form; switched off it keeps its minutes for when it is switched on again. */
interface FormDay {
  readonly weekday: number
  isOn: boolean
  minutes: string
  start: string
}

/** A sore place, as it is entered. */
export interface FormJointNote {
  joint: Joint
  side: 'left' | 'right' | 'both'
  provokedBy: string
  since: string
}

/** Load from outside the gym: on named weekdays, or so many times a week; an amount that is known, estimated or unknown. */
export interface FormLoad {
  what: string
  groups: Group[]
  weekdays: number[]
  times: string
  amount: 'known' | 'estimated' | 'unknown'
  setsEach: string
}

/** What is being entered, as fields hold it. */
interface Entered {
  name: string
  about: string
  email: string
  units: 'kg' | 'lb'
  goal: string
  weakPoints: string
  trainingAgeMonths: string
  method: string
  modes: Partial<Record<Group, Mode>>
  days: FormDay[]
  equipment: Equipment[]
  sensitiveJoints: Joint[]
  jointNotes: FormJointNote[]
  slowedBy: Hindrance[]
  outside: FormLoad[]
  hasSafeties: boolean
  permits: Permit[]
  scope: PlanScope
  gear: Partial<Record<GearField, string>>
  avoid: string[]
  rules: FormExerciseRule[]
  keep: string[]
  clearance: { on: string; profession: string; limits: string }
  answers: Partial<Record<ScreeningId, ScreeningAnswer>>
}

function formDay(weekday: number, days: Profile['days']): FormDay {
  const known = days.find(day => day.weekday === weekday)
  return {
    weekday,
    isOn: known !== undefined,
    minutes: String(known?.minutes ?? USUAL_MINUTES),
    start: known?.start ?? USUAL_START,
  }
}

function formLoad({
  what,
  groups,
  times,
  setsEach,
  isEstimate,
  weekdays,
}: Profile['sideLoads'][number]): FormLoad {
  return {
    what,
    groups: [...groups],
    weekdays: [...(weekdays ?? [])],
    times: String(times.low),
    setsEach: setsEach === null ? '' : String(setsEach),
    amount: setsEach === null ? 'unknown' : isEstimate ? 'estimated' : 'known',
  }
}

/** An empty row of load from outside. */
export function emptyLoad(): FormLoad {
  return { what: '', groups: [], weekdays: [], times: '1', amount: 'unknown', setsEach: '' }
}

function fieldsOf(before: Profile | null): Entered {
  const {
    name,
    about,
    email = '',
    units,
    goal,
    weakPoints,
    method,
    modes,
    days,
    equipment,
    gear,
    sensitiveJoints,
    jointNotes,
    slowedBy,
    sideLoads,
    hasSafeties,
    permits,
    scope,
    avoid,
    keep,
    exerciseRules,
    screening,
  } = before ?? NEW_PROFILE
  return {
    name,
    about,
    email,
    units,
    goal,
    weakPoints,
    method,
    hasSafeties,
    trainingAgeMonths: before ? String(before.trainingAgeMonths) : '',
    modes: { ...modes },
    days: Array.from({ length: 7 }, (_, at) => formDay(at + 1, days)),
    permits: [...permits],
    scope,
    equipment: [...equipment],
    gear: { ...gear },
    sensitiveJoints: [...sensitiveJoints],
    slowedBy: [...slowedBy],
    jointNotes: jointNotes.map(note => ({ ...note })),
    outside: sideLoads.map(formLoad),
    avoid: [...avoid],
    rules: exerciseRules.map(rule => formRule(rule, units)),
    keep: [...keep],
    answers: { ...screening.answers },
    clearance: { on: '', profession: '', limits: '', ...screening.clearance },
  }
}

const numberOr = (text: string, empty: number) => (text.trim() === '' ? empty : Number(text))

function sideLoadOf({ what, groups, weekdays, times, amount, setsEach }: FormLoad): unknown {
  const number = weekdays.length > 0 ? weekdays.length : numberOr(times, 1)
  return {
    what,
    groups,
    times: { low: number, high: number },
    setsEach: amount === 'unknown' ? null : numberOr(setsEach, Number.NaN),
    ...(amount === 'estimated' && { isEstimate: true }),
    ...(weekdays.length > 0 && { weekdays }),
  }
}

function profileOf(entered: Entered): unknown {
  const { days, outside, answers, clearance, trainingAgeMonths, rules, email, ...plain } = entered
  const isCleared = Object.values(clearance).some(text => text.trim() !== '')
  return {
    ...plain,
    ...(email.trim() !== '' && { email: email.trim() }),
    gear: typedGear(entered.gear),
    trainingAgeMonths: numberOr(trainingAgeMonths, Number.NaN),
    days: days
      .filter(({ isOn }) => isOn)
      .map(({ weekday, minutes, start }) => ({ weekday, minutes: Number(minutes), start })),
    exerciseRules: rules.map(rule => ruleOf(rule, entered.units)),
    sideLoads: outside.filter(({ what }) => what.trim() !== '').map(sideLoadOf),
    screening: { answers, clearance: isCleared ? clearance : null },
  }
}

/** The intake form: what is entered, what follows from it, and saving it. `before` is null for a new client. */
export function useProfileForm(before: Profile | null, path: () => string) {
  const entered = reactive(fieldsOf(before))
  const submission = useSubmission({
    path,
    method: before ? 'PUT' : 'POST',
    body: ProfileContract,
    answer: SavedClient,
    ...(before && { was: before }),
  })
  const studio = useStudioSettings()
  const method = computed(
    () =>
      studio.methods.value.find(({ id }) => id === entered.method) ?? methodById(entered.method),
  )
  const months = computed(() =>
    entered.trainingAgeMonths.trim() === '' ? null : Number(entered.trainingAgeMonths),
  )
  const screening = computed(() =>
    screeningState({
      answers: entered.answers,
      clearance:
        entered.clearance.on === '' || entered.clearance.profession === ''
          ? null
          : entered.clearance,
    }),
  )

  /** Bands as they follow from what is entered so far, for the arm groups. */
  const bands = computed(() => {
    const parsed = ProfileContract.safeParse(
      profileOf({
        ...entered,
        name: entered.name || 'x',
        trainingAgeMonths: entered.trainingAgeMonths || '24',
        clearance: { on: '', profession: '', limits: '' },
      }),
    )
    if (!parsed.success) return []
    const context = contextWith(method.value, factsOf(parsed.data))
    return ARM_GROUPS.map(group => ({
      group,
      ...bandOf(context, group),
      from: `${MODE_NAMES[coreModeOf(context, group)]}, × ${formatSets(method.value.dose.bandScale)}`,
    }))
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
    return submission.send(profileOf(entered))
  }

  return {
    entered,
    ...submission,
    method,
    methods: studio.methods,
    exercises: studio.exerciseNames,
    screening,
    bands,
    save,
    usePreset,
    modeOf,
    setMode,
    age: computed(() =>
      months.value === null || Number.isNaN(months.value) ? null : trainingAge(months.value),
    ),
    choices: {
      modes: MODES,
      groups: GROUPS,
      armGroups: ARM_GROUPS,
      equipment: EQUIPMENT,
      presets: EQUIPMENT_PRESETS,
      joints: JOINTS,
      hindrances: HINDRANCES,
      questions: SCREENING_QUESTIONS,
      scopes: PLAN_SCOPES,
      permits: PERMITS.map(id => ({ id, ...PERMIT_TABLE[id] })),
    },
  }
}
