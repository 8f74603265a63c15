<script setup lang="ts">
import { formatSets } from '#core/words'
import type { Band } from '#core/plan/method'
import type { BoardRail } from './useBoardRails'
import { BAND_MARKS, bandShare } from './bandScale'
import { RAIL_Y, ROW_HEIGHT } from './rowGeometry'

const { band, value, family, size, showsNumbers } = defineProps<{
  band: Band
  value: number
  family: BoardRail['family']
  size: BoardRail['size']
  showsNumbers: boolean
}>()
const WIDTH = 100
const height = computed(() => ROW_HEIGHT[size])
const railY = computed(() => RAIL_Y[size])
const marks = computed(() =>
  (
    [
      ['floor', band.floor],
      ['target', band.target],
      ['ceiling', band.ceiling],
    ] as const
  ).map(([name, sets]) => ({ name, sets, x: BAND_MARKS[name] * WIDTH })),
)
/** The peg's head stays whole at both ends of the channel. */
const pegX = computed(() => Math.min(WIDTH - 4, Math.max(4, bandShare(value, band) * WIDTH)))
const peg = computed(() => ({
  kind: 'peg' as const,
  piece: 0,
  x: 0,
  height: size === 'arm' ? 18 : 11,
  base: 0,
  isDirect: true,
}))
</script>

<template>
  <svg
    :width="WIDTH"
    :height="height"
    :viewBox="`0 0 ${WIDTH} ${height}`"
    aria-hidden="true"
    class="block"
    :style="{ '--peg': `var(--${family}-peg)` }"
  >
    <rect
      :x="BAND_MARKS.floor * WIDTH"
      y="0"
      :width="(BAND_MARKS.ceiling - BAND_MARKS.floor) * WIDTH"
      :height="height"
      fill="var(--sunk)"
    />
    <path
      v-for="mark in marks"
      :key="mark.name"
      :d="`M${mark.x} 0V${height}`"
      stroke="var(--edge)"
      :stroke-dasharray="mark.name === 'target' ? '2 3' : undefined"
    />
    <path :d="`M0 ${railY}H${WIDTH}`" stroke="var(--peg)" stroke-width="1.25" stroke-opacity=".6" />
    <PegMark
      :peg="peg"
      :family="family"
      :scale="size === 'arm' ? 'large' : 'small'"
      :x="pegX"
      :foot="railY"
      :is-blue="false"
    />
    <template v-if="showsNumbers">
      <text
        v-for="mark in marks"
        :key="`n-${mark.name}`"
        :x="mark.x"
        :y="railY + 12"
        text-anchor="middle"
        class="number"
      >
        {{ formatSets(mark.sets) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.number {
  font-size: 10.5px;
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 2px;
}
</style>
