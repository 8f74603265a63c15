<script setup lang="ts">
defineProps<{ label: string }>()
</script>

<template>
  <kbd class="key-cap font-text max-md:hidden!">{{ label }}</kbd>
</template>
