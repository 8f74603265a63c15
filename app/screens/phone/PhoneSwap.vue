<script setup lang="ts">
import type { SheetExercise, SheetSwap } from '#core/follow/sheet'

/** What can stand in for an exercise, with what changes; taken, sore or simply not today. */
const { exercise, inUse, sore } = defineProps<{
  exercise: SheetExercise
  /** Id of the movement that is done now. */ inUse: string
  /** Joints that hurt, and how kind each choice is to them, in words. */ sore: (
    swap: SheetSwap,
  ) => string
}>()
const emit = defineEmits<{ closed: []; chosen: [swap: SheetSwap | null] }>()
</script>

<template>
  <PhoneDialog :title="`Instead of ${exercise.name}`" @closed="emit('closed')">
    <ul class="flex flex-col gap-2">
      <li v-if="inUse !== exercise.exercise">
        <button type="button" class="phone-row" @click="emit('chosen', null)">
          <span class="text-[18px] font-semibold">{{ exercise.name }}</span><span
            class="text-[15px] text-ink2"
            >back to the plan</span
          >
        </button>
      </li>
      <li
        v-for="swap in exercise.swaps.filter(({ exercise: id }) => id !== inUse)"
        :key="`${swap.exercise} ${swap.intent}`"
      >
        <button type="button" class="phone-row" @click="emit('chosen', swap)">
          <span class="text-[18px] font-semibold">{{ swap.name }}</span>
          <span v-if="sore(swap)" class="text-[15px] font-semibold">{{ sore(swap) }}</span>
          <span v-if="swap.changes.length > 0" class="text-[14px] text-ink2">{{
            swap.changes.slice(0, 3).join('; ')
          }}</span>
        </button>
      </li>
    </ul>
    <p v-if="exercise.swaps.length === 0" class="text-[16px] text-ink2">
      Nothing in your equipment comes near it. Skip it, or ask your coach.
    </p>
  </PhoneDialog>
</template>
