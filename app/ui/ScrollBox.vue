<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'

/** What may be wider than the screen: it scrolls by itself, by keyboard too, and the page never does. */
const { label } = defineProps<{ label: string }>()
defineSlots<{ default?: () => unknown }>()
const box = useTemplateRef<HTMLElement>('box')
const isWider = ref(false)
useResizeObserver(box, () => {
  isWider.value = box.value !== null && box.value.scrollWidth > box.value.clientWidth
})
</script>

<template>
  <div
    ref="box"
    class="relative overflow-x-auto"
    :tabindex="isWider ? 0 : undefined"
    :role="isWider ? 'region' : undefined"
    :aria-label="isWider ? label : undefined"
  >
    <slot />
  </div>
</template>
