<script setup lang="ts">
import type { TemplateChanges } from './useTemplateChanges'

/** Said while the template a plan was made from has changed since: what, and the way to take it over or leave it. */
const { changes } = defineProps<{ changes: TemplateChanges }>()
const emit = defineEmits<{ said: [words: string] }>()
const { name, isOpen, rows, toggle, show, leave } = changes
const count = computed(() => rows.value.length)
function look(): void {
  if (show())
    emit('said', `On trial: what changed in ${name.value}. Enter keeps it, Escape puts it back.`)
}
</script>

<template>
  <section v-if="count > 0" aria-label="Template" class="bar">
    <p>
      <b
        ><bdi>{{ name }}</bdi></b
      >
      changed since this plan was made from it: {{ count }}
      {{ count === 1 ? 'difference' : 'differences' }}.
    </p>
    <button type="button" class="control control-strong" @click="isOpen = true">Look at it</button>
    <button type="button" class="control" @click="leave()">Leave this plan</button>
  </section>
  <PanelDialog
    v-if="isOpen"
    :title="`What changed in ${name}`"
    :width="620"
    @closed="isOpen = false"
  >
    <form class="mt-3" @submit.prevent="look()">
      <p class="text-ink2">
        Sets are given and taken over what this client has by now. Nothing is written before you
        keep it.
      </p>
      <ul class="mt-2">
        <li v-for="row in rows" :key="row.at" class="border-b border-hair py-1">
          <label class="flex gap-2"
            ><input
              type="checkbox"
              :checked="row.isTaken && row.hasPlace"
              :disabled="!row.hasPlace"
              @change="toggle(row.at)"
            />
            <span
              >{{ row.words
              }}<span v-if="!row.hasPlace" class="text-ink2">
                No place for it in this plan any more.</span
              ></span
            ></label
          >
        </li>
      </ul>
      <button type="submit" data-first class="control control-strong mt-3">
        Show it on the board <KeyCap label="Enter" />
      </button>
    </form>
  </PanelDialog>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin-top: 8px;
  padding: 6px 12px;
  border: 1px solid var(--focus);
  border-radius: 6px;
  background: var(--paper);
}
</style>
