<script setup lang="ts">
import type { SeasonScale } from './seasonLayout'
import type { useSeason } from './useSeason'

/** Phases as bars over their blocks, with the weeks that are left and what follows them. */
const { phases, scale } = defineProps<{
  phases: Awaited<ReturnType<typeof useSeason>>['phases']['value']
  scale: SeasonScale
}>()
/** Each with the length of its bar, and the room its words have until the next begins. */
const bars = computed(() =>
  phases.map((phase, at) => {
    const left = scale.x(phase.from)
    return {
      ...phase,
      left,
      width: Math.max(8, scale.x(phase.to) - left - 3),
      room: Math.max(24, scale.x(phases[at + 1]?.from ?? scale.to) - left - 6),
    }
  }),
)
</script>

<template>
  <p class="leading-[16px]"><b>Phases</b></p>
  <ul class="relative h-[38px]">
    <li
      v-for="phase in bars"
      :key="phase.from"
      class="absolute leading-[15px]"
      :style="{ left: `${phase.left}px`, width: `${phase.room}px` }"
      :title="phase.words"
    >
      <span
        class="mb-1 block h-[3px]"
        :class="phase.isOver ? 'bg-edge' : 'bg-ink'"
        :style="{ width: `${phase.width}px` }"
      />
      <bdi
        class="block truncate text-[12.5px] font-semibold"
        :class="phase.isOver && 'text-ink2'"
        >{{ phase.name }}</bdi
      >
      <span class="block truncate text-[12px] text-ink2">{{ phase.more }}</span>
    </li>
  </ul>
</template>
