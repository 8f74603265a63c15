<script setup lang="ts">
// One screen for all days of a client: it stays while the day changes.
definePageMeta({ key: route => `session-${String(route.params.clientId)}` })
</script>

<template>
  <SessionScreen />
</template>
