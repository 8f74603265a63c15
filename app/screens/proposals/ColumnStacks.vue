<script setup lang="ts">
import type { ColumnRail } from './columnView'

/** A muscle's sets by day as stacks: solid direct, hollow indirect on top, what changes in blue. */
const { rail, rest } = defineProps<{ rail: ColumnRail; rest: readonly boolean[] }>()
const DAY = 19
const SET = 3.1
const FOOT = 40
const x = (at: number) => at * DAY + 4
const words = computed(() =>
  rail.days
    .flatMap(({ direct, indirect }, at) =>
      direct + indirect > 0 ? [`day ${at + 1}: ${direct} direct, ${indirect} indirect`] : [],
    )
    .join('; '),
)
const width = computed(() => rail.days.length * DAY)
</script>

<template>
  <div class="flex items-end gap-2 py-1" :style="{ '--peg': `var(--${rail.family}-peg)` }">
    <svg
      :width="width"
      height="46"
      :viewBox="`0 0 ${width} 46`"
      role="img"
      :aria-label="`${rail.name}: ${words || 'no sets'}`"
    >
      <rect
        v-for="(isRest, at) in rest"
        v-show="isRest"
        :key="`r${at}`"
        :x="at * DAY"
        y="4"
        :width="DAY"
        height="37"
        fill="var(--sunk)"
      />
      <path :d="`M0 ${FOOT}H${width}`" stroke="var(--peg)" stroke-width="1.5" opacity=".6" />
      <g v-for="(day, at) in rail.days" :key="at">
        <rect
          v-if="day.direct > 0"
          :x="x(at)"
          :y="FOOT - day.direct * SET"
          width="10"
          :height="day.direct * SET"
          fill="var(--peg)"
        />
        <rect
          v-if="day.indirect > 0"
          :x="x(at) + 0.5"
          :y="FOOT - (day.direct + day.indirect) * SET + 0.5"
          width="9"
          :height="Math.max(1, day.indirect * SET - 0.5)"
          fill="var(--ground)"
          stroke="var(--peg)"
        />
        <rect
          v-if="Math.abs(day.change) >= 0.05"
          :x="x(at) + 11.5"
          :y="FOOT - Math.abs(day.change) * SET"
          width="2.5"
          :height="Math.abs(day.change) * SET"
          fill="var(--focus)"
        />
      </g>
    </svg>
    <span class="text-[12px] leading-[15px] whitespace-nowrap"
      ><b class="font-display text-[16px]">{{ rail.week }}</b
      >{{ ' ' }}<span class="text-focus">{{ rail.change }}</span
      ><span class="block" :class="rail.isOut ? 'text-alert' : 'text-ink2'">{{
        rail.position
      }}</span></span
    >
  </div>
</template>
