<script setup lang="ts">
import { arrivalWords, cellLabel, pegGroupCount, wholeReadiness } from '#core/words'
import { Lock, Zap } from 'lucide-vue-next'
import type { RailCell } from '#core/count/ledger'
import type { Arrival } from '#core/body/recovery'
import type { BoardRail } from './useBoardRails'
import { useBoard } from './boardContext'
import { RAIL_Y, ROW_HEIGHT } from './rowGeometry'
import { useCellDrag } from './useCellDrag'

const { rail, railAt, dayAt, width, cell, arrivals, resting, worst } = defineProps<{
  rail: BoardRail
  railAt: number
  dayAt: number
  width: number
  cell: RailCell
  /** Exposures of the line's group, as shown and as they are before what is in hand is put down. */
  arrivals: readonly Arrival[]
  resting: readonly Arrival[]
  /** On a folded line, what is least ready on this day. */
  worst: Arrival | null
}>()
const board = useBoard()
const element = useTemplateRef<HTMLElement>('element')

const day = computed(() => board.days.value[dayAt])
const isRest = computed(() => day.value?.role === 'rest')
const isSelected = computed(
  () => board.place.value.rail === railAt && board.place.value.day === dayAt,
)
const isHovered = computed(
  () => board.hovered.value?.rail === railAt && board.hovered.value.day === dayAt,
)
const inHand = computed(() => board.carry.inHand.value)
const isSource = computed(
  () => inHand.value?.railKey === rail.key && inHand.value.fromDay === dayAt,
)
const isTarget = computed(() => inHand.value?.toDay === dayAt && inHand.value.fromDay !== dayAt)
const arrival = computed(() => arrivals.find(({ day: on }) => on === dayAt))
const isHeld = computed(() => cell.pieces.some(({ slot, credit }) => credit === 1 && slot.isHeld))
const isMarked = computed(() => board.marked.value.has(`${rail.key} ${dayAt}`))
const label = computed(() =>
  [
    day.value ? cellLabel(rail.view, day.value, dayAt) : '',
    arrival.value && cell.pieces.length > 0 ? arrivalWords(arrival.value) : '',
    isHeld.value ? 'held fixed' : '',
    isMarked.value ? 'selected too' : '',
  ]
    .filter(Boolean)
    .join(', '),
)
const count = computed(() => pegGroupCount(cell))
const height = computed(() => ROW_HEIGHT[rail.size])
const railY = computed(() => RAIL_Y[rail.size])

const bluePieces = computed(() => {
  const carried = new Set<string>(inHand.value?.pieces.map(piece => piece.slot.exercise) ?? [])
  const isAffected = isTarget.value || isSource.value
  const inHandHere = isAffected
    ? cell.pieces.flatMap((piece, at) => (carried.has(piece.slot.exercise) ? [at] : []))
    : []
  const picked = isSelected.value && board.pick.value !== null ? [board.pick.value] : []
  return new Set([...inHandHere, ...picked])
})
const holes = computed(() =>
  isSource.value && board.carry.preview.value ? (inHand.value?.count ?? 0) : 0,
)
const showsButtons = computed(
  () =>
    (isSelected.value || isHovered.value) && !inHand.value && !isRest.value && rail.size === 'arm',
)

function pickUnder(event: PointerEvent): number | null {
  const mark = (event.target as Element).closest('[data-piece]')
  return mark ? Number(mark.getAttribute('data-piece')) : null
}
function pressed(event: PointerEvent): void {
  if (event.ctrlKey || event.metaKey) return board.toggleMark({ rail: railAt, day: dayAt })
  const under = pickUnder(event)
  // The first press chooses the whole cluster, a second one the exercise under it; a drag takes the direct sets it began on.
  const wasSelected = isSelected.value
  board.select({ rail: railAt, day: dayAt })
  board.pick.value = wasSelected ? under : null
  board.grabbed.value = under !== null && cell.pieces[under]?.credit === 1 ? under : null
}
function change(step: 1 | -1): void {
  if (!isSelected.value) board.select({ rail: railAt, day: dayAt })
  board.changeSets(step)
}

useCellDrag(element, { board, railAt, dayAt })
watch(
  isSelected,
  selected => {
    if (selected && document.activeElement?.closest('[role=grid]'))
      element.value?.focus({ preventScroll: false })
  },
  { flush: 'post' },
)
</script>

<template>
  <div
    ref="element"
    role="gridcell"
    class="cell"
    :tabindex="isSelected ? 0 : -1"
    :aria-label="label"
    :aria-selected="isSelected"
    :data-exercise="cell.pieces[0]?.slot.exercise"
    :data-rest="isRest || undefined"
    :data-selected="isSelected || undefined"
    :data-day-selected="board.place.value.day === dayAt || undefined"
    :data-hovered="isHovered || undefined"
    :data-target="isTarget || undefined"
    :data-marked="isMarked || undefined"
    :data-size="rail.size"
    :data-family="rail.family"
    :style="{ height: `${height}px` }"
    @pointerdown="pressed"
    @pointerenter="board.hovered.value = { rail: railAt, day: dayAt }"
    @pointerleave="board.hovered.value = null"
    @focus="isSelected || board.select({ rail: railAt, day: dayAt })"
  >
    <svg
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      aria-hidden="true"
      class="block"
    >
      <path :d="`M0 ${railY}H${width}`" class="rail" />
      <path :d="`M0.500 ${railY - 4}V${railY + 4}`" class="tick" />
      <PegGroup
        :cell="cell"
        :family="rail.family"
        :size="rail.size"
        :width="width"
        :blue-pieces="bluePieces"
        :holes="holes"
      />
      <text
        v-if="rail.size === 'arm'"
        :x="width / 2"
        :y="railY - 28"
        text-anchor="middle"
        class="count"
      >
        <tspan class="count-direct">{{ count.direct }}</tspan>
        <tspan v-if="count.indirect" class="count-indirect">
          {{ count.direct ? ' + ' : '+ ' }}{{ count.indirect }}
        </tspan>
      </text>
    </svg>
    <RecoveryThreads
      v-if="rail.size === 'arm'"
      :arrivals="arrivals"
      :resting="resting"
      :day="dayAt"
      :days="board.days.value.length"
      :width="width"
      :rail-y="railY"
    />
    <span v-if="worst" class="unready" :data-state="worst.thread"
      ><Zap :size="10" aria-hidden="true" />{{ wholeReadiness(worst.readiness) }} %</span
    >
    <Lock v-if="isHeld && rail.size !== 'small'" :size="11" class="held" aria-hidden="true" />
    <template v-if="showsButtons">
      <button
        type="button"
        class="nudge left-0.5"
        tabindex="-1"
        :aria-label="`Cut a set: ${label}`"
        title="Cut a set (−)"
        @pointerdown.stop
        @click="change(-1)"
      >
        −
      </button>
      <button
        type="button"
        class="nudge right-0.5"
        tabindex="-1"
        :aria-label="`Add a set: ${label}`"
        title="Add a set (+)"
        @pointerdown.stop
        @click="change(1)"
      >
        +
      </button>
    </template>
  </div>
</template>

<style scoped>
.cell {
  position: relative;
  --rail: var(--body-peg);
  cursor: default;
  touch-action: pan-y;
}
.cell[data-family='flex'] {
  --rail: var(--flex-peg);
  --text: var(--flex);
}
.cell[data-family='flex2'] {
  --rail: var(--flex2-peg);
  --text: var(--flex2);
}
.cell[data-family='ext'] {
  --rail: var(--ext-peg);
  --text: var(--ext);
}
.cell[data-family='fore'] {
  --rail: var(--fore-peg);
  --text: var(--fore);
}
.cell[data-day-selected] {
  background: var(--paper);
}
.cell[data-rest] {
  background: var(--rest-day);
}
.cell[data-target] {
  background: var(--focus-wash);
}
.cell[data-hovered]::after {
  content: '';
  position: absolute;
  inset: 2px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  pointer-events: none;
}
.cell:focus-visible {
  outline: none;
}
.cell[data-selected]::after {
  content: '';
  position: absolute;
  inset: 1px 2px;
  border: 2px solid var(--focus);
  border-radius: 5px;
  pointer-events: none;
}
/* The frame ends above the threads, whose hours stand clear below it. */
.cell[data-size='arm'][data-selected]::after {
  bottom: 22px;
}
/* A stroke's own opacity: the element's would make a picture of its own of each, put together anew after every key. */
.rail {
  stroke: var(--rail);
  stroke-width: 2;
  stroke-opacity: 0.6;
}
.cell[data-size='head'] .rail,
.cell[data-size='small'] .rail {
  stroke-width: 1.25;
  stroke-opacity: 0.5;
}
.tick {
  stroke: var(--rail);
  stroke-width: 1;
  stroke-opacity: 0.7;
}
.count {
  font-size: 11.5px;
}
.count-direct {
  font-weight: 700;
  fill: var(--text);
}
.count-indirect {
  fill: var(--ink2);
}
[role='gridcell']:has([data-piece]) {
  cursor: grab;
}
.nudge {
  position: absolute;
  top: 3px;
  width: 24px;
  height: 24px;
  border-radius: 4px;
  font-size: 16px;
  line-height: 1;
  font-weight: 600;
  color: var(--ink2);
}
.nudge:hover {
  background: var(--sunk);
  color: var(--ink);
}
@media (forced-colors: active) {
  .rail,
  .tick {
    stroke: CanvasText;
  }
  .cell[data-selected]::after {
    border-color: Highlight;
  }
}
.unready {
  position: absolute;
  right: 3px;
  top: 2px;
  display: inline-flex;
  align-items: center;
  gap: 1px;
  font-size: 10.5px;
  font-weight: 700;
  color: var(--ink);
  pointer-events: none;
}
.unready[data-state='frayed'] {
  padding: 0 3px;
  border-radius: 3px;
  background: var(--alert-wash);
  color: var(--alert);
}
.held {
  position: absolute;
  right: 5px;
  top: 5px;
  color: var(--ink2);
}
.cell[data-marked] {
  box-shadow: inset 0 0 0 1.5px var(--focus);
}
</style>
