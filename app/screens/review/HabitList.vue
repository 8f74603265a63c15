<script setup lang="ts">
/** What the client tends to leave out, each with a remedy. */
defineProps<{ lines: readonly string[] }>()
</script>

<template>
  <section v-if="lines.length > 0" aria-labelledby="habits-head" class="mt-2">
    <h3 id="habits-head" class="section-head">Tends to be skipped</h3>
    <p v-for="words in lines" :key="words" class="border-b border-hair py-1 text-[12.5px]">
      {{ words }}
    </p>
  </section>
</template>
