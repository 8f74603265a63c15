<script setup lang="ts">
import { creditWords, GROUP_NAMES } from '#core/words'
import type { Credits, Group } from '#core/plan/catalogue'

/** The pegs one set of an exercise plants: one per credited muscle. */
const { credits } = defineProps<{ credits: Credits }>()
const FAMILIES: Partial<Record<Group, 'flex' | 'flex2' | 'ext' | 'fore'>> = {
  biceps: 'flex',
  elbow_flexors_other: 'flex2',
  triceps: 'ext',
  forearms: 'fore',
}
const PITCH = 11
const entries = computed(() =>
  (Object.entries(credits) as [Group, number][]).sort((a, b) => b[1] - a[1]),
)
const words = computed(() =>
  entries.value.map(([group, credit]) => `${GROUP_NAMES[group]} ${creditWords(credit)}`).join(', '),
)
const pegs = computed(() =>
  entries.value.map(([group, credit], at) => ({
    family: FAMILIES[group] ?? ('body' as const),
    x: 6 + at * PITCH,
    peg: {
      kind: 'peg' as const,
      piece: 0,
      x: 0,
      base: 0,
      isDirect: credit === 1,
      height: credit === 1 ? 20 : credit < 0.375 ? 8 : credit < 0.625 ? 12 : 16,
    },
  })),
)
</script>

<template>
  <svg :width="entries.length * PITCH + 2" height="24" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <PegMark
      v-for="{ family, x, peg } in pegs"
      :key="x"
      :peg="peg"
      :family="family"
      scale="large"
      :x="x"
      :foot="23"
      :is-blue="false"
      :style="{ '--peg': `var(--${family}-peg)` }"
    />
  </svg>
</template>
