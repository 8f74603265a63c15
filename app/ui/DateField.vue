<script setup lang="ts">
import { CalendarDays } from 'lucide-vue-next'
import { addDays, type PlainDate } from '#core/base'
import { daySentence, formatWholeDay, readDay } from '#core/words'

/** A day, typed as the reader has dates written or chosen in the calendar; what cannot be read stays to be put right. */
const {
  label,
  isStacked = false,
  isLazy = false,
} = defineProps<{
  label: string
  /** The label stands above the field. */
  isStacked?: boolean
  /** It is taken once it is typed to the end, where each change counts. */
  isLazy?: boolean
}>()
const DayChooser = defineAsyncComponent(() => import('./DayChooser.vue'))
const model = defineModel<string>({ required: true })
const id = useId()
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
  if (isLazy || !read.ok) return
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
function step(days: number): void {
  const read = readDay(text.value, today.value)
  take(addDays(read.ok ? read.value : today.value, read.ok ? days : 0))
}
</script>

<template>
  <div :class="isStacked ? '' : 'inline-flex items-baseline gap-1'">
    <label :id="`${id}-label`" :for="id" :class="isStacked && 'block'">{{ label }}</label>
    <span class="relative inline-flex items-center">
      <input
        :id="id"
        v-model="text"
        type="text"
        class="small-field w-[148px]"
        autocomplete="off"
        :aria-invalid="complaint !== ''"
        :aria-describedby="complaint ? `${id}-words` : undefined"
        @input="readOn"
        @change="commit"
        @blur="commit"
        @keydown.up.prevent="step(1)"
        @keydown.down.exact.prevent="step(-1)"
        @keydown.alt.down.prevent="isOpen = true"
      />
      <button
        type="button"
        class="-ml-7 grid size-6 place-items-center rounded text-ink2"
        aria-label="Choose a day"
        :aria-describedby="`${id}-label`"
        title="Choose a day (Alt ↓ in the field)"
        :aria-expanded="isOpen"
        @click="isOpen = !isOpen"
      >
        <CalendarDays :size="15" aria-hidden="true" />
      </button>
      <DayChooser
        v-if="isOpen"
        :day="model"
        :label="label"
        @chosen="
          day => {
            isOpen = false
            take(day)
          }
        "
        @closed="isOpen = false"
      />
    </span>
    <span v-if="complaint" :id="`${id}-words`" role="alert" class="alert-chip mt-1 block">{{
      complaint
    }}</span>
  </div>
</template>
