<script setup lang="ts">
import { CloudOff, TriangleAlert } from 'lucide-vue-next'

const store = usePlanStore()
const changes = computed(
  () => `${store.unsavedChanges} ${store.unsavedChanges === 1 ? 'change' : 'changes'}`,
)
const savedWords = computed(() =>
  store.savedAt && store.version > 1 ? 'Saved' : 'Saved, not changed yet',
)
</script>

<template>
  <p role="status" class="flex items-center gap-2 text-[12.5px]" :data-state="store.saveState.kind">
    <template v-if="store.saveState.kind === 'unreachable'">
      <CloudOff :size="14" aria-hidden="true" />
      <span><b>Offline</b>, {{ changes }} kept here</span>
      <button type="button" class="quiet-link underline" @click="store.save()">Try now</button>
    </template>
    <template v-else-if="store.saveState.kind === 'refused'">
      <span class="alert-chip"
        ><TriangleAlert :size="13" aria-hidden="true" />Not saved.
        {{ store.saveState.detail }}</span
      >
      <button type="button" class="quiet-link underline" @click="store.save()">Retry</button>
    </template>
    <span v-else-if="store.saveState.kind === 'conflict'" class="alert-chip"
      ><TriangleAlert :size="13" aria-hidden="true" />Saved elsewhere meanwhile</span
    >
    <span v-else-if="store.trial">Not saved: on trial</span>
    <span v-else-if="store.isSaved">{{ savedWords }}</span>
    <span v-else>Saving</span>
  </p>
</template>
