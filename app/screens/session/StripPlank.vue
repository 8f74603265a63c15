<script setup lang="ts">
import { CircleAlert } from 'lucide-vue-next'
import { useSession } from './sessionContext'
import { PEG_HEIGHT, type StripPlank } from './sessionStripLayout'
import { usePlankDrag } from './useStripDrag'

const { plank, at, height, room } = defineProps<{
  plank: StripPlank
  at: number
  height: number
  /** px until the next plank begins. */ room: number
}>()
const builder = useSession()
const element = useTemplateRef<HTMLElement>('element')
const isSelected = computed(() => builder.selectedGrouping.value?.id === plank.grouping)
const first = computed(() => plank.lanes[0]!.slot)
const { over } = usePlankDrag(element, {
  builder,
  slot: () => first.value,
  next: () =>
    builder.groupings.value[
      builder.groupings.value.findIndex(({ id }) => id === plank.grouping) + 1
    ]?.slots[0].id ?? null,
})
/** Something to look at that is about one of its exercises, and more than worth knowing. */
const isTroubled = computed(() =>
  builder.findings.value.some(
    ({ severity, place }) =>
      severity !== 'info' && plank.lanes.some(({ slot }) => slot === place.slot),
  ),
)
const top = computed(() => Math.min(...plank.lanes.map(({ y }) => y)) - PEG_HEIGHT - 6)
const bottom = computed(() => Math.max(...plank.lanes.map(({ y }) => y)) + 7)
const label = computed(() =>
  plank.lanes
    .map(
      ({ slot, sets }) =>
        `${builder.nameOf(slot)}, ${sets.filter(set => !set.isWarmUp).length} sets`,
    )
    .join(' with '),
)
/** A set's peg is as wide as the time it takes; heads tell the families apart without colour. */
function path(x: number, width: number, y: number, family: string): string {
  const [left, right, head] = [x + 0.5, x + Math.max(3, width - 1.5), y - PEG_HEIGHT]
  if (family === 'ext')
    return `M${left + 2} ${y}V${head}H${right - 2}V${y}Z M${left} ${head}H${right}V${head + 5}H${left}Z`
  if (family === 'fore')
    return `M${left} ${y}V${head}H${left + (right - left) / 3}V${head + 7}H${right - (right - left) / 3}V${head}H${right}V${y}Z`
  const radius = family === 'body' ? 0 : Math.min(5, (right - left) / 2)
  return `M${left} ${y}V${head + radius}Q${left} ${head} ${left + radius} ${head}H${right - radius}Q${right} ${head} ${right} ${head + radius}V${y}Z`
}
const LETTER_PX = 6.6
/** Fewer letters name nothing; the row below has the name. */
const LEAST_LETTERS = 3
const shortName = (slot: Parameters<typeof builder.nameOf>[0]) => {
  const name = builder.nameOf(slot)
  const most = Math.floor((room - 4) / LETTER_PX)
  if (most < LEAST_LETTERS) return ''
  return name.length > most ? `${name.slice(0, most - 1).trimEnd()}…` : name
}
</script>

<template>
  <button
    ref="element"
    type="button"
    class="plank"
    :data-current="isSelected || undefined"
    :data-over="over ?? undefined"
    :aria-label="`${at + 1}: ${label}`"
    :aria-pressed="isSelected"
    :style="{
      left: `${plank.x}px`,
      width: `${plank.width}px`,
      top: `${top}px`,
      height: `${bottom - top}px`,
    }"
    @click="builder.select(first)"
  />
  <CircleAlert
    v-if="isTroubled"
    class="trouble"
    :size="14"
    :style="{ left: `${plank.x + plank.width - 9}px`, top: `${top - 7}px` }"
    aria-hidden="true"
  />
  <svg
    class="pointer-events-none absolute top-0 left-0 overflow-visible"
    :height="height"
    width="1"
    aria-hidden="true"
  >
    <path
      v-for="(lace, n) in plank.laces"
      :key="`l${n}`"
      :d="`M${lace.x1} ${lace.y1 - (lace.y1 > lace.y2 ? PEG_HEIGHT : 0)}L${lace.x2} ${lace.y2 - (lace.y2 > lace.y1 ? PEG_HEIGHT : 0)}`"
      :stroke="lace.isRest ? 'var(--edge)' : 'var(--ink2)'"
      :stroke-dasharray="lace.isRest ? '2 2.5' : undefined"
      fill="none"
    />
    <g
      v-for="lane in plank.lanes"
      :key="lane.slot"
      :style="{
        '--peg': `var(--${builder.familyOf(lane.slot)}-peg)`,
        '--text': `var(--${builder.familyOf(lane.slot)})`,
      }"
    >
      <path :d="`M${lane.from} ${lane.y + 1.5}H${lane.to}`" stroke="var(--peg)" stroke-width="3" />
      <path
        v-for="(set, n) in lane.sets"
        :key="n"
        :d="path(set.x, set.width, lane.y, builder.familyOf(lane.slot))"
        :fill="set.isWarmUp ? 'var(--ground)' : 'var(--peg)'"
        :stroke="set.isWarmUp ? 'var(--edge)' : 'none'"
        :stroke-dasharray="set.isWarmUp ? '2 2' : undefined"
      />
    </g>
    <text
      v-for="(lane, n) in plank.lanes"
      :key="`n${lane.slot}`"
      :x="plank.x"
      :y="n === 0 ? top - 5 : lane.y + 19"
      class="name"
      :style="{ fill: `var(--${builder.familyOf(lane.slot)})` }"
      :display="n > 0 && n < plank.lanes.length - 1 ? 'none' : undefined"
    >
      {{ shortName(lane.slot) }}
    </text>
  </svg>
</template>

<style scoped>
.plank {
  position: absolute;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--paper);
  cursor: grab;
}
.plank[data-current] {
  border: 2px solid var(--focus);
}
.plank[data-over='together'] {
  background: var(--focus-wash);
  border-color: var(--focus);
}
.plank[data-over='before'] {
  box-shadow: -4px 0 0 var(--focus);
}
.plank[data-over='after'] {
  box-shadow: 4px 0 0 var(--focus);
}
.trouble {
  position: absolute;
  border-radius: 50%;
  background: var(--ground);
  color: var(--alert);
  pointer-events: none;
}
.name {
  font-size: 12px;
  font-weight: 650;
}
</style>
