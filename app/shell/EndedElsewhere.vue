<script setup lang="ts">
/** In place of a page whose sign-in has ended: nothing of any client stays on the screen. */
const { path } = defineProps<{ path: string }>()
useHead({ title: 'Signed out · Tholepin' })
</script>

<template>
  <main class="mx-auto max-w-[520px] px-5 pt-16">
    <h1 class="font-display text-[23px] leading-[27px]">Signed out</h1>
    <p role="alert" class="mt-2">
      Your sign-in was ended elsewhere. What was saved is kept; sign in again to go on here.
    </p>
    <a
      class="control control-strong mt-4 inline-block"
      :href="`/sign-in?next=${encodeURIComponent(path)}`"
      >Sign in</a
    >
  </main>
</template>
