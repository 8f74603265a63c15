<script setup lang="ts">
import type { useNotes } from './useNotes'

/** What the coach has noted, by day; the client never sees it. */
const { notes, today, write, complaint } = defineProps<{
  notes: ReturnType<typeof useNotes>['notes']['value']
  today: string
  write: ReturnType<typeof useNotes>['write']
  complaint: string
}>()
const emit = defineEmits<{ removed: [id: string] }>()
const text = ref('')
const on = ref(today)
useLeaveWarning(() => text.value)
async function submit(): Promise<void> {
  if (await write(text.value, on.value)) text.value = ''
}
</script>

<template>
  <section id="notes" aria-labelledby="notes-head">
    <h2 id="notes-head" class="section-head">Notes, yours alone</h2>
    <form class="flex flex-wrap items-end gap-2" @submit.prevent="submit">
      <label class="min-w-[220px] flex-1"
        ><span class="sr-only">Note</span>
        <textarea
          v-model="text"
          dir="auto"
          rows="2"
          class="field py-1.5"
          :maxlength="LIMITS.longText"
          placeholder="What you want to remember; Find (/) finds it by its words"
        />
      </label>
      <DateField v-model="on" label="on" />
      <button type="submit" class="control" :disabled="text.trim() === ''">Note it</button>
    </form>
    <p v-if="complaint" role="alert" class="alert-chip mt-1">Note: {{ complaint }}</p>
    <ul class="mt-2">
      <li v-for="note in notes" :key="note.id" class="flex gap-3 border-b border-hair py-1">
        <span class="w-[92px] shrink-0 text-ink2">{{ note.day }}</span>
        <span dir="auto" class="min-w-0 flex-1 whitespace-pre-line"
          >{{ note.text
          }}<span v-if="note.session" class="text-ink2"> ({{ note.session.name }})</span></span
        >
        <button
          type="button"
          class="quiet-link text-[12px]"
          :aria-label="`Remove the note of ${note.day}`"
          @click="emit('removed', note.id)"
        >
          remove
        </button>
      </li>
    </ul>
  </section>
</template>
