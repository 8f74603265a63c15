<script setup lang="ts">
/** Sets that were due as pegs: done ones full, missed ones lying, what was done beyond the plan with a ring. */
const { done, due } = defineProps<{ done: number; due: number }>()
const MOST = 26
const pegs = computed(() =>
  Array.from({ length: Math.min(MOST, Math.max(done, due)) }, (_, at) =>
    at >= due ? 'more' : at < done ? 'done' : 'missed',
  ),
)
</script>

<template>
  <span class="float-left flex h-[18px] items-end gap-[2px] pt-1" aria-hidden="true">
    <span
      v-for="(peg, at) in pegs"
      :key="at"
      class="inline-block"
      :class="
        peg === 'missed'
          ? 'h-[3px] w-[9px] rounded-sm bg-line'
          : peg === 'done'
            ? 'h-[12px] w-[3px] rounded-sm bg-ink'
            : 'h-[12px] w-[3px] rounded-sm border border-ink'
      "
    />
  </span>
</template>
