<script setup lang="ts">
import type { BlockEvent } from '#core/plan/block'
import { EFFECT_NAMES } from '#core/words'

/** What comes up, on which days, and what happens to training then. */
const entered = defineModel<{
  what: string
  from: string
  to: string
  effect: BlockEvent['effect']
  minutes: number
}>({ required: true })
const EFFECTS = Object.keys(EFFECT_NAMES) as BlockEvent['effect'][]
</script>

<template>
  <label
    >What
    <input
      v-model="entered.what"
      data-first
      type="text"
      dir="auto"
      :maxlength="LIMITS.title"
      class="small-field block w-40"
  /></label>
  <DateField v-model="entered.from" label="From" is-stacked />
  <DateField v-model="entered.to" label="to" is-stacked />
  <label
    >Then
    <select v-model="entered.effect" class="small-field block">
      <option v-for="effect in EFFECTS" :key="effect" :value="effect">
        {{ EFFECT_NAMES[effect] }}
      </option>
    </select></label
  >
  <label v-if="entered.effect === 'short'"
    >Minutes
    <input
      v-model.number="entered.minutes"
      type="number"
      v-bind="LIMITS.minuteLimit"
      class="small-field block w-20"
  /></label>
</template>
