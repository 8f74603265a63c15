<script setup lang="ts">
import type { FloorNow } from '#shared/contracts/floor'

/** What clients wrote while they train, the latest first, each with an answer that stands on the sheet. */
const { wrote } = defineProps<{
  wrote: readonly (FloorNow['wrote'][number] & { readonly clock: string })[]
}>()
const emit = defineEmits<{ answered: [] }>()
</script>

<template>
  <ul v-if="wrote.length > 0" aria-label="What clients wrote" aria-live="polite" class="mt-2">
    <li v-for="note in wrote" :key="note.id" class="mb-2">
      {{ note.clock }}
      <NuxtLink :to="`/clients/${note.client}/review`" class="quiet-link font-semibold"
        ><bdi>{{ note.name }}</bdi></NuxtLink
      >: <span dir="auto">“{{ note.text }}”</span>
      <span v-if="note.told" class="ml-2 text-ink2" dir="auto">Told: {{ note.told }}</span>
      <AnswerOnSheet :client-id="note.client" :name="note.name" @sent="emit('answered')" />
    </li>
  </ul>
</template>
