<script setup lang="ts">
import { useBlockState } from './blockContext'
import { heldRows } from './blockRows'

/** Changes of sets that hold until they are ended: what, why, since when. */
const { block: plan, at, endHeld } = useBlockState()
const rows = computed(() => heldRows(plan.value.changes ?? [], at.value))
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="held-head" class="mt-4 max-w-[820px]">
    <h2 id="held-head" class="section-head">Changes that hold</h2>
    <ul>
      <li
        v-for="row in rows"
        :key="row.key"
        class="flex items-baseline gap-3 border-b border-hair py-1"
      >
        <span class="font-semibold">{{ row.words }}</span>
        <span class="flex-1 text-[12.5px] text-ink2" dir="auto"
          >{{ row.why }} Decided {{ row.on }}.</span
        >
        <button
          v-if="row.canEnd"
          type="button"
          class="quiet-link text-[12.5px]"
          :aria-label="`${row.ending}: ${row.words}`"
          @click="endHeld(row.held)"
        >
          {{ row.ending }}
        </button>
      </li>
    </ul>
  </section>
</template>
