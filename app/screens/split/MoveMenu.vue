<script setup lang="ts">
import { dayName } from '#core/words'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronUp } from 'lucide-vue-next'
import { useBoard } from './boardContext'

const board = useBoard()
const targets = computed(() =>
  board.days.value.flatMap((day, at) =>
    day.role === 'rest' || at === board.place.value.day ? [] : [{ at, name: dayName(day) }],
  ),
)
const isEmpty = computed(() => (board.selectedCell.value?.pieces.length ?? 0) === 0)
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="control" :disabled="isEmpty">
      Move to day <ChevronUp :size="14" aria-hidden="true" />
    </MenuButton>
    <MenuItems class="menu">
      <MenuItem v-for="target in targets" :key="target.at" v-slot="{ active }">
        <button
          type="button"
          class="item"
          :data-active="active || undefined"
          @click="board.moveTo(target.at, null)"
        >
          <b class="font-display">{{ target.at + 1 }}</b> {{ target.name }}
        </button>
      </MenuItem>
      <p class="px-3 pt-1 pb-2 text-[11px] text-ink2">
        All direct sets here, or the exercise<br />picked with <KeyCap label="," />{{ ' '
        }}<KeyCap label="." />
      </p>
    </MenuItems>
  </Menu>
</template>

<style scoped>
.menu {
  position: absolute;
  right: 0;
  bottom: 34px;
  z-index: 10;
  min-width: 210px;
  padding-top: 4px;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--paper);
  outline: none;
}
.item {
  display: flex;
  gap: 10px;
  width: 100%;
  padding: 6px 12px;
  text-align: left;
}
.item[data-active] {
  background: var(--focus-wash);
}
</style>
