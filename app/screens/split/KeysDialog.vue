<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

const isOpen = defineModel<boolean>({ required: true })
const KEYS: readonly (readonly [keys: readonly string[], does: string])[] = [
  [['←', '→', '↑', '↓'], 'walk the board'],
  [['1', '…', '9'], 'jump to a day; two digits past nine'],
  [['+', '−'], 'add or cut a set'],
  [[',', '.'], 'pick an exercise in the cluster'],
  [['E'], 'add an exercise'],
  [['⇧', '←', '→'], 'take sets in hand and carry them'],
  [['Enter'], 'put down; else open the day’s session'],
  [['Esc'], 'put back, drop the pick'],
  [['Space'], 'mark a cell: + − carry and hold act on all'],
  [['F'], 'hold sets fixed against proposals'],
  [['H'], 'open or close heads and groups'],
  [['N'], 'next thing to look at; Enter fixes it, Delete puts it aside'],
  [['X'], 'all checks'],
  [['P'], 'proposals: three allocations to choose from'],
  [['Y'], 'where the figure comes from'],
  [['C'], 'calendar weeks'],
  [['B'], 'history of the plan'],
  [['T'], 'plain table'],
  [['O'], 'rotation: days, roles, templates'],
  [['W'], 'swap two days'],
  [['K'], 'copy a day'],
  [['M'], 'move a session'],
  [['R'], 'rest day, or back'],
  [['Z'], 'undo'],
  [['⇧', 'Z'], 'redo'],
  [['?'], 'this list'],
]
</script>

<template>
  <Dialog :open="isOpen" class="relative z-20" @close="isOpen = false">
    <div class="fixed inset-0 bg-scrim" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-6">
      <DialogPanel class="w-[520px] rounded-[6px] border border-edge bg-ground p-5">
        <DialogTitle class="font-display text-[17px] font-semibold">
          Keys of the Split board
        </DialogTitle>
        <dl class="mt-3 grid grid-cols-[150px_1fr] gap-y-1.5">
          <template v-for="[keys, does] in KEYS" :key="does">
            <dt class="flex gap-1">
              <KeyCap v-for="key in keys" :key="key" :label="key" />
            </dt>
            <dd>{{ does }}</dd>
          </template>
        </dl>
        <p class="mt-3 text-ink2">
          With the mouse: drag pegs to another day; with Shift held, one set only. Drag a day’s head
          to move its session. Ctrl marks cells.
        </p>
        <button type="button" class="control mt-4" @click="isOpen = false">
          Close <KeyCap label="Esc" />
        </button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
