<script setup lang="ts">
import type { MuscleLine } from './reviewRows'

/** Muscles as planned beside as done, each with where its strength goes; a flat one leads to what could move it. */
const { clientId, rows } = defineProps<{
  clientId: string
  rows: readonly MuscleLine[]
}>()
</script>

<template>
  <section aria-labelledby="muscles-head" class="mt-3">
    <h2 id="muscles-head" class="section-head">Muscles, counted sets per 7 days</h2>
    <ScrollBox label="Muscles"
      ><table class="w-full text-left max-md:text-[13px]">
        <thead>
          <tr class="text-[12px] text-ink2">
            <th scope="col">Muscle</th>
            <th scope="col" class="text-right">Done</th>
            <th scope="col" class="text-right max-md:hidden">Due so far</th>
            <th scope="col" class="text-right">Planned</th>
            <th scope="col" class="text-right">Missed</th>
            <th scope="col" class="text-right">Days</th>
            <th scope="col" class="text-right">Least ready</th>
            <th scope="col" class="pl-6 max-md:pl-2">
              <span class="max-md:sr-only">Floor, target, ceiling</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <template v-for="row in rows" :key="row.group">
            <tr :class="row.trend.words ? '' : 'border-b border-hair'">
              <th scope="row" class="py-0.5 font-semibold">{{ row.name }}</th>
              <td class="text-right font-semibold">
                <SetPegs :done="row.pegs.done" :due="row.pegs.due" />{{ row.done }}
              </td>
              <td class="text-right max-md:hidden">
                {{ row.due }}
              </td>
              <td class="text-right text-ink2">
                {{ row.planned }}
              </td>
              <td class="text-right" :class="row.short ? 'font-semibold text-alert' : ''">
                {{ row.short }}
              </td>
              <td
                class="text-right"
                :class="row.isRarer ? 'font-semibold text-alert' : 'text-ink2'"
              >
                {{ row.times }}
              </td>
              <td class="text-right text-ink2">
                {{ row.ready }}
              </td>
              <td class="pl-6 text-ink2 max-md:pl-2">
                <span class="max-md:hidden">{{ row.band }}</span>
                <span v-if="row.words" class="font-semibold text-alert">{{ row.words }}</span>
              </td>
            </tr>
            <tr v-if="row.trend.words" class="border-b border-hair">
              <td
                colspan="8"
                class="pb-0.5 text-[12px]"
                :class="row.trend.isFalling ? 'text-alert' : 'text-ink2'"
              >
                <span class="sr-only">{{ row.name }}: </span>{{ row.trend.words }}
                <NuxtLink
                  v-if="row.trend.isFlat"
                  :to="`/clients/${clientId}/plateau/${row.group}`"
                  class="quiet-link"
                  >What could move it</NuxtLink
                >
              </td>
            </tr>
          </template>
        </tbody>
      </table></ScrollBox
    >
  </section>
</template>
