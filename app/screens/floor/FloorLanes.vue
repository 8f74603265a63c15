<script setup lang="ts">
import type { LaneEnd } from './floorDay'
import type { Lane, LaneScale } from './floorLanes'

/** Lanes on one clock, to scale; what is chosen opens below its lane. */
const {
  lanes,
  scale,
  nowLeft,
  ends = null,
  chosen = null,
  told = null,
} = defineProps<{
  lanes: readonly Lane[]
  scale: LaneScale
  /** Where the present moment lies. Units: percent. */
  nowLeft: number | null
  /** When each ends; left out where lanes are of stations. */
  ends?: ReadonlyMap<string, LaneEnd> | null
  chosen?: string | null
  /** Where each is who has begun. */
  told?: ReadonlyMap<string, { words: string; share: number; pace: string }> | null
}>()
const emit = defineEmits<{ choose: [string] }>()
/** Below a box narrower than this nothing is written. Units: percent. */
const LEAST_WRITTEN = 3
defineSlots<{ default?: () => unknown }>()
</script>

<template>
  <div>
    <div class="lane text-[12px] text-ink2" aria-hidden="true">
      <span class="max-md:hidden" />
      <span class="track h-5">
        <span
          v-for="tick in scale.ticks"
          :key="tick.clock"
          class="tick"
          :class="{ first: tick.left === 0, last: tick.left === 100 }"
          :style="{ left: `${tick.left}%` }"
          >{{ tick.clock }}</span
        >
        <span v-if="nowLeft !== null" class="now" :style="{ left: `${nowLeft}%` }" />
      </span>
      <span class="max-md:hidden">{{ ends ? 'Ends' : '' }}</span>
      <span class="text-right max-md:hidden">{{ ends ? 'Minutes' : '' }}</span>
    </div>
    <ol>
      <li
        v-for="lane in lanes"
        :key="lane.id"
        :class="{ chosen: chosen === lane.id }"
        :data-lane="lane.id"
      >
        <div class="lane">
          <component
            :is="ends ? 'button' : 'span'"
            :type="ends ? 'button' : undefined"
            class="min-w-0 text-left"
            :aria-pressed="ends ? chosen === lane.id : undefined"
            @click="ends && emit('choose', lane.id)"
          >
            <bdi class="block truncate font-semibold">{{ lane.name }}</bdi>
            <span v-if="told?.get(lane.id)" class="block truncate text-[12px] text-focus"
              >● {{ told.get(lane.id)?.words }}</span
            >
            <span v-else class="block truncate text-[12px] text-ink2">{{ lane.about }}</span>
          </component>
          <span class="track h-10">
            <span class="rail" />
            <template v-for="box in lane.boxes" :key="box.key">
              <span
                class="box"
                :class="`is-${box.kind}`"
                :title="box.title"
                :style="{ left: `${box.left}%`, width: `${box.width}%` }"
              >
                <span class="sr-only">{{ box.title }}. </span>
                <span aria-hidden="true" class="label">{{ box.label }}</span>
              </span>
              <span
                v-if="box.station && box.width > LEAST_WRITTEN"
                aria-hidden="true"
                class="station"
                :class="{ 'text-alert!': box.kind === 'wait' }"
                :style="{ left: `${box.left}%`, width: `${box.width}%` }"
                >{{ box.station }}</span
              >
            </template>
            <span
              v-if="nowLeft !== null"
              class="now"
              aria-hidden="true"
              :style="{ left: `${nowLeft}%` }"
            />
          </span>
          <template v-if="ends?.get(lane.id)">
            <b class="max-md:text-[12px]"
              ><span class="sr-only">ends </span>{{ ends.get(lane.id)?.ends }}</b
            >
            <span
              class="text-right max-md:text-left"
              :class="{ 'font-semibold text-alert': ends.get(lane.id)?.waits }"
              >{{ ends.get(lane.id)?.minutes }}<span class="md:sr-only"> min</span
              ><span v-if="ends.get(lane.id)?.over" class="block text-[12px]">{{
                ends.get(lane.id)?.over
              }}</span
              ><span v-if="told?.get(lane.id)?.pace" class="block text-[12px] text-focus">{{
                told.get(lane.id)?.pace
              }}</span></span
            >
          </template>
        </div>
        <slot v-if="chosen === lane.id" />
      </li>
    </ol>
  </div>
</template>

<style scoped>
.lane {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr) 52px 108px;
  align-items: center;
  gap: 2px 12px;
  padding: 3px 8px;
}
.chosen {
  border: 2px solid var(--focus);
  border-radius: 8px;
  background: var(--paper);
}
.track {
  position: relative;
  display: block;
}
.rail {
  position: absolute;
  top: 12px;
  left: 0;
  right: 0;
  height: 1px;
  background: var(--hair);
}
.tick {
  position: absolute;
  transform: translateX(-50%);
}
.tick.first {
  transform: none;
}
.tick.last {
  transform: translateX(-100%);
}
.now {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 2px;
  background: var(--focus);
}
.box {
  position: absolute;
  top: 1px;
  height: 23px;
  overflow: hidden;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--paper);
}
.box.is-way {
  border-style: dashed;
  border-color: var(--line);
  background: repeating-linear-gradient(-45deg, transparent 0 4px, var(--hair) 4px 5px);
}
.box.is-wait {
  border: 1.5px dashed var(--alert);
  background: var(--alert-wash);
  color: var(--alert);
  font-weight: 650;
}
.label {
  display: block;
  padding: 0 4px;
  overflow: hidden;
  font-size: 12px;
  line-height: 21px;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.station {
  position: absolute;
  top: 25px;
  padding-right: 5px;
  overflow: hidden;
  color: var(--ink2);
  font-size: 12px;
  line-height: 14px;
  white-space: nowrap;
  text-overflow: ellipsis;
}
@media (max-width: 767px) {
  .lane {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .lane > .track {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
