<script setup lang="ts">
import { formatDecimals, formatOneDecimal } from '#core/words'
import type { ArmBalance } from '#core/count/ledger'
import { beamGeometry } from './beamGeometry'

const { balance } = defineProps<{ balance: ArmBalance }>()
const PIN = { x: 150, y: 26 }
const beam = computed(() => beamGeometry(balance.wish, balance.flexorExcess))
const reciprocal = computed(() =>
  balance.ratio ? `${formatDecimals(1 / balance.ratio, 2)} : 1` : '– : 1',
)
const percent = computed(() => Math.round(Math.abs(balance.flexorExcess ?? 0) * 100))
const words = computed(() => {
  if (balance.verdict === 'empty') return 'no arm sets yet'
  if (balance.flexorExcess === null)
    return balance.extensors > 0 ? 'no flexor sets' : 'no triceps sets'
  if (balance.verdict === 'level') return 'level'
  return `${percent.value} % ${balance.flexorExcess > 0 ? 'flexor-heavy' : 'triceps-heavy'}`
})
</script>

<template>
  <div class="flex items-center gap-5 max-xl:gap-2">
    <svg
      width="366"
      height="78"
      viewBox="-50 8 366 78"
      aria-hidden="true"
      class="overflow-visible max-xl:h-auto max-xl:w-[270px]"
    >
      <path d="M30 71H270" stroke="var(--line)" stroke-width="2" />
      <path
        :d="`M${PIN.x - 34} 71H${PIN.x + 34}`"
        stroke="var(--ink)"
        stroke-width="5"
        stroke-linecap="round"
      />
      <path
        :d="`M${PIN.x - 4} 70L${PIN.x - 2.5} ${PIN.y}H${PIN.x + 2.5}L${PIN.x + 4} 70Z`"
        fill="var(--ink)"
      />
      <g
        class="oar"
        :style="{ transform: `rotate(${-beam.tilt}deg)`, transformOrigin: `${PIN.x}px ${PIN.y}px` }"
      >
        <path
          :d="`M${PIN.x - beam.flexorArm} ${PIN.y - 2}L${PIN.x + beam.extensorArm} ${PIN.y - 2}V${PIN.y + 2}L${PIN.x - beam.flexorArm} ${PIN.y + 2}Z`"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="1.3"
        />
        <path :d="`M${PIN.x - beam.flexorArm + 20} ${PIN.y + 2}v9`" stroke="var(--flex)" />
        <path :d="`M${PIN.x + beam.extensorArm - 20} ${PIN.y + 2}v9`" stroke="var(--ext)" />
        <rect
          :x="PIN.x - beam.flexorArm - 1"
          :y="PIN.y + 10"
          width="42"
          height="19"
          rx="3"
          fill="var(--flex)"
        />
        <text :x="PIN.x - beam.flexorArm + 20" :y="PIN.y + 24" text-anchor="middle" class="load">
          {{ formatOneDecimal(balance.flexors) }}
        </text>
        <rect
          :x="PIN.x + beam.extensorArm - 41"
          :y="PIN.y + 10"
          width="42"
          height="19"
          rx="3"
          fill="var(--ext)"
        />
        <text :x="PIN.x + beam.extensorArm - 20" :y="PIN.y + 24" text-anchor="middle" class="load">
          {{ formatOneDecimal(balance.extensors) }}
        </text>
      </g>
      <circle
        :cx="PIN.x"
        :cy="PIN.y"
        r="3.5"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.3"
      />
      <text x="30" :y="83" class="side" fill="var(--flex)">Elbow flexors</text>
      <text x="270" :y="83" text-anchor="end" class="side" fill="var(--ext)">Triceps</text>
    </svg>
    <dl class="text-[12px] leading-[16px] whitespace-nowrap">
      <dt class="text-ink2">Flexors to triceps</dt>
      <dd class="font-display text-[22px] leading-6 font-semibold">
        {{ reciprocal }}
      </dd>
      <dd class="text-ink2">wish {{ formatDecimals(1 / balance.wish, 2) }} : 1</dd>
      <dd
        :class="
          balance.verdict === 'outside' ? 'font-semibold text-alert' : 'font-semibold text-ink2'
        "
      >
        {{ words }}
      </dd>
    </dl>
  </div>
</template>

<style scoped>
.oar {
  transition: transform 320ms ease-out;
}
.side {
  font-size: 12px;
  font-weight: 600;
}
.load {
  font-family: var(--font-display);
  font-size: 13px;
  font-weight: 600;
  fill: var(--on-ink);
}
</style>
