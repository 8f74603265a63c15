<script setup lang="ts">
const { choice } = useTheme()
useHead({
  htmlAttrs: { 'data-theme': () => (choice.value === 'system' ? undefined : choice.value) },
})
</script>

<template>
  <NuxtLoadingIndicator color="var(--focus)" :height="2" />
  <NuxtRouteAnnouncer />
  <NuxtPage />
</template>
