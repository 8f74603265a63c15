<script setup lang="ts">
import { useMounted } from '@vueuse/core'

useHead({ title: 'Sign in · Tholepin' })

const route = useRoute()
/** Named by the page for new accounts: it has an account now, this one or an older. */
const named = String(route.query.email ?? '')
const email = ref(named)
const password = ref('')
const { complaint, isBusy, signIn } = useSignIn()
/** Until the page is live the browser would send the form itself. */
const isLive = useMounted()

/** Only paths of this site: a link must not send a coach elsewhere after signing in. */
function destination(): string {
  const next = String(route.query.next ?? '')
  return /^\/(?![/\\])/.test(next) ? next : '/roster'
}

async function submit(): Promise<void> {
  if (await signIn(email.value.trim(), password.value)) await navigateTo(destination())
}
</script>

<template>
  <main class="mx-auto flex min-h-dvh max-w-[880px] items-center gap-16 px-5 pb-16">
    <div class="hidden flex-1 md:block">
      <SignInBeam />
      <p class="mt-6 max-w-[34ch] font-display text-[17px] leading-6">
        Where every direct and indirect arm set falls, what each muscle gets in a week, and how
        often.
      </p>
    </div>
    <form class="w-full max-w-[340px] flex-none" method="post" novalidate @submit.prevent="submit">
      <div class="flex items-center gap-2 font-display text-[23px] font-semibold">
        <TholepinMark />
        <h1>Sign in to Tholepin</h1>
      </div>
      <p v-if="named" class="mt-4">
        There is an account for this email. Sign in with its password; if you have lost it, whoever
        runs this server can give you a link for a new one.
      </p>
      <label class="mt-6 block font-semibold" for="email">Email</label>
      <input
        id="email"
        v-model="email"
        class="field mt-1"
        type="email"
        name="email"
        autocomplete="username"
        required
        :autofocus="!named"
        :aria-invalid="complaint !== ''"
        aria-describedby="complaint"
      />
      <label class="mt-4 block font-semibold" for="password">Password</label>
      <input
        id="password"
        v-model="password"
        class="field mt-1"
        type="password"
        name="password"
        autocomplete="current-password"
        required
        :autofocus="!!named"
        :aria-invalid="complaint !== ''"
        aria-describedby="complaint"
      />
      <p id="complaint" role="alert" class="mt-3 min-h-6">
        <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      </p>
      <button
        type="submit"
        class="control control-strong mt-2 h-9 w-full justify-center"
        :disabled="isBusy || !isLive"
      >
        {{ isBusy ? 'Signing in' : 'Sign in' }}
      </button>
      <p class="mt-5 text-ink2">
        New here?
        <NuxtLink to="/sign-up" class="underline underline-offset-3"> Make an account </NuxtLink>
      </p>
      <p class="mt-3"><DemoButton /></p>
      <p class="mt-3 text-ink3">A planning aid, not medical advice.</p>
    </form>
  </main>
</template>
