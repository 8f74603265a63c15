<script setup lang="ts">
import { FloorAhead } from '#shared/contracts/floor'

/** What the coming days hold for the client on the floor: told on the board before it happens. */
const { id } = defineProps<{ id: string }>()
const store = usePlanStore()
const { ask } = useApi()
const lines = shallowRef<FloorAhead['ahead']>([])

async function look(): Promise<void> {
  const result = await ask(`/api/clients/${id}/floor`, { answer: FloorAhead })
  if (result.ok) lines.value = result.value.ahead
}
// After the board is there, and whenever what it shows has been saved.
onMounted(() => {
  watch(() => [id, store.savedAt], look, { immediate: true })
})
</script>

<template>
  <ul v-if="lines.length > 0" aria-label="On the floor" class="mt-1 flex flex-wrap gap-x-5">
    <li v-for="line in lines" :key="`${line.on} ${line.words}`">
      <NuxtLink
        :to="{ path: '/floor', query: { on: line.on, session: line.session } }"
        class="text-alert hover:underline"
        >{{ line.words }}</NuxtLink
      >
    </li>
  </ul>
</template>
