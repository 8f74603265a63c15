<script setup lang="ts">
import type { NuxtError } from '#app'

const { error } = defineProps<{ error: NuxtError }>()
const WORDS: Readonly<Record<number, { readonly title: string; readonly detail: string }>> = {
  404: {
    title: 'This page is not there',
    detail: 'There is no such client or page in your studio. The link may be old.',
  },
  503: {
    title: 'The records cannot be reached just now',
    detail: 'The server is there, its database is not. Nothing was lost; try again in a moment.',
  },
}
const words = computed(
  () =>
    WORDS[error.statusCode ?? 500] ?? {
      title: 'Something failed',
      detail: 'Nothing was lost. Try again; if it stays, note the time and report it.',
    },
)
const isAway = computed(() => error.statusCode === 503)
useHead({ title: () => `${words.value.title} · Tholepin` })
const again = () => window.location.reload()
</script>

<template>
  <main class="mx-auto max-w-md px-5 pt-24">
    <h1 class="font-display text-[23px]">{{ words.title }}</h1>
    <p class="mt-2 text-ink2">{{ words.detail }}</p>
    <button v-if="isAway" type="button" class="control mt-5" @click="again">Try again</button>
    <button v-else type="button" class="control mt-5" @click="clearError({ redirect: '/roster' })">
      Go to the roster
    </button>
  </main>
</template>
