<script setup lang="ts">
import { cellWords, dayName, railName } from '#core/words'
import { refThrottled } from '@vueuse/core'
import { useBoard } from './boardContext'

const { isPhone } = defineProps<{
  /** The day board has its own buttons: only what is said stands here. */
  isPhone: boolean
}>()
const board = useBoard()
const store = usePlanStore()
const SPOKEN_EVERY_MS = 400

const carried = computed(() => {
  const hand = board.carry.inHand.value
  if (!hand) return null
  const names = hand.pieces
    .map(piece => store.context?.catalogue.get(piece.slot.exercise)?.name)
    .join(' and ')
  const where =
    hand.toDay === hand.fromDay
      ? `from day ${hand.fromDay + 1}`
      : `day ${hand.fromDay + 1} → day ${hand.toDay + 1}`
  return `Carrying ${hand.count} ${names}, ${where}`
})
const shown = computed(() => {
  const at = board.hovered.value ?? board.place.value
  const rail = board.rails.value[at.rail]
  const day = board.days.value[at.day]
  const cell = rail?.view.cells[at.day]
  if (!rail || !day || !cell || !store.context) return null
  return {
    place: `Day ${at.day + 1} ${dayName(day)}, ${railName(rail.view)}`,
    family: rail.family,
    isEmpty: cell.pieces.length === 0,
    isRest: day.role === 'rest',
    ...cellWords(cell, store.context.catalogue),
  }
})
const nextLoads = useNextLoads(board)
const picked = computed(() => (board.hovered.value ? null : board.pick.value))
const spoken = refThrottled(
  computed(() => board.message.value || carried.value || ''),
  SPOKEN_EVERY_MS,
)
</script>

<template>
  <div class="readout">
    <p v-if="carried" class="truncate font-semibold text-focus">
      {{ carried }}
    </p>
    <p v-else-if="shown && !isPhone" class="truncate" aria-hidden="true">
      <b :style="{ color: `var(--${shown.family})` }">{{ shown.place }}</b>
      <span v-if="nextLoads && picked !== null" class="pl-2">{{ nextLoads }}</span>
      <template v-if="shown.isEmpty">
        <span class="pl-2 text-ink2">{{ shown.isRest ? 'rest day' : 'no sets yet' }}</span>
      </template>
      <template v-else>
        <span v-for="(piece, at) in shown.pieces" :key="at"
          ><span class="text-ink2">{{ at > 0 ? ' + ' : '  ' }}</span
          ><span :class="{ picked: at === picked }">{{ piece.sets }} {{ piece.name }}</span
          >{{ ' ' }}<span class="text-ink2">{{ piece.credit }}</span></span
        >
        <b> = {{ shown.total }}</b>
        <span v-if="nextLoads && picked === null" class="pl-2 text-ink2">{{ nextLoads }}</span>
      </template>
    </p>
    <p
      role="status"
      class="ml-auto pl-4 text-ink2 max-md:ml-0 max-md:flex-1 max-md:pl-0 md:shrink-0"
      :class="{ 'sr-only': spoken === carried }"
    >
      {{ spoken }}
    </p>
    <div class="flex shrink-0 items-center gap-2 pl-3">
      <SaveStatus v-if="isPhone && !board.carry.inHand.value && !spoken" />
      <template v-if="board.carry.inHand.value">
        <button type="button" class="control" @click="board.confirm()">Put down</button>
        <button type="button" class="control" @click="board.cancel()">Put back</button>
      </template>
      <button v-else-if="isPhone" type="button" class="control" @click="board.openPicker()">
        Add exercise
      </button>
      <template v-else>
        <button
          type="button"
          class="control"
          aria-label="Cut a set"
          title="Cut a set (−)"
          @click="board.changeSets(-1)"
        >
          −
        </button>
        <button
          type="button"
          class="control"
          aria-label="Add a set"
          title="Add a set (+)"
          @click="board.changeSets(1)"
        >
          +
        </button>
        <button type="button" class="control" @click="board.openPicker()">
          Add exercise <KeyCap label="E" />
        </button>
        <MoveMenu />
      </template>
    </div>
  </div>
</template>

<style scoped>
.readout {
  display: flex;
  align-items: center;
  min-height: 38px;
  padding: 4px 20px;
  background: var(--paper);
  border-top: 1px solid var(--line);
  white-space: pre-wrap;
}
.picked {
  color: var(--focus);
  font-weight: 600;
}
</style>
