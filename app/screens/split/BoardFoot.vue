<script setup lang="ts">
import { ArrowUp, Clock, Grip } from 'lucide-vue-next'
import type { FootRow } from './useBoardFoot'
import { useBoard } from './boardContext'

/** A row under the board: what each day costs against what it may. */
const { name, icon, cells, week, note } = defineProps<FootRow>()
const board = useBoard()
const ICONS = { clock: Clock, elbow: Grip } as const
/** The limit stands at three quarters of the bar, so that going over it is seen. */
const LIMIT_AT = 75
const barOf = (share: number) => Math.min(100, share * LIMIT_AT)
</script>

<template>
  <div role="row" class="contents">
    <div role="rowheader" class="foot foot-name" :data-first="icon === 'clock' || undefined">
      <component :is="ICONS[icon]" :size="13" aria-hidden="true" /> {{ name }}
    </div>
    <div
      v-for="(cell, at) in cells"
      :key="at"
      role="gridcell"
      class="foot"
      :data-rest="cell.isRest || undefined"
      :data-first="icon === 'clock' || undefined"
      :data-day-selected="board.place.value.day === at || undefined"
      :aria-label="
        cell.value
          ? `${name}, day ${at + 1}: ${cell.value} ${cell.of}${cell.over ? `, ${cell.over}` : ''}`
          : `${name}, day ${at + 1}: none`
      "
    >
      <template v-if="cell.value">
        <span
          class="value"
          :data-over="cell.over !== '' || undefined"
          :data-changed="cell.isChanged || undefined"
          ><b>{{ cell.value }}</b> <span>{{ cell.over ? '' : cell.of }}</span><span
            v-if="cell.over"
            class="over"
            ><ArrowUp :size="11" aria-hidden="true" />{{ cell.over.replace(' over', '')
            }}<span class="max-xl:hidden">&nbsp;over</span></span
          ></span
        >
        <span v-if="cell.share !== null" class="bar" aria-hidden="true"
          ><span
            :data-over="cell.over !== '' || undefined"
            :style="{ width: `${barOf(cell.share)}%` }"
        /></span>
      </template>
    </div>
    <div role="gridcell" class="foot foot-sum" :data-first="icon === 'clock' || undefined">
      {{ week }}
    </div>
    <div
      role="gridcell"
      class="foot text-[12px] text-ink2"
      :data-first="icon === 'clock' || undefined"
    >
      {{ note }}
    </div>
    <div role="gridcell" class="foot" :data-first="icon === 'clock' || undefined" />
  </div>
</template>

<style scoped>
.foot {
  padding: 3px 9px 4px;
  min-height: 31px;
}
.foot[data-first] {
  border-top: 1.5px solid var(--ink);
  margin-top: 6px;
  padding-top: 5px;
}
.foot[data-day-selected] {
  background: var(--paper);
}
.foot[data-rest] {
  background: var(--rest-day);
}
.foot-name {
  display: flex;
  align-items: center;
  gap: 7px;
  padding-left: 0;
  position: var(--names);
  left: 0;
  background: var(--ground);
  z-index: 2;
  white-space: nowrap;
}
.foot-sum {
  text-align: right;
  padding-inline: 4px;
  font-family: var(--font-display);
  font-weight: 600;
  white-space: nowrap;
}
.value {
  display: block;
  font-size: 12px;
  line-height: 15px;
  color: var(--ink2);
  white-space: nowrap;
}
.value b {
  color: var(--ink);
  font-weight: 650;
}
.value[data-over] b,
.over {
  color: var(--alert);
}
.over {
  display: inline-flex;
  align-items: center;
  font-weight: 600;
}
.value[data-changed] b {
  color: var(--focus);
}
.bar {
  position: relative;
  display: block;
  height: 4px;
  margin-top: 2px;
  background: linear-gradient(var(--line), var(--line)) 0 1.5px / 100% 1px no-repeat;
}
.bar > span {
  position: absolute;
  left: 0;
  top: 0;
  height: 4px;
  background: var(--body-peg);
}
.bar > span[data-over] {
  background: var(--alert);
}
.bar::after {
  content: '';
  position: absolute;
  left: 75%;
  top: -2px;
  width: 1.5px;
  height: 8px;
  background: var(--ink);
}
@media (max-width: 1279px) {
  .foot {
    padding-inline: 4px;
  }
  .foot-name {
    padding-left: 0;
  }
  .value {
    font-size: 11px;
  }
}
</style>
