<script setup lang="ts">
import { Bell, BellOff } from 'lucide-vue-next'
import { phoneClock } from './phoneWords'
import { ALARM_WORDS } from './useRestAlarm'
import type { useRestTimer } from './useRestTimer'

/** The rest as a thread paying out, with its seconds; over, it says so in words. */
const { rest } = defineProps<{ rest: ReturnType<typeof useRestTimer> }>()
const { over, share, alarm } = rest
const left = computed(() => rest.left.value ?? 0)
const before = computed(() => rest.running.value?.before ?? '')
/** What to make ready at the next station; empty where it is the same one. */
const prepare = computed(() => rest.running.value?.prepare ?? '')
const rings = computed(() => alarm.isOn.value)
const LENGTH = 100
</script>

<template>
  <section class="rest" aria-label="Rest">
    <svg viewBox="0 0 350 28" preserveAspectRatio="none" aria-hidden="true" class="h-[26px] w-full">
      <path d="M4 6 Q175 44 346 6" pathLength="100" class="whole" />
      <path
        d="M4 6 Q175 44 346 6"
        pathLength="100"
        class="gone"
        :stroke-dasharray="`${LENGTH * share} ${LENGTH}`"
      />
      <circle cx="4" cy="6" r="4" class="gone-end" />
      <circle cx="346" cy="6" r="4" class="end" />
    </svg>
    <div class="flex items-center gap-2">
      <p role="timer" class="min-w-0 flex-1">
        <template v-if="over === null">
          <span class="font-display text-[38px] leading-none font-semibold">{{
            phoneClock(left)
          }}</span>{{ ' ' }}<span class="text-[15px] text-ink2">rest left</span>
        </template>
        <template v-else>
          <span class="font-display text-[26px] leading-none font-semibold">Rest is over</span
          >{{ ' '
          }}<span class="text-[15px] text-ink2">{{
            over > 2 ? `for ${phoneClock(over)}` : ''
          }}</span>
        </template>
        <span class="block truncate text-[14px] text-ink2">then {{ before }}</span>
        <span v-if="prepare" class="block text-[14px]">Make ready: {{ prepare }}</span>
      </p>
      <button
        type="button"
        class="phone-control px-3!"
        :aria-pressed="rings"
        aria-label="Ring at the end of a rest"
        @click="alarm.turn()"
      >
        <component :is="rings ? Bell : BellOff" :size="20" aria-hidden="true" />
      </button>
      <button type="button" class="phone-control" @click="rest.add(15)">+15 s</button>
      <button type="button" class="phone-control" @click="rest.skip()">
        {{ over === null ? 'Skip' : 'Go' }}
      </button>
    </div>
    <p v-if="rings" class="mt-1 text-[13px] text-ink2">{{ ALARM_WORDS[alarm.kind.value] }}</p>
    <p class="sr-only" role="status">
      {{ over === null ? '' : 'Rest is over' }}
    </p>
  </section>
</template>

<style scoped>
.rest {
  padding: 8px 20px calc(10px + env(safe-area-inset-bottom));
  border-top: 1.5px solid var(--ink);
  background: var(--paper);
}
path {
  fill: none;
  stroke-width: 3;
  vector-effect: non-scaling-stroke;
}
.whole {
  stroke: var(--line);
}
.gone {
  stroke: var(--flex-peg);
}
.end {
  fill: var(--line);
}
.gone-end {
  fill: var(--flex-peg);
}
</style>
