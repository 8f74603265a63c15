<script setup lang="ts">
import type { SheetExercise, StandingTurn } from '#core/follow/sheet'
import { wentOnWords } from './phoneWords'

/** The set done last went on: with less after a drop, or with the same after a pause. */
const { last, shown, exercises } = defineProps<{
  last: StandingTurn | undefined
  /** The set on the screen; none once all are done. */
  shown: StandingTurn | null
  exercises: readonly SheetExercise[]
}>()
const emit = defineEmits<{ said: [] }>()
</script>

<template>
  <button v-if="last" type="button" class="phone-control" @click="emit('said')">
    {{ wentOnWords(last, shown, exercises) }}
  </button>
</template>
