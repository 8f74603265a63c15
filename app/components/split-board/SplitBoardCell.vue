<script setup lang="ts">
import { cellLabel, clusterCount } from '#core/format'
import type { BoardRail } from '~/composables/useBoardRails'
import { useBoard } from './boardContext'
import { useCellDrag } from './useCellDrag'

const { rail, railAt, dayAt, width } = defineProps<{ rail: BoardRail, railAt: number, dayAt: number, width: number }>()
const board = useBoard()
const element = useTemplateRef<HTMLElement>('element')

const cell = computed(() => rail.view.cells[dayAt] ?? { tally: rail.view.week, pieces: [] })
const day = computed(() => board.days.value[dayAt])
const isRest = computed(() => day.value?.role === 'rest')
const isSelected = computed(() => board.place.value.rail === railAt && board.place.value.day === dayAt)
const isHovered = computed(() => board.hovered.value?.rail === railAt && board.hovered.value.day === dayAt)
const inHand = computed(() => board.carry.inHand.value)
const isSource = computed(() => inHand.value?.railKey === rail.key && inHand.value.fromDay === dayAt)
const isTarget = computed(() => inHand.value?.toDay === dayAt && inHand.value.fromDay !== dayAt)
const label = computed(() => (day.value ? cellLabel(rail.view, day.value, dayAt) : ''))
const count = computed(() => clusterCount(cell.value))
const height = computed(() => ({ arm: 68, head: 22, small: 29 })[rail.size])
const railY = computed(() => ({ arm: 54, head: 20, small: 25 })[rail.size])

const bluePieces = computed(() => {
  const carried = new Set<string>(inHand.value?.pieces.map(piece => piece.slot.exercise) ?? [])
  const isAffected = isTarget.value || isSource.value
  const inHandHere = isAffected ? cell.value.pieces.flatMap((piece, at) => (carried.has(piece.slot.exercise) ? [at] : [])) : []
  const picked = isSelected.value && board.pick.value !== null ? [board.pick.value] : []
  return new Set([...inHandHere, ...picked])
})
const holes = computed(() => (isSource.value && board.carry.preview.value ? inHand.value?.count ?? 0 : 0))
const showsButtons = computed(() => (isSelected.value || isHovered.value) && !inHand.value && !isRest.value && rail.size === 'arm')

function pickUnder(event: PointerEvent): number | null {
  const mark = (event.target as Element).closest('[data-piece]')
  return mark ? Number(mark.getAttribute('data-piece')) : null
}
function pressed(event: PointerEvent): void {
  const under = pickUnder(event)
  board.select({ rail: railAt, day: dayAt })
  board.pick.value = under
}
function change(step: 1 | -1): void {
  if (!isSelected.value) board.select({ rail: railAt, day: dayAt })
  board.changeSets(step)
}

useCellDrag(element, { board, railAt, dayAt })
watch(isSelected, (selected) => {
  if (selected && document.activeElement?.closest('[role=grid]')) element.value?.focus({ preventScroll: false })
}, { flush: 'post' })
</script>

<template>
  <div
    ref="element" role="gridcell" class="cell" :tabindex="isSelected ? 0 : -1" :aria-label="label" :aria-selected="isSelected"
    :data-rest="isRest || undefined" :data-selected="isSelected || undefined" :data-day-selected="board.place.value.day === dayAt || undefined" :data-hovered="isHovered || undefined"
    :data-target="isTarget || undefined" :data-size="rail.size" :data-family="rail.family"
    :style="{ height: `${height}px` }"
    @pointerdown="pressed" @pointerenter="board.hovered.value = { rail: railAt, day: dayAt }" @pointerleave="board.hovered.value = null"
    @focus="isSelected || board.select({ rail: railAt, day: dayAt })"
  >
    <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true" class="block">
      <path :d="`M0 ${railY}H${width}`" class="rail" />
      <path :d="`M0.500 ${railY - 4}V${railY + 4}`" class="tick" />
      <PegCluster :cell="cell" :family="rail.family" :size="rail.size" :width="width" :blue-pieces="bluePieces" :holes="holes" />
      <text v-if="rail.size === 'arm'" :x="width / 2" :y="railY - 28" text-anchor="middle" class="count">
        <tspan class="count-direct">{{ count.direct }}</tspan><tspan v-if="count.indirect" class="count-indirect">{{ count.direct ? ' + ' : '+ ' }}{{ count.indirect }}</tspan>
      </text>
    </svg>
    <template v-if="showsButtons">
      <button type="button" class="nudge left-0.5" tabindex="-1" :aria-label="`Cut a set: ${label}`" title="Cut a set (−)" @pointerdown.stop @click="change(-1)">
        −
      </button>
      <button type="button" class="nudge right-0.5" tabindex="-1" :aria-label="`Add a set: ${label}`" title="Add a set (+)" @pointerdown.stop @click="change(1)">
        +
      </button>
    </template>
  </div>
</template>

<style scoped>
.cell { position: relative; --rail: var(--body-peg); cursor: default; touch-action: pan-y; }
.cell[data-family="flex"] { --rail: var(--flex-peg); --text: var(--flex); }
.cell[data-family="flex2"] { --rail: var(--flex2-peg); --text: var(--flex2); }
.cell[data-family="ext"] { --rail: var(--ext-peg); --text: var(--ext); }
.cell[data-family="fore"] { --rail: var(--fore-peg); --text: var(--fore); }
.cell[data-day-selected] { background: var(--paper); }
.cell[data-rest] { background: var(--rest-day); }
.cell[data-target] { background: var(--focus-wash); }
.cell[data-hovered]::after { content: ""; position: absolute; inset: 2px; border: 1px solid var(--edge); border-radius: 5px; pointer-events: none; }
.cell:focus-visible { outline: none; }
.cell[data-selected]::after { content: ""; position: absolute; inset: 1px 2px; border: 2px solid var(--focus); border-radius: 5px; pointer-events: none; }
.rail { stroke: var(--rail); stroke-width: 2; opacity: .6; }
.cell[data-size="head"] .rail, .cell[data-size="small"] .rail { stroke-width: 1.25; opacity: .5; }
.tick { stroke: var(--rail); stroke-width: 1; opacity: .7; }
.count { font-size: 11.5px; }
.count-direct { font-weight: 700; fill: var(--text); }
.count-indirect { fill: var(--ink2); }
[role="gridcell"]:has([data-piece]) { cursor: grab; }
.nudge {
  position: absolute; top: 3px; width: 24px; height: 24px; border-radius: 4px; font-size: 16px; line-height: 1; font-weight: 600; color: var(--ink2);
}
.nudge:hover { background: var(--sunk); color: var(--ink); }
@media (forced-colors: active) { .rail, .tick { stroke: CanvasText; } .cell[data-selected]::after { border-color: Highlight; } }
</style>
