<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** A dialog with a title and a way out; a field marked `data-first` can be typed in at once. */
const { title, width = 620 } = defineProps<{ title: string; width?: number }>()
const emit = defineEmits<{ closed: [] }>()
defineSlots<{ default?: () => unknown; actions?: () => unknown }>()
const panel = useTemplateRef<{ $el: HTMLElement }>('panel')
// The dialog moves the focus into itself after it is there.
onMounted(() =>
  requestAnimationFrame(() => panel.value?.$el.querySelector<HTMLElement>('[data-first]')?.focus()),
)
</script>

<template>
  <Dialog open class="relative z-20" @close="emit('closed')">
    <div class="fixed inset-0 bg-scrim" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-6 pt-14 max-md:p-2">
      <DialogPanel
        ref="panel"
        class="max-w-full min-w-0 rounded-[6px] border border-edge bg-ground p-4 max-md:p-3"
        :style="{ width: `${width}px` }"
      >
        <div class="flex items-center justify-between gap-4">
          <DialogTitle class="font-display text-[17px] font-semibold">
            {{ title }}
          </DialogTitle>
          <div class="flex items-center gap-2">
            <slot name="actions" />
            <button type="button" class="control" @click="emit('closed')">
              Close <KeyCap label="Esc" />
            </button>
          </div>
        </div>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
