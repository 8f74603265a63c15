import { editProblemSentence } from '#core/words'
import {
  type DayRole,
  DAY_ROLES,
  ROTATION_LENGTH,
  canStayOnWeekdays,
  daySetCount,
} from '#core/plan/rotation'

/** A limit in minutes that makes sense; the plan's contract says the same. */
const MINUTES = { least: 5, most: 480 } as const

/** Days of the rotation as a whole: how many, what each is for, weekdays or floating. */
export function useRotationEditor() {
  const store = usePlanStore()
  const complaint = ref('')

  function made(result: ReturnType<typeof store.edit>): void {
    complaint.value =
      !result.ok && store.context ? editProblemSentence(result.error, store.context.catalogue) : ''
  }
  const days = computed(() =>
    (store.plan?.rotation.days ?? []).map((day, at) => ({
      at,
      role: day.role,
      label: day.label ?? '',
      minutes: day.minuteLimit,
      sets: daySetCount(day),
      sessions: day.sessions.length,
    })),
  )

  function setDay(
    at: number,
    change: { role?: DayRole; label?: string; minutes?: number | null },
  ): void {
    const held = store.plan?.rotation.days[at]
    if (!held) return
    const minutes = change.minutes === undefined ? (held.minuteLimit ?? null) : change.minutes
    if (
      minutes !== null &&
      (!Number.isInteger(minutes) || minutes < MINUTES.least || minutes > MINUTES.most)
    ) {
      complaint.value = `Minutes of day ${at + 1} must be a whole number from ${MINUTES.least} to ${MINUTES.most}; the old limit stays.`
      return
    }
    made(
      store.edit({
        kind: 'set_day',
        day: at,
        role: change.role ?? held.role,
        label: change.label ?? held.label ?? null,
        minuteLimit: minutes,
      }),
    )
  }
  return {
    days,
    setDay,
    complaint: readonly(complaint),
    roles: DAY_ROLES,
    limits: ROTATION_LENGTH,
    setLength: (length: number) => made(store.edit({ kind: 'set_length', days: length })),
    isOnWeekdays: computed(() => store.plan?.rotation.anchor.kind === 'weekday'),
    canBeOnWeekdays: computed(() => canStayOnWeekdays(store.plan?.rotation.days.length ?? 0)),
    setAnchor: (anchor: 'floating' | 'weekday') => made(store.edit({ kind: 'set_anchor', anchor })),
  }
}
