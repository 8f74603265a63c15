<script setup lang="ts">
import type { RosterEntry } from '#shared/contracts/roster'
import {
  Activity,
  ArrowUpDown,
  CalendarX2,
  Circle,
  EyeOff,
  Flag,
  PencilRuler,
  FlaskConical,
  Send,
  TrendingDown,
} from 'lucide-vue-next'

const { kind } = defineProps<{ kind: RosterEntry['needs'][number]['kind'] | null }>()
const MARKS = {
  pain: Activity,
  missed_session: CalendarX2,
  no_plan: PencilRuler,
  not_sent: Send,
  falling: TrendingDown,
  block_ends: Flag,
  trial_over: FlaskConical,
  out_of_band: ArrowUpDown,
  not_opened: EyeOff,
} as const
</script>

<template>
  <span
    class="flex h-[26px] w-[26px] items-center justify-center rounded-[3px]"
    :class="kind ? 'bg-alert-wash text-alert' : 'text-ink3'"
    aria-hidden="true"
  >
    <component :is="MARKS[kind]" v-if="kind" :size="15" />
    <Circle v-else :size="7" fill="currentColor" />
  </span>
</template>
