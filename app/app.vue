<script setup lang="ts">
const { choice } = useTheme()
const changes = useChangesStore()
const { user } = useUserSession()
useHead({
  htmlAttrs: { 'data-theme': () => (choice.value === 'system' ? undefined : choice.value) },
})
</script>

<template>
  <NuxtLoadingIndicator color="var(--focus)" :height="2" />
  <NuxtRouteAnnouncer />
  <!-- After something was undone the page is set up anew, from what stands now. -->
  <LazyTourPanel v-if="user?.isDemo" />
  <NuxtPage :page-key="route => `${route.path} ${changes.epoch}`" />
</template>
