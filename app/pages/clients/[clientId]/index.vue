<script setup lang="ts">
definePageMeta({ redirect: to => `/clients/${String(to.params.clientId)}/split` })
</script>

<template>
  <div />
</template>
