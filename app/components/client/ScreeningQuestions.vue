<script setup lang="ts">
import type { ScreeningAnswer, ScreeningId } from '#core/safety'
import { NOT_MEDICAL_ADVICE, REFERRAL } from '#core/format'

defineProps<{
  questions: readonly { readonly id: ScreeningId, readonly asks: string }[]
  /** What the answers so far ask for. */
  state: 'open' | 'clear' | 'refer'
}>()
const answers = defineModel<Partial<Record<ScreeningId, ScreeningAnswer>>>({ required: true })
const WORDS = [['no', 'no'], ['yes', 'yes'], ['unknown', 'don’t know']] as const
</script>

<template>
  <section aria-labelledby="screening">
    <h2 id="screening">
      Screening
    </h2>
    <ul class="flex flex-col">
      <li v-for="question in questions" :key="question.id" class="question">
        <span :id="`ask-${question.id}`">{{ question.asks }}</span>
        <span role="radiogroup" :aria-labelledby="`ask-${question.id}`" class="flex gap-4">
          <label v-for="[value, word] in WORDS" :key="value" class="flex items-center gap-1.5 whitespace-nowrap">
            <input type="radio" :name="question.id" :value="value" :checked="answers[question.id] === value" @change="answers = { ...answers, [question.id]: value }"> {{ word }}
          </label>
        </span>
      </li>
    </ul>
    <p class="mt-2" role="status">
      <span v-if="state === 'refer'" class="alert-chip">{{ REFERRAL }}</span>
      <span v-else-if="state === 'open'" class="text-ink2">Not all questions are answered yet. Planning goes on; handing over waits for them.</span>
      <span v-else class="text-ink2">Nothing speaks against planning.</span>
    </p>
    <p class="mt-1 text-ink3">
      {{ NOT_MEDICAL_ADVICE }}
    </p>
  </section>
</template>

<style scoped>
h2 { margin-bottom: 8px; padding-top: 10px; border-top: 1px solid var(--hair); font-size: 14px; font-weight: 650; }
.question { display: flex; justify-content: space-between; gap: 24px; padding: 3px 0; }
.question:nth-child(even) { background: color-mix(in srgb, var(--sunk) 45%, transparent); }
</style>
