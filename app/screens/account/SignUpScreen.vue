<script setup lang="ts">
import { SignUpAnswer, SignUpBody } from '#shared/contracts/session'
import { useMounted } from '@vueuse/core'

useHead({ title: 'New account · Tholepin' })
const entered = reactive({ name: '', studio: '', email: '', password: '' })
const { complaint, isBusy, send, complaintAbout } = useSubmission({
  path: () => '/api/sign-up',
  body: SignUpBody,
  answer: SignUpAnswer,
})
const { signIn } = useSignIn()
const isLive = useMounted()

async function submit(): Promise<void> {
  const email = entered.email.trim()
  if (!(await send({ ...entered, email }))) return
  if (await signIn(email, entered.password)) await navigateTo('/roster')
  else await navigateTo({ path: '/sign-in', query: { email } })
}
</script>

<template>
  <main class="mx-auto min-h-dvh max-w-[380px] px-5 pt-20 pb-16">
    <div class="flex items-center gap-2 font-display text-[23px] font-semibold">
      <TholepinMark />
      <h1>New account</h1>
    </div>
    <form class="mt-6 flex flex-col gap-2" method="post" novalidate @submit.prevent="submit">
      <TextField
        v-model="entered.name"
        label="Your name"
        autocomplete="name"
        :complaint="complaintAbout('/name', 'Your name')"
      />
      <TextField
        v-model="entered.studio"
        label="Studio"
        autocomplete="organization"
        :complaint="complaintAbout('/studio', 'Studio')"
      />
      <TextField
        v-model="entered.email"
        label="Email"
        type="email"
        autocomplete="username"
        :complaint="complaintAbout('/email', 'Email')"
      />
      <TextField
        v-model="entered.password"
        label="Password"
        type="password"
        autocomplete="new-password"
        hint="Ten characters or more."
        :complaint="complaintAbout('/password', 'Password')"
      />
      <p role="alert" class="min-h-6">
        <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      </p>
      <button
        type="submit"
        class="control control-strong h-9 w-full justify-center"
        :disabled="isBusy || !isLive"
      >
        {{ isBusy ? 'Making the account' : 'Make the account' }}
      </button>
    </form>
    <p class="mt-5 text-ink2">
      You have one?
      <NuxtLink to="/sign-in" class="underline underline-offset-3"> Sign in </NuxtLink>
    </p>
  </main>
</template>
