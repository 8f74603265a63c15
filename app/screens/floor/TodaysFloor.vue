<script setup lang="ts">
import { firstName } from '#core/words'
import type { RosterEntry } from '#shared/contracts/roster'
import { useMounted } from '@vueuse/core'
import { FLOOR_HOURS, floorLayout, floorX } from './floorLayout'

const { clients, today } = defineProps<{ clients: readonly RosterEntry[]; today: string }>()
/** Drawn so wide where there is room, and half as wide on a phone. */
const isPhone = useIsPhone()
const width = computed(() => (isPhone.value ? 360 : 700))
const LANE = 24
const HOURS = Array.from({ length: 8 }, (_, at) => FLOOR_HOURS.from + 2 * at)
const planks = computed(() =>
  floorLayout(
    clients.flatMap(({ id, name, next, section }) =>
      next && next.on === today && next.start
        ? [
            {
              id,
              who: firstName(name),
              what: next.name,
              start: next.start,
              minutes: next.minutes ?? 60,
              isPressing: section === 'now',
            },
          ]
        : [],
    ),
    width.value,
  ),
)
const lanes = computed(() => Math.max(1, ...planks.value.map(({ lane }) => lane + 1)))
const height = computed(() => lanes.value * LANE + 26)
const words = computed(() =>
  planks.value.map(({ session }) => `${session.start} ${session.who}, ${session.what}`).join('; '),
)
const isLive = useMounted()
const now = computed(() => {
  const time = new Date()
  return isLive.value ? time.getHours() + time.getMinutes() / 60 : null
})
</script>

<template>
  <figure v-if="planks.length > 0" class="w-[700px] max-w-full">
    <figcaption class="text-[12px] text-ink2">
      On the floor today <span class="sr-only">{{ words }}</span>
    </figcaption>
    <svg
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      aria-hidden="true"
      class="h-auto max-w-full overflow-visible"
    >
      <path
        v-for="{ session, x, lane } in planks"
        :key="`stem-${session.id}`"
        :d="`M${x + 0.5} ${(lanes - 1 - lane) * LANE + 18}V${lanes * LANE + 4}`"
        stroke="var(--line)"
      />
      <g
        v-for="{ session, x, width: length, lane, labelSide } in planks"
        :key="session.id"
        :transform="`translate(0 ${(lanes - 1 - lane) * LANE})`"
      >
        <rect
          :x="x + 0.5"
          y="1"
          :width="length"
          height="18"
          rx="4"
          :fill="session.isPressing ? 'var(--alert-wash)' : 'var(--paper)'"
          :stroke="session.isPressing ? 'var(--alert)' : 'var(--edge)'"
        />
        <text
          :x="labelSide === 'left' ? x - 6 : x + length + 6"
          y="14"
          :text-anchor="labelSide === 'left' ? 'end' : 'start'"
          class="label"
        >
          <tspan font-weight="650" fill="var(--ink)">{{ session.who }}</tspan>
          {{ session.what }}
        </text>
      </g>
      <g :transform="`translate(0 ${lanes * LANE + 4})`">
        <rect x="0" y="0" :width="width" height="4" fill="var(--paper)" stroke="var(--ink)" />
        <rect
          v-for="hour in HOURS"
          :key="hour"
          :x="floorX(hour, width)"
          y="0"
          :width="floorX(hour + 1, width) - floorX(hour, width)"
          height="4"
          fill="var(--ink)"
        />
        <text
          v-for="hour in isPhone ? HOURS.filter((_, n) => n % 2 === 0) : HOURS"
          :key="`n${hour}`"
          :x="floorX(hour, width)"
          y="17"
          class="label"
        >
          {{ String(hour).padStart(2, '0') }}
        </text>
        <circle v-if="now !== null" :cx="floorX(now, width)" cy="2" r="4.5" fill="var(--focus)" />
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.label {
  font-size: 12px;
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 4px;
}
</style>
