<script setup lang="ts">
import { X } from 'lucide-vue-next'

/** A sheet over the phone's sheet: the browser's own dialog, which costs nothing to load and keeps focus inside. */
const { title } = defineProps<{ title: string }>()
const emit = defineEmits<{ closed: [] }>()
const dialog = useTemplateRef<HTMLDialogElement>('dialog')
onMounted(() => dialog.value?.showModal())
</script>

<template>
  <dialog
    ref="dialog"
    class="phone-dialog"
    :aria-label="title"
    @close="emit('closed')"
    @click.self="dialog?.close()"
  >
    <div class="flex min-h-full flex-col gap-4 px-5 pt-3 pb-6">
      <header class="flex items-center justify-between gap-3">
        <h2 class="font-display text-[24px] leading-tight">
          {{ title }}
        </h2>
        <button
          type="button"
          class="phone-control px-3!"
          aria-label="Close"
          @click="dialog?.close()"
        >
          <X :size="20" aria-hidden="true" />
        </button>
      </header>
      <slot />
    </div>
  </dialog>
</template>

<style scoped>
.phone-dialog {
  width: 100%;
  max-width: 560px;
  max-height: 92dvh;
  margin: auto auto 0;
  border-top: 2px solid var(--ink);
  border-radius: 12px 12px 0 0;
  background: var(--ground);
  color: var(--ink);
  overflow-y: auto;
}
.phone-dialog::backdrop {
  background: var(--scrim);
}
</style>
