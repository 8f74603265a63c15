<script setup lang="ts">
import {
  formatOneDecimal,
  GROUP_NAMES,
  outsideWords,
  railName,
  splitOnScreen,
  weekSentence,
} from '#core/words'
import { ArrowDown, ArrowUp, ChevronDown, ChevronRight } from 'lucide-vue-next'
import type { BoardRail } from './useBoardRails'
import type { Arrival } from '#core/body/recovery'
import { useBoard } from './boardContext'
import { cellSignature } from './cellSignature'

const { rail, railAt, dayWidth } = defineProps<{
  rail: BoardRail
  railAt: number
  dayWidth: number
}>()
const board = useBoard()
const name = computed(() => railName(rail.view))
const NONE: readonly Arrival[] = []
const cells = computed(() => {
  const own = rail.view.rail
  const group = own.kind === 'group' ? own.group : null
  const [arrivals, resting] = [
    group ? (board.recovery.value?.arrivals[group] ?? NONE) : NONE,
    group ? (board.restingRecovery.value?.arrivals[group] ?? NONE) : NONE,
  ]
  return rail.view.cells.map((cell, day) => {
    const drawn = {
      cell,
      arrivals,
      resting,
      worst: rail.size === 'small' ? board.worstArrival(rail, day) : null,
    }
    return { ...drawn, signature: cellSignature(drawn, day) }
  })
})
const before = computed(() => board.restingRails.value.get(rail.key)?.view)
const figures = computed(() =>
  splitOnScreen(rail.view.week.direct.value, rail.view.week.counted.value),
)
const was = computed(() =>
  before.value ? formatOneDecimal(before.value.week.counted.value) : figures.value.counted,
)
const frequency = computed(() => formatOneDecimal(rail.view.frequencyPer7Days))
const isFrequencyChanged = computed(
  () =>
    before.value !== undefined &&
    formatOneDecimal(before.value.frequencyPer7Days) !== frequency.value,
)
const isChanged = computed(() => was.value !== figures.value.counted)
const outside = computed(() => (rail.view.band ? outsideWords(rail.view.band.outside) : ''))
const isUnder = computed(() => (rail.view.band?.outside ?? 0) < 0)
const bandOwner = computed(() =>
  rail.view.rail.kind === 'bundle' && rail.view.band && outside.value
    ? GROUP_NAMES[rail.view.band.group]
    : '',
)
const sentence = computed(() => weekSentence(rail.view))
</script>

<template>
  <div role="row" class="row" :data-size="rail.size" :data-family="rail.family" :aria-label="name">
    <div role="rowheader" class="name">
      <RailGlyph
        v-if="rail.size !== 'head'"
        :family="rail.family"
        :is-small="rail.size === 'small'"
      />
      <button
        v-if="rail.opens"
        type="button"
        class="opener"
        :aria-expanded="rail.opens.isOpen"
        :title="`${rail.opens.words} (H)`"
        tabindex="-1"
        @click="board.toggle(rail.opens.key)"
      >
        <span class="title">{{ name }}</span>
        <span class="opens"
          ><component
            :is="rail.opens.isOpen ? ChevronDown : ChevronRight"
            :size="11"
            aria-hidden="true"
          />{{ rail.opens.words }}</span
        >
      </button>
      <span v-else class="title">{{ name }}</span>
    </div>
    <SplitBoardCell
      v-for="(drawn, dayAt) in cells"
      :key="dayAt"
      v-memo="[drawn.signature, dayWidth, railAt, rail.size, rail.key, cells.length]"
      :rail="rail"
      :rail-at="railAt"
      :day-at="dayAt"
      :width="dayWidth"
      :cell="drawn.cell"
      :arrivals="drawn.arrivals"
      :resting="drawn.resting"
      :worst="drawn.worst"
    />
    <div role="gridcell" class="figures" :aria-label="sentence">
      <span class="total" :data-changed="isChanged || undefined"
        ><template v-if="isChanged">{{ was }} → </template>{{ figures.counted }}</span
      >
      <span v-if="rail.size === 'arm'" class="split"
        ><b>{{ figures.direct }}</b> + {{ figures.indirect }}</span
      >
      <SecondFigure :rail-key="rail.key" :size="rail.size" />
    </div>
    <div role="gridcell" class="band" :aria-label="outside || 'inside the band'">
      <BandChannel
        v-if="rail.view.band"
        :band="rail.view.band.limits"
        :value="rail.view.band.value"
        :family="rail.family"
        :size="rail.size"
        :shows-numbers="rail.size === 'arm'"
      />
      <span v-if="outside && rail.size !== 'head'" class="outside" :data-size="rail.size">
        <component :is="isUnder ? ArrowDown : ArrowUp" :size="12" aria-hidden="true" />{{
          bandOwner ? `${bandOwner} ` : ''
        }}{{ outside }}
      </span>
    </div>
    <div
      role="gridcell"
      class="frequency"
      :aria-label="`${frequency} days in 7`"
      :data-changed="isFrequencyChanged || undefined"
    >
      <template v-if="rail.size !== 'head' || rail.view.band">{{ frequency }}×</template>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: contents;
}
.row[data-family='flex'] {
  --text: var(--flex);
}
.row[data-family='flex2'] {
  --text: var(--flex2);
}
.row[data-family='ext'] {
  --text: var(--ext);
}
.row[data-family='fore'] {
  --text: var(--fore);
}
.row[data-family='body'] {
  --text: var(--body);
}
.name {
  display: flex;
  align-items: flex-end;
  gap: 10px;
  min-width: 0;
  padding-bottom: 3px;
  background: var(--ground);
  position: var(--names);
  left: 0;
  z-index: 2;
}
.row[data-size='head'] .name {
  padding-left: 23px;
  padding-bottom: 0;
  align-items: center;
  font-size: 11.5px;
  color: var(--text);
}
.row[data-size='small'] .name {
  padding-bottom: 0;
}
.row[data-size='small'] .opener {
  flex-direction: row;
  align-items: baseline;
  gap: 6px;
}
.title {
  font-size: 14px;
  font-weight: 650;
  line-height: 15px;
  color: var(--text);
}
.row[data-size='head'] .title {
  font-size: 11.5px;
  font-weight: 500;
}
.row[data-size='small'] .title {
  font-weight: 500;
  font-size: 13px;
}
.opener {
  display: flex;
  flex-direction: column;
  text-align: left;
  min-width: 0;
  border-radius: 3px;
}
.opener:hover .opens {
  color: var(--ink);
  text-decoration: underline;
}
.opens {
  display: flex;
  align-items: center;
  gap: 3px;
  font-size: 11px;
  color: var(--ink2);
  line-height: 15px;
}
.figures {
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  justify-content: flex-end;
  padding: 0 4px 4px;
  white-space: nowrap;
}
.row[data-size='head'] .figures,
.row[data-size='small'] .figures {
  justify-content: center;
  padding-bottom: 0;
}
.total {
  font-family: var(--font-display);
  font-size: 22px;
  line-height: 24px;
  font-weight: 600;
  letter-spacing: -0.01em;
}
.row[data-size='head'] .total,
.row[data-size='small'] .total {
  font-size: 14px;
  line-height: 16px;
  letter-spacing: 0;
}
.total[data-changed] {
  color: var(--focus);
  font-size: 14px;
}
.split {
  font-size: 11.5px;
  color: var(--ink2);
}
.split b {
  color: var(--text);
  font-weight: 700;
}
.band {
  position: relative;
}
.outside {
  position: absolute;
  display: inline-flex;
  align-items: center;
  gap: 3px;
  padding: 0 5px;
  border-radius: 3px;
  background: var(--alert-wash);
  color: var(--alert);
  font-size: 11px;
  font-weight: 600;
  white-space: nowrap;
  right: 4px;
}
.outside[data-size='arm'] {
  top: 2px;
}
.outside[data-size='small'] {
  display: none;
}
.frequency {
  display: flex;
  align-items: flex-end;
  justify-content: flex-end;
  padding-bottom: 7px;
  font-size: 14px;
  font-family: var(--font-display);
  font-weight: 600;
}
.frequency[data-changed] {
  color: var(--focus);
}
.row[data-size='head'] .frequency,
.row[data-size='small'] .frequency {
  align-items: center;
  padding-bottom: 0;
  font-size: 12px;
}
</style>
