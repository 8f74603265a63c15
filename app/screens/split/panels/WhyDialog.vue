<script setup lang="ts">
import { dayWords, DERIVED_RULE_WORDS, formatOneDecimal, formatSets, railName } from '#core/words'
import { useBoard } from '../boardContext'

/** Where a figure comes from, set by set. */
const board = useBoard()
const derived = useDerivation(board)
const name = computed(() =>
  board.selectedRail.value ? railName(board.selectedRail.value.view) : '',
)
const twoPlaces = (value: number) => formatSets(Math.round(value * 100) / 100)
</script>

<template>
  <PanelDialog :title="`${name}: where the figure comes from`" :width="720" @closed="board.close()">
    <template v-if="derived">
      <table class="mt-3 w-full text-left">
        <thead>
          <tr class="text-[12px] text-ink2">
            <th scope="col">Day</th>
            <th scope="col">Exercise</th>
            <th scope="col">Sets</th>
            <th scope="col">× credit</th>
            <th scope="col">= counted</th>
            <th scope="col">Why</th>
          </tr>
        </thead>
        <tbody v-for="day in derived.days" :key="day.at">
          <tr v-for="(line, at) in day.lines" :key="at" class="border-t border-hair">
            <th scope="row" class="pr-3 font-semibold whitespace-nowrap">
              {{ at === 0 ? dayWords(day.day, day.at) : '' }}
            </th>
            <td>{{ line.name }}</td>
            <td>{{ formatSets(line.sets) }}</td>
            <td>{{ twoPlaces(line.credit) }}</td>
            <td class="font-semibold">
              {{ twoPlaces(line.counted) }}
            </td>
            <td class="text-[12px] text-ink2">
              {{ line.rules.map(rule => DERIVED_RULE_WORDS[rule]).join(', ') }}
            </td>
          </tr>
        </tbody>
      </table>
      <p class="mt-3 border-t-[1.5px] border-ink pt-2">
        {{ derived.days.map(({ counted }) => twoPlaces(counted)).join(' + ') || '0' }} =
        <b>{{ twoPlaces(derived.sum) }}</b> in {{ derived.length }} days<template
          v-if="derived.length !== 7"
          >, × 7 ÷ {{ derived.length }}</template
        >
        = <b class="font-display text-[17px]">{{ formatOneDecimal(derived.per7Days) }}</b> per 7
        days
      </p>
      <p class="mt-1 text-[12px] text-ink2">
        Regular load from outside the plan, where there is any, comes on top of this.
      </p>
    </template>
  </PanelDialog>
</template>
