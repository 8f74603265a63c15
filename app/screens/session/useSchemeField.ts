import type { SlotId } from '#core/base'
import type { SetScheme } from '#core/plan/scheme'
import type { Slot } from '#core/plan/session'
import { formatScheme, nearestScheme } from '#core/plan/shorthand'
import { readScheme, useTextDrafts } from './useSchemeText'

/** The text of one exercise's sets while it is being written: it follows the plan until it is touched, and the plan follows it once it reads. */
export function useSchemeField(
  slot: () => Slot,
  setScheme: (slot: SlotId, scheme: SetScheme) => void,
) {
  const { drafts, keep, drop } = useTextDrafts()
  const typed = ref<string | null>(null)
  const draft = computed(() => drafts.value[slot().id])
  const planned = computed(() => formatScheme(slot().scheme))
  const text = computed(() => typed.value ?? draft.value ?? planned.value)
  /** A problem is told once the field is left; while a text is being typed it may well not read yet. */
  const problem = computed(() => {
    if (typed.value !== null || draft.value === undefined) return null
    const read = readScheme(draft.value)
    return read.ok ? null : read.error
  })

  /** What a text that does not read would be read as, to be taken with one key. */
  const near = computed(() => {
    const scheme = problem.value && draft.value ? nearestScheme(draft.value) : undefined
    return scheme ? formatScheme(scheme) : null
  })
  function takeNear(): void {
    const scheme = near.value === null ? undefined : nearestScheme(draft.value ?? '')
    if (!scheme) return
    drop(slot().id)
    setScheme(slot().id, scheme)
  }

  function type(value: string): void {
    typed.value = value
  }
  function settle(): void {
    if (typed.value === null) return
    const value = typed.value
    const read = readScheme(value)
    typed.value = null
    if (!read.ok) return keep(slot().id, value)
    drop(slot().id)
    if (formatScheme(read.value) !== planned.value) setScheme(slot().id, read.value)
  }
  /** Back to what the plan has. */
  function giveUp(): void {
    typed.value = null
    drop(slot().id)
  }
  return { text, planned, problem, near, takeNear, type, settle, giveUp }
}
