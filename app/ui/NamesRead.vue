<script setup lang="ts">
/** Names that are not spelt as in the library: what each is read as, and what must be said, once for all its rows. */
export interface ShownName {
  readonly name: string
  /** Where it stands, in words. */
  readonly where: string
  /** What it is read as; empty where it must be said, `leave` where it stays outside. */
  readonly chosen: string
  readonly near: readonly { readonly id: string; readonly name: string }[]
}
const { names, exercises } = defineProps<{
  names: readonly ShownName[]
  exercises: readonly { readonly id: string; readonly name: string }[]
}>()
const emit = defineEmits<{ said: [name: string, exercise: string] }>()
const unsaid = computed(() => names.filter(({ chosen }) => chosen === ''))
const read = computed(() => names.filter(({ chosen }) => chosen !== ''))
const parts = computed(() => [
  {
    id: 'unsaid',
    words:
      unsaid.value.length === 1
        ? 'Which exercise is this?'
        : `Which exercises are these ${unsaid.value.length}?`,
    names: unsaid.value,
  },
  {
    id: 'read',
    words:
      read.value.length === 1 ? 'One name is read as' : `${read.value.length} names are read as`,
    names: read.value,
  },
])
</script>

<template>
  <div class="grid gap-x-8 gap-y-2 md:grid-cols-2">
    <section
      v-for="part in parts.filter(one => one.names.length > 0)"
      :key="part.id"
      :aria-labelledby="`names-${part.id}`"
    >
      <h3
        :id="`names-${part.id}`"
        class="text-[14px]"
        :class="part.id === 'unsaid' && 'text-alert'"
      >
        {{ part.words }}
      </h3>
      <ul class="mt-1 max-h-[160px] overflow-y-auto">
        <li
          v-for="one in part.names"
          :key="one.name"
          class="flex items-baseline gap-2 border-b border-hair py-0.5"
        >
          <span class="min-w-0 flex-1 break-words"
            ><b dir="auto" class="font-semibold">{{ one.name }}</b
            >{{ ' ' }}<span class="text-[12px] text-ink2">{{ one.where }}</span></span
          >
          <select
            class="small-field w-[210px]"
            :aria-label="`Exercise for ${one.name}`"
            :value="one.chosen"
            @change="emit('said', one.name, ($event.target as HTMLSelectElement).value)"
          >
            <option value="" disabled>Choose</option>
            <optgroup v-if="one.near.length > 0" label="Likely">
              <option v-for="exercise in one.near" :key="exercise.id" :value="exercise.id">
                {{ exercise.name }}
              </option>
            </optgroup>
            <option value="leave">Leave out</option>
            <optgroup label="All exercises">
              <option
                v-for="exercise in exercises.filter(
                  ({ id }) => !one.near.some(near => near.id === id),
                )"
                :key="exercise.id"
                :value="exercise.id"
              >
                {{ exercise.name }}
              </option>
            </optgroup>
          </select>
        </li>
      </ul>
    </section>
  </div>
</template>
