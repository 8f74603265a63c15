<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { Search } from 'lucide-vue-next'

const { isOpen, open, found, foundNotes } = useCommands()
const { isHelpOpen, openHelp } = useShownActions()
const route = useRoute()
const isGoing = ref(false)
const ANSWERS: Readonly<Record<string, () => unknown>> = {
  '/': open,
  '?': openHelp,
  G: () => (isGoing.value = true),
}
useEventListener('keydown', (event: KeyboardEvent) => {
  const isInField =
    event.target instanceof Element &&
    event.target.closest('input, textarea, select, [role=dialog]') !== null
  if (isInField || event.ctrlKey || event.metaKey || event.altKey) return
  const answer = ANSWERS[event.key]
  if (!answer) return
  event.preventDefault()
  void answer()
})
preloadedLater('CommandDialog', 'HelpDialog', 'GoDialog')
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
  <LazyCommandDialog v-if="isOpen" :found="found" :search="foundNotes" @closed="isOpen = false" />
  <LazyHelpDialog v-if="isHelpOpen" />
  <LazyGoDialog
    v-if="isGoing"
    :client-id="route.params.clientId ? String(route.params.clientId) : null"
    @closed="isGoing = false"
  />
</template>
