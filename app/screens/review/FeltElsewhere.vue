<script setup lang="ts">
/** Exercises the client felt elsewhere than meant, each with the way to its session. */
defineProps<{
  clientId: string
  lines: readonly { readonly words: string; readonly day: number | null }[]
}>()
</script>

<template>
  <section v-if="lines.length > 0" aria-labelledby="elsewhere-head" class="mt-2">
    <h3 id="elsewhere-head" class="section-head">Felt elsewhere</h3>
    <p v-for="{ words, day } in lines" :key="words" class="border-b border-hair py-1 text-[12.5px]">
      {{ words }}
      <NuxtLink
        v-if="day !== null"
        :to="`/clients/${clientId}/session/${day}`"
        class="font-semibold whitespace-nowrap underline"
        >Open day {{ day }}</NuxtLink
      >
    </p>
  </section>
</template>
