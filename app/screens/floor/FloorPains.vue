<script setup lang="ts">
import type { FloorNow } from '#shared/contracts/floor'

/** What hurts, the latest first, with what the sheet told the client at once. */
const { pains } = defineProps<{
  pains: readonly (FloorNow['pains'][number] & { readonly clock: string })[]
}>()
</script>

<template>
  <ul v-if="pains.length > 0" aria-label="What hurts" aria-live="assertive" class="mt-2">
    <li v-for="pain in pains" :key="pain.id" class="mb-1">
      <NuxtLink :to="`/clients/${pain.client}/history#joints`" class="alert-chip"
        ><span
          >{{ pain.clock }} <bdi>{{ pain.name }}</bdi>: {{ pain.words }}</span
        ></NuxtLink
      >
      <span v-if="pain.told" class="ml-2" dir="auto">Told: {{ pain.told }}</span>
    </li>
  </ul>
</template>
