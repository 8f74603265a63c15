<script setup lang="ts">
/** What came along from the block before, and what this one does otherwise. */
import { useBlockState } from './blockContext'

const store = usePlanStore()
const { sinceBefore } = useBlockState()
</script>

<template>
  <div class="text-[12.5px]">
    <details v-if="store.plan?.fromLast">
      <summary class="cursor-pointer text-ink2">From the last block</summary>
      <p class="whitespace-pre-line" dir="auto">{{ store.plan.fromLast }}</p>
    </details>
    <details v-if="sinceBefore">
      <summary class="cursor-pointer text-ink2">
        Since <bdi>{{ sinceBefore.title }}</bdi>: {{ sinceBefore.summary }}
      </summary>
      <ul>
        <li v-for="row in sinceBefore.rows" :key="row.exercise">{{ row.name }}: {{ row.words }}</li>
      </ul>
    </details>
  </div>
</template>
