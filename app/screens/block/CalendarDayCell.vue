<script setup lang="ts">
import type { CalendarDay } from './useBlockCalendar'
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'

/** One day of the calendar; sessions can be put down here. */
const { day, isTarget, isSought } = defineProps<{
  day: CalendarDay
  isTarget: boolean
  /** Whether the day should come into sight when it is the target. */ isSought: boolean
}>()
const emit = defineEmits<{
  over: []
  dropped: []
  /** A free part of the day is pressed, and drawn over. */
  pressed: []
  drawn: []
  event: [id: string]
}>()
const isFree = ({ target }: Event) => !(target as Element).closest('button')
defineSlots<{ default?: () => unknown }>()
const cell = useTemplateRef<HTMLElement>('cell')
let stop: (() => void) | undefined
onMounted(() => {
  if (cell.value)
    stop = dropTargetForElements({
      element: cell.value,
      onDragEnter: () => emit('over'),
      onDrop: () => emit('dropped'),
    })
})
onBeforeUnmount(() => stop?.())
watch(
  () => isTarget && isSought,
  isWanted => isWanted && cell.value?.scrollIntoView({ block: 'nearest' }),
  { flush: 'post' },
)
</script>

<template>
  <td
    ref="cell"
    class="day"
    :class="{ out: !day.isInBlock, first: day.isMonthStart, target: isTarget }"
    :data-date="day.date"
    @pointerdown.left="isFree($event) && emit('pressed')"
    @pointerenter="emit('drawn')"
  >
    <span class="number" :class="{ today: day.isToday }"
      >{{ day.label }}<span v-if="day.isToday" class="sr-only">, today</span></span
    >
    <button
      v-for="{ id, what } in day.events"
      :key="id"
      type="button"
      class="event"
      dir="auto"
      :aria-label="`${what}: change or take out`"
      @click="emit('event', id)"
    >
      {{ what }}
    </button>
    <slot />
  </td>
</template>

<style scoped>
.day {
  height: 54px;
  scroll-margin-block: 60px 170px;
  padding: 2px 4px;
  border-top: 1px solid var(--hair);
  vertical-align: top;
  user-select: none;
}
.day.out {
  background: var(--sunk);
}
.day.first {
  border-left: 2px solid var(--edge);
}
.day.first .number:not(.today) {
  color: var(--ink);
  font-weight: 650;
}
.day.target {
  background: var(--focus-wash);
  box-shadow: inset 0 0 0 2px var(--focus);
}
.number {
  color: var(--ink2);
  font-size: 12px;
}
.number.today {
  padding: 0 4px;
  border-radius: 3px;
  background: var(--focus);
  color: var(--ground);
  font-weight: 650;
}
.event {
  display: block;
  color: var(--ink2);
  font-size: 12px;
  font-style: italic;
  line-height: 15px;
  text-align: start;
}
.event:hover {
  text-decoration: underline;
}
</style>
