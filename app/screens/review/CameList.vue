<script setup lang="ts">
import type { ReviewView } from '#shared/contracts/review'

/** Changes taken earlier whose time has come: what was expected of each, and what came. */
defineProps<{ lines: ReviewView['came'] }>()
</script>

<template>
  <section v-if="lines.length > 0" aria-labelledby="came-head" class="mt-2">
    <h3 id="came-head" class="section-head">What came of it</h3>
    <ul>
      <li v-for="line in lines" :key="line.key" class="border-b border-hair py-1">
        <span class="block font-semibold">{{ line.words }}</span>
        <span class="block text-[12.5px] text-ink2">{{ line.expected }}.</span>
        <span
          class="block text-[12.5px]"
          :class="line.isMet === false ? 'font-semibold text-alert' : ''"
          >{{ line.came }}.</span
        >
      </li>
    </ul>
  </section>
</template>
