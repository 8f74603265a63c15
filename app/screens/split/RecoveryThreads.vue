<script setup lang="ts">
import { NBSP, threadWords, wholeReadiness } from '#core/words'
import type { Arrival } from '#core/body/recovery'
import { threadsOfDay } from './threadLayout'

/** What hangs below the line: recovery from one exposure to the next. Its words are in the cell's name. */
const { arrivals, resting, day, days, width, railY } = defineProps<{
  arrivals: readonly Arrival[]
  /** As it is before what is in hand is put down. */
  resting: readonly Arrival[]
  day: number
  days: number
  width: number
  railY: number
}>()
const EYELET = 5
const LABEL = 20
const parts = computed(() =>
  threadsOfDay(arrivals, day, days, width).map(part => {
    const before = resting.find(
      other => other.day === part.arrival.day && other.session === part.arrival.session,
    )
    const [was, is] = [
      before && wholeReadiness(before.readiness),
      wholeReadiness(part.arrival.readiness),
    ]
    const isChanged =
      was !== undefined && (was !== is || before?.hoursSince !== part.arrival.hoursSince)
    return {
      ...part,
      isChanged,
      hours: `${Math.round(part.arrival.hoursSince)}${NBSP}h`,
      percent: isChanged && was !== is ? `${was} → ${is}${NBSP}%` : `${is}${NBSP}%`,
    }
  }),
)
const isExposure = computed(() => arrivals.some(arrival => arrival.day === day))
</script>

<template>
  <svg
    v-if="parts.length > 0 || isExposure"
    class="threads"
    :width="width"
    height="1"
    aria-hidden="true"
  >
    <g :transform="`translate(0 ${railY + EYELET})`">
      <circle v-if="isExposure" :cx="width / 2" cy="0" r="2.2" class="eyelet" />
      <g
        v-for="(part, at) in parts"
        :key="at"
        :data-state="part.state"
        :data-changed="part.isChanged || undefined"
      >
        <path :d="part.path" class="thread" />
        <path v-if="part.marks" :d="part.marks" class="marks" />
        <template v-if="part.labelX !== null">
          <rect
            v-if="part.state === 'frayed' && !part.isChanged"
            class="chip"
            :x="part.labelX - 34"
            :y="LABEL - 11"
            width="68"
            height="15"
            rx="3"
          />
          <text :x="part.labelX" :y="LABEL" text-anchor="middle" class="label">
            <title>{{ threadWords(part.arrival) }}</title>
            {{ part.hours }}
            <tspan class="percent">{{ part.percent }}</tspan>
          </text>
        </template>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.threads {
  position: absolute;
  left: 0;
  top: 0;
  overflow: visible;
  z-index: 1;
  pointer-events: none;
}
.eyelet {
  fill: var(--edge);
}
.thread {
  fill: none;
  stroke: var(--edge);
  stroke-width: 1.3;
}
.marks {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1.3;
}
.label {
  font-size: 11px;
  fill: var(--ink3);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
[data-state='taut'] .thread {
  stroke: var(--ink2);
  stroke-width: 1.5;
}
[data-state='taut'] .percent {
  font-weight: 700;
  fill: var(--ink);
}
[data-state='frayed'] .thread,
[data-state='frayed'] .marks {
  stroke: var(--alert);
  stroke-width: 1.8;
}
[data-state='frayed'] .label {
  fill: var(--alert);
  font-weight: 600;
  stroke: none;
}
[data-state='frayed'] .chip {
  fill: var(--alert-wash);
}
[data-changed] .thread,
[data-changed] .marks {
  stroke: var(--focus);
}
[data-changed] .label,
[data-changed] .percent {
  fill: var(--focus);
  font-weight: 600;
  stroke: var(--ground);
}
</style>
