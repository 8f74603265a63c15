<script setup lang="ts">
/** Exercises without a load: what is known, a suggestion with its margin, a field. */
const { rows, typed, message, take } = useStartingLoads()
</script>

<template>
  <section v-if="rows.length > 0 || message" aria-labelledby="starting" class="mb-5 max-w-[820px]">
    <h2 id="starting" class="text-[14px] font-[650]">Weights to begin with</h2>
    <p class="text-[12.5px] text-ink2">
      Nothing says a load for these yet. A weight taken here stands in every session of the
      exercise; without one the phone finds it: sets up to the target, two reps in reserve.
    </p>
    <table class="mt-1 w-full text-left">
      <thead class="text-[12px] text-ink2">
        <tr>
          <th class="pr-4 font-normal">Exercise</th>
          <th class="pr-4 font-normal">What is known</th>
          <th class="font-normal">Begins with</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.exercise"
          :data-exercise="row.exercise"
          class="border-t border-hair"
        >
          <th scope="row" class="py-0.5 pr-4 font-semibold">{{ row.name }}</th>
          <td class="pr-4 text-[12.5px] text-ink2">{{ row.known }}</td>
          <td>
            <form class="flex items-center gap-1.5" @submit.prevent="take(row.exercise)">
              <input
                v-model="typed[row.exercise]"
                class="small-field w-[72px]"
                inputmode="decimal"
                :placeholder="row.suggested"
                :aria-label="`${row.name} begins with, ${row.unit}`"
              />
              {{ row.unit }}
              <button type="submit" class="quiet-link">
                {{ row.suggested && !typed[row.exercise] ? 'Take it' : 'Set' }}
              </button>
            </form>
          </td>
        </tr>
      </tbody>
    </table>
    <p role="status" class="min-h-5 text-[12.5px]">{{ message }}</p>
  </section>
</template>
