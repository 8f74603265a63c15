<script setup lang="ts">
import { VueDatePicker } from '@vuepic/vue-datepicker'
import '@vuepic/vue-datepicker/dist/main.css'
import { type PlainDate, plainDate } from '#core/base'
import { formatWholeDay, monthName, weekdayName } from '#core/words'
import { onClickOutside } from '@vueuse/core'

/** A month to choose a day from, under its field. */
const { day, label } = defineProps<{ day: string; label: string }>()
const emit = defineEmits<{ chosen: [day: string]; closed: [] }>()
const box = useTemplateRef<HTMLElement>('box')
onClickOutside(box, () => emit('closed'))
const today = useToday()
const weekdays = [1, 2, 3, 4, 5, 6, 7].map(weekdayName)
/** Of the browser's own calendar: only the day is taken from it. */
const value = computed(() => new Date(`${day || today.value}T12:00:00`))
function dayOf(date: Date): PlainDate {
  const two = (part: number) => String(part).padStart(2, '0')
  return plainDate(`${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`)
}
onMounted(() =>
  setTimeout(() => box.value?.querySelector<HTMLElement>('[role=gridcell][tabindex="0"]')?.focus()),
)
const labels = {
  calendarWrap: label,
  day: ({ value: date }: { value: Date }) => formatWholeDay(dayOf(date)),
}
</script>

<template>
  <div
    ref="box"
    class="day-chooser absolute top-full left-0 z-30 mt-1"
    role="dialog"
    :aria-label="`Choose: ${label}`"
    @keydown.esc.stop="emit('closed')"
  >
    <VueDatePicker
      :model-value="value"
      inline
      auto-apply
      :time-config="{ enableTimePicker: false }"
      :week-start="1"
      :day-names="weekdays"
      :aria-labels="labels"
      @update:model-value="(date: Date) => emit('chosen', dayOf(date))"
    >
      <template #month="{ value: month }">{{ monthName(month + 1) }}</template>
      <template #month-overlay-value="{ value: month }">{{ monthName(month + 1) }}</template>
    </VueDatePicker>
  </div>
</template>

<style>
.day-chooser {
  --dp-font-family: var(--font-body, inherit);
}
.day-chooser .dp--theme-light {
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
