<script setup lang="ts">
import { dayName } from '#core/words'
import { useBoard } from '../boardContext'

/** Where a whole day goes: swapped, copied, or its session moved. */
const { what } = defineProps<{ what: 'swap' | 'copy' | 'move' }>()
const board = useBoard()
const from = computed(() => board.place.value.day)
const title = computed(() => {
  const day = `day ${from.value + 1} ${board.days.value[from.value] ? dayName(board.days.value[from.value]!) : ''}`
  return {
    swap: `Swap ${day} with`,
    copy: `Copy ${day} to`,
    move: `Move the session of ${day} to`,
  }[what]
})
const targets = computed(() =>
  board.days.value.flatMap((day, at) =>
    at === from.value
      ? []
      : [
          {
            at,
            name: dayName(day),
            sets: board.setCounts.value[at] ?? 0,
            isFull: what !== 'swap' && day.sessions.length > 1,
          },
        ],
  ),
)
</script>

<template>
  <PanelDialog :title="title" :width="420" @closed="board.close()">
    <ul class="mt-3">
      <li v-for="target in targets" :key="target.at">
        <button
          type="button"
          class="flex w-full items-baseline gap-3 rounded px-2 py-1 text-left hover:bg-paper disabled:text-ink3"
          :disabled="target.isFull"
          @click="board.withDay(what, from, target.at)"
        >
          <b class="w-6 font-display text-[16px]">{{ target.at + 1 }}</b> {{ target.name }}
          <span class="ml-auto text-[12px] text-ink2">{{
            target.isFull
              ? 'has two sessions'
              : target.sets === 0
                ? 'empty'
                : `${target.sets} sets${what === 'swap' ? '' : ', as a second session'}`
          }}</span>
        </button>
      </li>
    </ul>
    <p class="mt-2 text-[12px] text-ink2">A digit chooses the day.</p>
  </PanelDialog>
</template>
