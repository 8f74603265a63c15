<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { PROPOSALS_ACTIONS } from './proposalsActions'

/** What surrounds candidates, placements and drafts alike: the bar, how far the drawing is, and the keys. */
const { id, isReady, state, progress, letters, use, tryOnBoard, draw, cancel } = defineProps<{
  id: string
  /** Whether edits kept from an earlier visit are back. */
  isReady: boolean
  state: 'idle' | 'drawing' | 'drawn' | 'cancelled' | 'failed'
  progress: number
  /** Of the candidates, in their order. */
  letters: readonly string[]
  use: (at: number) => unknown
  tryOnBoard: (at: number) => unknown
  draw: () => unknown
  cancel: () => unknown
}>()
const chosen = defineModel<number>({ required: true })
const store = usePlanStore()
const isLive = useMounted()
useActions(PROPOSALS_ACTIONS, {
  count: () => letters.length,
  chosen: () => chosen.value,
  step: by => (chosen.value = Math.min(letters.length - 1, Math.max(0, chosen.value + by))),
  use,
  useLetter: key => use(letters.indexOf(key.toUpperCase())),
  tryOnBoard,
  draw,
  leave: () => (state === 'drawing' ? cancel() : navigateTo(`/clients/${id}/split`)),
})
</script>

<template>
  <div class="flex min-h-dvh flex-col" :aria-busy="!isLive || !isReady">
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="proposals">
      <template #actions>
        <button v-if="state === 'drawing'" type="button" class="control" @click="cancel()">
          Stop <KeyCap label="Esc" />
        </button>
        <button v-else type="button" class="control" @click="draw()">
          Draw again <KeyCap label="G" />
        </button>
      </template>
    </ClientBar>
    <PainNotices />
    <main class="flex-1 px-5 pb-6 max-md:px-3">
      <slot name="head" />
      <p role="status" class="mt-1 min-h-6">
        <span v-if="state === 'drawing'" class="flex items-center gap-3"
          ><progress class="h-2 w-52" :value="progress" max="1">
            {{ Math.round(progress * 100) }} %
          </progress>
          Drawing: {{ Math.round(progress * 100) }} %</span
        >
        <span v-else-if="state === 'failed'" class="alert-chip"
          >The proposals could not be drawn: their part of the program did not load. Reload the
          page, or draw again.</span
        >
        <slot v-else name="message" />
      </p>
      <slot />
    </main>
    <footer class="keys max-md:hidden!">
      <span><KeyCap label="←" /> <KeyCap label="→" /> candidate</span>
      <span><KeyCap label="A" /> <KeyCap label="B" /> <KeyCap label="C" /> use it</span>
      <span><KeyCap label="Space" /> try on the board</span>
      <span><KeyCap label="G" /> draw again</span>
      <span><KeyCap label="Esc" /> back to the board</span>
    </footer>
  </div>
</template>

<style scoped src="./columns.css"></style>
