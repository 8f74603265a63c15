<script setup lang="ts">
import { useMounted } from '@vueuse/core'
/** Trends: strength with its uncertainty, and the volume, readiness and measurements behind it. */
const route = useRoute()
const id = String(route.params.clientId)
const { view, current, choose, list, charts } = await useTrendCharts(id, useChartColours())
useHead({ title: () => `Trends of ${view.value?.name ?? ''} · Tholepin` })
const isLive = useMounted()
</script>

<template>
  <div :aria-busy="!isLive">
    <ClientBar :id="id" :name="view?.name ?? ''" here="trends" />
    <main
      v-if="view"
      class="grid grid-cols-[360px_minmax(0,1fr)] gap-8 px-5 pt-4 pb-12 max-lg:grid-cols-1 max-md:px-3"
    >
      <section aria-labelledby="list-head">
        <h1 id="list-head" class="font-display text-[23px] leading-[27px]">Trends</h1>
        <p class="mt-1 text-[12.5px] text-ink2">
          All working sets of the last 14 weeks. A rise or a fall is said only where it would be
          wrong in 5 of 100 at most, however often one looks.
        </p>
        <ul class="mt-3">
          <li
            v-for="row in list"
            :key="row.exercise"
            :data-exercise="row.exercise"
            class="border-b border-hair"
          >
            <button
              type="button"
              class="w-full px-1 py-1 text-left"
              :class="row.exercise === current?.exercise ? 'bg-paper' : ''"
              :aria-current="row.exercise === current?.exercise ? 'true' : undefined"
              @click="choose(row.exercise)"
            >
              <span class="block font-semibold">{{ row.name }}</span>
              <span class="block text-[12.5px]" :class="row.isFalling ? 'text-alert' : ''">{{
                row.words
              }}</span>
              <span class="block text-[12px] text-ink2"
                >{{ row.estimates }} {{ row.estimates === 1 ? 'estimate' : 'estimates' }} in a
                year{{ row.leftOut > 0 ? `, ${row.leftOut} left out` : '' }}</span
              >
            </button>
          </li>
        </ul>
        <p v-if="list.length === 0" class="mt-3">
          Nothing was logged with a load and reps yet. Trends begin with the sixth session of an
          exercise, after three weeks.
        </p>
      </section>
      <div class="grid min-w-0 content-start gap-4">
        <ChartFigure v-for="chart in charts" :key="chart.key" :chart="chart" />
      </div>
    </main>
  </div>
</template>
