<script setup lang="ts">
import { formatDay } from '#core/words'

/** Said on every page about a client while another block than today's is open, with the way back. */
const { clientId } = defineProps<{ clientId: string }>()
const { chosen, known, leave } = useChosenBlock(clientId)
const store = usePlanStore()
const isDraft = computed(() => store.plan?.draft !== undefined)
const today = useToday()
const route = useRoute()
const block = computed(() => {
  const held = store.client?.block
  if (held && held.id === chosen.value) return held.plan
  const { title, startsOn } = known.value ?? {}
  return title && startsOn ? { title, startsOn } : null
})
async function back(): Promise<void> {
  leave()
  await nextTick()
  // The page is drawn anew with the block of today; its address names the other one no more.
  window.location.assign(route.path)
}
</script>

<template>
  <p v-if="chosen" role="status" class="flex items-center gap-2 text-[12.5px] text-focus">
    <bdi>
      {{
        block
          ? block.startsOn > today
            ? `${isDraft ? 'Draft' : 'Ahead'}: ${block.title}, from ${formatDay(block.startsOn)}`
            : `Behind: ${block.title}, from ${formatDay(block.startsOn)}`
          : 'Another block'
      }}
    </bdi>
    <span v-if="isDraft" class="text-ink2"
      >Exercises of the block before; what you change makes it a plan.</span
    >
    <button type="button" class="control" @click="back">To today’s block</button>
  </p>
</template>
