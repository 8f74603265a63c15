<script setup lang="ts">
import type { ScreeningAnswer, ScreeningId } from '#core/plan/safety'
import { NOT_MEDICAL_ADVICE, REFERRAL } from '#core/words'

const { state, questions } = defineProps<{
  questions: readonly { readonly id: ScreeningId; readonly asks: string }[]
  /** What the answers so far ask for. */
  state: 'open' | 'clear' | 'refer'
  complaint: string
}>()
const answers = defineModel<Partial<Record<ScreeningId, ScreeningAnswer>>>({ required: true })
const clearance = defineModel<{ on: string; profession: string; limits: string }>('clearance', {
  required: true,
})
/** Once asked for, the record of a clearance stays in sight. */
const asksClearance = computed(
  () => state === 'refer' || Object.values(clearance.value).some(text => text !== ''),
)
const WORDS = [
  ['no', 'no'],
  ['yes', 'yes'],
  ['unknown', 'don’t know'],
] as const
</script>

<template>
  <section aria-labelledby="screening">
    <h2 id="screening">Screening</h2>
    <p class="mb-1">
      <button
        type="button"
        class="control"
        @click="answers = Object.fromEntries(questions.map(({ id }) => [id, 'no']))"
      >
        No to all
      </button>
    </p>
    <ul class="flex flex-col">
      <li v-for="question in questions" :key="question.id" class="question">
        <span :id="`ask-${question.id}`">{{ question.asks }}</span>
        <span role="radiogroup" :aria-labelledby="`ask-${question.id}`" class="flex gap-4">
          <label
            v-for="[value, word] in WORDS"
            :key="value"
            class="flex items-center gap-1.5 whitespace-nowrap"
          >
            <input
              type="radio"
              :name="question.id"
              :value="value"
              :checked="answers[question.id] === value"
              @change="answers = { ...answers, [question.id]: value }"
            />
            {{ word }}
          </label>
        </span>
      </li>
    </ul>
    <p class="mt-2" role="status">
      <span v-if="state === 'refer'" class="alert-chip">{{ REFERRAL }}</span>
      <span v-else-if="state === 'open'" class="text-ink2"
        >Not all questions are answered yet. Planning goes on; handing over waits for them.</span
      >
      <span v-else class="text-ink2">Nothing speaks against planning.</span>
    </p>
    <fieldset v-if="asksClearance" class="mt-2 flex flex-wrap items-end gap-3">
      <legend class="font-semibold">Cleared by a licensed professional</legend>
      <DateField v-model="clearance.on" label="on" />
      <label
        >profession
        <input v-model="clearance.profession" class="small-field" placeholder="physician"
      /></label>
      <label class="flex-1"
        >limits
        <input
          v-model="clearance.limits"
          class="small-field w-full"
          placeholder="as they were told to you"
      /></label>
      <p v-if="complaint" class="alert-chip">
        {{ complaint }}
      </p>
    </fieldset>
    <p class="mt-1 text-ink3">
      {{ NOT_MEDICAL_ADVICE }}
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
  font-size: 14px;
  font-weight: 650;
}
.question {
  display: flex;
  justify-content: space-between;
  gap: 24px;
  padding: 3px 0;
}
.question:nth-child(even) {
  background: color-mix(in srgb, var(--sunk) 45%, transparent);
}
</style>
