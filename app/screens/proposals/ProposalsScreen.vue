<script setup lang="ts">
/** Proposals of a plan: where its open sets go, or whole drafts while it holds no set yet. */
const store = usePlanStore()
const id = await useClientPlan('proposals')
useHead({ title: () => `${store.client?.name ?? 'Client'} · Proposals · Tholepin` })
/** Stays as it was when the page was opened: taking a draft leads to the board. */
const isFromNothing = store.isEmpty
</script>

<template>
  <DraftScreen v-if="isFromNothing" :id="id" />
  <PlacementScreen v-else :id="id" />
</template>
