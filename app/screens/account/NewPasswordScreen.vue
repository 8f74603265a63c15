<script setup lang="ts">
import { NewPasswordBody } from '#shared/contracts/session'
import { useMounted } from '@vueuse/core'
import { z } from 'zod'

/** A new password by a link that is good once. */
useHead({ title: 'New password · Tholepin' })
const route = useRoute()
const password = ref('')
const isSet = ref(false)
const { complaint, errors, isBusy, send, complaintAbout } = useSubmission({
  path: () => '/api/new-password',
  body: NewPasswordBody,
  answer: z.object({}),
})
const isLive = useMounted()
/** What is wrong with the link itself. */
const aboutLink = computed(
  () => errors.value.find(({ pointer }) => pointer === '/token')?.detail ?? complaint.value,
)

async function submit(): Promise<void> {
  const token = route.hash.slice(1)
  isSet.value = (await send({ token, password: password.value })) !== undefined
}
</script>

<template>
  <main class="mx-auto min-h-dvh max-w-[380px] px-5 pt-20 pb-16">
    <div class="flex items-center gap-2 font-display text-[23px] font-semibold">
      <TholepinMark />
      <h1>New password</h1>
    </div>
    <template v-if="isSet">
      <p role="status" class="mt-6">Your password is set, and every sign-in has ended.</p>
      <p class="mt-3">
        <NuxtLink to="/sign-in" class="control control-strong">Sign in</NuxtLink>
      </p>
    </template>
    <form v-else class="mt-6 flex flex-col gap-2" method="post" novalidate @submit.prevent="submit">
      <TextField
        v-model="password"
        label="New password"
        type="password"
        autocomplete="new-password"
        hint="Ten characters or more."
        :complaint="complaintAbout('/password', 'New password')"
      />
      <p role="alert" class="min-h-6">
        <span v-if="aboutLink" class="alert-chip">{{ aboutLink }}</span>
      </p>
      <button
        type="submit"
        class="control control-strong h-9 w-full justify-center"
        :disabled="isBusy || !isLive"
      >
        Set the password
      </button>
    </form>
  </main>
</template>
