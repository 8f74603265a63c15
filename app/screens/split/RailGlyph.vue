<script setup lang="ts">
import type { BoardRail } from './useBoardRails'

const { family, isSmall } = defineProps<{ family: BoardRail['family']; isSmall: boolean }>()
const peg = computed(() => ({
  kind: 'peg' as const,
  piece: 0,
  x: 0,
  height: isSmall ? 13 : 20,
  base: 0,
  isDirect: true,
}))
</script>

<template>
  <svg
    width="12"
    :height="isSmall ? 20 : 24"
    :viewBox="`0 0 12 ${isSmall ? 20 : 24}`"
    aria-hidden="true"
    class="shrink-0"
    :style="{ '--peg': `var(--${family}-peg)` }"
  >
    <PegMark
      :peg="peg"
      :family="family"
      :scale="isSmall ? 'small' : 'large'"
      :x="6"
      :foot="isSmall ? 18 : 22"
      :is-blue="false"
    />
  </svg>
</template>
