<script setup lang="ts">
import { findingSentence } from '#core/words'
import type { Finding } from '#core/judge/checks'

/** Putting a finding aside takes a note, so that the next look knows why. */
const { finding, isFirm } = defineProps<{
  finding: Finding
  /** Nothing but a clearance lifts it. */ isFirm: boolean
}>()
const emit = defineEmits<{ closed: []; dismissed: [note: string] }>()
const note = ref('')
</script>

<template>
  <PanelDialog title="Dismiss" :width="480" @closed="emit('closed')">
    <form class="mt-2 flex flex-col gap-3" @submit.prevent="emit('dismissed', note)">
      <p>{{ findingSentence(finding) }}</p>
      <p v-if="isFirm" class="alert-chip">
        This cannot be dismissed: only a recorded clearance by a licensed professional lifts it.
      </p>
      <template v-else>
        <label class="font-semibold"
          >Why<input
            v-model="note"
            class="field mt-1 font-normal"
            :maxlength="LIMITS.shortText"
            placeholder="For yourself, at the next look"
            autocomplete="off"
        /></label>
        <button type="submit" class="control control-strong self-start">
          Dismiss <KeyCap label="Enter" />
        </button>
      </template>
    </form>
  </PanelDialog>
</template>
