<script setup lang="ts">
import { AccountView, ChangePasswordBody } from '#shared/contracts/session'
import { useMounted } from '@vueuse/core'
import { z } from 'zod'

useHead({ title: 'Account · Tholepin' })
const { ask } = useApi()
const { data: account, refresh } = await useAsyncData('account', async () => {
  const result = await ask('/api/account', { answer: AccountView })
  return result.ok ? result.value : null
})
if (!account.value) await navigateTo('/sign-in')

/** Links lead to a part of the page, which is there once the account is. */
const parts = useRoute()
onMounted(() => parts.hash && document.querySelector(parts.hash)?.scrollIntoView())
const entered = reactive({ current: '', next: '' })
const change = useSubmission({
  path: () => '/api/account/password',
  method: 'PUT',
  body: ChangePasswordBody,
  answer: z.object({}),
})
const isChanged = ref(false)
const isLive = useMounted()
const { signOutEverywhere } = useSignIn()

async function submit(): Promise<void> {
  isChanged.value = false
  if (!(await change.send({ ...entered }))) return
  entered.current = entered.next = ''
  isChanged.value = true
  await refresh()
}
</script>

<template>
  <div>
    <AppBar here="account" />
    <main v-if="account" class="mx-auto max-w-[720px] px-5 py-6 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">
        <bdi>{{ account.name }}</bdi>
      </h1>
      <p class="text-ink2">
        <bdi>{{ account.studio }}</bdi> · {{ account.email }}
      </p>
      <AccountSettings :account="account" @saved="refresh()" />
      <div class="mt-8 grid gap-12 md:grid-cols-2">
        <form method="post" novalidate class="flex flex-col gap-2" @submit.prevent="submit">
          <h2 id="password" class="text-[14px] font-[650]">Change the password</h2>
          <TextField
            v-model="entered.current"
            label="Current password"
            type="password"
            autocomplete="current-password"
            :complaint="change.complaintAbout('/current', 'Current password')"
          />
          <TextField
            v-model="entered.next"
            label="New password"
            type="password"
            autocomplete="new-password"
            hint="Ten characters or more."
            :complaint="change.complaintAbout('/next', 'New password')"
          />
          <p role="status" class="min-h-6">
            <span v-if="change.complaint.value" class="alert-chip">{{
              change.complaint.value
            }}</span>
            <span v-else-if="isChanged">Changed. Every other sign-in has ended.</span>
          </p>
          <button
            type="submit"
            class="control self-start"
            :disabled="change.isBusy.value || !isLive"
          >
            Change the password
          </button>
        </form>
        <section aria-labelledby="sign-ins">
          <h2 id="sign-ins" class="text-[14px] font-[650]">Sign-ins</h2>
          <p class="mt-1 max-w-[40ch]">
            You are signed in at {{ account.signIns }}
            {{ account.signIns === 1 ? 'place' : 'places' }}. A sign-in ends by itself after 14
            days.
          </p>
          <button type="button" class="control mt-3" @click="signOutEverywhere">
            Sign out everywhere
          </button>
        </section>
      </div>
      <StudioGear id="gear" :saved="account.gear" />
      <StudioRetention />
      <AccountEnd v-if="!account.isDemo" :email="account.email" />
    </main>
  </div>
</template>
