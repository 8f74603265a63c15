<script setup lang="ts">
/** Ways to look back and ahead: the rotation, trends, a rehearsal, the report for the client. */
const { id, here } = defineProps<{
  id: string
  here: 'rotation' | 'trends' | 'rehearsal' | 'report'
}>()
const WAYS = [
  { key: 'rotation', path: 'review', words: 'This rotation' },
  { key: 'trends', path: 'trends', words: 'Trends' },
  { key: 'rehearsal', path: 'rehearsal', words: 'Rehearsal' },
  { key: 'report', path: 'report', words: 'Block report' },
] as const
</script>

<template>
  <nav class="flex gap-5 px-5 pt-3 print:hidden" aria-label="Review">
    <NuxtLink
      v-for="way in WAYS"
      :key="way.key"
      :to="`/clients/${id}/${way.path}`"
      class="border-b-2 pb-0.5"
      :class="way.key === here ? 'border-focus font-semibold' : 'border-transparent text-ink2'"
      :aria-current="way.key === here ? 'page' : undefined"
    >
      {{ way.words }}
    </NuxtLink>
  </nav>
</template>
