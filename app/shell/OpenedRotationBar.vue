<script setup lang="ts">
import { ChevronLeft, ChevronRight } from 'lucide-vue-next'
import type { ToldRotation } from './useOpenedRotation'

/** Said above a rotation that is opened by itself: which one, that changes are for it alone, and the way back. */
const { told } = defineProps<{ told: ToldRotation }>()
const route = useRoute()
const to = (rotation: number) => ({ path: route.path, query: { rotation: rotation + 1 } })
</script>

<template>
  <section aria-label="One rotation" class="bar">
    <NuxtLink
      v-if="told.at > 0"
      :to="to(told.at - 1)"
      replace
      class="step"
      aria-label="The rotation before"
      ><ChevronLeft :size="16" aria-hidden="true"
    /></NuxtLink>
    <p>
      <b>Rotation {{ told.at + 1 }} of {{ told.passes }}</b> by itself, {{ told.days
      }}<template v-if="told.isDeload">, easier on purpose</template>.
      <span class="text-ink2"
        >What you change counts for these dates only.<template v-if="told.isSent">
          It was sent: send it again for the client to see it.</template
        ></span
      >
    </p>
    <NuxtLink
      v-if="told.at + 1 < told.passes"
      :to="to(told.at + 1)"
      replace
      class="step"
      aria-label="The rotation after"
      ><ChevronRight :size="16" aria-hidden="true"
    /></NuxtLink>
    <NuxtLink :to="route.path" class="control ml-auto">Whole block</NuxtLink>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: 8px;
  padding: 4px 8px;
  border: 1.5px solid var(--focus);
  border-radius: 6px;
  background: var(--paper);
}
.step {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 32px;
  height: 32px;
  border-radius: 4px;
}
.step:hover {
  background: var(--focus-wash);
}
</style>
