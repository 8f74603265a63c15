<script setup lang="ts">
import { Done } from '#shared/contracts/history'
import { MessageBody } from '#shared/contracts/sheet'

/** An answer to what a client wrote; it stands on her sheet. */
const { clientId, name = '' } = defineProps<{ clientId: string; name?: string }>()
const emit = defineEmits<{ sent: [] }>()
const answer = useSubmission({
  path: () => `/api/clients/${clientId}/messages`,
  body: MessageBody,
  answer: Done,
})
const label = computed(() => `Answer${name ? ` to ${name}` : ''}; it stands on the sheet`)
const text = ref('')
const isSent = ref(false)
useLeaveWarning(() => text.value)
async function send(): Promise<void> {
  isSent.value = (await answer.send({ text: text.value })) !== undefined
  if (!isSent.value) return
  text.value = ''
  emit('sent')
}
</script>

<template>
  <div>
    <form class="mt-1 flex flex-wrap items-center gap-2" @submit.prevent="send">
      <input
        v-model="text"
        dir="auto"
        class="field max-w-[460px] flex-1"
        :maxlength="LIMITS.longText"
        :aria-label="label"
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
  </div>
</template>
