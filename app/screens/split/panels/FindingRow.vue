<script setup lang="ts">
import { ChevronDown, ChevronRight, CircleAlert, Info, OctagonAlert } from 'lucide-vue-next'
import type { WordedFinding } from '~/shell/useFindings'
import { useBoard } from '../boardContext'

/** One line of the checks: a finding with its fix, or several of one kind that open. */
const {
  worded,
  parts = 0,
  isOpen = false,
} = defineProps<{ worded: WordedFinding; parts?: number; isOpen?: boolean; isPart?: boolean }>()
const emit = defineEmits<{ toggle: [] }>()
const board = useBoard()
const ICONS = { stop: OctagonAlert, caution: CircleAlert, info: Info } as const
const SEVERITY_WORDS = { stop: 'stop', caution: 'caution', info: 'worth knowing' } as const
const opens = computed(() => parts > 1)

function shown(): void {
  board.tryFix(opens.value ? null : worded.finding)
}
function taken(): void {
  if (opens.value) emit('toggle')
  else board.applyFix(worded.finding)
}
function putAside(): void {
  if (opens.value) return
  board.showFinding(worded.finding)
  board.dismissNotice()
}
</script>

<template>
  <li
    data-row
    tabindex="-1"
    class="finding"
    :class="isPart ? 'pl-8!' : ''"
    :aria-label="`${SEVERITY_WORDS[worded.finding.severity]}: ${worded.place} ${worded.sentence}`"
    @focus="shown"
    @keydown.enter.self.prevent="taken"
    @keydown.delete.self.prevent="putAside"
    @click="shown"
  >
    <component
      :is="ICONS[worded.finding.severity]"
      :size="15"
      :class="worded.finding.severity === 'info' ? 'text-ink2' : 'text-alert'"
      aria-hidden="true"
    />
    <span class="w-[120px] shrink-0 text-[12px] text-ink2 first-letter:uppercase">{{
      worded.place || 'the rotation'
    }}</span>
    <span class="min-w-0 flex-1"
      ><b class="font-semibold">{{ worded.sentence }}</b
      >{{ ' ' }}<span v-if="!isPart" class="text-ink2">{{ worded.reason }}</span
      >{{ ' ' }}<span v-if="worded.noFix" class="text-ink2">{{ worded.noFix }}</span></span
    >
    <button
      v-if="opens"
      type="button"
      class="control flex items-center gap-1"
      :aria-expanded="isOpen"
      @click.stop="emit('toggle')"
    >
      <component :is="isOpen ? ChevronDown : ChevronRight" :size="14" aria-hidden="true" />
      {{ isOpen ? 'Fold' : 'Open' }}
    </button>
    <template v-else>
      <button
        v-if="worded.hasFix"
        type="button"
        class="control"
        @click.stop="board.applyFix(worded.finding)"
      >
        Fix it
      </button>
      <button type="button" class="control" @click.stop="putAside">Dismiss…</button>
    </template>
  </li>
</template>

<style scoped>
.finding {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
  padding: 1px 6px;
  border-bottom: 1px solid var(--hair);
}
.finding:focus {
  background: var(--focus-wash);
  outline: 2px solid var(--focus);
  outline-offset: -2px;
}
</style>
