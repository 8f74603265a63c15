<script setup lang="ts">
import { useSession } from '../sessionContext'

/** The whole session as text, line by line; what does not read stays as typed, with its place. */
const builder = useSession()
const { text, problem, line, isChanged, summary, take, reset } = useSessionText(builder)
</script>

<template>
  <PanelDialog title="The session as text" :width="820" @closed="builder.close()">
    <p class="mt-2 text-ink2">
      One line for each exercise, partners joined by &amp;:
      <code>superset, after 90s: cable_curl 4 x 12, rir 2 &amp; pushdown_rope 4 x 12, rir 2</code>.
      Exercises go by their short names, which the Exercises page lists.
    </p>
    <label class="mt-3 block font-semibold"
      >Session
      <textarea
        v-model="text"
        class="field mt-1 min-h-[260px] font-mono text-[12.5px] leading-[18px] font-normal"
        spellcheck="false"
        :aria-invalid="problem !== null"
        aria-describedby="session-text-problem"
        @keydown.ctrl.enter.prevent="take()"
      />
    </label>
    <p id="session-text-problem" role="status" class="mt-1 min-h-6">
      <span v-if="problem" class="alert-chip">Line {{ line.number }}: {{ problem.words }}</span>
      <span v-if="problem" class="ml-2 font-mono text-[12px]" aria-hidden="true"
        >{{ line.before }}<mark class="bg-alert-wash text-alert underline">{{ line.marked }}</mark
        >{{ line.after }}</span
      >
      <span v-else class="text-ink2">{{ summary }}</span>
    </p>
    <div class="mt-2 flex gap-3">
      <button
        type="button"
        class="control control-strong"
        :disabled="problem !== null || !isChanged"
        @click="take()"
      >
        Take it into the plan <KeyCap label="Ctrl ↵" />
      </button>
      <button type="button" class="control" :disabled="!isChanged" @click="reset()">
        Back to what the plan has
      </button>
    </div>
  </PanelDialog>
</template>
