<script setup lang="ts">
import { useEndedElsewhere } from '~/shell/useEndedElsewhere'

const { choice } = useTheme()
const changes = useChangesStore()
const { user } = useUserSession()
const isEnded = useEndedElsewhere()
const route = useRoute()
useHead({
  htmlAttrs: { 'data-theme': () => (choice.value === 'system' ? undefined : choice.value) },
})
</script>

<template>
  <NuxtLoadingIndicator color="var(--focus)" :height="2" />
  <NuxtRouteAnnouncer />
  <!-- After something was undone the page is set up anew, from what stands now. -->
  <LazyTourPanel v-if="user?.isDemo" />
  <EndedElsewhere v-if="isEnded" :path="route.fullPath" />
  <NuxtPage v-else :page-key="route => `${route.path} ${changes.epoch}`" />
</template>
