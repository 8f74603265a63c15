<script setup lang="ts">
import { Done } from '#shared/contracts/history'
import { MessageBody } from '#shared/contracts/sheet'

/** What the client wrote, and an answer that stands on the sheet. */
const { clientId, notes, name } = defineProps<{
  clientId: string
  notes: readonly { readonly text: string; readonly session: string }[]
  name: string
}>()
const answer = useSubmission({
  path: () => `/api/clients/${clientId}/messages`,
  body: MessageBody,
  answer: Done,
})
const text = ref('')
const isSent = ref(false)
useLeaveWarning(() => text.value)
async function send(): Promise<void> {
  isSent.value = (await answer.send({ text: text.value })) !== undefined
  if (isSent.value) text.value = ''
}
</script>

<template>
  <section v-if="notes.length > 0" aria-labelledby="wrote" class="mt-3">
    <h2 id="wrote" class="section-head">
      <bdi>{{ name }}</bdi> wrote
    </h2>
    <p v-for="note in notes" :key="note.text">
      <span dir="auto">“{{ note.text }}”</span> <span class="text-ink2">{{ note.session }}</span>
    </p>
    <form class="mt-1 flex flex-wrap items-center gap-2" @submit.prevent="send">
      <input
        v-model="text"
        dir="auto"
        class="field max-w-[460px] flex-1"
        :maxlength="LIMITS.longText"
        aria-label="Answer; it stands on the sheet"
        placeholder="Answer; it stands on the sheet"
      />
      <button type="submit" class="control" :disabled="text.trim() === '' || answer.isBusy.value">
        Send
      </button>
      <p role="status" class="text-ink2">
        {{ isSent ? 'On the sheet now. Z takes it back.' : '' }}
      </p>
    </form>
    <p v-if="answer.complaint.value" role="alert" class="alert-chip mt-1">
      {{ answer.complaint.value }}
    </p>
  </section>
</template>
