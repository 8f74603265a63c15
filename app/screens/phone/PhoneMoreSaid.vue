<script setup lang="ts">
import type { Feeling, MoreSaid } from '#core/follow/sheet'
import { FEELING_WORDS, FEELINGS } from '#core/words'

/** What may be said of a session besides, by whoever wishes to; none of it is asked for. */
const said = defineModel<MoreSaid>({ required: true })
const warmUp = defineModel<string>('warmUp', { required: true })
const way = defineModel<string>('way', { required: true })

function choose(feeling: Feeling, step: number): void {
  said.value = { ...said.value, feelings: { ...said.value.feelings, [feeling]: step } }
}
function named(text: string): void {
  const { word: _, ...rest } = said.value
  said.value = text.trim() === '' ? rest : { ...rest, word: text.trim() }
}
</script>

<template>
  <details class="rounded-lg border border-hair p-3">
    <summary class="min-h-[32px] text-[16px] font-semibold">More, if you like</summary>
    <fieldset v-for="feeling in FEELINGS" :key="feeling" class="mt-3">
      <legend class="phone-legend">{{ FEELING_WORDS[feeling].name }}</legend>
      <div class="grid grid-cols-3 gap-2">
        <label
          v-for="(words, step) in FEELING_WORDS[feeling].steps"
          :key="step"
          class="phone-choice"
          ><input
            type="radio"
            class="sr-only"
            :name="feeling"
            :checked="said.feelings?.[feeling] === step"
            @change="choose(feeling, step)"
          />{{ words }}</label
        >
      </div>
    </fieldset>
    <label class="mt-3 flex items-center justify-between gap-3 text-[16px]"
      ><span>In one word</span>
      <input
        class="phone-field w-[180px]"
        :maxlength="LIMITS.oneWord"
        dir="auto"
        autocomplete="off"
        :value="said.word ?? ''"
        @input="named(($event.target as HTMLInputElement).value)"
    /></label>
    <label class="mt-3 flex items-center justify-between gap-3 text-[16px]"
      ><span>Minutes of warming up</span>
      <input v-model="warmUp" class="phone-field w-[90px]" inputmode="numeric" maxlength="3"
    /></label>
    <label class="mt-3 flex items-center justify-between gap-3 text-[16px]"
      ><span>Minutes on the way, there and back</span>
      <input v-model="way" class="phone-field w-[90px]" inputmode="numeric" maxlength="3"
    /></label>
  </details>
</template>
