<script setup lang="ts">
import { useBlockState } from './blockContext'

/** What is being tried out: how long, and where what came of it is told. */
const { clientId } = defineProps<{ clientId: string }>()
const { trialRows, putAway } = useBlockState()
</script>

<template>
  <section v-if="trialRows.length > 0" aria-labelledby="trials-head" class="mt-4 max-w-[820px]">
    <h2 id="trials-head" class="section-head">On trial</h2>
    <ul>
      <li
        v-for="row in trialRows"
        :key="row.key"
        class="flex items-baseline gap-3 border-b border-hair py-1"
      >
        <span class="font-semibold" dir="auto">{{ row.words }}</span>
        <span class="flex-1 text-[12.5px]" :class="row.isOver ? 'text-alert' : 'text-ink2'">{{
          row.state
        }}</span>
        <NuxtLink
          v-if="row.isOver"
          :to="`/clients/${clientId}/review#trials`"
          class="quiet-link text-[12.5px]"
          >What came of it</NuxtLink
        >
        <button
          type="button"
          class="quiet-link text-[12.5px]"
          :aria-label="`Put away: ${row.words}`"
          @click="putAway(row.trial)"
        >
          Put away
        </button>
      </li>
    </ul>
  </section>
</template>
