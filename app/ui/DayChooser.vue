<script setup lang="ts">
import { VueDatePicker } from '@vuepic/vue-datepicker'
import '@vuepic/vue-datepicker/dist/main.css'
import { calendarDay } from './useDayField'
import { formatWholeDay, monthName, weekdayName } from '#core/words'
import { onClickOutside, useEventListener, useIntervalFn } from '@vueuse/core'

/** A month to choose a day from, under its field. */
const { day, label } = defineProps<{ day: string; label: string }>()
const emit = defineEmits<{ chosen: [day: string]; closed: [] }>()
const box = useTemplateRef<HTMLElement>('box')
onClickOutside(box, () => emit('closed'))
// The package keeps its keys to itself, so this one is heard before it.
useEventListener(
  document,
  'keydown',
  event => {
    if (event.key !== 'Escape') return
    event.stopPropagation()
    emit('closed')
  },
  { capture: true },
)
const today = useToday()
const weekdays = [1, 2, 3, 4, 5, 6, 7].map(weekdayName)
/** Of the browser's own calendar: only the day is taken from it. */
const value = computed(() => new Date(`${day || today.value}T12:00:00`))
/** The package moves the focus about while it draws the month; the day gets it once that is over. */
let ticksLeft = 12
const { pause } = useIntervalFn(() => {
  const cell = box.value?.querySelector<HTMLElement>(`#dp-${day || today.value}`)
  if (!box.value?.contains(document.activeElement) || document.activeElement?.tagName === 'BUTTON')
    cell?.focus()
  if (--ticksLeft <= 0) pause()
}, 25)
const labels = {
  calendarWrap: label,
  day: ({ value: date }: { value: Date }) => formatWholeDay(calendarDay(date)),
}
</script>

<template>
  <div
    ref="box"
    class="day-chooser absolute top-full left-0 z-30 mt-1"
    role="dialog"
    aria-label="Calendar"
  >
    <VueDatePicker
      :model-value="value"
      inline
      arrow-navigation
      auto-apply
      :time-config="{ enableTimePicker: false }"
      :week-start="1"
      :day-names="weekdays"
      :aria-labels="labels"
      @update:model-value="(date: Date) => emit('chosen', calendarDay(date))"
    >
      <template #month="{ value: month }">{{ monthName(month + 1) }}</template>
      <template #month-overlay-value="{ value: month }">{{ monthName(month + 1) }}</template>
    </VueDatePicker>
  </div>
</template>

<style>
.day-chooser .dp--theme-light {
  --dp-font-family: var(--font-text);
  --dp-font-size: 13px;
  --dp-cell-size: 30px;
  --dp-background-color: var(--paper);
  --dp-text-color: var(--ink);
  --dp-hover-color: var(--sunk);
  --dp-hover-text-color: var(--ink);
  --dp-hover-icon-color: var(--ink);
  --dp-primary-color: var(--ink);
  --dp-primary-text-color: var(--on-ink);
  --dp-secondary-color: var(--ink2);
  --dp-border-color: var(--edge);
  --dp-menu-border-color: var(--edge);
  --dp-icon-color: var(--ink2);
}
</style>
