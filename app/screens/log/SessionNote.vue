<script setup lang="ts">
import { Done } from '#shared/contracts/history'
import { NoteBody } from '#shared/contracts/notes'

/** A note of the coach's own about a session; it stands with the client's notes and is found by its words. */
const { clientId, session, on } = defineProps<{ clientId: string; session: string; on: string }>()
const { send, complaint, isBusy } = useSubmission({
  path: () => `/api/clients/${clientId}/notes`,
  body: NoteBody,
  answer: Done,
})
const text = ref('')
const isKept = ref(false)
useLeaveWarning(() => text.value)
async function submit(): Promise<void> {
  isKept.value = (await send({ text: text.value, on, session })) !== undefined
  if (isKept.value) text.value = ''
}
</script>

<template>
  <form class="mt-3 flex flex-wrap items-center gap-2" @submit.prevent="submit">
    <input
      v-model="text"
      dir="auto"
      class="field max-w-[460px] flex-1"
      :maxlength="LIMITS.longText"
      aria-label="A note of your own about this session"
      placeholder="A note of your own about this session"
    />
    <button type="submit" class="control" :disabled="isBusy || text.trim() === ''">Note it</button>
    <NuxtLink :to="`/clients/${clientId}/history#notes`" class="quiet-link">all notes</NuxtLink>
    <p role="status">{{ isKept ? 'Noted.' : '' }}</p>
    <p v-if="complaint" role="alert" class="alert-chip">{{ complaint }}</p>
  </form>
</template>
