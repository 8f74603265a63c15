<script setup lang="ts">
import { EraseAccountBody } from '#shared/contracts/session'
import { z } from 'zod'
import { useLeaving } from '~/shell/useEndedElsewhere'

/** Taking everything along, and the end of the account. */
const { email } = defineProps<{ email: string }>()
const isOpen = ref(false)
const typed = ref('')
const { fetch: refreshSession } = useUserSession()
const isLeaving = useLeaving()
const { send, complaint, isBusy } = useSubmission({
  path: () => '/api/account',
  method: 'DELETE',
  body: EraseAccountBody,
  answer: z.object({}),
})
async function erase(): Promise<void> {
  if (!(await send({ email: typed.value }))) return
  isLeaving.value = true
  await refreshSession()
  await navigateTo('/sign-in')
  isLeaving.value = false
}
</script>

<template>
  <section class="mt-10 border-t border-hair pt-3" aria-labelledby="ending">
    <h2 id="ending" class="text-[14px] font-[650]">Take everything along, or end the account</h2>
    <p class="mt-1 max-w-[70ch] text-ink2">
      The export holds every client with plans, logs and measurements, as files that can be taken in
      again.
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <a class="control" href="/api/account/export" download>Export everything</a>
      <button type="button" class="control" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        Erase the account…
      </button>
    </p>
    <form
      v-if="isOpen"
      class="mt-2 flex flex-wrap items-center gap-2 rounded bg-alert-wash p-3"
      @submit.prevent="erase"
    >
      <label for="erase-account" class="w-full text-alert"
        >Every client, plan and log of yours goes, and your clients’ sheets with them. It cannot be
        brought back; export first. Type {{ email }} to confirm.</label
      >
      <input id="erase-account" v-model="typed" class="small-field w-[260px]" autocomplete="off" />
      <button
        type="submit"
        class="control"
        :disabled="isBusy || typed.trim().toLowerCase() !== email"
      >
        Erase for good
      </button>
      <button type="button" class="control" @click="isOpen = false">Keep</button>
      <p v-if="complaint" role="alert" class="alert-chip">{{ complaint }}</p>
    </form>
  </section>
</template>
