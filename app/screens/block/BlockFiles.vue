<script setup lang="ts">
import { CalendarDays, ChevronRight, Download, Printer } from 'lucide-vue-next'

/** The block as files and on paper, and the way to the next. */
const { clientId } = defineProps<{ clientId: string }>()
const emit = defineEmits<{ begun: [] }>()
const store = usePlanStore()
const exportPath = (kind: string) => `/api/blocks/${store.client?.block?.id}/export/${kind}`
</script>

<template>
  <nav aria-label="Keep and go on" class="flex flex-col items-start gap-1 text-[12.5px]">
    <a class="quiet-link flex items-center gap-1.5" :href="exportPath('calendar')"
      ><CalendarDays :size="13" aria-hidden="true" /> Calendar file</a
    >
    <span class="flex gap-3"
      ><a class="quiet-link flex items-center gap-1.5" :href="exportPath('csv')"
        ><Download :size="13" aria-hidden="true" /> CSV</a
      ><a class="quiet-link" :href="exportPath('xlsx')">XLSX</a
      ><a class="quiet-link" :href="exportPath('json')">JSON</a></span
    >
    <NuxtLink
      class="quiet-link flex items-center gap-1.5"
      :to="`/clients/${clientId}/print?block=1`"
      ><Printer :size="13" aria-hidden="true" /> Print the block</NuxtLink
    >
    <button type="button" class="quiet-link flex items-center gap-1.5" @click="emit('begun')">
      <ChevronRight :size="13" aria-hidden="true" /> The next block
    </button>
  </nav>
</template>
