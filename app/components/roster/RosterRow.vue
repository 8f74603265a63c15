<script setup lang="ts">
import { formatOneDecimal } from '#core/format'
import type { RosterEntry } from '#shared/contracts/client'
import { ArrowUpDown, ChevronRight, Circle } from 'lucide-vue-next'

const { entry, place } = defineProps<{
  entry: RosterEntry
  /** Where the rotation stands today, from 0; null before its start. */
  place: { pass: number, day: number } | null
}>()
const todaysDay = computed(() => (place && entry.block ? entry.block.days[place.day] : undefined))
const reason = computed(() => {
  const [first, ...others] = entry.block?.notices ?? []
  return first ? { first, more: others.length } : null
})
</script>

<template>
  <NuxtLink :to="`/clients/${entry.id}/split`" class="roster-row group" :aria-label="`${entry.name}, open the split`">
    <span class="flex h-[26px] w-[26px] items-center justify-center rounded-[3px]" :class="reason ? 'bg-alert-wash text-alert' : 'text-ink3'" aria-hidden="true">
      <ArrowUpDown v-if="reason" :size="15" />
      <Circle v-else :size="7" fill="currentColor" />
    </span>
    <span class="min-w-0">
      <span class="block truncate text-[14px] font-semibold">{{ entry.name }}</span>
      <span class="block truncate text-[12px] text-ink2">{{ entry.about }}</span>
    </span>
    <span class="min-w-0">
      <template v-if="reason">
        <span class="block truncate font-semibold">{{ reason.first }}</span>
        <span class="block text-[12px] text-ink2">{{ reason.more > 0 ? `and ${reason.more} more ${reason.more === 1 ? 'group' : 'groups'} out of band` : todaysDay ? `today ${todaysDay.name}` : 'not started' }}</span>
      </template>
      <template v-else>
        <span class="block">{{ todaysDay ? `Today ${todaysDay.name}` : 'Not started' }}</span>
        <span class="block text-[12px] text-ink2">every group in band</span>
      </template>
    </span>
    <template v-if="entry.block">
      <RotationStrip :days="entry.block.days" :today="place?.day ?? null" />
      <span class="font-display text-[14px] font-semibold text-flex">{{ formatOneDecimal(entry.block.flexorsPer7Days) }}</span>
      <span class="font-display text-[14px] font-semibold text-ext">{{ formatOneDecimal(entry.block.tricepsPer7Days) }}</span>
      <span class="min-w-0">
        <span class="block truncate">{{ entry.block.title }}</span>
        <span class="block text-[12px] text-ink2">
          {{ place ? `${entry.block.days.length === 7 ? 'week' : 'rotation'} ${place.pass + 1} of ${entry.block.passes}` : 'starts later' }}
        </span>
      </span>
    </template>
    <span v-else class="col-span-4 text-ink3">No block planned</span>
    <span class="flex items-center justify-end gap-1 text-ink2 group-hover:text-ink">Open <ChevronRight :size="15" aria-hidden="true" /></span>
  </NuxtLink>
</template>

<style scoped>
.roster-row {
  display: grid; grid-template-columns: 26px 190px minmax(150px, 1fr) 264px 58px 58px 130px 64px; align-items: center; column-gap: 14px;
  min-height: 58px; padding: 4px 12px; border-bottom: 1px solid var(--hair); border-radius: 4px;
}
.roster-row:hover { background: var(--paper); }
.roster-row:focus-visible { outline-offset: -2px; background: var(--paper); }
</style>
