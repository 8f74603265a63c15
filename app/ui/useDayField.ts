import { addDays, type PlainDate, plainDate } from '#core/base'
import { daySentence, formatWholeDay, readDay } from '#core/words'

/** The calendar day of a date as a browser has it. */
export function calendarDay(date: Date): PlainDate {
  const two = (part: number) => String(part).padStart(2, '0')
  return plainDate(`${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`)
}

/** A day being typed: read as the reader has dates written; what cannot be read stays to be put right. */
export function useDayField(
  model: Ref<string>,
  { isLazy, back }: { readonly isLazy: () => boolean; readonly back: () => void },
) {
  const today = useToday()
  const written = (day: string) => (day === '' ? '' : formatWholeDay(day as PlainDate))
  const text = ref(written(model.value))
  const complaint = ref('')
  const isOpen = ref(false)
  watch(model, day => {
    // What is being typed stays as it is typed, and so does what could not be read.
    if (day === typed || (day === '' && complaint.value)) return
    text.value = written(day)
    complaint.value = ''
  })

  /** The day that what is being typed has come to. */
  let typed = ''
  function readOn(): void {
    const read = readDay(text.value, today.value)
    if (isLazy() || !read.ok) return
    typed = read.value
    model.value = typed
    complaint.value = ''
  }
  function take(day: string): void {
    typed = ''
    model.value = day
    text.value = written(day)
    complaint.value = ''
  }
  function commit(): void {
    if (text.value.trim() === '') return take('')
    if (text.value === written(model.value)) return
    const read = readDay(text.value, today.value)
    if (read.ok) return take(read.value)
    complaint.value = daySentence(read.error, text.value, today.value)
    // What was there before is no longer meant.
    model.value = ''
  }
  /** Back to the field, once the key that chose is over: it would send the form. */
  function chosen(day: string): void {
    isOpen.value = false
    take(day)
    setTimeout(back)
  }
  function step(days: number): void {
    const read = readDay(text.value, today.value)
    take(addDays(read.ok ? read.value : today.value, read.ok ? days : 0))
  }
  return { text, complaint, isOpen, readOn, commit, step, chosen }
}
