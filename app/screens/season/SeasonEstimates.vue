<script setup lang="ts">
import { drawnGirths, type SeasonScale } from './seasonLayout'
import type { Estimates } from './useEstimates'

/** What two exercises are worth, estimated from what was lifted; each to a scale of its own. */
const { estimates, scale } = defineProps<{ estimates: Estimates; scale: SeasonScale }>()
const HEIGHT = 44
const lines = computed(() => estimates.lines.value)
const drawn = computed(() =>
  lines.value.map(({ points }) => drawnGirths([{ points, noise: 0 }], scale, HEIGHT)[0]!),
)
const chosenOf = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <p class="leading-[16px]">
    <b>Estimates</b
    ><span class="block text-[12px] text-ink2">one repetition, each to its own scale</span>
  </p>
  <div>
    <p class="flex flex-wrap items-baseline gap-x-6 text-[12px]">
      <span v-for="(line, at) in lines" :key="at">
        <span aria-hidden="true">{{ at === 0 ? '■' : '□' }}</span>{{ ' '
        }}<select
          class="max-w-[240px] truncate pr-6 font-semibold"
          :aria-label="`Exercise ${at + 1} above the blocks`"
          :value="line.exercise"
          @change="estimates.choose(at, chosenOf($event))"
        >
          <option
            v-for="choice in estimates.choices.value"
            :key="choice.exercise"
            :value="choice.exercise"
          >
            {{ choice.name }}
          </option></select
        >{{ ' ' }}{{ line.words }}
      </span>
    </p>
    <svg class="w-full overflow-visible" :style="{ height: `${HEIGHT}px` }" aria-hidden="true">
      <g v-for="(course, at) in drawn" :key="at">
        <path :d="course.line" class="line" :data-second="at > 0 || undefined" />
        <rect
          v-for="point in course.points"
          :key="point.x"
          class="point"
          :data-second="at > 0 || undefined"
          :x="point.x - 2.5"
          :y="point.y - 2.5"
          width="5"
          height="5"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.line {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1.5;
}
.line[data-second] {
  stroke-dasharray: 4 3;
}
.point {
  fill: var(--ink2);
  stroke: var(--ink2);
}
.point[data-second] {
  fill: var(--ground);
}
</style>
