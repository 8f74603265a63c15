<script setup lang="ts">
import { eventLanes, type SeasonScale } from './seasonLayout'
import type { useSeason } from './useSeason'

/** Events as flags on their days, with the weeks until then. */
const { events, scale } = defineProps<{
  events: Awaited<ReturnType<typeof useSeason>>['events']['value']
  scale: SeasonScale
}>()
const LANE = 34
const flags = computed(() => eventLanes(events, scale))
const lanes = computed(() => Math.max(0, ...flags.value.map(({ lane }) => lane + 1)))
</script>

<template>
  <p class="leading-[16px]"><b>Events</b></p>
  <ul class="relative" :style="{ height: `${lanes * LANE}px` }">
    <li
      v-for="event in flags"
      :key="`${event.from} ${event.what}`"
      class="absolute w-[146px] border-l-2 border-ink pl-1.5 leading-[15px]"
      :style="{ left: `${scale.x(event.from)}px`, top: `${event.lane * LANE}px` }"
      :title="`${event.what}: ${event.days}`"
    >
      <bdi class="block truncate text-[12.5px] font-semibold">{{ event.what }}</bdi>
      <span class="block truncate text-[12px] text-ink2">{{ event.toGo }}, {{ event.days }}</span>
    </li>
  </ul>
</template>
