<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { X } from 'lucide-vue-next'

/** A list of exercises that is filled by typing. */
const { label, hint, exercises } = defineProps<{
  label: string
  hint: string
  exercises: readonly { readonly id: string; readonly name: string }[]
}>()
const chosen = defineModel<string[]>({ required: true })
const MOST_SHOWN = 8
const typed = ref('')
const found = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
  return words.length === 0
    ? []
    : exercises
        .filter(
          ({ id, name }) =>
            !chosen.value.includes(id) && words.every(word => name.toLowerCase().includes(word)),
        )
        .slice(0, MOST_SHOWN)
})
const names = computed(() =>
  chosen.value.map(id => ({
    id,
    name: exercises.find(exercise => exercise.id === id)?.name ?? id,
  })),
)

function add(id: string | null): void {
  if (id) chosen.value = [...chosen.value, id]
  typed.value = ''
}
</script>

<template>
  <div>
    <Combobox :model-value="null" nullable @update:model-value="add">
      <div class="relative">
        <label class="block font-semibold"
          >{{ label }}
          <ComboboxInput
            class="field mt-1 font-normal"
            :display-value="() => typed"
            :placeholder="hint"
            autocomplete="off"
            @change="typed = $event.target.value"
          />
        </label>
        <ComboboxOptions v-if="found.length > 0" static class="options">
          <ComboboxOption
            v-for="{ id, name } in found"
            :key="id"
            v-slot="{ active }"
            :value="id"
            as="template"
          >
            <li class="px-2.5 py-1" :class="active ? 'bg-focus-wash' : ''">
              {{ name }}
            </li>
          </ComboboxOption>
        </ComboboxOptions>
      </div>
    </Combobox>
    <ul v-if="names.length > 0" class="mt-1.5 flex flex-wrap gap-1.5">
      <li v-for="{ id, name } in names" :key="id" class="chip">
        {{ name }}
        <button
          type="button"
          class="rounded"
          :aria-label="`Take ${name} off the list`"
          @click="chosen = chosen.filter(other => other !== id)"
        >
          <X :size="13" aria-hidden="true" />
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.options {
  position: absolute;
  z-index: 20;
  width: 100%;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--ground);
}
.chip {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 2px 4px 2px 8px;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--paper);
}
</style>
