<script setup lang="ts">
import { dayName } from '#core/words'
import { useBoard } from './boardContext'
import { useDayDrag, useDayDrop } from './useCellDrag'

const { dayAt, date } = defineProps<{ dayAt: number; date: string }>()
const board = useBoard()
const element = useTemplateRef<HTMLElement>('element')
const day = computed(() => board.days.value[dayAt])
const isSelected = computed(() => board.place.value.day === dayAt)
const isTarget = computed(
  () => board.carry.inHand.value?.toDay === dayAt && board.carry.inHand.value.fromDay !== dayAt,
)
const grip = useTemplateRef<HTMLElement>('grip')
useDayDrop(element, { board, dayAt })
const { isOver } = useDayDrag(grip, { board, dayAt })
</script>

<template>
  <div
    ref="element"
    role="columnheader"
    class="head"
    :data-rest="day?.role === 'rest' || undefined"
    :data-selected="isSelected || undefined"
    :data-target="isTarget || isOver || undefined"
    :data-ink="dayAt % 2 === 0 || undefined"
    @click="board.goToDay(dayAt)"
  >
    <span ref="grip" class="grip" :data-moves="(day?.sessions.length ?? 0) > 0 || undefined">
      <span class="number">{{ dayAt + 1 }}</span>
      <span class="min-w-0">
        <span class="role"
          >{{ day ? dayName(day) : '' }}{{ (day?.sessions.length ?? 0) > 1 ? ' ×2' : '' }}</span
        >
        <span class="date">{{ date }}</span>
      </span>
    </span>
  </div>
</template>

<style scoped>
.grip {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
  width: 100%;
  height: 100%;
}
.grip[data-moves] {
  cursor: grab;
}
.head {
  position: relative;
  display: flex;
  align-items: center;
  gap: 8px;
  height: 40px;
  padding: 4px 6px 0 9px;
  border-left: 1px solid var(--line);
  min-width: 0;
}
.head::before {
  content: '';
  position: absolute;
  left: -1px;
  right: 0;
  top: 0;
  height: 4px;
  border: 1px solid var(--ink);
  background: var(--paper);
}
.head[data-ink]::before {
  background: var(--ink);
}
.head[data-rest] {
  background: var(--rest-day);
  color: var(--ink2);
}
.head[data-selected] {
  background: var(--paper);
}
.head[data-target] {
  background: var(--focus-wash);
}
.number {
  font-family: var(--font-display);
  font-size: 22px;
  line-height: 24px;
  font-weight: 600;
}
.role {
  display: block;
  font-weight: 650;
  line-height: 15px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.head[data-rest] .role {
  font-weight: 400;
}
.date {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 10.5px;
  line-height: 13px;
  color: var(--ink2);
  white-space: nowrap;
}
</style>
