<script setup lang="ts">
/** What is shown on trial, and the way to keep it or put it back. */
const { name } = defineProps<{ name: string }>()
defineEmits<{ kept: []; putBack: [] }>()
</script>

<template>
  <section aria-label="On trial" class="trial">
    <p>
      <b>On trial: {{ name }}.</b> Nothing is saved until you keep it.
    </p>
    <button type="button" class="control control-strong" @click="$emit('kept')">
      Keep it <KeyCap label="↵" />
    </button>
    <button type="button" class="control" @click="$emit('putBack')">
      Put back <KeyCap label="Esc" />
    </button>
  </section>
</template>

<style scoped>
.trial {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 8px;
  padding: 6px 12px;
  border: 1.5px dashed var(--focus);
  border-radius: 6px;
  background: var(--paper);
}
</style>
