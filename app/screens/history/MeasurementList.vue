<script setup lang="ts">
import { formatDay, MEASUREMENTS } from '#core/words'
import type { MeasurementKind } from '#core/body/measurements'
import type { HistoryView } from '#shared/contracts/history'
import { X } from 'lucide-vue-next'
import { useMeasurementForm } from './useMeasurementForm'

const { measurements, kinds, today, send, complaint } = defineProps<{
  measurements: HistoryView['measurements']
  kinds: readonly MeasurementKind[]
  today: string
  send: (measurement: object) => Promise<boolean>
  complaint: string
}>()
const emit = defineEmits<{ removed: [id: string] }>()
const { entered, canBePumped, submit } = useMeasurementForm(today, measurement => send(measurement))
useLeaveWarning(() => entered.value)
const byKind = computed(() =>
  kinds.flatMap(kind => {
    const own = measurements.filter(measurement => measurement.kind === kind)
    return own.length === 0 ? [] : [{ kind, own }]
  }),
)
</script>

<template>
  <section id="measurements" aria-labelledby="measurements-head">
    <h2 id="measurements-head" class="section-head">Measurements</h2>
    <table class="text-left">
      <tbody>
        <tr v-for="{ kind, own } in byKind" :key="kind">
          <th scope="row" class="pr-4 align-top font-semibold">
            {{ MEASUREMENTS[kind].name }}
          </th>
          <td>
            <span
              v-for="one in own.slice(0, 6)"
              :key="one.id"
              class="mr-3 inline-flex items-center gap-1 whitespace-nowrap"
            >
              <b class="font-display font-semibold">{{ one.value }} {{ MEASUREMENTS[kind].unit }}</b
              >{{ ' '
              }}<span class="text-[12px] text-ink2"
                >{{ one.isPumped ? 'pumped, ' : '' }}{{ formatDay(one.on) }}</span
              >
              <button
                type="button"
                class="rounded text-ink2"
                :aria-label="`Remove ${MEASUREMENTS[kind].name} of ${formatDay(one.on)}`"
                @click="emit('removed', one.id)"
              >
                <X :size="12" aria-hidden="true" />
              </button>
            </span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="byKind.length === 0" class="text-ink2">Nothing measured yet.</p>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="submit">
      <label
        >What
        <select v-model="entered.kind" class="small-field">
          <option v-for="kind in kinds" :key="kind" :value="kind">
            {{ MEASUREMENTS[kind].name }}
          </option>
        </select></label
      >
      <label
        >{{ MEASUREMENTS[entered.kind].unit }}{{ canBePumped ? ' (or 14.5 in)' : ' (or 180 lb)' }}
        <input
          v-model="entered.value"
          inputmode="decimal"
          class="small-field w-[72px]"
          autocomplete="off"
      /></label>
      <label v-if="canBePumped" class="pb-1"
        ><input v-model="entered.isPumped" type="checkbox" /> pumped</label
      >
      <DateField v-model="entered.on" label="measured on" />
      <button type="submit" class="control">Add the measurement</button>
    </form>
    <p v-if="complaint" role="alert" class="alert-chip mt-1">
      {{ complaint }}
    </p>
  </section>
</template>
