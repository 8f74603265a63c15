<script setup lang="ts">
/** What the client wrote, and an answer that stands on the sheet. */
const { clientId, notes, name } = defineProps<{
  clientId: string
  notes: readonly { readonly text: string; readonly session: string }[]
  name: string
}>()
</script>

<template>
  <section v-if="notes.length > 0" aria-labelledby="wrote" class="mt-3">
    <h2 id="wrote" class="section-head">
      <bdi>{{ name }}</bdi> wrote
    </h2>
    <p v-for="note in notes" :key="note.text">
      <span dir="auto">“{{ note.text }}”</span> <span class="text-ink2">{{ note.session }}</span>
    </p>
    <AnswerOnSheet :client-id="clientId" />
  </section>
</template>
