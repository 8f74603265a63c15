<script setup lang="ts">
import { formatDay, formatOneDecimal, nextWords } from '#core/words'
import type { PlainDate } from '#core/base'
import type { RosterEntry } from '#shared/contracts/roster'
import { ChevronRight, Flag } from 'lucide-vue-next'

const { entry, place, today, isOpen } = defineProps<{
  entry: RosterEntry
  /** Where the rotation stands today, from 0; null before its start. */
  place: { pass: number; day: number } | null
  today: PlainDate
  /** Shows every reason and the answers to them. */
  isOpen: boolean
}>()
const emit = defineEmits<{
  later: [days: number]
  flagged: []
  settled: [session: string]
  opened: []
}>()
const MOST_REASONS = 4
const LATER = [
  ['tomorrow', 1],
  ['in three days', 3],
  ['in a week', 7],
] as const
const first = computed(() => entry.needs[0] ?? null)
const answers = computed(() => entry.needs.slice(0, MOST_REASONS))
const ANSWER_WORDS: Readonly<Record<RosterEntry['needs'][number]['kind'], string>> = {
  pain: 'See the joint',
  missed_session: 'Choose what to do',
  no_plan: 'Next step',
  not_sent: 'Send it',
  falling: 'See the trend',
  block_ends: 'Plan the next block',
  trial_over: 'See what came of it',
  out_of_band: 'Open the plan',
  not_opened: 'Link and code',
}
const weekWord = computed(() => (entry.block?.days.length === 7 ? 'week' : 'rotation'))
</script>

<template>
  <div class="roster-row" :data-open="isOpen || undefined">
    <NeedMark :kind="first?.kind ?? null" />
    <span class="min-w-0">
      <NuxtLink
        :to="`/clients/${entry.id}/split`"
        class="row-link"
        :data-client="entry.id"
        :aria-label="`${entry.name}, open the split`"
        ><bdi>{{ entry.name }}</bdi></NuxtLink
      >
      <Flag
        v-if="entry.isFlagged"
        :size="12"
        class="ml-1.5 inline text-focus"
        aria-label="flagged"
        role="img"
      />
      <span class="block truncate text-[12px] text-ink2">{{ entry.about }}</span>
    </span>
    <span class="min-w-0">
      <template v-if="first">
        <span class="line-clamp-2 font-semibold" :title="first.headline">{{ first.headline }}</span>
        <span class="block truncate text-[12px] text-ink2" :title="first.detail"
          >{{
            entry.needs.length > 1
              ? `and ${entry.needs.length - 1} more ${entry.needs.length === 2 ? 'reason' : 'reasons'} · `
              : ''
          }}{{
            entry.laterUntil ? `asks again ${formatDay(entry.laterUntil)}` : first.detail
          }}</span
        >
      </template>
      <template v-else>
        <span class="block truncate">{{
          entry.next
            ? nextWords(entry.next, today)
            : entry.block
              ? 'No session ahead'
              : 'No block planned'
        }}</span>
        <span class="block text-[12px] text-ink2">{{
          entry.block?.isEmpty ? 'nothing allocated yet' : 'every group in band'
        }}</span>
      </template>
    </span>
    <template v-if="entry.block">
      <RotationStrip class="figures" :days="entry.block.days" :today="place?.day ?? null" />
      <span class="figures font-display text-[14px] font-semibold text-flex">{{
        formatOneDecimal(entry.block.flexorsPer7Days)
      }}</span>
      <span class="figures font-display text-[14px] font-semibold text-ext">{{
        formatOneDecimal(entry.block.tricepsPer7Days)
      }}</span>
      <span class="figures min-w-0">
        <span class="block truncate" :title="entry.block.title">{{ entry.block.title }}</span>
        <span class="block text-[12px] text-ink2">{{
          place
            ? place.pass < entry.block.passes
              ? `${weekWord} ${place.pass + 1} of ${entry.block.passes}`
              : 'over'
            : 'starts later'
        }}</span>
      </span>
    </template>
    <span v-else class="figures col-span-4 text-ink3">No block planned</span>
    <button
      type="button"
      class="more"
      :aria-expanded="isOpen"
      :aria-label="`Reasons and answers for ${entry.name}`"
      @click="emit('opened')"
    >
      <ChevronRight :size="15" aria-hidden="true" :class="isOpen ? 'rotate-90' : ''" />
    </button>
    <div v-if="isOpen" class="answers">
      <ul class="flex flex-col gap-1">
        <li
          v-for="(need, at) in answers"
          :key="`${need.kind}-${need.session}`"
          class="flex flex-wrap items-baseline gap-x-3 gap-y-1"
        >
          <span class="font-semibold">{{ need.headline }}</span>
          <span class="text-ink2">{{ need.detail }}</span>
          <NuxtLink :to="need.to" class="control" :data-answer="at + 1"
            >{{ ANSWER_WORDS[need.kind] }} <KeyCap :label="String(at + 1)"
          /></NuxtLink>
          <button
            v-if="need.session"
            type="button"
            class="control"
            @click="emit('settled', need.session)"
          >
            Let it go
          </button>
        </li>
        <li v-if="answers.length === 0" class="text-ink2">Nothing waits for you here.</li>
      </ul>
      <p class="flex flex-wrap items-center gap-2">
        <span class="text-ink2">Ask again</span>
        <button
          v-for="[word, days] in LATER"
          :key="days"
          type="button"
          class="control"
          :data-later="days"
          @click="emit('later', days)"
        >
          {{ word }}
        </button>
        <button v-if="entry.laterUntil" type="button" class="control" @click="emit('later', 0)">
          now
        </button>
        <button
          type="button"
          class="control ml-auto"
          :aria-pressed="entry.isFlagged"
          @click="emit('flagged')"
        >
          <Flag :size="13" aria-hidden="true" />
          {{ entry.isFlagged ? 'Take the flag off' : 'Flag' }} <KeyCap label="F" />
        </button>
      </p>
    </div>
  </div>
</template>

<style scoped>
.roster-row {
  position: relative;
  display: grid;
  grid-template-columns: 26px minmax(120px, 190px) minmax(170px, 1fr) 264px 54px 54px 120px 32px;
  align-items: center;
  column-gap: 14px;
  min-height: 54px;
  padding: 4px 12px;
  border-bottom: 1px solid var(--hair);
  border-radius: 4px;
}
.roster-row:hover,
.roster-row[data-open] {
  background: var(--paper);
}
.roster-row:has(.row-link:focus-visible) {
  outline: 2px solid var(--focus);
  outline-offset: -2px;
  background: var(--paper);
}
.row-link {
  font-size: 14px;
  font-weight: 600;
  outline: none;
}
.row-link::after {
  content: '';
  position: absolute;
  inset: 0;
}
.more {
  position: relative;
  z-index: 1;
  display: flex;
  width: 28px;
  height: 28px;
  align-items: center;
  justify-content: center;
  border-radius: 4px;
  color: var(--ink2);
}
.more:hover {
  background: var(--sunk);
  color: var(--ink);
}
.answers {
  position: relative;
  z-index: 1;
  grid-column: 2 / -1;
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 4px 0 8px;
}
/* Without room for the figures: who, why, and the way to the answers. */
@media (max-width: 1023px) {
  .roster-row {
    grid-template-columns: 26px minmax(0, 190px) minmax(0, 1fr) 44px;
  }
  .figures {
    display: none;
  }
}
@media (max-width: 639px) {
  .roster-row {
    grid-template-columns: 26px minmax(0, 1fr) 44px;
    padding-inline: 4px;
  }
  .roster-row > :nth-child(3) {
    grid-row: 2;
    grid-column: 2;
  }
  .more {
    grid-row: 1 / span 2;
    grid-column: 3;
    width: 44px;
    height: 44px;
  }
}
</style>
