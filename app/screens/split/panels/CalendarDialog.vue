<script setup lang="ts">
import { formatDay, formatOneDecimal, formatSets, GROUP_NAMES } from '#core/words'
import { useBoard } from '../boardContext'

/** The same rotation on real weeks. */
const board = useBoard()
const calendar = useCalendarWeeks()
</script>

<template>
  <PanelDialog title="Calendar weeks" :width="1100" @closed="board.close()">
    <template v-if="calendar">
      <p class="mt-1 text-ink2">
        {{
          calendar.length === 7
            ? 'A rotation of 7 days gives every week the same.'
            : `A rotation of ${calendar.length} days drifts against the week: a low calendar week is arithmetic, not neglect. Bands look at the mean.`
        }}
      </p>
      <div
        class="mt-3 overflow-x-auto"
        tabindex="0"
        role="region"
        aria-label="Sets by calendar week"
      >
        <table class="text-left">
          <thead>
            <tr class="text-[12px] text-ink2">
              <th scope="col" class="pr-4">Week of</th>
              <th
                v-for="week in calendar.weeks"
                :key="week.startsOn"
                scope="col"
                class="pr-4 whitespace-nowrap"
              >
                {{ formatDay(week.startsOn)
                }}<span v-if="week.isPartial" class="block font-normal">{{ week.days }} days</span>
              </th>
              <th scope="col" class="border-l border-line pl-4 whitespace-nowrap">Any 7 days</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in calendar.rows" :key="row.group" class="border-t border-hair">
              <th scope="row" class="py-1.5 pr-4 font-semibold">
                {{ GROUP_NAMES[row.group] }}
                <span class="block text-[12px] font-normal text-ink2"
                  >{{ formatSets(row.band.floor) }} / {{ formatSets(row.band.target) }} /
                  {{ formatSets(row.band.ceiling) }}</span
                >
              </th>
              <td
                v-for="week in row.weeks"
                :key="week.startsOn"
                class="pr-4"
                :class="week.isPartial ? 'text-ink3' : ''"
              >
                <b class="font-display text-[15px]">{{ formatOneDecimal(week.sets) }}</b>{{ ' '
                }}<span class="block text-[12px] text-ink2"
                  >{{ week.exposures }} {{ week.exposures === 1 ? 'exposure' : 'exposures' }}</span
                >
              </td>
              <td class="border-l border-line pl-4 whitespace-nowrap">
                <template v-if="row.rolling">
                  {{ formatOneDecimal(row.rolling.min) }} to {{ formatOneDecimal(row.rolling.max) }}
                </template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </PanelDialog>
</template>
