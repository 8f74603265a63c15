<script setup lang="ts">
import {
  formatOneDecimal,
  formatSets,
  GROUP_NAMES,
  MODE_NAMES,
  MUSCLE_NAMES,
  POSITION_NAMES,
} from '#core/words'
import type { Group, Muscle } from '#core/plan/catalogue'
import type { Band, BandPosition, Mode } from '#core/plan/method'
import { bandShare, BAND_MARKS } from '~/screens/split/bandScale'

/** One group: mode, own band, what the rotation gives, frequency and the limit per session. */
const { row, family, modes } = defineProps<{
  row: {
    readonly group: Group
    readonly mode: Mode
    readonly usual: Band
    readonly band: Band
    readonly isOwn: boolean
    readonly sets: number
    readonly position: BandPosition
    readonly frequency: number
    readonly usualFrequency: number
    readonly usualMax: number | undefined
    readonly most: number
    readonly heads: readonly { readonly muscle: Muscle; readonly sets: number }[]
  }
  family: 'flex' | 'flex2' | 'ext' | 'fore' | 'body'
  modes: readonly Mode[]
  complaint: string
}>()
const emit = defineEmits<{ mode: [mode: Mode] }>()
const band = defineModel<{ floor: string; target: string; ceiling: string }>('band', {
  required: true,
})
const frequency = defineModel<string>('frequency', { required: true })
const most = defineModel<string>('most', { required: true })
const heads = defineModel<Record<string, string>>('heads', { required: true })
const WIDTH = 120
const isOpen = ref(false)
const name = computed(() => GROUP_NAMES[row.group])
const isOut = computed(() => row.position === 'below' || row.position === 'above')
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <tr :data-own="row.isOwn || undefined">
    <th scope="row">
      <button
        v-if="row.heads.length > 0"
        type="button"
        class="rounded text-left font-semibold"
        :aria-expanded="isOpen"
        @click="isOpen = !isOpen"
      >
        <span aria-hidden="true" class="inline-block w-3 text-ink2">{{
          isOpen ? '−' : '+'
        }}</span>{{ name }}
      </button>
      <span v-else class="pl-3">{{ name }}</span>
    </th>
    <td>
      <select
        :value="row.mode"
        class="small-field"
        :aria-label="`${name}, priority`"
        @change="emit('mode', textOf($event) as Mode)"
      >
        <option v-for="mode in modes" :key="mode" :value="mode">
          {{ MODE_NAMES[mode] }}
        </option>
      </select>
    </td>
    <td v-for="part in ['floor', 'target', 'ceiling'] as const" :key="part">
      <input
        :value="band[part]"
        type="number"
        v-bind="LIMITS.weekSets"
        step="0.5"
        class="small-field own"
        :placeholder="formatSets(row.usual[part])"
        :aria-label="`${name}, ${part}`"
        :aria-invalid="complaint !== ''"
        @input="band = { ...band, [part]: textOf($event) }"
      />
    </td>
    <td>
      <svg
        :width="WIDTH"
        height="20"
        :viewBox="`0 0 ${WIDTH} 20`"
        role="img"
        :aria-label="`${name}: ${formatOneDecimal(row.sets)} sets per 7 days, ${POSITION_NAMES[row.position]}`"
      >
        <rect
          :x="BAND_MARKS.floor * WIDTH"
          y="2"
          :width="(BAND_MARKS.ceiling - BAND_MARKS.floor) * WIDTH"
          height="16"
          fill="var(--sunk)"
        />
        <path
          v-for="(x, mark) in BAND_MARKS"
          :key="mark"
          :d="`M${x * WIDTH} 2V18`"
          stroke="var(--edge)"
          :stroke-dasharray="mark === 'target' ? '2 3' : undefined"
        />
        <path
          :d="`M${Math.min(WIDTH - 3, Math.max(3, bandShare(row.sets, row.band) * WIDTH))} 3V17`"
          :stroke="`var(--${family}-peg)`"
          stroke-width="4"
        />
      </svg>
    </td>
    <td class="figure" :class="isOut ? 'text-alert' : ''">
      {{ formatOneDecimal(row.sets) }}
      <span class="text-[12px] font-normal">{{ isOut ? POSITION_NAMES[row.position] : '' }}</span>
    </td>
    <td>
      <input
        :value="frequency"
        type="number"
        v-bind="LIMITS.frequency"
        step="0.25"
        class="small-field own"
        :placeholder="formatSets(row.usualFrequency)"
        :aria-label="`${name}, days in 7 at least`"
        @input="frequency = textOf($event)"
      />
      <span class="ml-1 text-ink2">{{ formatOneDecimal(row.frequency) }}</span>
    </td>
    <td>
      <input
        :value="most"
        type="number"
        v-bind="LIMITS.sessionSets"
        step="0.5"
        class="small-field own"
        :placeholder="row.usualMax === undefined ? '–' : formatSets(row.usualMax)"
        :aria-label="`${name}, most sets in a session`"
        @input="most = textOf($event)"
      />
      <span class="ml-1 text-ink2">{{ formatOneDecimal(row.most) }}</span>
    </td>
    <td class="text-[12px] text-ink2">
      <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      <template v-else>
        {{
          row.isOwn
            ? `your own; usually ${formatSets(row.usual.floor)} / ${formatSets(row.usual.target)} / ${formatSets(row.usual.ceiling)}`
            : 'training age, priority, method'
        }}
      </template>
    </td>
  </tr>
  <template v-if="isOpen">
    <tr v-for="head in row.heads" :key="head.muscle">
      <th scope="row" class="pl-6! font-normal!">
        {{ MUSCLE_NAMES[head.muscle] }}
      </th>
      <td class="text-ink2">at least</td>
      <td>
        <input
          :value="heads[head.muscle]"
          type="number"
          v-bind="LIMITS.weekSets"
          step="0.5"
          class="small-field own"
          placeholder="–"
          :aria-label="`${name}, ${MUSCLE_NAMES[head.muscle]}, floor`"
          @input="heads = { ...heads, [head.muscle]: textOf($event) }"
        />
      </td>
      <td colspan="3" />
      <td class="figure">
        {{ formatOneDecimal(head.sets) }}
      </td>
      <td colspan="3" />
    </tr>
  </template>
</template>

<style scoped>
th {
  padding: 2px 12px 2px 0;
  font-weight: 600;
  text-align: left;
  white-space: nowrap;
}
td {
  padding: 2px 10px 2px 0;
  white-space: nowrap;
}
.own {
  width: 62px;
}
.own::placeholder {
  color: var(--ink3);
}
.figure {
  font-family: var(--font-display);
  font-size: 14px;
  font-weight: 600;
}
tr[data-own] th {
  box-shadow: inset 2px 0 0 var(--focus);
  padding-left: 6px;
}
</style>
