<script setup lang="ts">
import { phoneClock } from './phoneWords'
import type { SheetExercise, SheetWay, StandingTurn } from '#core/follow/sheet'

/** The session to scale: what is done, what is to come, and where the clock stands against the plan. */
const { way, turns, exercises, elapsed, limitMinutes } = defineProps<{
  way: SheetWay
  turns: readonly StandingTurn[]
  exercises: readonly SheetExercise[]
  /** Seconds since the first set; null before it. */ elapsed: number | null
  limitMinutes: number | null
}>()
const total = computed(() => Math.max(1, way.seconds))
const left = computed(() => {
  const open = turns.filter(({ state }) => state === 'open' || state === 'begun')
  return open.reduce((sum, { seconds, rest }) => sum + seconds + rest, 0)
})
const planks = computed(() =>
  way.groups.map(({ slots, start, seconds }) => ({
    key: slots.join(' '),
    x: (100 * start) / total.value,
    width: Math.max(1, (100 * seconds) / total.value - 0.8),
    lanes: slots.map(slot => {
      const own = turns.filter(turn => turn.slot === slot)
      return {
        slot,
        family: exercises.find(exercise => exercise.slot === slot)?.family ?? 'body',
        done:
          own.length === 0
            ? 0
            : own.filter(({ state }) => state !== 'open' && state !== 'begun').length / own.length,
      }
    }),
  })),
)
const here = computed(() => ((total.value - Math.min(total.value, left.value)) / total.value) * 100)
</script>

<template>
  <div>
    <div class="strip" aria-hidden="true">
      <span
        v-for="plank in planks"
        :key="plank.key"
        class="plank"
        :style="{ left: `${plank.x}%`, width: `${plank.width}%` }"
      >
        <span v-for="lane in plank.lanes" :key="lane.slot" class="lane" :class="lane.family"
          ><span :style="{ width: `${lane.done * 100}%` }"
        /></span>
      </span>
      <span class="mark" :style="{ left: `${here}%` }" />
    </div>
    <p class="flex justify-between gap-3 text-[14px] leading-[20px]">
      <span class="font-semibold">{{
        elapsed === null ? 'Not begun' : `${phoneClock(elapsed)} gone`
      }}</span>
      <span class="text-ink2"
        >about {{ Math.ceil(left / 60) }} min to go{{
          limitMinutes === null ? '' : `, limit ${limitMinutes}`
        }}</span
      >
    </p>
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  height: 20px;
  margin-top: 6px;
}
.plank {
  position: absolute;
  top: 4px;
  display: flex;
  flex-direction: column;
  gap: 2px;
  height: 14px;
}
.lane {
  position: relative;
  flex: 1;
  border-radius: 2px;
  background: color-mix(in srgb, var(--peg) 32%, var(--ground));
  overflow: hidden;
  --peg: var(--flex-peg);
}
.lane.ext {
  --peg: var(--ext-peg);
}
.lane.fore {
  --peg: var(--fore-peg);
}
.lane.body {
  --peg: var(--body-peg);
}
.lane span {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--peg);
}
.mark {
  position: absolute;
  top: -1px;
  bottom: -1px;
  width: 2px;
  background: var(--ink);
}
</style>
