<script setup lang="ts">
import { useSheetHead } from './useSheetHead'

/** A client's sheet, opened by her personal link. */
const route = useRoute()
useSheetHead()
</script>

<template>
  <PhoneSheet :token="String(route.params.token)" />
</template>
