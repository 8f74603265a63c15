<script setup lang="ts">
import type { RailCell } from '#core/count/ledger'
import type { BoardRail } from './useBoardRails'
import { pegGroupLayout } from './pegLayout'
import { RAIL_Y } from './rowGeometry'

const { cell, family, size, width, bluePieces, holes } = defineProps<{
  cell: RailCell
  family: BoardRail['family']
  size: BoardRail['size']
  width: number
  /** Pieces drawn in signal blue: picked, or in hand. */
  bluePieces: ReadonlySet<number>
  /** Sets that were lifted off here. */
  holes: number
}>()

const MARGIN = 18
const PAD = {
  arm: { height: 5, extra: 12 },
  head: { height: 3, extra: 6 },
  small: { height: 4, extra: 8 },
} as const
const HOLE_PITCH = 7

const scale = computed(() => (size === 'arm' ? 'large' : 'small'))
const railY = computed(() => RAIL_Y[size])
const layout = computed(() => pegGroupLayout(cell.pieces, width - MARGIN, scale.value))
const left = computed(() => (width - layout.value.width) / 2)
const pad = computed(() => {
  const { height, extra } = PAD[size]
  const inner = Math.max(layout.value.width, holes * HOLE_PITCH)
  return {
    x: (width - inner - extra) / 2,
    width: inner + extra,
    height,
    y: railY.value - height / 2,
  }
})
const holeXs = computed(() =>
  Array.from({ length: holes }, (_, at) => width / 2 + (at - (holes - 1) / 2) * HOLE_PITCH),
)
const isEmpty = computed(() => layout.value.pegs.length === 0 && holes === 0)
</script>

<template>
  <g v-if="!isEmpty" class="pegGroup" :data-family="family">
    <rect
      class="pad"
      :x="pad.x"
      :y="pad.y"
      :width="pad.width"
      :height="pad.height"
      :rx="pad.height / 2"
    />
    <circle v-for="x in holeXs" :key="x" class="hole" :cx="x" :cy="railY" r="2.4" />
    <PegMark
      v-for="(peg, at) in layout.pegs"
      :key="at"
      :peg="peg"
      :family="family"
      :scale="scale"
      :data-piece="peg.piece"
      :x="left + peg.x"
      :foot="railY - pad.height / 2"
      :is-blue="bluePieces.has(peg.piece)"
    />
  </g>
</template>

<style scoped>
.pegGroup[data-family='flex'] {
  --peg: var(--flex-peg);
}
.pegGroup[data-family='flex2'] {
  --peg: var(--flex2-peg);
}
.pegGroup[data-family='ext'] {
  --peg: var(--ext-peg);
}
.pegGroup[data-family='fore'] {
  --peg: var(--fore-peg);
}
.pegGroup[data-family='body'] {
  --peg: var(--body-peg);
}
.pad {
  fill: var(--peg);
}
.hole {
  fill: var(--ground);
}
@media (forced-colors: active) {
  .pegGroup {
    --peg: CanvasText !important;
  }
  .hole {
    fill: Canvas;
  }
}
</style>
