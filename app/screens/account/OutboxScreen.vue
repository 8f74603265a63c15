<script setup lang="ts">
import { OutboxView } from '#shared/contracts/sheet'

/** Messages to clients, as they would have been sent. Nothing leaves the application. */
const { ask } = useApi()
const { data } = await useAsyncData(
  'outbox',
  async () => {
    const result = await ask('/api/outbox', { answer: OutboxView })
    return result.ok ? result.value.messages : []
  },
  { deep: false },
)
const rows = computed(() =>
  (data.value ?? []).map(message => ({
    ...message,
    when: `${message.writtenAt.slice(0, 10)} ${message.writtenAt.slice(11, 16)}`,
  })),
)
useHead({ title: 'Outbox · Tholepin' })
</script>

<template>
  <div>
    <AppBar here="outbox" />
    <main class="max-w-[900px] px-5 pt-4 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">Outbox</h1>
      <p class="mt-1 text-ink2">
        A simulated outbox: what clients would have been sent. Nothing leaves this application; copy
        what you want to send.
      </p>
      <ul class="mt-4">
        <li
          v-for="message in rows"
          :key="message.id"
          class="grid grid-cols-[130px_180px_1fr] gap-4 border-b border-hair py-1.5"
        >
          <span class="text-ink2">{{ message.when }}</span>
          <NuxtLink
            :to="`/clients/${message.clientId}/log?panel=link`"
            class="font-semibold hover:underline"
          >
            {{ message.client }}
          </NuxtLink>
          <span>{{ message.text }}</span>
        </li>
      </ul>
      <p v-if="rows.length === 0" class="mt-4 text-ink2">
        Nothing yet. Sending a rotation, making a link and answering pain put messages here.
      </p>
    </main>
  </div>
</template>
