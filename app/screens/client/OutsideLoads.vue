<script setup lang="ts">
import { GROUP_NAMES, WEEKDAY_NAMES } from '#core/words'
import type { Group } from '#core/plan/catalogue'
import { emptyLoad, type FormLoad } from './useProfileForm'
import { Plus, X } from 'lucide-vue-next'

/** Regular load from outside the gym, by weekday where it has one. */
const { groups } = defineProps<{ groups: readonly Group[]; complaint: string }>()
const loads = defineModel<FormLoad[]>({ required: true })
const AMOUNTS = [
  ['known', 'known'],
  ['estimated', 'estimated'],
  ['unknown', 'unknown'],
] as const
</script>

<template>
  <fieldset>
    <legend class="font-semibold">Regular load from outside</legend>
    <p class="text-[12px] text-ink2">
      A sport, manual work. An unknown amount leaves the week’s figures open at the top.
    </p>
    <p v-if="complaint" class="alert-chip">
      {{ complaint }}
    </p>
    <div
      v-for="(load, at) in loads"
      :key="at"
      class="mt-2 flex flex-col gap-1.5 border-l-2 border-line pl-3"
    >
      <div class="flex items-center gap-2">
        <input
          v-model="load.what"
          class="small-field w-[200px]"
          placeholder="what it is"
          :aria-label="`Load ${at + 1}`"
        />
        <select v-model="load.amount" class="small-field" :aria-label="`Amount of load ${at + 1}`">
          <option v-for="[value, words] in AMOUNTS" :key="value" :value="value">
            amount {{ words }}
          </option>
        </select>
        <label v-if="load.amount !== 'unknown'"
          >sets each
          <input
            :value="load.setsEach"
            type="number"
            min="0"
            max="50"
            step="0.5"
            class="small-field w-[60px]"
            @input="load.setsEach = ($event.target as HTMLInputElement).value"
        /></label>
        <label v-if="load.weekdays.length === 0"
          >times a week
          <input
            :value="load.times"
            type="number"
            min="0"
            max="21"
            class="small-field w-[56px]"
            @input="load.times = ($event.target as HTMLInputElement).value"
        /></label>
        <button
          type="button"
          class="ml-auto rounded p-1"
          :aria-label="`Remove load ${at + 1}`"
          @click="loads = loads.filter((_, other) => other !== at)"
        >
          <X :size="14" aria-hidden="true" />
        </button>
      </div>
      <div class="flex flex-wrap gap-x-3">
        <label v-for="(name, day) in WEEKDAY_NAMES" :key="name" class="flex items-center gap-1"
          ><input v-model="load.weekdays" type="checkbox" :value="day + 1" /> {{ name }}</label
        >
      </div>
      <div class="flex flex-wrap gap-x-3">
        <label v-for="group in groups" :key="group" class="flex items-center gap-1"
          ><input v-model="load.groups" type="checkbox" :value="group" />
          {{ GROUP_NAMES[group] }}</label
        >
      </div>
    </div>
    <button type="button" class="control mt-2" @click="loads = [...loads, emptyLoad()]">
      <Plus :size="14" aria-hidden="true" /> Load from outside
    </button>
  </fieldset>
</template>
