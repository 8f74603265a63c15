<script setup lang="ts">
import { RosterView } from '#shared/contracts/roster'
import { TOUR } from './tour'

/** Five minutes through the demo studio, step by step; it can be left at any time and taken up again. */
const step = useCookie<number>('tholepin-tour', { default: () => 0, sameSite: 'lax' })
const isOpen = useState('tour-open', () => true)
const { ask } = useApi()
const clients = shallowRef<RosterView['clients']>([])
onMounted(async () => {
  const result = await ask('/api/roster', { answer: RosterView })
  if (result.ok) clients.value = result.value.clients
})
const at = computed(() => Math.min(TOUR.length - 1, Math.max(0, step.value)))
const stop = computed(() => TOUR[at.value] ?? TOUR[0])
async function go(by: 1 | -1): Promise<void> {
  step.value = Math.min(TOUR.length - 1, Math.max(0, at.value + by))
  await navigateTo(stop.value.to(clients.value))
}
</script>

<template>
  <aside v-if="isOpen" class="tour" aria-labelledby="tour-title">
    <p class="text-[12px] text-ink2">Tour, {{ at + 1 }} of {{ TOUR.length }}</p>
    <h2 id="tour-title" class="text-[15px] font-[650]">{{ stop.title }}</h2>
    <p class="mt-1" aria-live="polite">{{ stop.text }}</p>
    <p class="mt-2 flex gap-2">
      <button type="button" class="control" :disabled="at === 0" @click="go(-1)">Back</button>
      <button
        v-if="at < TOUR.length - 1"
        type="button"
        class="control control-strong"
        @click="go(1)"
      >
        Next
      </button>
      <button type="button" class="control ml-auto" @click="isOpen = false">Leave the tour</button>
    </p>
  </aside>
  <button v-else type="button" class="control again" @click="isOpen = true">Tour</button>
</template>

<style scoped>
.tour {
  position: fixed;
  right: 16px;
  bottom: 84px;
  z-index: 18;
  width: 320px;
  max-width: calc(100vw - 32px);
  padding: 12px 14px;
  border: 1.5px solid var(--focus);
  border-radius: 6px;
  background: var(--paper);
}
.again {
  position: fixed;
  right: 16px;
  bottom: 84px;
  z-index: 18;
}
</style>
