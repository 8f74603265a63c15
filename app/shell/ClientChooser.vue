<script setup lang="ts">
import { ChevronDown } from 'lucide-vue-next'

/** The client's name; it opens the list of clients, and whoever is chosen is shown on the same screen. */
const { name } = defineProps<{ name: string }>()
const { isChoosing } = useClientDesk()
const { open, clientsHere } = useCommands()
watch(isChoosing, isOpen => isOpen && void open())
</script>

<template>
  <button
    type="button"
    class="chooser"
    :aria-label="`${name}, choose another client`"
    :title="name"
    @click="isChoosing = true"
  >
    <bdi class="truncate">{{ name }}</bdi>
    <ChevronDown :size="14" class="shrink-0" aria-hidden="true" />
    <KeyCap class="max-xl:hidden" label="Q" />
  </button>
  <LazyCommandDialog
    v-if="isChoosing"
    label="Choose a client"
    :search="undefined"
    :found="clientsHere"
    @closed="isChoosing = false"
  />
</template>

<style scoped>
.chooser {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: min(17ch, 100%);
  max-width: 30ch;
  min-height: 30px;
  padding: 0 10px;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--paper);
  font-weight: 650;
  text-align: start;
}
.chooser:hover {
  background: var(--sunk);
}
@media (max-width: 767px) {
  .chooser {
    flex: 1 1 0;
    min-width: 0;
    min-height: 44px;
  }
}
</style>
