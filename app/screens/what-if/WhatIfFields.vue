<script setup lang="ts">
import { EFFECT_NAMES, GROUP_NAMES } from '#core/words'
import type { WhatIfTyped } from './useWhatIf'
import {
  GROUP_CHOICES,
  patternName,
  PATTERN_CHOICES,
  SETTING_CHOICES,
  STATION_CHOICES,
  useChosenSetting,
} from './whatIfChoices'

/** What happens, field by field. */
const typed = defineModel<WhatIfTyped>({ required: true })
const KINDS = [
  ['station', 'A station is out of use'],
  ['away', 'You are away'],
  ['closed', 'The studio is closed'],
  ['credit', 'Indirect sets count otherwise'],
  ['method', 'A method has another setting'],
] as const
const { methods } = useStudioSettings()
const hasDays = computed(() => ['station', 'away', 'closed'].includes(typed.value.kind))
const effects = computed(() =>
  typed.value.kind === 'closed'
    ? (['skip', 'shift'] as const)
    : (['skip', 'shift', 'light'] as const),
)
const setting = useChosenSetting(typed, methods)
</script>

<template>
  <fieldset class="flex flex-wrap items-end gap-3">
    <legend class="sr-only">What happens</legend>
    <label
      >What happens
      <select v-model="typed.kind" class="small-field block">
        <option v-for="[kind, words] in KINDS" :key="kind" :value="kind">{{ words }}</option>
      </select></label
    >
    <template v-if="typed.kind === 'station'">
      <label
        >Station
        <select v-model="typed.station" class="small-field block">
          <option v-for="{ kind, name } in STATION_CHOICES" :key="kind" :value="kind">
            {{ name }}
          </option>
        </select></label
      >
      <label
        >How many are left
        <input
          v-model.number="typed.left"
          type="number"
          min="0"
          max="50"
          class="small-field block w-24"
      /></label>
    </template>
    <label v-if="typed.kind === 'away' || typed.kind === 'closed'"
      >Then
      <select v-model="typed.effect" class="small-field block">
        <option v-for="effect in effects" :key="effect" :value="effect">
          {{ EFFECT_NAMES[effect] }}
        </option>
      </select></label
    >
    <template v-if="hasDays">
      <DateField v-model="typed.from" label="From" is-stacked />
      <DateField v-model="typed.to" label="to" is-stacked />
    </template>
    <template v-if="typed.kind === 'credit'">
      <label
        >Movement
        <select v-model="typed.pattern" class="small-field block">
          <option v-for="pattern in PATTERN_CHOICES" :key="pattern" :value="pattern">
            {{ patternName(pattern) }}
          </option>
        </select></label
      >
      <label
        >Muscle
        <select v-model="typed.group" class="small-field block">
          <option v-for="group in GROUP_CHOICES" :key="group" :value="group">
            {{ GROUP_NAMES[group] }}
          </option>
        </select></label
      >
      <label
        >A set counts
        <input
          v-model.number="typed.credit"
          type="number"
          min="0"
          max="0.75"
          step="0.05"
          class="small-field block w-24"
      /></label>
    </template>
    <template v-if="typed.kind === 'method'">
      <label
        >Method
        <select v-model="typed.method" class="small-field block">
          <option value="" disabled>choose one</option>
          <option v-for="{ id, name } in methods" :key="id" :value="id">{{ name }}</option>
        </select></label
      >
      <label
        >Setting
        <select v-model="typed.setting" class="small-field block max-w-[300px]">
          <option value="" disabled>choose one</option>
          <option v-for="{ id, label } in SETTING_CHOICES" :key="id" :value="id">
            {{ label }}
          </option>
        </select></label
      >
      <label v-if="setting"
        >Is now
        <select v-if="setting.kind === 'choice'" v-model="typed.value" class="small-field block">
          <option v-for="{ value, words } in setting.options" :key="value" :value="value">
            {{ words }}
          </option>
        </select>
        <input
          v-else
          v-model="typed.value"
          type="number"
          :min="setting.low"
          :max="setting.high"
          :step="setting.step"
          class="small-field block w-24"
      /></label>
    </template>
  </fieldset>
</template>
