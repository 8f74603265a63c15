<script setup lang="ts">
import { RAMP_NAMES } from '#core/words'

/** Sets against the band, effort, readiness and joints over the block. */
const { charts, group, groups, joint, joints } = useBlockCharts(useChartColours())
/** The ramp of the muscle that is shown, so that its course can be changed with the chart in sight. */
const { ramps, setRamp } = useBlockTerms()
const ramp = computed(() => ramps.value.find(row => row.group === group.value))
</script>

<template>
  <div>
    <div class="mb-2 flex flex-wrap gap-x-4 gap-y-1">
      <label class="text-ink2"
        >Muscle
        <select v-model="group" class="small-field">
          <option v-for="one in groups" :key="one.group" :value="one.group">{{ one.name }}</option>
        </select></label
      >
      <template v-if="ramp">
        <label class="text-ink2"
          >Course
          <select
            class="small-field"
            :value="ramp.kind"
            @change="
              setRamp(ramp.group, { kind: ($event.target as HTMLSelectElement).value as 'none' })
            "
          >
            <option v-for="(words, kind) in RAMP_NAMES" :key="kind" :value="kind">
              {{ words }}
            </option>
          </select></label
        >
        <label class="text-ink2"
          >Last working rotation
          <input
            type="number"
            min="0"
            max="60"
            class="small-field w-16"
            :disabled="ramp.kind === 'none'"
            :value="ramp.end"
            @input="
              setRamp(ramp.group, { end: Number(($event.target as HTMLInputElement).value) })
            "
        /></label>
      </template>
      <label class="text-ink2"
        >Joint
        <select v-model="joint" class="small-field">
          <option v-for="one in joints" :key="one.joint" :value="one.joint">{{ one.name }}</option>
        </select></label
      >
    </div>
    <div class="grid grid-cols-2 gap-x-8 gap-y-3 max-lg:grid-cols-1">
      <ChartFigure v-for="chart in charts" :key="chart.key" :chart="chart" />
    </div>
  </div>
</template>
