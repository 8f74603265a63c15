<script setup lang="ts">
import { PLACES, STUDIO_WAYS } from './places'

/** Every screen by one letter; those of the client whose page is open, and those of the studio. */
const { clientId } = defineProps<{ clientId: string | null }>()
const emit = defineEmits<{ closed: [] }>()
interface Goal {
  readonly name: string
  readonly letter: string
  readonly to: string
}
const groups = computed(
  (): readonly { readonly name: string; readonly ways: readonly Goal[] }[] => [
    ...(clientId === null
      ? []
      : PLACES.map(({ name, ways }) => ({
          name,
          ways: ways.map(way => ({ ...way, to: `/clients/${clientId}${way.path}` })),
        }))),
    { name: 'Studio', ways: STUDIO_WAYS.map(way => ({ ...way, to: way.path })) },
  ],
)
function go(to: string): void {
  emit('closed')
  void navigateTo(to)
}
function press({ key }: KeyboardEvent): void {
  const way = groups.value.flatMap(({ ways }) => ways).find(({ letter }) => letter === key)
  if (way) go(way.to)
}
</script>

<template>
  <PanelDialog title="Go to" :width="560" @closed="emit('closed')">
    <div
      class="mt-3 grid grid-cols-2 gap-x-8 gap-y-3 max-sm:grid-cols-1"
      data-first
      tabindex="-1"
      @keydown="press"
    >
      <section v-for="group in groups" :key="group.name" :aria-label="group.name">
        <h3 class="text-[12px] text-ink2">{{ group.name }}</h3>
        <ul>
          <li v-for="way in group.ways" :key="way.to">
            <button
              type="button"
              class="flex w-full items-center gap-2 rounded px-1 py-1 text-start hover:bg-sunk"
              @click="go(way.to)"
            >
              <KeyCap :label="way.letter.toUpperCase()" />
              <b class="font-semibold">{{ way.name }}</b>
            </button>
          </li>
        </ul>
      </section>
    </div>
  </PanelDialog>
</template>
