<script setup lang="ts">
import { Redo2, Undo2 } from 'lucide-vue-next'

/** Takes back what was done last, and does it again. */
const changes = useChangesStore()
const TURNS = [
  { id: 'undo', word: 'Undo', cap: 'Z', icon: Undo2, className: '' },
  { id: 'redo', word: 'Redo', cap: '⇧Z', icon: Redo2, className: 'max-md:hidden' },
] as const
function title(id: 'undo' | 'redo', word: string, cap: string): string {
  const about = changes.about(id)
  return about === '' ? `${word} (${cap})` : `${word}: ${about} (${cap})`
}
</script>

<template>
  <div class="flex gap-1">
    <button
      v-for="{ id, word, cap, icon, className } in TURNS"
      :key="id"
      type="button"
      class="control px-2!"
      :class="className"
      :aria-label="word"
      :title="title(id, word, cap)"
      :disabled="!changes.can(id) || changes.isBusy"
      @click="changes.turn(id)"
    >
      <component :is="icon" :size="15" aria-hidden="true" />
      <KeyCap class="max-xl:hidden" :label="cap" />
    </button>
  </div>
</template>
