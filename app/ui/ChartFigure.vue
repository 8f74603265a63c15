<script setup lang="ts">
import type { BlockChart } from '~/screens/block/useBlockCharts'
import { csvOf } from '#shared/exports/csv'
import { writing } from '#core/words'
import { Download } from 'lucide-vue-next'
import { dateTicks } from './dateTicks'

/** A chart, the same figures as a table, and the table as a file. */
const { chart } = defineProps<{ chart: BlockChart }>()
const place = useTemplateRef<HTMLElement>('place')
const isTable = ref(false)
/** The chart package lays its own legend out anew at every drawing, which takes longer than the drawing. */
const legend = computed(() =>
  chart.data.map(trace => {
    const {
      name = '',
      type,
      mode,
      marker,
      line,
    } = trace as {
      name?: string
      type?: string
      mode?: string
      marker?: { color?: string; symbol?: string; line?: { color?: string } }
      line?: { color?: string; dash?: string }
    }
    return {
      name,
      isBar: type === 'bar',
      mark: mode === 'markers' ? (marker?.symbol?.startsWith('x') ? '×' : '●') : '',
      isDashed: line?.dash === 'dot',
      fill: marker?.color ?? 'transparent',
      edge: marker?.line?.color ?? line?.color ?? marker?.color ?? 'currentColor',
    }
  }),
)
const columns = computed(() => Object.keys(chart.rows[0] ?? {}))

/** Dates below a chart are written as everywhere else. */
const dated = () =>
  chart.layout.xaxis?.type === 'date'
    ? dateTicks(chart.data.flatMap(trace => (trace as { x?: string[] }).x ?? []))
    : {}

/** About a megabyte: fetched when the first chart is drawn. */
const plotly = import('plotly.js-basic-dist-min')
async function draw(): Promise<void> {
  const { default: Plotly } = await plotly
  if (!place.value) return
  const style = getComputedStyle(place.value)
  const ink = style.getPropertyValue('--ink2')
  const line = style.getPropertyValue('--line')
  const axis = { gridcolor: line, zerolinecolor: line, linecolor: line }
  await Plotly.react(
    place.value,
    [...chart.data],
    {
      height: 232,
      margin: { l: 48, r: chart.layout.yaxis2 ? 48 : 12, t: 8, b: 40 },
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: style.fontFamily, size: 12, color: ink },
      showlegend: false,
      hovermode: 'x unified',
      ...chart.layout,
      separators: writing().decimals === 'comma' ? ',.' : '.,',
      xaxis: { ...axis, ...chart.layout.xaxis, ...dated() },
      yaxis: { ...axis, ...chart.layout.yaxis },
      ...(chart.layout.yaxis2 && { yaxis2: { ...axis, ...chart.layout.yaxis2 } }),
    },
    { displayModeBar: false, responsive: true },
  )
  place.value.dataset.drawn = String(Number(place.value.dataset.drawn ?? 0) + 1)
}
onMounted(draw)
// Figures that have not changed are not drawn again.
watch(
  () => [JSON.stringify(chart.data), chart.layout, chart.title],
  ([data, , title], [drawnData, , drawnTitle]) =>
    (data !== drawnData || title !== drawnTitle) && void draw(),
)
onBeforeUnmount(async () => {
  const { default: Plotly } = await plotly
  if (place.value) Plotly.purge(place.value)
})

function download(): void {
  const url = URL.createObjectURL(new Blob([csvOf(chart.rows)], { type: 'text/csv' }))
  Object.assign(document.createElement('a'), { href: url, download: `${chart.key}.csv` }).click()
  URL.revokeObjectURL(url)
}
</script>

<template>
  <section :aria-label="chart.title" class="min-w-0">
    <div class="flex items-baseline gap-3">
      <h2 class="flex-1 text-[14px] font-[650]">
        {{ chart.title }}
      </h2>
      <button type="button" class="quiet-link" :aria-pressed="isTable" @click="isTable = !isTable">
        {{ isTable ? 'chart' : 'table' }}
      </button>
      <button type="button" class="quiet-link flex items-center gap-1" @click="download()">
        <Download :size="13" aria-hidden="true" /> CSV
      </button>
    </div>
    <ul v-show="!isTable" class="flex flex-wrap gap-x-4 text-[12px] text-ink2">
      <li v-for="entry in legend" :key="entry.name" class="flex items-center gap-1.5">
        <span
          v-if="entry.isBar"
          class="h-2.5 w-2.5"
          :style="{ background: entry.fill, border: `1.5px solid ${entry.edge}` }"
          aria-hidden="true"
        /><span v-else-if="entry.mark" :style="{ color: entry.edge }" aria-hidden="true">{{
          entry.mark
        }}</span
        ><span
          v-else
          class="w-5"
          :style="{ borderTop: `2px ${entry.isDashed ? 'dotted' : 'solid'} ${entry.edge}` }"
          aria-hidden="true"
        />{{ entry.name }}
      </li>
    </ul>
    <div
      v-show="!isTable"
      ref="place"
      class="h-[232px] overflow-hidden"
      role="img"
      :aria-label="`${chart.title}. The table has the figures.`"
    />
    <div
      v-if="isTable"
      class="max-h-[250px] overflow-y-auto"
      tabindex="0"
      role="region"
      :aria-label="`${chart.title}, table`"
    >
      <table class="w-full text-left text-[12.5px]">
        <thead class="text-ink2">
          <tr>
            <th v-for="column in columns" :key="column" scope="col" class="pr-3 font-normal">
              {{ column.replaceAll('_', ' ') }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in chart.rows" :key="at" class="border-t border-hair">
            <td v-for="column in columns" :key="column" class="pr-3">{{ row[column] }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
