<script setup lang="ts">
/** The foot of a long form: its button stays in sight, and beside it what became of the last try. */
const { action, isDisabled, savedWords, complaint, errors } = defineProps<{
  action: string
  isDisabled: boolean
  /** Shown once everything is saved; empty until then. */
  savedWords: string
  complaint: string
  errors: readonly { readonly detail: string }[]
}>()
defineSlots<{ default?: () => unknown }>()
</script>

<template>
  <div class="sticky bottom-0 mt-4 flex items-center gap-4 border-t border-hair bg-ground py-2">
    <button type="submit" class="control control-strong h-9 px-5" :disabled="isDisabled">
      {{ action }}
    </button>
    <slot />
    <p role="status">
      <span v-if="savedWords" class="text-ink2">{{ savedWords }}</span>
    </p>
    <p role="alert">
      <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      <span v-else-if="errors.length > 0" class="alert-chip">{{ errors[0]?.detail }}</span>
    </p>
  </div>
</template>
