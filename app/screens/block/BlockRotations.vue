<script setup lang="ts">
import { EFFORT, formatDay, formatOneDecimal } from '#core/words'
import { ArrowDown, ArrowUp, CircleAlert, CircleCheck } from 'lucide-vue-next'
import { useElementSize } from '@vueuse/core'
import { useBlockState } from './blockContext'

/** The block from its first rotation to its last: weeks over rotations, effort, sets in their channels, readiness, elbow, exercises. */
const { at, groupAt, columns, rails, bodyRails, weeks, todayShare, go } = useBlockState()
const NAMES = 150
const SUMMARY = 190
/** Of a rotation's column: what its stack and total need, and what there is to be for whole dates and shares beside them. */
const LEAST_CELL = 84
const ROOMY_CELL = 118
const count = computed(() => Math.max(1, columns.value.length))
const board = useTemplateRef<HTMLElement>('board')
const { width } = useElementSize(board, { width: 1240, height: 0 })
const grid = computed(() => ({
  // Every row is as wide as the others, whatever stands in it.
  minWidth: `${NAMES + LEAST_CELL * count.value + SUMMARY}px`,
  gridTemplateColumns: `${NAMES}px repeat(${count.value}, minmax(${LEAST_CELL}px, 1fr)) ${SUMMARY}px`,
}))
const isNarrow = computed(
  () => ((width.value || 1240) - NAMES - SUMMARY) / count.value < ROOMY_CELL,
)
const scaleOf = (rail: {
  readonly most: number
  readonly cells: readonly { readonly counted: number }[]
}) => Math.max(rail.most * 1.15, ...rail.cells.map(({ counted }) => counted))
function select(pass: number, rail = groupAt.value): void {
  go({ passes: pass - at.value, rails: rail - groupAt.value })
}
const MOST_RIR = 4
const stair = (rir: number | undefined) => 3 + 5 * (MOST_RIR - Math.min(MOST_RIR, rir ?? MOST_RIR))
</script>

<template>
  <div
    ref="board"
    class="board overflow-x-auto"
    role="grid"
    aria-label="Block, rotations across, muscles down"
  >
    <div class="grid" :style="grid" role="presentation">
      <span />
      <div
        class="relative h-[26px]"
        :style="{ gridColumn: `2 / span ${count}` }"
        aria-hidden="true"
      >
        <span
          v-for="week in weeks"
          :key="week.number"
          class="week"
          :class="{ ink: week.number % 2 === 1 }"
          :style="{ left: `${week.from * 100}%`, width: `${(week.to - week.from) * 100}%` }"
          >{{ weeks.length > 10 ? week.number : `week ${week.number}` }}</span
        >
        <span v-if="todayShare !== null" class="today" :style="{ left: `${todayShare * 100}%` }" />
      </div>
      <span />
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name" role="rowheader"><b>Rotation</b></span>
      <button
        v-for="column in columns"
        :key="column.at"
        type="button"
        role="columnheader"
        class="cell head"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
        :aria-label="`Rotation ${column.number}, from ${column.from}, ${column.state}${column.isNow ? ', now' : ''}`"
        :tabindex="column.at === at ? 0 : -1"
        @click="select(column.at)"
      >
        <b class="font-display text-[20px]">{{ column.number }}</b>
        <span
          ><span class="block font-semibold whitespace-nowrap">{{
            isNarrow ? column.from.slice(4) : column.from
          }}</span
          ><span
            class="block text-[12px]"
            :class="column.isNow ? 'font-semibold text-focus' : 'text-ink2'"
            >{{ column.isNow ? 'now' : column.state }}</span
          ></span
        >
      </button>
      <span class="summary text-ink2">First rotation to the peak,<br />sets per 7 days</span>
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name" role="rowheader"
        ><b>{{ EFFORT.name }}</b
        ><span class="sub">compound, single-joint</span></span
      >
      <span
        v-for="column in columns"
        :key="column.at"
        role="gridcell"
        class="cell stairs"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
        :aria-label="
          column.rir
            ? `${column.rir.compound} and ${column.rir.isolation} ${EFFORT.after}`
            : column.isDeload
              ? `4 or more ${EFFORT.after}`
              : column.isSent
                ? 'as sent'
                : 'as the rotation has them'
        "
      >
        <svg
          v-if="column.rir || column.isDeload"
          viewBox="0 0 100 42"
          preserveAspectRatio="none"
          class="absolute inset-0 h-full w-full"
          aria-hidden="true"
        >
          <path
            :d="`M0 ${stair(column.isDeload ? 4 : column.rir?.compound)}H100`"
            stroke="var(--ink)"
            stroke-width="2"
            vector-effect="non-scaling-stroke"
          />
        </svg>
        <b
          v-if="column.rir || column.isDeload"
          class="absolute"
          :style="{ top: `${stair(column.isDeload ? 4 : column.rir?.compound) + 1}px` }"
          >{{
            column.isDeload ? '4' : `${column.rir?.compound}, ${column.rir?.isolation}`
          }}</b><span v-else class="absolute top-[10px] text-ink2">{{
          column.isSent ? 'as sent' : 'as written'
        }}</span>
      </span>
      <span />
    </div>
    <div v-for="(rail, r) in rails" :key="rail.group" class="grid" :style="grid" role="row">
      <span class="name" role="rowheader" :style="{ color: `var(--${rail.family})` }"
        ><b>{{ rail.name }}</b></span
      >
      <button
        v-for="cell in rail.cells"
        :key="cell.at"
        type="button"
        role="gridcell"
        class="cell stack"
        :data-current="cell.at === at || undefined"
        :data-deload="columns[cell.at]?.isDeload || undefined"
        :data-picked="(cell.at === at && r === groupAt) || undefined"
        :tabindex="cell.at === at && r === groupAt ? 0 : -1"
        :aria-label="`${rail.name}, rotation ${cell.at + 1}: ${cell.total} sets per 7 days, ${cell.parts} direct and indirect${Math.abs(cell.outside) >= 0.05 ? `, ${formatOneDecimal(Math.abs(cell.outside))} ${cell.outside > 0 ? 'over the ceiling' : 'under the floor'}` : ''}${cell.isException ? ', an exception' : ''}`"
        @click="select(cell.at, r)"
      >
        <BlockStack
          :direct="cell.direct"
          :indirect="cell.indirect"
          :band="cell.band"
          :scale="scaleOf(rail)"
          :is-done="cell.isDone"
          :family="rail.family"
          :width="40"
        />
        <span class="pt-1 text-left leading-[15px]"
          ><b class="font-display text-[16px]">{{ cell.total }}</b
          ><span v-if="cell.isException" class="text-focus" aria-hidden="true"> *</span>
          <span
            v-if="!isNarrow"
            class="block text-[12px] whitespace-nowrap"
            :style="{ color: `var(--${rail.family})` }"
            >{{ cell.parts }}</span
          >
          <span
            v-if="Math.abs(cell.outside) >= 0.5"
            class="flex items-center text-[12px] text-alert"
            ><ArrowUp v-if="cell.outside > 0" :size="12" aria-hidden="true" /><ArrowDown
              v-else
              :size="12"
              aria-hidden="true"
            />{{ Math.abs(cell.outside).toFixed(1) }}</span
          ></span
        >
      </button>
      <span class="summary"
        ><b>{{ rail.first }} → {{ rail.peak }}</b
        ><span class="block" :class="rail.isOver ? 'text-alert' : 'text-ink2'"
          ><ArrowUp v-if="rail.isOver" class="inline" :size="12" aria-hidden="true" />
          {{ rail.room }}</span
        ></span
      >
    </div>
    <div v-for="rail in bodyRails" :key="rail.id" class="grid" :style="grid" role="row">
      <span class="name slim" role="rowheader">{{ rail.name }}</span>
      <span
        v-for="cell in rail.cells"
        :key="cell.at"
        role="gridcell"
        class="cell slim"
        :data-current="cell.at === at || undefined"
        :data-deload="columns[cell.at]?.isDeload || undefined"
      >
        <span
          class="bar"
          :class="{ done: cell.isDone }"
          :style="{ width: `${Math.min(40, (40 * cell.sets) / rail.most)}%` }"
          aria-hidden="true"
        /><span class="figure">{{ cell.words }}</span>
      </span>
      <span />
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name" role="rowheader"
        ><b>Readiness</b><span class="sub">the least ready</span></span
      >
      <span
        v-for="column in columns"
        :key="column.at"
        role="gridcell"
        class="cell slim"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
        :title="column.lowest?.words"
        :aria-label="column.lowest?.words ?? 'nothing to recover from'"
      >
        <span
          v-if="column.lowest"
          :class="
            column.lowest.thread === 'frayed'
              ? 'alert-chip'
              : column.lowest.thread === 'taut'
                ? 'font-semibold'
                : 'text-ink2'
          "
          ><CircleAlert v-if="column.lowest.thread === 'frayed'" :size="12" aria-hidden="true" />{{
            column.lowest.percent
          }}&nbsp;%</span
        >
      </span>
      <span class="summary text-ink2">forecast from the plan</span>
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name slim" role="rowheader"
        ><b>Elbow</b> <span class="text-ink2">in 7 days</span></span
      >
      <span
        v-for="column in columns"
        :key="column.at"
        role="gridcell"
        class="cell slim"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
        :aria-label="`${column.elbow.load} of ${column.elbow.of} points`"
      >
        <span :class="column.elbow.isOver ? 'alert-chip' : 'text-ink2'"
          ><CircleAlert v-if="column.elbow.isOver" :size="12" aria-hidden="true" />{{
            column.elbow.load
          }}<template v-if="!isNarrow"> of {{ column.elbow.of }}</template></span
        >
      </span>
      <span />
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name slim" role="rowheader"
        ><b>Exercises</b> <span class="text-ink2">A and B</span></span
      >
      <span
        v-for="column in columns"
        :key="column.at"
        role="gridcell"
        class="cell slim"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
        ><span
          v-if="column.choice"
          class="disc"
          :class="{ hollow: column.choice !== 'A' && column.choice !== 'both' }"
          >{{ column.choice === 'both' ? 'mix' : column.choice }}</span
        ><span v-else class="text-ink3">same</span></span
      >
      <span />
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name slim" role="rowheader"><b>Sets and minutes</b></span>
      <span
        v-for="column in columns"
        :key="column.at"
        role="gridcell"
        class="cell slim"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
      >
        <span class="text-ink2"
          ><CircleCheck
            v-if="column.state === 'done'"
            :size="12"
            class="inline"
            aria-label="done"
          />
          {{ column.done > 0 && column.done < column.sets ? `${column.done} of ` : ''
          }}{{ column.sets }}<template v-if="!isNarrow">, {{ column.minutes }} min</template></span
        >
      </span>
      <span />
    </div>
    <div class="grid" :style="grid" role="row">
      <span class="name slim" role="rowheader"><b>Exceptions</b></span>
      <span
        v-for="column in columns"
        :key="column.at"
        role="gridcell"
        class="cell slim exceptions"
        :data-current="column.at === at || undefined"
        :data-deload="column.isDeload || undefined"
      >
        <span v-for="words in column.exceptions" :key="words" class="block text-focus">{{
          words
        }}</span><span v-for="words in column.begins" :key="words" class="block text-focus">{{
          words
        }}</span
        ><span v-if="column.leftOut > 0" class="block text-ink2">{{ column.leftOut }} left out</span
        ><span v-if="column.notPlaced > 0" class="block text-alert">sets without a place</span>
      </span>
      <span class="summary text-ink2">from {{ weeks[0] ? formatDay(weeks[0].date) : '' }}</span>
    </div>
  </div>
</template>

<style scoped>
.week {
  position: absolute;
  top: 0;
  height: 22px;
  border-bottom: 4px solid var(--paper);
  outline: 1px solid var(--ink);
  outline-offset: -1px;
  clip-path: inset(0 0 0 0);
  color: var(--ink2);
  font-size: 12px;
  text-align: center;
  outline: none;
  box-shadow: inset 0 -1px 0 var(--ink);
}
.week.ink {
  border-bottom-color: var(--ink);
}
.today {
  position: absolute;
  bottom: 0;
  width: 9px;
  height: 9px;
  margin-left: -4px;
  border-radius: 50%;
  background: var(--focus);
}
.name {
  padding: 6px 8px 0 0;
  line-height: 16px;
}
.name .sub {
  display: block;
  color: var(--ink2);
  font-size: 12px;
}
.name.slim {
  padding-top: 2px;
}
.cell {
  position: relative;
  min-width: 0;
  padding: 2px 6px;
  border: 0;
  text-align: left;
}
.cell[data-deload] {
  background: var(--sunk);
}
.cell[data-current] {
  background: var(--paper);
}
.cell[data-picked] {
  outline: 2px solid var(--focus);
  outline-offset: -2px;
  border-radius: 5px;
}
.head {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  border-left: 1px solid var(--line);
}
.stairs {
  height: 38px;
  padding-left: 10px;
}
.stack {
  display: flex;
  gap: 6px;
  padding: 3px 0;
}
.slim {
  min-height: 20px;
  padding-top: 1px;
  padding-bottom: 1px;
  font-size: 12.5px;
}
.bar {
  position: absolute;
  left: 11px;
  top: 7px;
  height: 7px;
  border: 1px solid var(--body-peg);
}
.bar.done {
  background: var(--body-peg);
}
.figure {
  position: absolute;
  left: 52%;
}
.summary {
  padding: 6px 0 0 14px;
  font-size: 12.5px;
  line-height: 16px;
}
.disc {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 18px;
  height: 18px;
  padding: 0 4px;
  border-radius: 9px;
  background: var(--ink2);
  color: var(--ground);
  font-size: 11.5px;
  font-weight: 650;
}
.disc.hollow {
  background: var(--ground);
  color: var(--ink);
  box-shadow: inset 0 0 0 1.5px var(--ink2);
}
.exceptions {
  font-size: 12px;
  line-height: 15px;
}
</style>
