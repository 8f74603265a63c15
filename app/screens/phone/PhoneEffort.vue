<script setup lang="ts">
import type { SetLapse } from '#core/body/log'
import { LAPSE_WORDS, SET_LAPSES } from '#core/words'
import { phoneNumber } from './phoneWords'

/** How hard a set was, and where it was less than what was asked. */
const { rir, aim, lapses } = defineProps<{
  rir: number | null
  aim: number | null
  lapses: readonly SetLapse[]
}>()
const emit = defineEmits<{ chosen: [rir: number]; lapsed: [lapse: SetLapse] }>()
const RIR = [0, 1, 2, 3, 4] as const
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
</script>

<template>
  <fieldset>
    <legend class="flex w-full justify-between text-[15px]">
      <span class="font-semibold">Reps you had left</span
      ><span class="text-ink2">{{ aim === null ? '' : `aim for ${phoneNumber(aim)}` }}</span>
    </legend>
    <div class="mt-1.5 grid grid-cols-5 gap-2">
      <label v-for="value in RIR" :key="value" class="phone-choice"
        ><input
          type="radio"
          name="rir"
          class="sr-only"
          :checked="rir === value"
          @change="emit('chosen', value)"
        />{{ value === 4 ? '4+' : value }}</label
      >
    </div>
  </fieldset>
  <fieldset>
    <legend class="sr-only">Less than what was asked</legend>
    <div class="grid grid-cols-3 gap-2">
      <label v-for="lapse in SET_LAPSES" :key="lapse" class="phone-choice lapse"
        ><input
          type="checkbox"
          class="sr-only"
          :checked="lapses.includes(lapse)"
          @change="emit('lapsed', lapse)"
        />{{ capital(LAPSE_WORDS[lapse]) }}</label
      >
    </div>
  </fieldset>
</template>

<style scoped>
.lapse {
  font-size: 15px;
  font-weight: 400;
}
</style>
