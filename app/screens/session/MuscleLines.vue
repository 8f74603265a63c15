<script setup lang="ts">
import {
  formatClock,
  formatOneDecimal,
  GROUP_NAMES,
  JOINT_NAMES,
  readinessWords,
} from '#core/words'
import { ARM_GROUP_LIST, useSessionLines } from './useSessionLines'
import { useSession } from './sessionContext'

/** Each muscle along the session: when it works, the rests between, and what is left of its readiness; joints adding up below. */
const builder = useSession()
const { scale, muscles, joints, width, frame, height } = useSessionLines(builder)
const LINE = 34
const JOINT = 44
const showsAll = ref(false)
const shown = computed(() =>
  showsAll.value
    ? muscles.value
    : muscles.value.filter(({ group }) => ARM_GROUP_LIST.includes(group)),
)
const total = computed(() => shown.value.length * LINE + joints.value.length * JOINT + 6)
const yOf = (at: number) => at * LINE + 22
const jointY = (at: number) => shown.value.length * LINE + at * JOINT + JOINT - 6
</script>

<template>
  <section aria-label="Muscles and joints along the session" class="mt-4">
    <div class="flex items-baseline gap-4">
      <h2 class="text-[14px] font-[650]">Rest as each muscle feels it</h2>
      <button
        v-if="muscles.length > shown.length || showsAll"
        type="button"
        class="quiet-link text-[12px]"
        :aria-pressed="showsAll"
        @click="showsAll = !showsAll"
      >
        {{ showsAll ? 'arms only' : `${muscles.length - shown.length} more muscles` }}
      </button>
    </div>
    <div ref="frame" class="relative" :data-height="height">
      <svg :width="width" :height="total" aria-hidden="true" class="block overflow-visible">
        <g
          v-for="(muscle, at) in shown"
          :key="muscle.group"
          :style="{ '--peg': `var(--${muscle.family}-peg)` }"
        >
          <path
            :d="`M0 ${yOf(at)}H${width}`"
            stroke="var(--peg)"
            stroke-width="1.25"
            opacity=".5"
          />
          <text x="0" :y="yOf(at) - 4" class="who" :style="{ fill: `var(--${muscle.family})` }">
            {{ muscle.short }}
          </text>
          <rect
            v-for="(set, n) in muscle.sets"
            :key="n"
            :x="set.x"
            :y="yOf(at) - (set.isDirect ? 14 : 9)"
            :width="set.width"
            :height="set.isDirect ? 14 : 9"
            rx="1.5"
            :fill="set.isDirect ? 'var(--peg)' : 'var(--ground)'"
            stroke="var(--peg)"
            stroke-width="1.15"
          />
          <path
            v-for="(rest, n) in muscle.rests"
            :key="`r${n}`"
            :d="`M${rest.from} ${yOf(at) + 2}Q${(rest.from + rest.to) / 2} ${yOf(at) + 9} ${rest.to} ${yOf(at) + 2}`"
            fill="none"
            stroke="var(--edge)"
          />
          <text
            v-for="(rest, n) in muscle.rests.filter(held => held.to - held.from > 30)"
            :key="`t${n}`"
            :x="(rest.from + rest.to) / 2"
            :y="yOf(at) + 11"
            class="rest"
          >
            {{ formatClock(rest.seconds) }}
          </text>
        </g>
        <g v-for="(joint, at) in joints" :key="joint.joint">
          <path :d="`M0 ${jointY(at)}H${width}`" stroke="var(--hair)" />
          <path :d="`M0 ${jointY(at) - 28}H${width}`" stroke="var(--ink2)" stroke-dasharray="3 3" />
          <path
            :d="joint.path(jointY(at), 28)"
            fill="none"
            :stroke="joint.passed ? 'var(--alert)' : 'var(--body)'"
            stroke-width="1.8"
          />
          <text x="0" :y="jointY(at) - 10" class="who">{{ JOINT_NAMES[joint.joint] }}</text>
          <text :x="width" :y="jointY(at) - 32" class="cap">
            cap {{ formatOneDecimal(joint.ceiling) }}
          </text>
          <circle
            v-if="joint.passed"
            :cx="joint.passed.x"
            :cy="jointY(at) - 28"
            r="4"
            fill="var(--paper)"
            stroke="var(--alert)"
            stroke-width="2"
          />
        </g>
      </svg>
      <span class="sr-only">{{ scale }}</span>
    </div>
    <table class="mt-1 w-full max-w-[760px] text-[12.5px]">
      <caption class="sr-only">
        Muscles and joints along the session
      </caption>
      <thead class="text-[12px] text-ink2">
        <tr>
          <th class="text-left font-normal">Muscle or joint</th>
          <th class="text-left font-normal">at the start</th>
          <th class="text-left font-normal">at the end</th>
          <th class="text-left font-normal">shortest rest</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="muscle in shown" :key="muscle.group">
          <th
            class="text-left font-semibold"
            scope="row"
            :style="{ color: `var(--${muscle.family})` }"
          >
            {{ GROUP_NAMES[muscle.group] }}
          </th>
          <td>{{ readinessWords(muscle.start) }}</td>
          <td>{{ readinessWords(muscle.end, true) }}</td>
          <td>{{ muscle.shortest === undefined ? 'one set' : formatClock(muscle.shortest) }}</td>
        </tr>
        <tr v-for="joint in joints" :key="joint.joint" :class="joint.passed ? 'text-alert' : ''">
          <th class="text-left font-semibold first-letter:uppercase" scope="row">
            {{ JOINT_NAMES[joint.joint] }}
          </th>
          <td>load {{ formatOneDecimal(joint.total) }}</td>
          <td>cap {{ formatOneDecimal(joint.ceiling) }}</td>
          <td>
            {{
              joint.passed
                ? `passed at ${formatClock(joint.passed.at)}, ${builder.nameOf(joint.passed.slot)}`
                : `${formatOneDecimal(joint.ceiling - joint.total)} spare`
            }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.who {
  font-size: 11px;
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
.cap {
  font-size: 10.5px;
  fill: var(--ink2);
  text-anchor: end;
}
.rest {
  font-size: 10.5px;
  fill: var(--ink2);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
</style>
