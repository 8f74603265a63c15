<script setup lang="ts">
import type { CalendarEntry } from './useBlockCalendar'
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'

/** A dated session that can be carried to another day. */
const { entry, isHeld } = defineProps<{ entry: CalendarEntry; isHeld: boolean }>()
const emit = defineEmits<{ lifted: [] }>()
const chip = useTemplateRef<HTMLElement>('chip')
let stop: (() => void) | undefined
onMounted(() => {
  if (chip.value)
    stop = draggable({
      element: chip.value,
      canDrag: () => !entry.isDone,
      onDragStart: () => emit('lifted'),
    })
})
onBeforeUnmount(() => stop?.())
</script>

<template>
  <button
    ref="chip"
    type="button"
    class="chip"
    :class="{ done: entry.isDone, skipped: entry.isSkipped, held: isHeld, light: entry.isDeload }"
    :aria-label="entry.label"
    :aria-pressed="isHeld"
    @click="emit('lifted')"
  >
    <span
      ><b>{{ entry.name }}</b> {{ entry.sets
      }}<span v-if="entry.isMoved" class="text-focus" aria-hidden="true"> →</span></span
    >{{ ' ' }}<span class="text-[11.5px]">{{ entry.words }}</span>
  </button>
</template>

<style scoped>
.chip {
  display: flex;
  flex-wrap: wrap;
  column-gap: 6px;
  justify-content: space-between;
  width: 100%;
  margin-top: 1px;
  padding: 1px 5px;
  border: 1px solid var(--edge);
  border-radius: 3px;
  background: var(--paper);
  font-size: 12px;
  line-height: 14px;
  text-align: left;
  overflow-wrap: anywhere;
}
@media (max-width: 480px) {
  /* A seventh of a phone holds a session's name whole, in smaller letters. */
  .chip {
    padding: 1px 2px;
    font-size: 11px;
  }
}
.chip.done {
  background: var(--ink2);
  border-color: var(--ink2);
  color: var(--ground);
}
.chip.light {
  border-style: dashed;
}
.chip.skipped {
  color: var(--ink2);
  text-decoration: line-through;
}
.chip.held {
  border-color: var(--focus);
  box-shadow: 0 0 0 1px var(--focus);
}
</style>
