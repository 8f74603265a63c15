<script setup lang="ts">
import { monthName } from '#core/words'
import type { SeasonBlock } from '#core/follow/season'
import { useElementSize, useMounted, useWindowSize } from '@vueuse/core'
import {
  coursePath,
  isLongerThan,
  leastWidth,
  monthStarts,
  plankPoints,
  scrollTo,
  seasonScale,
} from './seasonLayout'
import type { Estimates } from './useEstimates'
import type { useSeason } from './useSeason'

/** Blocks as planks along the months, with the sets of the arm muscles under them. */
const { blocks, rows, at, today, concerns } = defineProps<{
  girths: Awaited<ReturnType<typeof useSeason>>['girths']['value']
  estimates: Estimates
  events: Awaited<ReturnType<typeof useSeason>>['events']['value']
  phases: Awaited<ReturnType<typeof useSeason>>['phases']['value']
  blocks: readonly SeasonBlock[]
  rows: Awaited<ReturnType<typeof useSeason>>['rows']['value']
  /** Which block is chosen, from 0. */ at: number
  today: string
  /** Seams to look at, by the block after them. */ concerns: ReadonlyMap<string, number>
  wordsOf: (block: SeasonBlock) => { readonly about: string; readonly days: string }
  courseWords: (block: SeasonBlock, group: (typeof rows)[number]['group']) => string
}>()
const emit = defineEmits<{ chosen: [at: number]; opened: [] }>()
/** What is wider than the window has its names above the rows, where they stay in sight. */
const { width: screen } = useWindowSize()
const isMounted = useMounted()
const isLong = computed(() => isMounted.value && isLongerThan(blocks, screen.value))
const PLANK = 54
const COURSE = 38
const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box, { width: 1040, height: 0 })
const scale = computed(() => seasonScale(blocks, Math.max(leastWidth(blocks), width.value)))
const planks = useTemplateRef<HTMLElement[]>('plank')
function reveal(): void {
  const own = planks.value?.[at]
  const seen = own?.closest('.overflow-x-auto')
  if (!own || !seen) return
  const left = own.getBoundingClientRect().left - seen.getBoundingClientRect().left
  seen.scrollLeft += scrollTo(left, own.offsetWidth, seen.clientWidth)
}
watch(() => [at, scale.value] as const, reveal, { flush: 'post' })
const months = computed(() => monthStarts(scale.value))
const xOf = (day: string) => scale.value.x(day as SeasonBlock['from'])
const isShown = computed(() => today >= scale.value.from && today <= scale.value.to)
const deloads = computed(() =>
  blocks.flatMap(({ passes }) =>
    passes.filter(({ isDeload }) => isDeload).map(({ from, to }) => ({ from, to })),
  ),
)
</script>

<template>
  <div class="planks" :class="isLong && 'long'" :style="{ '--least': `${leastWidth(blocks)}px` }">
    <SeasonGirths v-if="girths.length > 0" :girths="girths" :scale="scale" />
    <SeasonEstimates
      v-if="estimates.lines.value.length > 0"
      :estimates="estimates"
      :scale="scale"
    />
    <SeasonEvents v-if="events.length > 0" :events="events" :scale="scale" />
    <SeasonPhases v-if="phases.length > 0" :phases="phases" :scale="scale" />
    <p class="name text-ink2">Months</p>
    <div ref="box" class="relative h-[18px] border-b-4 border-ink">
      <span
        v-for="day in months"
        :key="day"
        class="absolute border-l border-edge pl-1 text-[12px] whitespace-nowrap text-ink2"
        :style="{ left: `${xOf(day)}px` }"
        >{{ monthName(Number(day.slice(5, 7)))
        }}{{ day.slice(5, 7) === '01' ? ` ${day.slice(0, 4)}` : '' }}</span
      >
      <span v-if="isShown" class="today" :style="{ left: `${xOf(today)}px` }"
        ><span class="sr-only">today</span></span
      >
    </div>
    <p class="name"><b>Blocks</b><span class="sub">mark: the seam before</span></p>
    <ol class="relative" :style="{ height: `${PLANK + 4}px` }">
      <li v-for="(block, place) in blocks" :key="block.id">
        <svg
          class="pointer-events-none absolute inset-0 h-full w-full overflow-visible"
          aria-hidden="true"
          :class="`plank ${block.state}`"
          :data-chosen="place === at || undefined"
        >
          <polygon :points="plankPoints(block, scale, PLANK)" />
        </svg>
        <button
          ref="plank"
          type="button"
          class="absolute overflow-hidden px-3 text-left leading-[16px]"
          :aria-pressed="place === at"
          :style="{
            left: `${xOf(block.from)}px`,
            width: `${Math.max(24, xOf(block.to) - xOf(block.from))}px`,
            height: `${PLANK}px`,
          }"
          :title="`${block.title}: ${wordsOf(block).days}`"
          @click="place === at ? emit('opened') : emit('chosen', place)"
        >
          <bdi class="block truncate font-semibold"
            >{{ block.title
            }}<span v-if="(concerns.get(block.id) ?? 0) > 0" class="text-alert">
              ↑{{ concerns.get(block.id) }}<span class="sr-only"> to look at</span></span
            ></bdi
          >
          <span class="block truncate text-[12px]">{{ wordsOf(block).about }}</span>
          <span class="block truncate text-[12px] text-ink2">{{ wordsOf(block).days }}</span>
        </button>
      </li>
    </ol>
    <template v-for="row in rows" :key="row.group">
      <p class="name">
        <b :class="`text-${row.family}`">{{ row.name }}</b><span class="sub">sets per 7 days</span>
      </p>
      <div class="relative" :style="{ height: `${COURSE + 18}px` }">
        <span
          v-for="block in blocks"
          :key="block.id"
          class="absolute top-0 overflow-hidden pl-1 text-[12px] whitespace-nowrap"
          :style="{
            left: `${xOf(block.from)}px`,
            width: `${Math.max(24, xOf(block.to) - xOf(block.from))}px`,
          }"
          >{{ courseWords(block, row.group) }}</span
        >
        <svg
          class="absolute inset-x-0 bottom-0 w-full overflow-visible"
          :style="{ height: `${COURSE}px`, '--peg': `var(--${row.family}-peg)` }"
          aria-hidden="true"
        >
          <rect
            v-for="deload in deloads"
            :key="deload.from"
            :x="xOf(deload.from)"
            y="0"
            :width="Math.max(2, xOf(deload.to) - xOf(deload.from))"
            :height="COURSE"
            fill="var(--sunk)"
          />
          <defs>
            <clipPath :id="`${id}-${row.group}`">
              <rect x="0" y="0" :width="isShown ? xOf(today) : '100%'" :height="COURSE" />
            </clipPath>
          </defs>
          <template v-for="block in blocks" :key="block.id">
            <path
              v-if="block.state !== 'behind'"
              class="course ahead"
              :d="coursePath(block, row.group, scale, { height: COURSE, most: row.most })"
            />
            <path
              v-if="block.state !== 'ahead'"
              class="course"
              :clip-path="block.state === 'running' ? `url(#${id}-${row.group})` : undefined"
              :d="coursePath(block, row.group, scale, { height: COURSE, most: row.most })"
            />
          </template>
          <path v-if="isShown" :d="`M${xOf(today)} -60V${COURSE}`" stroke="var(--focus)" />
        </svg>
      </div>
    </template>
  </div>
</template>

<style scoped>
.planks {
  display: grid;
  grid-template-columns: 148px minmax(var(--least), 1fr);
  gap: 6px 12px;
  min-width: 760px;
}
.long {
  width: max-content;
  grid-template-columns: minmax(var(--least), 1fr);
}
.long > .name {
  position: sticky;
  left: 0;
  width: max-content;
}
.long .sub {
  display: inline;
  margin-left: 8px;
}
.name {
  line-height: 16px;
}
.sub {
  display: block;
  color: var(--ink2);
  font-size: 12px;
}
.today {
  position: absolute;
  bottom: -7px;
  width: 9px;
  height: 9px;
  margin-left: -4px;
  border-radius: 50%;
  background: var(--focus);
}
.plank polygon {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.plank.behind polygon {
  fill: var(--sunk);
  stroke: var(--edge);
}
.plank.ahead polygon {
  stroke-dasharray: 5 3;
}
.plank[data-chosen] polygon {
  stroke: var(--focus);
  stroke-width: 2.5;
}
.course {
  fill: var(--peg);
}
.course.ahead {
  fill: color-mix(in srgb, var(--peg) 20%, var(--ground));
  stroke: var(--peg);
  stroke-dasharray: 3 2;
}
</style>
