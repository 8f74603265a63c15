<script setup lang="ts">
import { pegGroupCount, dayName, formatOneDecimal, outsideWords, railName } from '#core/words'
import { useBoard } from './boardContext'

const board = useBoard()
function words(cell: Parameters<typeof pegGroupCount>[0]): string {
  const { direct, indirect } = pegGroupCount(cell)
  if (direct && indirect) return `${direct} direct + ${indirect}`
  if (direct) return `${direct} direct`
  return indirect ? `${indirect} indirect` : '–'
}
</script>

<template>
  <div
    class="overflow-x-auto py-3"
    tabindex="0"
    role="region"
    aria-label="Plain table of the board"
  >
    <table class="plain">
      <caption class="sr-only">
        Direct and indirect sets of each muscle on each day
      </caption>
      <thead>
        <tr>
          <th scope="col">Muscle</th>
          <th v-for="(day, at) in board.days.value" :key="at" scope="col">
            {{ at + 1 }} {{ dayName(day) }}
          </th>
          <th scope="col">Sets per 7 days</th>
          <th scope="col">Floor / target / ceiling</th>
          <th scope="col">Days in 7</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="rail in board.rails.value" :key="rail.key">
          <th scope="row" :class="{ 'pl-4!': rail.size === 'head' }">
            {{ railName(rail.view) }}
          </th>
          <td v-for="(cell, at) in rail.view.cells" :key="at">
            {{ words(cell) }}
          </td>
          <td class="font-semibold">
            {{ formatOneDecimal(rail.view.week.counted.value) }}
          </td>
          <td>
            <template v-if="rail.view.band">
              {{ rail.view.band.limits.floor }} / {{ rail.view.band.limits.target }} /
              {{ rail.view.band.limits.ceiling }}
              <span v-if="outsideWords(rail.view.band.outside)" class="alert-chip ml-1">{{
                outsideWords(rail.view.band.outside)
              }}</span>
            </template>
          </td>
          <td>{{ formatOneDecimal(rail.view.frequencyPer7Days) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.plain {
  border-collapse: collapse;
}
.plain th,
.plain td {
  padding: 4px 14px 4px 0;
  text-align: left;
  border-bottom: 1px solid var(--hair);
  white-space: nowrap;
  font-weight: 400;
}
.plain th {
  font-weight: 600;
}
</style>
