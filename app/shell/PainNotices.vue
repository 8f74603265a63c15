<script setup lang="ts">
import { painNotices } from '#core/words'

/** What the client's joints ask for, before anything else on a screen that plans. */
const store = usePlanStore()
const notices = computed(() => (store.context ? painNotices(store.context.client) : []))
</script>

<template>
  <ul v-if="notices.length > 0" aria-label="Pain" class="flex flex-col gap-1 px-5 pt-2">
    <li v-for="notice in notices" :key="notice.joint">
      <NuxtLink :to="`/clients/${store.client?.id}/history`" class="alert-chip">{{
        notice.words
      }}</NuxtLink>
    </li>
  </ul>
</template>
