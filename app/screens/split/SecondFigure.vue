<script setup lang="ts">
import { outsideWords, splitOnScreen, weekSentence } from '#core/words'
import { ArrowDown, ArrowUp } from 'lucide-vue-next'
import { useBoard } from './boardContext'
import type { BoardRail } from './useBoardRails'

/** A line of the board as the method laid over it has it; nothing where none is. */
const { railKey, size } = defineProps<{ railKey: string; size: BoardRail['size'] }>()
const board = useBoard()
const second = computed(() => {
  const [method, view] = [board.laidOver.value, board.laidOverRails.value.get(railKey)]
  if (!method || !view) return null
  const { band, week } = view
  return {
    counted: splitOnScreen(week.direct.value, week.counted.value).counted,
    outside: band ? outsideWords(band.outside) : '',
    icon: (band?.outside ?? 0) < 0 ? ArrowDown : ArrowUp,
    words: `${method.name}: ${weekSentence(view)}`,
  }
})
</script>

<template>
  <span
    v-if="second"
    class="second"
    :data-size="size"
    role="note"
    :aria-label="second.words"
    :title="second.words"
    >{{ second.counted
    }}<component :is="second.icon" v-if="second.outside" :size="11" aria-hidden="true" />
  </span>
</template>

<style scoped>
.second {
  position: absolute;
  top: 6px;
  right: 2px;
  display: inline-flex;
  align-items: center;
  gap: 2px;
  padding: 0 3px;
  border: 1px dashed var(--focus);
  border-radius: 3px;
  background: var(--ground);
  color: var(--focus);
  font-size: 11px;
  line-height: 14px;
  white-space: nowrap;
}
.second[data-size='head'],
.second[data-size='small'] {
  top: auto;
  left: 0;
  right: auto;
}
</style>
