<script setup lang="ts">
import type { SheetMovement } from '#core/follow/sheet'

/** How a movement is done: the coach's own words, cues, where a repetition ends, and what to mind. */
const { movement } = defineProps<{ movement: SheetMovement }>()
</script>

<template>
  <details class="border-t border-hair pt-1 text-[15px]">
    <summary class="flex min-h-[44px] cursor-pointer items-center font-semibold">
      How to do it{{ movement.cautions.length > 0 ? ', and what to mind' : '' }}
    </summary>
    <PoseFigure
      v-if="movement.pattern"
      class="my-2"
      :exercise="movement.exercise"
      :pattern="movement.pattern"
      :name="movement.name"
    />
    <p v-if="movement.how" dir="auto">{{ movement.how }}</p>
    <ul class="list-disc pl-5">
      <li v-for="cue in movement.cues" :key="cue">{{ cue }}</li>
    </ul>
    <ul v-if="movement.cautions.length > 0" class="mt-2 flex flex-col gap-1">
      <li v-for="caution in movement.cautions" :key="caution">Mind: {{ caution }}</li>
    </ul>
    <p v-if="!movement.how && (movement.cues ?? []).length === 0">Ask your coach to show you.</p>
  </details>
</template>
