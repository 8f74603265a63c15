<script setup lang="ts">
import type { Band } from '#core/plan/method'
import { stackLayout } from './stackLayout'

/** A muscle's sets of one rotation: solid direct, hollow indirect on top, in the channel from floor to ceiling; pale where still planned. */
const { direct, indirect, band, scale, isDone, family, width } = defineProps<{
  direct: number
  indirect: number
  band: Band
  scale: number
  isDone: boolean
  family: string
  width: number
}>()
const layout = computed(() => stackLayout({ direct, indirect, band, scale }))
</script>

<template>
  <svg
    :width="width"
    height="46"
    :viewBox="`0 0 ${width} 46`"
    class="block"
    aria-hidden="true"
    :style="{
      '--peg': `var(--${family}-peg)`,
      '--wash': `color-mix(in srgb, var(--${family}-peg) 20%, var(--ground))`,
    }"
  >
    <rect
      x="0"
      :y="layout.ceiling"
      :width="width"
      :height="layout.floor - layout.ceiling"
      fill="var(--sunk)"
    />
    <path :d="`M6 ${layout.floor}h30M6 ${layout.ceiling}h30`" stroke="var(--edge)" />
    <path :d="`M6 ${layout.target}h30`" stroke="var(--edge)" stroke-dasharray="2 3" />
    <rect
      x="11"
      :y="layout.foot - layout.direct"
      width="20"
      :height="layout.direct"
      :fill="isDone ? 'var(--peg)' : 'var(--wash)'"
      stroke="var(--peg)"
      stroke-width="1.2"
    />
    <rect
      v-if="layout.indirect > 0"
      x="11"
      :y="layout.foot - layout.direct - layout.indirect"
      width="20"
      :height="layout.indirect"
      fill="var(--ground)"
      stroke="var(--peg)"
      stroke-width="1.2"
      :stroke-dasharray="isDone ? undefined : '2 2'"
    />
    <path :d="`M0 ${layout.foot}H${width}`" stroke="var(--peg)" stroke-width="1.25" />
  </svg>
</template>
