<script setup lang="ts">
import type { Way } from '#core/plan/block'
import { WAY_NAMES, wayWords } from '#core/words'
import type { WayField } from './useWays'

/** What an exercise gains by, with its figures where that is not the load. */
const { name, way, limits } = defineProps<{
  name: string
  way: Way | undefined
  limits: Readonly<Record<WayField, readonly [number, number]>> | undefined
}>()
const emit = defineEmits<{
  chosen: [kind: Way['kind'] | '']
  changed: [field: WayField, value: number]
}>()
const valueOf = (event: Event) => (event.target as HTMLInputElement).value
const FIELDS = [
  ['everyWeeks', 'every', 'every so many weeks'],
  ['by', 'weeks, by', 'by'],
  ['to', 'to', 'to'],
] as const
</script>

<template>
  <select
    class="small-field"
    :aria-label="`${name}, gains by`"
    :value="way?.kind ?? ''"
    @change="emit('chosen', valueOf($event) as Way['kind'] | '')"
  >
    <option value="">{{ WAY_NAMES.load }}</option>
    <option value="sets">{{ WAY_NAMES.sets }}</option>
    <option value="rest">{{ WAY_NAMES.rest }}</option>
    <option value="lowering">{{ WAY_NAMES.lowering }}</option>
  </select>
  <span
    v-if="way"
    class="mt-0.5 flex items-center gap-1 text-[12px] whitespace-nowrap text-ink2"
    :title="wayWords(way)"
  >
    <label v-for="[field, before, words] in FIELDS" :key="field" class="flex items-center gap-1"
      >{{ before }}
      <input
        type="number"
        class="small-field w-14 text-ink"
        :aria-label="`${name}, ${words}`"
        :min="limits?.[field][0]"
        :max="limits?.[field][1]"
        :value="way[field]"
        @change="emit('changed', field, Number(valueOf($event)))"
    /></label>
    {{ way.kind === 'sets' ? 'sets' : 's' }}
  </span>
</template>
