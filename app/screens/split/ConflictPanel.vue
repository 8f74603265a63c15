<script setup lang="ts">
import { dayName } from '#core/words'
import type { PlanDifference } from '#core/plan/block'

const { difference } = defineProps<{ difference: PlanDifference }>()
const store = usePlanStore()
const days = computed(() => store.plan?.rotation.days ?? [])
const rows = computed(() =>
  difference.sets.map(row => ({
    ...row,
    dayName: `Day ${row.day + 1}${days.value[row.day] ? ` ${dayName(days.value[row.day]!)}` : ''}`,
    exerciseName: store.context?.catalogue.get(row.exercise)?.name ?? row.exercise,
  })),
)
</script>

<template>
  <section role="alert" aria-labelledby="conflict-title" class="conflict">
    <div>
      <h2 id="conflict-title" class="text-[14px] font-[650] text-alert">
        This plan was saved elsewhere meanwhile
      </h2>
      <p class="max-w-[46ch]">
        Choose which one to go on with. Neither is lost: their version stays in the history, yours
        stays one undo away.
      </p>
      <div class="mt-2 flex gap-2">
        <button type="button" class="control control-strong" @click="store.keepMine()">
          Keep mine
        </button>
        <button type="button" class="control" @click="store.takeTheirs()">Take theirs</button>
      </div>
    </div>
    <table class="text-left">
      <caption class="sr-only">
        Where the two differ
      </caption>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Exercise</th>
          <th scope="col">Yours</th>
          <th scope="col">Theirs</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="`${row.day} ${row.exercise}`">
          <td>{{ row.dayName }}</td>
          <td>{{ row.exerciseName }}</td>
          <td>{{ row.mine }} sets</td>
          <td>{{ row.theirs }} sets</td>
        </tr>
        <tr v-if="difference.isMore">
          <td colspan="4">The sets are the same; other details differ.</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.conflict {
  display: flex;
  gap: 40px;
  margin: 8px 0;
  padding: 12px 14px;
  border: 1.5px dashed var(--alert);
  border-radius: 6px;
  background: var(--paper);
}
th {
  font-weight: 600;
  color: var(--ink2);
}
th,
td {
  padding: 1px 18px 1px 0;
}
</style>
