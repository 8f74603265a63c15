<script setup lang="ts">
import type { StandingTurn, SheetExercise } from '#core/follow/sheet'
import { setName, turnWords } from './phoneWords'

/** The sets of one exercise in a row: pegs stand where a set is done, the next one is drawn open. */
const { turns, current, family } = defineProps<{
  turns: readonly StandingTurn[]
  current: StandingTurn
  family: SheetExercise['family']
}>()
const emit = defineEmits<{ chosen: [turn: StandingTurn] }>()
function words(turn: StandingTurn): string {
  if (turn.state === 'done' || turn.state === 'begun') return turnWords(turn)
  if (turn === current) return 'now'
  return { skipped: 'skipped', stopped: 'stopped', open: '' }[turn.state]
}
const HEIGHT = 40
</script>

<template>
  <ol class="pegs" :class="family" aria-label="Sets of this exercise">
    <li v-for="turn in turns" :key="`${turn.plan.role} ${turn.plan.number}`">
      <button
        type="button"
        :aria-current="turn === current ? 'step' : undefined"
        :aria-label="`${setName(turn)}: ${words(turn) || 'to come'}`"
        @click="emit('chosen', turn)"
      >
        <svg
          width="24"
          :height="HEIGHT"
          :viewBox="`0 0 24 ${HEIGHT}`"
          aria-hidden="true"
          :data-state="turn === current && turn.state !== 'done' ? 'now' : turn.state"
          :data-light="turn.plan.role === 'working' ? undefined : ''"
        >
          <line x1="-40" :y1="HEIGHT - 3" x2="64" :y2="HEIGHT - 3" class="rail" />
          <g class="peg">
            <template v-if="family === 'ext'">
              <path d="M10 13h4v22h-4z" />
              <path d="M4 6h16v7H4z" />
            </template>
            <template v-else-if="family === 'fore'">
              <path d="M10 16h4v19h-4zM5 4h4v9h6V4h4v12H5z" />
            </template>
            <template v-else-if="family === 'body'"><path d="M8 5h8v30H8z" /></template>
            <template v-else>
              <path d="M10 14h4v21h-4z" />
              <circle cx="12" cy="10" r="8" />
            </template>
          </g>
          <circle cx="12" :cy="HEIGHT - 3" r="3" class="hole" />
        </svg>
        <span class="done">{{ words(turn) || setName(turn).toLowerCase() }}</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.pegs {
  display: flex;
  overflow-x: auto;
  scrollbar-width: none;
  --peg: var(--flex-peg);
  --name: var(--flex);
  border-bottom: 1px solid var(--hair);
}
.pegs.ext {
  --peg: var(--ext-peg);
  --name: var(--ext);
}
.pegs.fore {
  --peg: var(--fore-peg);
  --name: var(--fore);
}
.pegs.body {
  --peg: var(--body-peg);
  --name: var(--body);
}
li {
  flex: 1 0 74px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  width: 100%;
  min-height: 66px;
  padding-bottom: 4px;
  overflow: hidden;
}
button:focus-visible {
  outline-offset: -3px;
}
svg {
  overflow: visible;
}
.rail {
  stroke: var(--peg);
  stroke-width: 4;
}
.peg {
  fill: var(--peg);
}
.hole {
  fill: var(--ground);
  display: none;
}
[data-state='open'] .peg,
[data-state='skipped'] .peg,
[data-state='stopped'] .peg {
  display: none;
}
[data-state='open'] .hole {
  display: block;
}
[data-state='now'] .peg,
[data-state='begun'] .peg {
  fill: var(--ground);
  stroke: var(--peg);
  stroke-width: 2;
}
[data-light] .peg {
  transform: translateY(9px);
  transform-origin: 50% 100%;
  opacity: 0.75;
}
[data-state='skipped'] .rail,
[data-state='stopped'] .rail {
  stroke-dasharray: 4 4;
  opacity: 0.6;
}
.done {
  font-size: 14px;
  line-height: 1.15;
  color: var(--ink2);
  text-align: center;
}
[data-state='done'] + .done {
  font-weight: 650;
  color: var(--ink);
}
[aria-current] .done {
  font-weight: 650;
  color: var(--name);
}
</style>
