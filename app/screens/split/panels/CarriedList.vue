<script setup lang="ts">
import type { Carried } from '../useCarrying'

/** What each client would get, or got: a line for every difference. */
const { carried } = defineProps<{ carried: readonly Carried[] }>()
const STATES: Readonly<Record<Carried['state'], string>> = {
  seen: 'would go into',
  carried: 'is in',
  refused: 'refused',
  taken_back: 'taken back',
}
</script>

<template>
  <ul class="flex flex-col gap-2" aria-label="Client by client">
    <li v-for="one in carried" :key="one.id" class="border-t border-hair pt-1">
      <p>
        <b class="font-semibold"
          ><bdi>{{ one.name }}</bdi></b
        >{{ ' ' }}
        <span :class="one.state === 'refused' ? 'text-alert' : 'text-ink2'"
          >{{ STATES[one.state] }} {{ one.block }}</span
        >
      </p>
      <p v-if="one.problem" class="alert-chip">{{ one.problem }}</p>
      <p class="text-[12.5px]">{{ one.reasons }}</p>
      <details v-if="one.changes.length > 0" class="text-[12.5px]">
        <summary class="cursor-pointer">
          {{ one.changes.length === 1 ? 'One difference' : `${one.changes.length} differences` }}
        </summary>
        <ul class="list-disc pl-5">
          <li v-for="change in one.changes" :key="change">{{ change }}</li>
        </ul>
      </details>
    </li>
  </ul>
</template>
