<script setup lang="ts">
import { formatDay } from '#core/words'
import { planEnd } from '#core/plan/block'
import { ChevronLeft, ChevronRight } from 'lucide-vue-next'

/** Said above a rotation that is opened by itself: which one, that changes are for it alone, and the way back. */
const { at } = defineProps<{
  /** From 0. */
  at: number
}>()
const store = usePlanStore()
const issued = useIssuedStore()
const route = useRoute()
const passes = computed(() => store.whole?.passes ?? 1)
const days = computed(() =>
  store.plan ? `${formatDay(store.plan.startsOn)} to ${formatDay(planEnd(store.plan))}` : '',
)
const isDeload = computed(() => store.whole?.block?.deloads?.includes(at) ?? false)
const isSent = computed(() => issued.sent.some(({ pass }) => pass === at))
const to = (rotation: number) => ({ path: route.path, query: { rotation: rotation + 1 } })
</script>

<template>
  <section aria-label="One rotation" class="bar">
    <NuxtLink v-if="at > 0" :to="to(at - 1)" replace class="step" aria-label="The rotation before"
      ><ChevronLeft :size="16" aria-hidden="true"
    /></NuxtLink>
    <p>
      <b>Rotation {{ at + 1 }} of {{ passes }}</b> by itself, {{ days
      }}<template v-if="isDeload">, easier on purpose</template>.
      <span class="text-ink2"
        >What you change counts for these dates only.<template v-if="isSent">
          It was sent: send it again for the client to see it.</template
        ></span
      >
    </p>
    <NuxtLink
      v-if="at + 1 < passes"
      :to="to(at + 1)"
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
