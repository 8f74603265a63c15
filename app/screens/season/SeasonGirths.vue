<script setup lang="ts">
import { drawnGirths, type SeasonScale } from './seasonLayout'
import type { useSeason } from './useSeason'

/** Upper arms above the planks: each measuring, and the band of what a tape errs. */
const { girths, scale } = defineProps<{
  girths: Awaited<ReturnType<typeof useSeason>>['girths']['value']
  scale: SeasonScale
}>()
const HEIGHT = 44
const drawn = computed(() => drawnGirths(girths, scale, HEIGHT))
</script>

<template>
  <p class="leading-[16px]">
    <b>Upper arms</b><span class="block text-[12px] text-ink2">the band is what a tape errs</span>
  </p>
  <div>
    <p class="flex flex-wrap gap-x-6 text-[12px]">
      <span v-for="(girth, at) in girths" :key="girth.kind">
        <span aria-hidden="true">{{ at === 0 ? '●' : '○' }}</span> <b>{{ girth.name }}</b>{{ ' '
        }}{{ girth.words }}
      </span>
    </p>
    <svg class="w-full overflow-visible" :style="{ height: `${HEIGHT}px` }" aria-hidden="true">
      <path v-for="(girth, at) in drawn" :key="girths[at]!.kind" :d="girth.band" class="band" />
      <g v-for="(girth, at) in drawn" :key="girths[at]!.kind">
        <path :d="girth.line" class="line" :data-second="at > 0 || undefined" />
        <circle
          v-for="point in girth.points"
          :key="point.x"
          class="point"
          :data-second="at > 0 || undefined"
          :cx="point.x"
          :cy="point.y"
          r="3"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.band {
  fill: var(--sunk);
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.line[data-second] {
  stroke-dasharray: 4 3;
}
.point {
  fill: var(--ink);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.point[data-second] {
  fill: var(--ground);
}
</style>
