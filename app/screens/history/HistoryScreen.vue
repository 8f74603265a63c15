<script setup lang="ts">
import { JOINTS } from '#core/plan/catalogue'
import { formatDay, SESSION_STATE_WORDS, trendSentence } from '#core/words'
import { MEASUREMENT_KINDS } from '#core/body/measurements'
import { useNotes } from './useNotes'

const route = useRoute()
const id = String(route.params.clientId)
const today = useToday()
const { catalogue } = useStudioSettings()
const { history, sore, decide, removeMeasurement, pain, clearance, measurement } =
  await useHistory(id)
useHead({ title: () => `${history.value?.name ?? 'Client'} · History · Tholepin` })
const ORDER = ['decline', 'unclear', 'plateau', 'progress', 'insufficient'] as const
const trends = computed(() =>
  [...(history.value?.trends ?? [])].sort(
    (a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict) || a.slope - b.slope,
  ),
)
const nameOf = (exercise: string) => catalogue.value.get(exercise)?.name ?? exercise
const notes = useNotes(id, () => catalogue.value)
/** What strength can be aimed at: exercises with an estimate of their own. */
const aimable = computed(() =>
  trends.value.map(({ exercise }) => ({ id: exercise, name: nameOf(exercise) })),
)
const painComplaints = computed(() =>
  [...pain.errors.value, ...clearance.errors.value]
    .map(({ detail }) => detail)
    .concat(pain.complaint.value, clearance.complaint.value)
    .filter(Boolean),
)
const measurementComplaint = computed(
  () => measurement.errors.value[0]?.detail ?? measurement.complaint.value,
)
</script>

<template>
  <div>
    <ClientBar :id="id" :name="history?.name ?? ''" here="history" />
    <main
      v-if="history"
      class="grid grid-cols-2 gap-10 px-5 pt-4 pb-12 max-lg:grid-cols-1 max-md:px-3"
    >
      <h1 class="col-span-full -mb-8 font-display text-[23px] leading-[27px]">History</h1>
      <div class="flex flex-col gap-5">
        <ClientGoals
          :goals="notes.goals.value"
          :kinds="MEASUREMENT_KINDS"
          :exercises="aimable"
          :aim="notes.aim"
          :complaint="notes.goalComplaint.value"
          @removed="id => notes.remove('goals', id)"
        />
        <ClientNotes
          :notes="notes.notes.value"
          :today="today"
          :write="notes.write"
          :complaint="notes.noteComplaint.value"
          @removed="id => notes.remove('notes', id)"
        />
        <JointHistory
          :joints="history.joints"
          :sore="sore"
          :all-joints="JOINTS"
          :today="today"
          :send="pain.send"
          :clear="clearance.send"
          :complaints="painComplaints"
        />
        <section id="trends" aria-labelledby="trends-head" tabindex="-1">
          <h2 id="trends-head" class="section-head">Where exercises are going</h2>
          <table>
            <tbody>
              <tr v-for="trend in trends" :key="trend.exercise" :data-exercise="trend.exercise">
                <th scope="row" class="pr-4 text-left font-semibold">
                  {{ catalogue.get(trend.exercise)?.name ?? trend.exercise }}
                </th>
                <td
                  :class="
                    trend.verdict === 'decline'
                      ? 'text-alert'
                      : trend.verdict === 'progress'
                        ? ''
                        : 'text-ink2'
                  "
                >
                  {{ trendSentence(trend) }}
                </td>
                <td class="pl-4 text-[12px] text-ink2">{{ trend.count }} sessions</td>
              </tr>
            </tbody>
          </table>
          <p v-if="trends.length === 0" class="text-ink2">No sessions logged yet.</p>
          <p class="mt-1 text-[12px] text-ink3">
            All working sets of the last 14 weeks. A rise or a fall is said only where it would be
            wrong in 5 of 100 at most, however often one looks; that takes about 16 sessions at 1 %
            a week.
          </p>
        </section>
        <SaidList :said="history.said" :name-of="nameOf" />
        <MeasurementList
          :measurements="history.measurements"
          :kinds="MEASUREMENT_KINDS"
          :today="today"
          :send="measurement.send"
          :complaint="measurementComplaint"
          @removed="removeMeasurement"
        />
      </div>
      <section id="sessions" aria-labelledby="sessions-head" tabindex="-1">
        <h2 id="sessions-head" class="section-head">Sessions of the last twelve weeks</h2>
        <table class="w-full text-left">
          <thead>
            <tr class="text-[12px] text-ink2">
              <th scope="col">Day</th>
              <th scope="col">Session</th>
              <th scope="col">State</th>
              <th scope="col">Sets</th>
              <th scope="col">Min</th>
              <th scope="col">Recovered</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="session in history.sessions" :key="session.id" class="border-b border-hair">
              <td class="py-0.5">
                {{ formatDay(session.on) }}
              </td>
              <td class="font-semibold">
                {{ session.name }}
              </td>
              <td :class="session.state === 'missed' ? 'font-semibold text-alert' : 'text-ink2'">
                {{ SESSION_STATE_WORDS[session.state] }}
                <button
                  v-if="session.state === 'missed'"
                  type="button"
                  class="control ml-2"
                  :aria-label="`Let ${session.name} of ${formatDay(session.on)} go`"
                  @click="decide(session.id)"
                >
                  Let it go
                </button>
              </td>
              <td>
                {{
                  session.state === 'done'
                    ? `${session.setsDone} of ${session.setsPlanned}`
                    : session.setsPlanned
                }}
              </td>
              <td>{{ session.minutes ?? '' }}</td>
              <td>{{ session.isRecovered === null ? '' : session.isRecovered ? 'yes' : 'no' }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="history.sessions.length === 0" class="text-ink2">No sessions yet.</p>
      </section>
    </main>
  </div>
</template>
