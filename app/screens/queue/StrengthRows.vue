<script setup lang="ts">
import { INTERVAL_AXIS, type StrengthRow } from './strengthRows'

/** Where each muscle's strength goes: in words, and as a range on one shared axis with the band of no change. */
const { rows } = defineProps<{ rows: readonly StrengthRow[] }>()
const isOpen = ref(false)
/** Arms always; another muscle at once only where its strength falls. */
const shown = computed(() =>
  rows.filter(({ isArm, isFalling }) => isOpen.value || isArm || isFalling),
)
</script>

<template>
  <section aria-labelledby="strength-head" class="mt-3">
    <h2 id="strength-head" class="section-head">Strength, percent a week</h2>
    <ul>
      <li
        v-for="row in shown"
        :key="row.group"
        class="grid grid-cols-[92px_minmax(0,1fr)_150px_64px] items-center gap-x-3 py-0.5 max-md:grid-cols-[84px_minmax(0,1fr)]"
      >
        <span class="font-semibold">{{ row.name }}</span>
        <span :class="row.isFalling ? 'text-alert' : ''">{{ row.words }}</span>
        <svg
          viewBox="0 0 150 16"
          class="h-4 w-[150px] max-md:hidden"
          role="img"
          :aria-label="row.label"
        >
          <rect
            :x="INTERVAL_AXIS.band[0]"
            y="0"
            :width="INTERVAL_AXIS.band[1] - INTERVAL_AXIS.band[0]"
            height="16"
            class="fill-sunk"
          />
          <line :x1="75" x2="75" y1="0" y2="16" class="stroke-line" stroke-dasharray="2 2" />
          <template v-if="row.at">
            <line
              :x1="row.at.from"
              :x2="row.at.to"
              y1="8"
              y2="8"
              class="stroke-ink"
              stroke-width="2"
            />
            <circle :cx="row.at.middle" cy="8" r="3.5" class="fill-ink" />
          </template>
        </svg>
        <span class="text-right whitespace-nowrap max-md:hidden">{{ row.figure }}</span>
      </li>
    </ul>
    <button
      v-if="shown.length < rows.length"
      type="button"
      class="quiet-link text-[12px]"
      @click="isOpen = true"
    >
      {{ rows.length - shown.length }} more, none of them falling
    </button>
  </section>
</template>
