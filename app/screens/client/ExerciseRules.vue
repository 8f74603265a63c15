<script setup lang="ts">
import type { FormExerciseRule } from './exerciseRuleForm'
import { Plus, X } from 'lucide-vue-next'

/** What holds for single exercises of this client: a heaviest load, another exercise in its place. */
const { exercises, unit, complaint } = defineProps<{
  exercises: readonly { readonly id: string; readonly name: string }[]
  unit: string
  complaint: string | undefined
}>()
const rules = defineModel<FormExerciseRule[]>({ required: true })

function add(): void {
  rules.value = [...rules.value, { exercise: exercises[0]?.id ?? '', most: '', instead: '' }]
}
</script>

<template>
  <fieldset class="mt-4">
    <legend class="font-semibold">Rules for single exercises</legend>
    <p class="text-[12px] text-ink2">
      A heaviest load keeps the weight on the phone down; what is done in its place stands in
      wherever the exercise would be planned.
    </p>
    <div v-for="(rule, at) in rules" :key="at" class="mt-1.5 flex flex-wrap items-center gap-2">
      <select
        v-model="rule.exercise"
        class="small-field"
        :aria-label="`Exercise of rule ${at + 1}`"
      >
        <option v-for="{ id, name } in exercises" :key="id" :value="id">{{ name }}</option>
      </select>
      <label class="flex items-center gap-1.5"
        >no heavier than
        <input
          v-model="rule.most"
          class="small-field w-[72px]"
          inputmode="decimal"
          :aria-label="`Heaviest load of rule ${at + 1}, in ${unit}`"
        />
        {{ unit }}</label
      >
      <label class="flex items-center gap-1.5"
        >done in its place
        <select
          v-model="rule.instead"
          class="small-field"
          :aria-label="`In place of rule ${at + 1}`"
        >
          <option value="">nothing</option>
          <option v-for="{ id, name } in exercises" :key="id" :value="id">{{ name }}</option>
        </select></label
      >
      <button
        type="button"
        class="rounded p-1"
        :aria-label="`Remove rule ${at + 1}`"
        @click="rules = rules.filter((_, other) => other !== at)"
      >
        <X :size="14" aria-hidden="true" />
      </button>
    </div>
    <p v-if="complaint" role="alert" class="mt-1 text-alert">{{ complaint }}</p>
    <button type="button" class="control mt-1.5" @click="add">
      <Plus :size="14" aria-hidden="true" /> Rule for an exercise
    </button>
  </fieldset>
</template>
