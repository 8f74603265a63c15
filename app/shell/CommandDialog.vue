<script setup lang="ts">
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
  DialogTitle,
} from '@headlessui/vue'
import { useDebounceFn } from '@vueuse/core'
import type { Command } from './useCommands'

const SEARCH_AFTER_MS = 200

/** The box itself; fetched when the page is at rest, so that the first view of a screen does not wait for it. */
const {
  found,
  search,
  label = 'Client, screen or action',
} = defineProps<{
  found: (typed: string) => readonly Command[]
  /** What the server finds beside, a moment after the last letter. */
  search: ((typed: string) => Promise<readonly Command[]>) | undefined
  label?: string
}>()
const emit = defineEmits<{ closed: [] }>()
const typed = ref('')
const beside = shallowRef<readonly Command[]>([])
const searchSoon = useDebounceFn(async (asked: string) => {
  const answer = await search?.(asked)
  if (answer && asked === typed.value) beside.value = answer
}, SEARCH_AFTER_MS)
watch(typed, asked => {
  beside.value = []
  void searchSoon(asked)
})
const commands = computed(() => [...found(typed.value), ...beside.value])

function run(command: Command | null): void {
  if (!command) return
  emit('closed')
  command.run()
}
</script>

<template>
  <Dialog open class="relative z-30" @close="emit('closed')">
    <div class="fixed inset-0 bg-scrim" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center px-3 pt-24">
      <DialogPanel class="w-[520px] max-w-full rounded-[6px] border border-edge bg-ground p-4">
        <DialogTitle class="sr-only">{{ label }}</DialogTitle>
        <Combobox v-slot="{ activeOption }" :model-value="null" nullable @update:model-value="run">
          <ComboboxInput
            class="field"
            :aria-label="label"
            :placeholder="label"
            autocomplete="off"
            @change="typed = $event.target.value"
            @keydown.esc="emit('closed')"
            @keydown.enter="activeOption ?? run(commands[0] ?? null)"
          />
          <ComboboxOptions static class="mt-2 max-h-[400px] overflow-y-auto outline-none">
            <ComboboxOption
              v-for="command in commands"
              :key="`${command.kind} ${command.name} ${command.hint}`"
              v-slot="{ active }"
              :value="command"
              as="template"
            >
              <li class="option" :data-active="active || undefined">
                <bdi class="line-clamp-2 font-semibold">{{ command.name }}</bdi>
                <span class="ml-auto min-w-0 truncate pl-4 text-[12px] text-ink2">{{
                  command.hint
                }}</span>
              </li>
            </ComboboxOption>
          </ComboboxOptions>
        </Combobox>
        <p v-if="commands.length === 0" class="py-3 text-ink2">
          Nothing by that name. Try fewer letters.
        </p>
      </DialogPanel>
    </div>
  </Dialog>
</template>

<style scoped>
.option {
  display: flex;
  align-items: baseline;
  padding: 6px 10px;
  border-radius: 4px;
  cursor: pointer;
}
.option[data-active] {
  background: var(--focus-wash);
}
</style>
