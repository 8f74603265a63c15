<script setup lang="ts">
import type { NuxtError } from '#app'

const { error } = defineProps<{ error: NuxtError }>()
const isMissing = computed(() => error.statusCode === 404)
useHead({ title: () => (isMissing.value ? 'Not found · Tholepin' : 'Something failed · Tholepin') })
</script>

<template>
  <main class="mx-auto max-w-md px-5 pt-24">
    <h1 class="font-display text-[23px]">
      {{ isMissing ? 'This page is not there' : 'Something failed' }}
    </h1>
    <p class="mt-2 text-ink2">
      {{
        isMissing
          ? 'There is no such client or page in your studio. The link may be old.'
          : 'Nothing was lost. Try again; if it stays, note the time and report it.'
      }}
    </p>
    <button type="button" class="control mt-5" @click="clearError({ redirect: '/roster' })">
      Go to the roster
    </button>
  </main>
</template>
