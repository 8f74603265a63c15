<script setup lang="ts">
import { Done } from '#shared/contracts/history'
import { OutboxView } from '#shared/contracts/sheet'
import { instantWords } from '~/shell/instantWords'

/** What clients were told, and how it went by mail where it goes so. */
const { ask } = useApi()
const { data, refresh } = await useAsyncData(
  'outbox',
  async () => {
    const result = await ask('/api/outbox', { answer: OutboxView })
    return result.ok ? result.value : null
  },
  { deep: false },
)
async function again(id: string): Promise<void> {
  await ask(`/api/outbox/${id}/mail`, { method: 'POST', answer: Done })
  await refresh()
}
const rows = computed(() =>
  (data.value?.messages ?? []).map(message => ({
    ...message,
    when: instantWords(message.writtenAt),
  })),
)
const tried = computed(() => data.value?.signUpTriedAt)
useHead({ title: 'Outbox · Tholepin' })
</script>

<template>
  <div>
    <AppBar here="outbox" />
    <main class="max-w-[900px] px-5 pt-4 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">Outbox</h1>
      <p class="mt-1 text-ink2">
        What your clients were told, newest first. Your own words and answers to pain stand on their
        sheets. Where the server sends mail and the profile has an address, it goes there, too, a
        minute later; else copy what you want to send by mail or phone.
      </p>
      <p v-if="tried" class="border-hair2 mt-4 rounded-md border px-3 py-2">
        <b>For you.</b> Somebody asked for a new account with your email on
        {{ instantWords(tried) }}. They were not told that you have one, and nothing of yours
        changed.
      </p>
      <ul class="mt-4">
        <li
          v-for="message in rows"
          :key="message.id"
          class="grid grid-cols-[130px_180px_1fr] gap-x-4 border-b border-hair py-1.5 max-md:grid-cols-1"
        >
          <span class="text-ink2">{{ message.when }}</span>
          <NuxtLink
            :to="`/clients/${message.clientId}/log?panel=link`"
            class="font-semibold hover:underline"
          >
            {{ message.client }}
          </NuxtLink>
          <span>
            <span dir="auto">{{ message.text }}</span>
            <span
              v-if="message.mail"
              class="block text-[12px]"
              :class="message.mail.isWrong ? 'font-semibold text-alert' : 'text-ink2'"
            >
              {{ message.mail.words }}
              <button
                v-if="message.mail.canTryAgain"
                type="button"
                class="control"
                @click="again(message.id)"
              >
                Mail it again
              </button>
            </span>
          </span>
        </li>
      </ul>
      <p v-if="rows.length === 0" class="mt-4 text-ink2">
        Nothing yet. Sending a rotation, making a link and answering pain put messages here.
      </p>
    </main>
  </div>
</template>
