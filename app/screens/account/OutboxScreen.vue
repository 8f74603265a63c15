<script setup lang="ts">
import { OutboxView } from '#shared/contracts/sheet'
import { instantWords } from '~/shell/instantWords'

/** What clients were told. Nothing leaves the application by itself. */
const { ask } = useApi()
const { data } = await useAsyncData(
  'outbox',
  async () => {
    const result = await ask('/api/outbox', { answer: OutboxView })
    return result.ok ? result.value : null
  },
  { deep: false },
)
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
        sheets; copy what you also want to send by mail or phone.
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
          <span dir="auto">{{ message.text }}</span>
        </li>
      </ul>
      <p v-if="rows.length === 0" class="mt-4 text-ink2">
        Nothing yet. Sending a rotation, making a link and answering pain put messages here.
      </p>
    </main>
  </div>
</template>
