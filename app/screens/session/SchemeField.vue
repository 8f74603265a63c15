<script setup lang="ts">
import type { Slot } from '#core/plan/session'
import { useSession } from './sessionContext'

/** The sets of one exercise as shorthand. What does not read stays as it was typed, here and after a reload, with its place marked. */
const { held } = defineProps<{ held: Slot }>()
const builder = useSession()
const { text, planned, problem, near, takeNear, type, settle, giveUp } = useSchemeField(
  () => held,
  builder.setScheme,
)
/** Letters that one line has room for at the narrowest; longer sets get a second one. */
const LINE_LETTERS = 58
const id = useId()
</script>

<template>
  <div class="min-w-0 flex-1 max-md:basis-full">
    <textarea
      :value="text"
      data-shorthand
      class="shorthand"
      :rows="text.length > LINE_LETTERS ? 2 : 1"
      spellcheck="false"
      autocomplete="off"
      :aria-label="`Sets of ${builder.nameOf(held.id)} in shorthand`"
      :aria-invalid="problem !== null"
      :aria-describedby="problem ? `${id}-problem` : undefined"
      :title="planned"
      @focus="builder.select(held.id)"
      @input="type(($event.target as HTMLTextAreaElement).value.replace(/\n/g, ' '))"
      @change="settle"
      @keydown.ctrl.enter.prevent="(settle(), takeNear())"
      @keydown.enter.exact.prevent="(settle(), ($event.target as HTMLTextAreaElement).blur())"
      @keydown.esc.stop.prevent="(giveUp(), ($event.target as HTMLTextAreaElement).blur())"
    />
    <p v-if="problem" :id="`${id}-problem`" class="mt-0.5 text-[12px]">
      <span class="font-mono text-[12px]" aria-hidden="true"
        >{{ text.slice(Math.max(0, problem.at - 14), problem.at)
        }}<mark class="bg-alert-wash text-alert underline">{{
          text.slice(problem.at, Math.max(problem.end, problem.at + 1)) || '▁'
        }}</mark
        >{{ text.slice(Math.max(problem.end, problem.at + 1), problem.end + 10) }}</span
      >
      <span class="alert-chip ml-2">{{ problem.words }}</span>
      <button
        v-if="near !== null"
        type="button"
        class="quiet-link ml-2 font-semibold"
        @click.stop="takeNear()"
      >
        Read it as {{ near }} <KeyCap label="Ctrl ↵" />
      </button>
      <span class="ml-2 text-ink2">Kept as typed; the plan still has {{ planned }}.</span>
    </p>
  </div>
</template>

<style scoped>
.shorthand {
  width: 100%;
  display: block;
  min-height: 28px;
  padding: 3px 8px;
  resize: none;
  /* As tall as its text, where the browser can. */
  field-sizing: content;
  border: 1px solid transparent;
  border-bottom-color: var(--line);
  border-radius: 4px;
  background: transparent;
  color: var(--ink);
}
.shorthand:hover {
  border-color: var(--edge);
}
.shorthand:focus {
  border-color: var(--edge);
  background: var(--paper);
}
.shorthand[aria-invalid='true'] {
  border-color: var(--alert);
  background: var(--paper);
}
</style>
