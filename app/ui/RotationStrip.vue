<script setup lang="ts">
import type { RosterEntry } from '#shared/contracts/roster'
import { type StripPlace, stripLayout } from './stripLayout'

const { days, today } = defineProps<{
  days: NonNullable<RosterEntry['block']>['days']
  /** Day of the rotation that falls on today, from 0. */
  today: number | null
}>()
const WIDTH = 264
const places = computed(() => stripLayout(days, WIDTH))
/** Pale is still to come. */
const tone = (state: StripPlace['day']['state']) => (state === 'ahead' ? 0.45 : 1)

/** Pegs of a missed day lie down: flexors above the line, triceps below, one under the other. */
function lying({ x, width, day }: StripPlace, row: number): string {
  const flexors = Math.round(day.flexors)
  const [from, step] =
    row < flexors
      ? [19, -Math.min(3, 16 / Math.max(1, flexors))]
      : [23, Math.min(3, 16 / Math.max(1, Math.round(day.triceps)))]
  const y = from + step * (row < flexors ? row : row - flexors)
  return `M${x + width / 2 - 7} ${y}h14`
}
const STATE_WORDS = { planned: '', done: ', done', missed: ', missed', ahead: ', to come' } as const
const words = computed(() =>
  days
    .map(
      (day, at) =>
        `day ${at + 1} ${day.name}${day.isRest ? '' : `, ${day.flexors} flexor and ${day.triceps} triceps sets${STATE_WORDS[day.state]}`}`,
    )
    .join('; '),
)
</script>

<template>
  <svg
    :width="WIDTH"
    height="42"
    :viewBox="`0 0 ${WIDTH} 42`"
    role="img"
    :aria-label="`Direct arm sets: ${words}`"
  >
    <g v-for="(place, at) in places" :key="at">
      <rect
        v-if="place.day.isRest"
        :x="place.x"
        y="7"
        :width="place.width"
        height="28"
        fill="var(--rest-day)"
      />
      <rect
        v-if="at === today"
        :x="place.x + 1"
        y="4"
        :width="place.width - 2"
        height="34"
        rx="4"
        fill="var(--focus-wash)"
        stroke="var(--focus)"
        stroke-width="1.5"
      />
    </g>
    <path :d="`M0 21H${WIDTH}`" stroke="var(--edge)" stroke-width="1.25" />
    <g v-for="(place, at) in places" :key="`pegs-${at}`">
      <rect
        v-if="place.day.hasOtherWork"
        :x="place.x + place.width / 2 - 5"
        y="19"
        width="10"
        height="4"
        rx="2"
        fill="var(--body-peg)"
      />
      <g v-if="place.day.state === 'missed'" stroke-width="1.5">
        <path
          v-for="(peg, row) in place.pegs"
          :key="`lying-${at}-${row}`"
          :d="lying(place, row)"
          :stroke="peg.side === 'flexors' ? 'var(--flex-peg)' : 'var(--ext-peg)'"
        />
      </g>
      <template
        v-for="peg in place.day.state === 'missed' ? [] : place.pegs"
        :key="`${peg.side}-${peg.x}`"
      >
        <g v-if="peg.side === 'flexors'" fill="var(--flex-peg)" :opacity="tone(place.day.state)">
          <rect :x="peg.x - 0.75" y="9" width="1.5" height="12" />
          <circle :cx="peg.x" cy="9" r="1.6" />
        </g>
        <g v-else fill="var(--ext-peg)" :opacity="tone(place.day.state)">
          <rect :x="peg.x - 0.75" y="21" width="1.5" height="12" />
          <rect :x="peg.x - 1.6" y="32" width="3.2" height="1.8" />
        </g>
      </template>
    </g>
  </svg>
</template>
