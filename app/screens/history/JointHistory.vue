<script setup lang="ts">
import { formatDay, JOINT_NAMES, PAIN_LEVEL_WORDS } from '#core/words'
import type { Joint } from '#core/plan/catalogue'
import type { HistoryView } from '#shared/contracts/history'
import { Activity } from 'lucide-vue-next'

const { joints, sore, allJoints, today, send, clear, complaints } = defineProps<{
  joints: HistoryView['joints']
  /** Those whose reports keep them from getting more. */
  sore: readonly Joint[]
  allJoints: readonly Joint[]
  today: string
  send: (report: object) => Promise<boolean>
  clear: (clearance: object) => Promise<boolean>
  complaints: readonly string[]
}>()
const report = reactive({
  joint: 'elbow_flexor_side' as Joint,
  side: 'left',
  score: '',
  nextMorning: '',
  hasAlarmSign: false,
  on: today,
})
const clearance = reactive({ joint: null as Joint | null, on: today, profession: '', limits: '' })

async function sendReport(): Promise<void> {
  const { score, nextMorning, ...others } = report
  if (
    await send({
      ...others,
      score: score === '' ? Number.NaN : Number(score),
      nextMorning: nextMorning === '' ? null : Number(nextMorning),
    })
  )
    Object.assign(report, { score: '', nextMorning: '', hasAlarmSign: false })
}
async function sendClearance(): Promise<void> {
  if (await clear({ ...clearance }))
    Object.assign(clearance, { joint: null, profession: '', limits: '' })
}
</script>

<template>
  <section id="joints" aria-labelledby="joints-head" tabindex="-1">
    <h2 id="joints-head" class="section-head">Joints</h2>
    <ul>
      <li v-for="{ joint, level, reports, clearance: cleared } in joints" :key="joint" class="mb-2">
        <p class="flex items-center gap-2">
          <b class="inline-block font-semibold first-letter:uppercase">{{ JOINT_NAMES[joint] }}</b>
          <span :class="sore.includes(joint) ? 'alert-chip' : 'text-ink2'"
            ><Activity v-if="sore.includes(joint)" :size="13" aria-hidden="true" />
            {{ PAIN_LEVEL_WORDS[level] }}</span
          >
          <button
            v-if="sore.includes(joint)"
            type="button"
            class="control"
            @click="clearance.joint = joint"
          >
            Record a clearance…
          </button>
        </p>
        <ul class="text-ink2">
          <li v-for="(one, at) in reports.slice(0, 5)" :key="at">
            {{ formatDay(one.on) }}: {{ one.score }} of 10, {{ one.side
            }}<template v-if="one.nextMorning !== null"
              >, next morning {{ one.nextMorning }}</template
            ><template v-if="one.hasAlarmSign">, with an alarm sign</template>
          </li>
          <li v-if="cleared">
            Cleared {{ formatDay(cleared.on) }} by a {{ cleared.profession
            }}{{ cleared.limits ? `: ${cleared.limits}` : '' }}
          </li>
        </ul>
        <form
          v-if="clearance.joint === joint"
          class="mt-1 flex flex-wrap items-end gap-2"
          @submit.prevent="sendClearance"
        >
          <DateField v-model="clearance.on" label="on" />
          <label
            >profession <input v-model="clearance.profession" class="small-field w-[120px]"
          /></label>
          <label class="flex-1"
            >limits <input v-model="clearance.limits" class="small-field w-full"
          /></label>
          <button type="submit" class="control">Record</button>
        </form>
      </li>
      <li v-if="joints.length === 0" class="text-ink2">No pain reported.</li>
    </ul>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="sendReport">
      <label
        >Joint
        <select v-model="report.joint" class="small-field">
          <option v-for="joint in allJoints" :key="joint" :value="joint">
            {{ JOINT_NAMES[joint] }}
          </option>
        </select></label
      >
      <label
        >side
        <select v-model="report.side" class="small-field">
          <option>left</option>
          <option>right</option>
          <option>both</option>
        </select></label
      >
      <label
        >pain 0–10
        <input
          v-model="report.score"
          type="number"
          v-bind="LIMITS.painScore"
          class="small-field w-[52px]"
      /></label>
      <label
        >next morning
        <input
          v-model="report.nextMorning"
          type="number"
          v-bind="LIMITS.painScore"
          class="small-field w-[52px]"
      /></label>
      <DateField v-model="report.on" label="on" />
      <label class="flex items-center gap-1.5"
        ><input v-model="report.hasAlarmSign" type="checkbox" /> alarm sign</label
      >
      <button type="submit" class="control">Add the report</button>
    </form>
    <p v-if="complaints.length > 0" role="alert" class="alert-chip mt-1">
      {{ complaints[0] }}
    </p>
    <p class="mt-1 text-[12px] text-ink3">
      Alarm signs: a pop or tear, swelling or bruising, numbness or weakness, pain at rest or at
      night, a joint that locks or gives way. Any of them stops work on the joint until a physician
      or other licensed professional has examined it.
    </p>
  </section>
</template>
