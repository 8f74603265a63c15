<script setup lang="ts">
import { formatClock, formatSetCount } from '#core/words'
import { useElementSize } from '@vueuse/core'
import { useSession } from './sessionContext'
import { sessionStripLayout } from './sessionStripLayout'

const builder = useSession()
const frame = useTemplateRef<HTMLElement>('frame')
const { width } = useElementSize(frame, { width: 870, height: 0 })
const spans = computed(() => builder.view.value?.time.spans ?? [])
const layout = computed(() =>
  sessionStripLayout(builder.groupings.value, spans.value, width.value || 870, builder.limit.value),
)
const straight = computed(() =>
  builder.straight.value && builder.session.value
    ? builder.straight.value.spans
        .filter(({ kind }) => kind === 'set')
        .map(({ start, seconds, slot }) => ({
          x: (start / 60) * layout.value.pxPerMinute,
          width: Math.max(3, (seconds / 60) * layout.value.pxPerMinute - 3),
          family: builder.familyOf(slot),
        }))
    : [],
)
const straightEnd = computed(() =>
  builder.straight.value
    ? Math.min(layout.value.width, (builder.straight.value.seconds / 60) * layout.value.pxPerMinute)
    : 0,
)
const saved = computed(() =>
  builder.straight.value && builder.view.value
    ? builder.straight.value.seconds - builder.view.value.time.seconds
    : 0,
)
const words = computed(
  () =>
    `${formatSetCount(builder.setCount.value)} in ${formatClock(builder.view.value?.time.seconds ?? 0)}${builder.limit.value === null ? '' : `, limit ${builder.limit.value} minutes`}`,
)
</script>

<template>
  <section aria-label="The session to scale" class="pt-3">
    <div ref="frame" class="relative" :style="{ height: `${layout.height + 46}px` }">
      <p class="sr-only">
        {{ words }}
      </p>
      <svg
        class="absolute inset-x-0 top-0 overflow-visible"
        :width="layout.width"
        height="30"
        aria-hidden="true"
      >
        <text v-for="tick in layout.ticks" :key="tick.minute" :x="tick.x" y="12" class="tick">
          {{ tick.minute }}
        </text>
        <rect
          x="0"
          y="18"
          :width="layout.width"
          height="5"
          fill="var(--paper)"
          stroke="var(--ink)"
        />
        <template v-for="(tick, at) in layout.ticks" :key="`r${tick.minute}`">
          <rect
            v-if="at % 2 === 0 && at < layout.ticks.length - 1"
            :x="tick.x"
            y="18"
            :width="layout.ticks[1]!.x"
            height="5"
            fill="var(--ink)"
          />
        </template>
      </svg>
      <div
        v-if="layout.limit !== null"
        class="limit"
        :style="{ left: `${layout.limit}px` }"
        aria-hidden="true"
      >
        <span>limit {{ builder.limit.value }}</span>
      </div>
      <div class="absolute inset-x-0" :style="{ top: '30px', height: `${layout.height}px` }">
        <div
          v-if="layout.preparation.width > 0"
          class="preparation"
          :style="{ width: `${layout.preparation.width}px`, top: `${layout.height / 2 - 14}px` }"
          aria-hidden="true"
        >
          <span v-if="layout.preparation.width > 62">warm-up</span>
        </div>
        <StripPlank
          v-for="(plank, at) in layout.planks"
          :key="plank.grouping"
          :plank="plank"
          :at="at"
          :height="layout.height"
          :room="(layout.planks[at + 1]?.x ?? layout.width) - plank.x"
        />
        <p v-if="layout.planks.length === 0" class="pt-6 pl-24 text-ink2">
          Nothing here yet. <KeyCap label="E" /> adds an exercise, <KeyCap label="B" /> puts in a
          template, <KeyCap label="X" /> writes the session as text.
        </p>
      </div>
      <svg
        class="absolute inset-x-0 overflow-visible"
        :style="{ top: `${layout.height + 22}px` }"
        :width="layout.width"
        height="24"
        aria-hidden="true"
      >
        <template v-if="builder.straight.value && (builder.showsStraight.value || saved > 0)">
          <path :d="`M0 20.5H${straightEnd}`" stroke="var(--line)" stroke-width="1.5" />
          <rect
            v-for="(set, at) in straight"
            :key="at"
            :x="set.x"
            y="11"
            :width="set.width"
            height="8"
            rx="2"
            fill="none"
            :stroke="`var(--${set.family}-peg)`"
            stroke-width="1.15"
          />
          <g v-if="saved > 0">
            <path
              :d="`M${layout.end} 5.5H${straightEnd}M${layout.end} 2v7M${straightEnd} 2v7`"
              stroke="var(--ink)"
              fill="none"
            />
          </g>
        </template>
      </svg>
    </div>
    <p class="flex gap-5 text-[12px] text-ink2">
      <span>ends {{ formatClock(builder.view.value?.time.seconds ?? 0) }}</span>
      <button
        v-if="builder.straight.value"
        type="button"
        class="quiet-link"
        :aria-pressed="builder.showsStraight.value"
        @click="builder.showsStraight.value = !builder.showsStraight.value"
      >
        <KeyCap label="T" /> the same sets straight would end
        {{ formatClock(builder.straight.value.seconds) }}:
        {{
          saved >= 0
            ? `pairing saves ${formatClock(saved)}`
            : `pairing takes ${formatClock(-saved)} longer`
        }}
      </button>
      <span v-if="(builder.view.value?.time.assumedShare ?? 0) > 0.01"
        >{{ Math.round((builder.view.value?.time.assumedShare ?? 0) * 100) }}&nbsp;% of the time
        rests on usual rests and ways</span
      >
    </p>
  </section>
</template>

<style scoped>
.tick {
  font-size: 11px;
  fill: var(--ink2);
  text-anchor: middle;
}
.tick:first-of-type {
  text-anchor: start;
}
.limit {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--ink);
  z-index: 2;
  pointer-events: none;
}
.limit span {
  position: absolute;
  top: -2px;
  left: -2px;
  transform: translateX(-50%);
  padding: 1px 7px;
  border-radius: 3px;
  background: var(--ink);
  color: var(--on-ink);
  font-size: 12px;
  font-weight: 600;
  white-space: nowrap;
}
.preparation {
  position: absolute;
  left: 0;
  height: 28px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: repeating-linear-gradient(135deg, transparent 0 5px, var(--hair) 5px 6px);
  font-size: 11px;
  color: var(--ink2);
  overflow: hidden;
}
.preparation span {
  display: inline-block;
  margin: 5px 6px;
  padding: 0 3px;
  background: var(--ground);
  line-height: 16px;
}
</style>
