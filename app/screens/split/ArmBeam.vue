<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { formatDecimals, formatOneDecimal } from '#core/words'
import type { ArmBalance } from '#core/count/ledger'
import { beamGeometry } from './beamGeometry'

const { balance } = defineProps<{ balance: ArmBalance }>()
const SHOWN = { left: -50, top: 8, width: 366, height: 78 } as const
const VIEW = Object.values(SHOWN).join(' ')
const PIN = { x: 150, y: 26 }
/** Where the pin stands in the picture. */
const PIVOT = `${(100 * (PIN.x - SHOWN.left)) / SHOWN.width}% ${(100 * (PIN.y - SHOWN.top)) / SHOWN.height}%`
/** Figures change at once; the oar settles when the keys rest, so that quick ones wait for nothing. */
const SETTLES_AFTER_MS = 120
const beam = computed(() => beamGeometry(balance.wish, balance.flexorExcess))
const tilt = refDebounced(
  computed(() => beam.value.tilt),
  SETTLES_AFTER_MS,
)
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
    <div class="relative aspect-[366/78] w-[366px] max-xl:w-[270px]">
      <svg :viewBox="VIEW" aria-hidden="true" class="absolute inset-0 overflow-visible">
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
        <text x="30" :y="83" class="side" fill="var(--flex)">Elbow flexors</text>
        <text x="270" :y="83" text-anchor="end" class="side" fill="var(--ext)">Triceps</text>
      </svg>
      <svg
        :viewBox="VIEW"
        aria-hidden="true"
        class="oar"
        :style="{ transform: `rotate(${-tilt}deg)`, transformOrigin: PIVOT }"
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
      </svg>
      <svg :viewBox="VIEW" aria-hidden="true" class="absolute inset-0 overflow-visible">
        <circle
          :cx="PIN.x"
          :cy="PIN.y"
          r="3.5"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="1.3"
        />
      </svg>
    </div>
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
/* A layer of its own, which settles without the page being laid out or painted again. */
.oar {
  position: absolute;
  inset: 0;
  overflow: visible;
  transition: transform 320ms ease-out;
  will-change: transform;
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
