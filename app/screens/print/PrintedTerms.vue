<script setup lang="ts">
import { capitalised } from '#core/words'

/** What a plan was weighed against, on paper, for the client. */
const { who, title, weighed } = defineProps<{
  who: string
  title: string
  weighed: readonly { readonly terms: string; readonly outcome: string }[]
}>()
</script>

<template>
  <article class="page">
    <h2 class="font-display text-[20px]" dir="auto">{{ who }}</h2>
    <p dir="auto">{{ title }}: what was weighed</p>
    <p v-if="weighed.length === 0" class="mt-4">
      Nothing has been weighed yet. Try other terms under Proposals and keep them with the plan.
    </p>
    <dl class="mt-4">
      <template v-for="one in weighed" :key="one.terms">
        <dt class="mt-3 font-semibold">{{ capitalised(one.terms) }}</dt>
        <dd>{{ capitalised(one.outcome) }}.</dd>
      </template>
    </dl>
    <p v-if="weighed.length > 0" class="mt-6">
      Sets are counted in seven days; effective sets weigh how much one more of a day still gives.
    </p>
  </article>
</template>

<style scoped>
.page {
  max-width: 190mm;
  margin: 0 auto;
  padding: 14mm;
  background: #fff;
  color: #000;
}
</style>
