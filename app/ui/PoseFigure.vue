<script setup lang="ts">
import { exerciseFigure, type Figure } from '#core/words'

/** Where a movement starts and where it ends, drawn from joint angles; the arms that move are drawn in full. */
const {
  exercise,
  pattern,
  name,
  height = 110,
} = defineProps<{
  exercise: string
  pattern: string
  name: string
  height?: number
}>()
const drawn = computed(() => exerciseFigure({ id: exercise, pattern }))
const figures = computed((): readonly (readonly [string, Figure])[] =>
  drawn.value
    ? [
        ['start', drawn.value.start],
        ['end', drawn.value.end],
      ]
    : [],
)
const pathOf = (points: Figure['limbs'][number]['points']) =>
  points.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('')
</script>

<template>
  <figure v-if="drawn" class="pose">
    <svg
      :height="height"
      :viewBox="`${drawn.box.x} ${drawn.box.y} ${drawn.box.width} ${drawn.box.height}`"
      role="img"
      :aria-label="`${name}: where it starts, and where it ends`"
    >
      <path
        v-for="([from, to], at) in drawn.supports"
        :key="at"
        class="support"
        :d="`M${from.x} ${from.y}L${to.x} ${to.y}`"
      />
      <g v-for="[word, figure] in figures" :key="word">
        <circle class="head" :cx="figure.head.x" :cy="figure.head.y" :r="figure.head.r" />
        <path
          v-for="(limb, at) in figure.limbs"
          :key="at"
          :class="limb.isArm ? 'arm' : 'limb'"
          :d="pathOf(limb.points)"
        />
        <circle
          v-for="(hand, at) in figure.hands"
          :key="`hand-${at}`"
          class="load"
          :cx="hand.x"
          :cy="hand.y"
          r="0.55"
        />
      </g>
    </svg>
    <figcaption class="flex justify-around text-[12px] text-ink2">
      <span>start</span><span>end</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.pose {
  width: fit-content;
  max-width: 100%;
}
.pose svg {
  max-width: 100%;
}
.limb,
.arm,
.support {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.limb {
  stroke: var(--ink2);
  stroke-width: 0.55;
}
.arm {
  stroke: var(--ink);
  stroke-width: 0.7;
}
.support {
  stroke: var(--edge);
  stroke-width: 0.5;
}
.head {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 0.55;
}
.load {
  fill: var(--ink);
}
</style>
