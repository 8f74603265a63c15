<script setup lang="ts">
import type { BoardRail } from './useBoardRails'
import type { Peg } from './pegLayout'

const { peg, family, scale, x, foot, isBlue } = defineProps<{
  peg: Peg
  family: BoardRail['family']
  scale: 'large' | 'small'
  /** Middle of the peg. */
  x: number
  /** Where the pad begins. */
  foot: number
  isBlue: boolean
}>()

/** Shapes of the heads, told apart without colour: ball, cap, fork, plain post. */
const shape = computed(() => {
  const isLarge = scale === 'large'
  const top = foot - peg.height
  const headWidth = isLarge ? (peg.isDirect ? 7 : 5) : peg.isDirect ? 4 : 3
  const shaft = family === 'body' ? (isLarge ? 5 : 3) : isLarge ? 3 : 1.8
  return {
    top,
    headWidth,
    shaft: peg.isDirect ? shaft : shaft * 0.75,
    headHeight: isLarge ? 4 : 2.6,
  }
})
const chipBottom = computed(() => foot - peg.base)
</script>

<template>
  <g :class="['peg', peg.isDirect ? 'direct' : 'indirect', { blue: isBlue }]">
    <rect
      v-if="peg.kind === 'chip'"
      :x="x - 4.5"
      :y="chipBottom - peg.height"
      width="9"
      :height="peg.height"
    />
    <template v-else-if="family === 'flex' || family === 'flex2'">
      <rect
        :x="x - shape.shaft / 2"
        :y="shape.top + shape.headWidth - 1"
        :width="shape.shaft"
        :height="peg.height - shape.headWidth + 1"
      />
      <circle :cx="x" :cy="shape.top + shape.headWidth / 2" :r="shape.headWidth / 2" />
    </template>
    <template v-else-if="family === 'ext'">
      <rect
        :x="x - shape.shaft / 2"
        :y="shape.top + shape.headHeight"
        :width="shape.shaft"
        :height="peg.height - shape.headHeight"
      />
      <rect
        :x="x - shape.headWidth / 2"
        :y="shape.top"
        :width="shape.headWidth"
        :height="shape.headHeight"
      />
    </template>
    <path
      v-else-if="family === 'fore'"
      class="fork"
      :d="`M${x} ${foot}V${shape.top + shape.headHeight + 2}M${x - shape.headWidth / 2 + 1} ${shape.top}V${shape.top + shape.headHeight + 2}H${x + shape.headWidth / 2 - 1}V${shape.top}`"
    />
    <rect
      v-else
      :x="x - shape.shaft / 2"
      :y="shape.top"
      :width="shape.shaft"
      :height="peg.height"
    />
  </g>
</template>

<style scoped>
.direct {
  fill: var(--peg);
  stroke: none;
}
.direct .fork {
  fill: none;
  stroke: var(--peg);
  stroke-width: 2;
}
.indirect {
  fill: var(--ground);
  stroke: var(--peg);
  stroke-width: 1.15;
}
.indirect .fork {
  fill: none;
  stroke-width: 1.15;
}
.blue {
  --peg: var(--focus);
}
</style>
