<script setup lang="ts">
import { MEASUREMENTS } from '#core/words'
import type { MeasurementKind } from '#core/body/measurements'
import type { useNotes } from './useNotes'

/** What the client wants to reach, by what, until when, and where it stands. */
const { goals, kinds, exercises, aim, complaint } = defineProps<{
  goals: ReturnType<typeof useNotes>['goals']['value']
  kinds: readonly MeasurementKind[]
  /** Exercises with estimates: what strength can be aimed at. */
  exercises: readonly { readonly id: string; readonly name: string }[]
  aim: ReturnType<typeof useNotes>['aim']
  complaint: string
}>()
const emit = defineEmits<{ removed: [id: string] }>()
const entered = reactive({ words: '', measure: 'measurement upper_arm_left', target: '', by: '' })
useLeaveWarning(() => [entered.words, entered.target])
async function submit(): Promise<void> {
  const [kind, of] = entered.measure.split(' ')
  const target = Number(entered.target.replace(',', '.'))
  const isKept = await aim({
    words: entered.words,
    measure: { kind, of },
    target: entered.target.trim() === '' ? Number.NaN : target,
    by: entered.by,
  })
  if (isKept) Object.assign(entered, { words: '', target: '', by: '' })
}
</script>

<template>
  <section id="goals" aria-labelledby="goals-head">
    <h2 id="goals-head" class="section-head">Goals</h2>
    <ul>
      <li v-for="goal in goals" :key="goal.id" class="border-b border-hair py-1.5">
        <span class="flex items-baseline gap-3">
          <b dir="auto" class="font-semibold">{{ goal.title }}</b>
          <span class="text-ink2">{{ goal.measure }}: {{ goal.target }} {{ goal.unit }}</span>
          <button
            type="button"
            class="quiet-link ml-auto text-[12px]"
            :aria-label="`Remove the goal ${goal.title}`"
            @click="emit('removed', goal.id)"
          >
            remove
          </button>
        </span>
        <span class="block">{{ goal.stands }} {{ goal.through }}</span>
      </li>
    </ul>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="submit">
      <label
        >Goal
        <input
          v-model="entered.words"
          dir="auto"
          class="small-field w-[180px]"
          :maxlength="LIMITS.shortText"
          placeholder="in your words, if you like"
        />
      </label>
      <label
        >measured by
        <select v-model="entered.measure" class="small-field">
          <option v-for="kind in kinds" :key="kind" :value="`measurement ${kind}`">
            {{ MEASUREMENTS[kind].name }}
          </option>
          <option v-for="one in exercises" :key="one.id" :value="`strength ${one.id}`">
            {{ one.name }}, estimated best
          </option>
        </select></label
      >
      <label
        >to reach <input v-model="entered.target" inputmode="decimal" class="small-field w-[70px]"
      /></label>
      <DateField v-model="entered.by" label="by" />
      <button type="submit" class="control" :disabled="entered.by === '' || entered.target === ''">
        Set it
      </button>
    </form>
    <p v-if="complaint" role="alert" class="alert-chip mt-1">Goal: {{ complaint }}</p>
  </section>
</template>
