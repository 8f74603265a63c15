<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { Search } from 'lucide-vue-next'

const { isOpen, open, found } = useCommands()
const { isHelpOpen, openHelp } = useShownActions()
useEventListener('keydown', (event: KeyboardEvent) => {
  const isInField =
    event.target instanceof Element &&
    event.target.closest('input, textarea, select, [role=dialog]') !== null
  if (isInField || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key !== '/' && event.key !== '?') return
  event.preventDefault()
  void (event.key === '/' ? open() : openHelp())
})
preloadedLater('CommandDialog', 'KeysDialog')
</script>

<template>
  <button
    type="button"
    class="control max-lg:px-2!"
    aria-label="Find"
    title="Find (/)"
    @click="open"
  >
    <Search :size="15" aria-hidden="true" /> <span class="max-lg:hidden">Find</span>
    <KeyCap class="max-lg:hidden" label="/" />
  </button>
  <LazyCommandDialog v-if="isOpen" :found="found" @closed="isOpen = false" />
  <LazyKeysDialog v-if="isHelpOpen" />
</template>
