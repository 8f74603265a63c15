<script setup lang="ts">
import { useElementSize, useMounted } from '@vueuse/core'
import { useBoard } from './boardContext'
import { boardColumns } from './boardColumns'

defineProps<{
  /** What stands under each day's role. */
  dates: readonly string[]
  /** Whether edits and steps kept from an earlier visit are back. */
  isReady: boolean
}>()
const board = useBoard()
const frame = useTemplateRef<HTMLElement>('frame')
/** Keys and drags work from here on; the server's drawing alone hears nothing. */
const isLive = useMounted()
const { width } = useElementSize(frame, { width: 1240, height: 0 })
const columns = computed(() => boardColumns(width.value || 1240, board.days.value.length))
const foot = useBoardFoot(board)
</script>

<template>
  <div ref="frame" class="overflow-x-auto">
    <div
      role="grid"
      :aria-busy="!isLive || !isReady"
      aria-label="Split board: sets of each muscle on each day"
      class="board"
      :style="{
        gridTemplateColumns: columns.template,
        width: `${columns.total}px`,
        '--names': columns.total > width ? 'sticky' : 'relative',
      }"
    >
      <div role="row" class="contents">
        <div role="columnheader" class="legend">
          <span class="flex items-end gap-1.5"
            ><RailGlyph family="flex" :is-small="false" /> one set direct</span
          >
          <span class="flex items-end gap-1.5"><IndirectGlyph /> half credit</span>
        </div>
        <SplitBoardDayHead
          v-for="(_, dayAt) in board.days.value"
          :key="dayAt"
          :day-at="dayAt"
          :date="dates[dayAt] ?? ''"
        />
        <div role="columnheader" class="summary-head">Sets per<br />7 days</div>
        <div role="columnheader" class="band-head">
          <span>floor</span><span>target</span><span>ceiling</span>
        </div>
        <div role="columnheader" class="summary-head">Days<br />in 7</div>
      </div>
      <SplitBoardRail
        v-for="(rail, railAt) in board.rails.value"
        :key="rail.key"
        :rail="rail"
        :rail-at="railAt"
        :day-width="columns.day"
      />
      <BoardFoot v-for="row in foot" :key="row.name" v-bind="row" />
    </div>
  </div>
</template>

<style scoped>
/* Names stay in sight where days scroll; where they need not, the page has a dozen layers less to put together. */
.board {
  display: grid;
}
.legend {
  display: flex;
  align-items: flex-end;
  gap: 12px;
  padding-bottom: 4px;
  font-size: 10.5px;
  line-height: 11px;
  color: var(--ink2);
  background: var(--ground);
  position: var(--names);
  left: 0;
  z-index: 2;
}
.legend span {
  max-width: 62px;
}
.summary-head {
  align-self: end;
  padding: 0 4px 4px;
  text-align: right;
  font-size: 11px;
  line-height: 13px;
  color: var(--ink2);
}
.band-head {
  position: relative;
  align-self: end;
  height: 30px;
  font-size: 10.5px;
  color: var(--ink2);
}
.band-head span {
  position: absolute;
  bottom: 3px;
  transform: translateX(-50%);
}
.band-head span:nth-child(1) {
  left: 20px;
}
.band-head span:nth-child(2) {
  left: 50px;
  bottom: 16px;
}
.band-head span:nth-child(3) {
  left: 80px;
}
</style>
