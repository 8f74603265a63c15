<script setup lang="ts">
import { outcomeWords } from '#core/words'
import type { QueueEntry } from '#shared/contracts/queue'
import { Check } from 'lucide-vue-next'

/** Who is done and who is to come, the one at hand between them. */
const { behind, waiting, current } = defineProps<{
  behind: readonly QueueEntry[]
  waiting: readonly QueueEntry[]
  current: string | null
  unread: number
}>()
const emit = defineEmits<{ chosen: [id: string] }>()
const SIGNS: Readonly<Record<QueueEntry['why'][number]['kind'], string>> = {
  pain: '!',
  missed: '▬',
  proposals: '↕',
  ended: '•',
}
const list = useTemplateRef<HTMLElement>('list')
watch(
  () => current,
  async () => {
    await nextTick()
    // The list alone: on a phone it stands below the review, and the page must not jump there.
    const row = list.value?.querySelector<HTMLElement>('[aria-current]')
    if (list.value && row) list.value.scrollTop = row.offsetTop - list.value.clientHeight / 2
  },
)
</script>

<template>
  <nav
    ref="list"
    data-queue-list
    aria-label="Clients"
    class="relative max-h-[70vh] overflow-y-auto lg:max-h-[78vh]"
  >
    <h2 class="text-[14px] font-[650]">
      To come <span class="font-normal text-ink2">{{ waiting.length }}</span>
    </h2>
    <ol>
      <li v-for="entry in waiting" :key="entry.id">
        <button
          type="button"
          class="queue-row"
          :aria-current="entry.id === current ? 'true' : undefined"
          @click="emit('chosen', entry.id)"
        >
          <span class="w-4 shrink-0 text-center font-bold text-alert" aria-hidden="true">{{
            entry.why[0] ? SIGNS[entry.why[0].kind] : ''
          }}</span>
          <span class="min-w-0">
            <bdi class="block font-semibold">{{ entry.name }}</bdi>
            <span class="line-clamp-2 text-[12px] text-ink2">{{ entry.why[0]?.words }}</span>
          </span>
        </button>
      </li>
    </ol>
    <p v-if="unread > 0" role="status" class="text-[12px] text-ink2">
      {{ unread }} more being read…
    </p>
    <template v-if="behind.length > 0">
      <h2 class="mt-3 text-[14px] font-[650]">
        Reviewed <span class="font-normal text-ink2">{{ behind.length }}</span>
      </h2>
      <ol>
        <li v-for="entry in behind" :key="entry.id">
          <button
            type="button"
            class="queue-row"
            :aria-current="entry.id === current ? 'true' : undefined"
            @click="emit('chosen', entry.id)"
          >
            <Check :size="15" class="mt-0.5 shrink-0" aria-hidden="true" />
            <span class="min-w-0">
              <bdi class="block">{{ entry.name }}</bdi>
              <span class="block text-[12px] text-ink2">{{ outcomeWords(entry) }}</span>
            </span>
          </button>
        </li>
      </ol>
    </template>
  </nav>
</template>

<style scoped>
.queue-row {
  display: flex;
  gap: 8px;
  width: 100%;
  padding: 4px 6px;
  border: 2px solid transparent;
  border-radius: 4px;
  text-align: start;
}
.queue-row:hover {
  background: var(--sunk);
}
.queue-row[aria-current] {
  border-color: var(--focus);
  background: var(--paper);
}
</style>
