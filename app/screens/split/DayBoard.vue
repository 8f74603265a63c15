<script setup lang="ts">
import { dayName } from '#core/words'
import { Lock } from 'lucide-vue-next'
import { useBoard } from './boardContext'

/** The board for a narrow screen: one day at a time, every set a tap. */
const { dates, isReady, today } = defineProps<{
  dates: readonly string[]
  isReady: boolean
  /** Day of the rotation that falls on today, from 0. */
  today: number | null
}>()
const board = useBoard()
const store = usePlanStore()
const { at, day, groupings, totals, change, foot } = useDayBoard(board)
const MOST_PEGS = 12
const isRest = computed(() => day.value?.role === 'rest')
onMounted(() => today !== null && board.goToDay(today))
</script>

<template>
  <div :aria-busy="!isReady">
    <nav aria-label="Days" class="flex gap-0.5 overflow-x-auto py-2">
      <button
        v-for="(one, n) in board.days.value"
        :key="n"
        type="button"
        class="day"
        :data-rest="one.role === 'rest' || undefined"
        :aria-current="n === at ? 'true' : undefined"
        :aria-label="`Day ${n + 1}, ${dayName(one)}, ${dates[n] ?? ''}`"
        @click="board.goToDay(n)"
      >
        <b class="font-display text-[17px] leading-5">{{ n + 1 }}</b>
        <span class="block truncate text-[12px]">{{ dayName(one) }}</span>
      </button>
    </nav>
    <h2 class="text-[15px] font-[650]">
      Day {{ at + 1 }} {{ day ? dayName(day) : '' }}
      <span class="font-normal text-ink2">{{ dates[at] }}</span>
    </h2>
    <p v-if="isRest" class="py-4 text-ink2">
      A day of rest.
      <button type="button" class="control ml-2" @click="board.toggleRest()">
        Make it a training day
      </button>
    </p>
    <ol v-else>
      <li
        v-for="grouping in groupings"
        :key="grouping.key"
        class="grouping"
        :data-together="grouping.isTogether || undefined"
      >
        <div
          v-for="line in grouping.lines"
          :key="line.id"
          class="line"
          :data-exercise="line.exercise"
          :data-changed="line.was !== null || undefined"
        >
          <div class="min-w-0 flex-1" :style="{ '--peg': `var(--${line.family}-peg)` }">
            <bdi class="line-clamp-2 font-semibold" :style="{ color: `var(--${line.family})` }">{{
              line.name
            }}</bdi>
            <span class="flex flex-wrap items-end gap-x-1" aria-hidden="true">
              <i v-for="n in Math.min(line.sets, MOST_PEGS)" :key="n" class="peg" />
              <span v-if="line.was !== null" class="text-[12px] text-focus"
                >was {{ line.was }}</span
              >
            </span>
          </div>
          <button
            type="button"
            class="step"
            :aria-label="`One set less of ${line.name}`"
            @click="change(line.id, -1)"
          >
            −
          </button>
          <output
            class="w-6 text-center text-[16px]"
            :class="line.was === null ? '' : 'text-focus'"
          >
            {{ line.sets }}
          </output>
          <button
            type="button"
            class="step"
            :aria-label="`One set more of ${line.name}`"
            :aria-disabled="line.held !== null"
            :title="line.held ?? undefined"
            @click="line.held === null ? change(line.id, 1) : board.say(line.held)"
          >
            <Lock v-if="line.held !== null" :size="15" aria-hidden="true" /><template v-else
              >+</template
            >
          </button>
        </div>
      </li>
      <li v-if="groupings.length === 0" class="py-3 text-ink2">No exercises on this day yet.</li>
    </ol>
    <div v-if="!isRest" class="flex flex-wrap gap-2 py-3">
      <NuxtLink :to="`/clients/${store.client?.id}/session/${at + 1}`" class="control"
        >Open the session</NuxtLink
      >
      <NuxtLink
        v-if="groupings.length > 0"
        :to="`/clients/${store.client?.id}/session/${at + 1}?panel=short`"
        class="control"
        >Make it shorter</NuxtLink
      >
      <button
        v-if="groupings.length > 0"
        type="button"
        class="control"
        @click="board.choose('move')"
      >
        Move it to another day
      </button>
    </div>
    <section aria-label="In 7 days" class="totals">
      <p v-for="{ rail, name, was, now } in totals" :key="rail.key" class="total">
        <span class="min-w-0 flex-1 font-semibold" :style="{ color: `var(--${rail.family})` }">{{
          name
        }}</span>
        <span class="text-[12px] text-ink2"
          ><template v-if="was !== null">{{ was }} → </template></span
        >
        <b class="w-10 text-end" :class="was === null ? '' : 'text-focus'">{{ now }}</b>
        <BandChannel
          v-if="rail.view.band"
          :band="rail.view.band.limits"
          :value="rail.view.band.value"
          :family="rail.family"
          size="head"
          shows-numbers
        />
      </p>
      <p v-for="row in foot" :key="row.name" class="total text-ink2">
        <span class="flex-1">{{ row.name }}</span>
        <span v-if="row.cells[at]?.value" :class="row.cells[at]?.over ? 'alert-chip' : 'text-ink'"
          >{{ row.cells[at]?.value }} {{ row.cells[at]?.of }}
          <template v-if="row.cells[at]?.over">, {{ row.cells[at]?.over }}</template></span
        >
        <span v-else>none</span>
      </p>
    </section>
  </div>
</template>

<style scoped>
.day {
  flex: 1 0 40px;
  min-width: 40px;
  max-width: 90px;
  min-height: 48px;
  padding: 2px 3px;
  border: 1.5px solid transparent;
  border-radius: 4px;
  text-align: center;
}
.day[data-rest] {
  background: var(--rest-day);
  color: var(--ink2);
}
.day[aria-current] {
  border-color: var(--focus);
  background: var(--paper);
  font-weight: 600;
}
.grouping[data-together] {
  margin: 4px 0;
  border-inline-start: 2px solid var(--ink2);
  padding-inline-start: 8px;
}
.line {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.line[data-changed] {
  background: var(--focus-wash);
}
.peg {
  width: 3px;
  height: 12px;
  border-radius: 1px;
  background: var(--peg);
}
.step {
  display: grid;
  width: 44px;
  height: 44px;
  flex-shrink: 0;
  place-items: center;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--paper);
  font-size: 18px;
}
.step[aria-disabled='true'] {
  background: var(--sunk);
  color: var(--ink2);
}
.totals {
  position: sticky;
  bottom: 53px;
  margin-inline: -12px;
  padding: 6px 12px;
  border-top: 1.5px solid var(--ink);
  background: var(--ground);
}
.total {
  display: flex;
  align-items: center;
  gap: 8px;
  line-height: 18px;
}
</style>
