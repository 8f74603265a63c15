<script setup lang="ts">
import { sideGapWords, sideRuleWords, trendSentence } from '#core/words'
import { sideChart, storyChart } from './storyChart'

/** The story of one exercise: every set by date, best sets, left and right, and where it goes. */
const { clientId, first } = defineProps<{ clientId: string; first: string }>()
const emit = defineEmits<{ closed: [] }>()
const story = useStory(clientId, () => first)
const { exercise, view, state, filters, choices, days, rows, bests, attempts, rules } = story
const paint = useChartColours()
const chart = computed(() =>
  view.value && paint.value ? storyChart(view.value, days.value, paint.value) : null,
)
const gapChart = computed(() =>
  view.value && paint.value && view.value.sides.days.length > 1
    ? sideChart(view.value, paint.value)
    : null,
)
const FILTER_NAMES = {
  purpose: 'Purpose',
  side: 'Side',
  grip: 'Grip',
  setUp: 'Set-up',
} as const
type FilterName = keyof typeof FILTER_NAMES
const offered = computed(() =>
  (Object.keys(FILTER_NAMES) as FilterName[]).filter(name => choices.value[name].length > 1),
)
const ruleKey = computed(() => JSON.stringify(view.value?.sideRule ?? null))
function ruleChosen(event: Event): void {
  void story.setRule(JSON.parse((event.target as HTMLSelectElement).value))
}
const hasSides = computed(() => (view.value?.sides.days.length ?? 0) > 0)
</script>

<template>
  <PanelDialog title="Story of an exercise" :width="1120" @closed="emit('closed')">
    <div class="mt-3 flex flex-wrap items-end gap-4">
      <label class="flex flex-col font-semibold"
        >Exercise
        <select v-model="exercise" class="field mt-1 font-normal">
          <option v-if="!view" :value="exercise">{{ exercise.replaceAll('_', ' ') }}</option>
          <option v-for="one in view?.others ?? []" :key="one.exercise" :value="one.exercise">
            {{ one.name }}
          </option>
        </select>
      </label>
      <label v-for="name in offered" :key="name" class="flex flex-col font-semibold"
        >{{ FILTER_NAMES[name] }}
        <select v-model="filters[name]" class="field mt-1 font-normal">
          <option value="">all</option>
          <option v-for="one in choices[name]" :key="one" :value="one">
            {{ one.replaceAll('_', ' ') }}
          </option>
        </select>
      </label>
    </div>
    <p v-if="state === 'failed'" role="alert" class="alert-chip mt-3">
      The story could not be fetched.
      <button type="button" class="underline" @click="story.load()">Try again</button>
    </p>
    <p v-else-if="!view" class="mt-3 text-ink2">Fetching the story</p>
    <template v-else>
      <p v-if="view.course" class="mt-3 font-semibold">{{ trendSentence(view.course.trend) }}</p>
      <p v-if="rows.length === 0" class="mt-3">
        Nothing of it was planned or done in the last year{{
          offered.some(name => filters[name] !== '') ? ' under these filters' : ''
        }}.
      </p>
      <ChartFigure v-if="chart && rows.length > 0" class="mt-2" :chart="chart" />
      <div class="mt-4 grid grid-cols-1 gap-8 lg:grid-cols-[1fr_320px]">
        <section aria-labelledby="story-days" class="min-w-0">
          <h3 id="story-days" class="section-head">Day by day</h3>
          <div class="max-h-[340px] overflow-auto" tabindex="0" aria-label="Day by day">
            <table class="w-full text-left">
              <thead class="text-[12px] text-ink2">
                <tr>
                  <th scope="col" class="pr-3 font-normal">Day</th>
                  <th scope="col" class="pr-3 font-normal">Planned</th>
                  <th scope="col" class="pr-3 font-normal">Done</th>
                  <th scope="col" class="pr-3 text-right font-normal">One rep, {{ view.unit }}</th>
                  <th scope="col" class="font-normal">What else</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="row in rows" :key="row.key" class="border-t border-hair align-top">
                  <th scope="row" class="py-1 pr-3 font-normal whitespace-nowrap">
                    {{ row.day }}
                    <span class="block text-[12px] text-ink2">{{ row.name }}</span>
                  </th>
                  <td class="py-1 pr-3 text-[12.5px] text-ink2">{{ row.planned }}</td>
                  <td class="py-1 pr-3 font-semibold">
                    {{ row.isAhead ? '' : row.done }}
                    <span v-if="row.isAhead" class="font-normal text-ink2">to come</span>
                  </td>
                  <td class="py-1 pr-3 text-right">{{ row.estimate }}</td>
                  <td class="py-1 text-[12.5px]">
                    {{ row.notes.join('; ') }}
                    <span v-if="row.setUp" class="block text-ink2">{{ row.setUp }}</span>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </section>
        <div class="flex flex-col gap-4">
          <section v-if="bests.length > 0" aria-labelledby="story-bests">
            <h3 id="story-bests" class="section-head">Best sets</h3>
            <ul>
              <li v-for="best in bests" :key="best.key" class="border-t border-hair py-1">
                <span class="block text-[12px] text-ink2"
                  >{{ best.name }}, {{ best.day }}{{ best.setUp ? `, ${best.setUp}` : '' }}</span
                >
                <span class="font-semibold">{{ best.words }}</span><span
                  v-if="best.estimate"
                  class="text-ink2"
                >
                  · one rep {{ best.estimate }} {{ view.unit }}</span
                >
              </li>
            </ul>
          </section>
          <section v-if="attempts.length > 0" aria-labelledby="story-attempts">
            <h3 id="story-attempts" class="section-head">Attempts</h3>
            <ul>
              <li v-for="attempt in attempts" :key="attempt.key" class="border-t border-hair py-1">
                <span class="font-semibold">{{ attempt.words }}</span>
                <span class="text-ink2"> · {{ attempt.day }}</span>
              </li>
            </ul>
          </section>
          <section aria-labelledby="story-sides">
            <h3 id="story-sides" class="section-head">Left and right</h3>
            <p>{{ sideGapWords(view.sides.gap, view.sides.days.length) }}</p>
            <ChartFigure v-if="gapChart" :chart="gapChart" />
            <label v-if="hasSides || view.sideRule" class="mt-2 flex flex-col font-semibold"
              >On the client’s sheet
              <select class="field mt-1 font-normal" :value="ruleKey" @change="ruleChosen">
                <option value="null">As the plan has it</option>
                <option
                  v-for="rule in rules"
                  :key="sideRuleWords(rule)"
                  :value="JSON.stringify(rule)"
                >
                  {{ sideRuleWords(rule) }}
                </option>
              </select>
            </label>
            <button
              v-if="story.canUndo.value"
              type="button"
              class="control mt-2"
              @click="story.undoRule()"
            >
              Undo
            </button>
            <p v-if="view.sides.gap?.weak" class="mt-2 text-[12.5px] text-ink2">
              One more set for the {{ view.sides.gap.weak }}: add “{{ view.sides.gap.weak }} 1 x 12”
              to its sets on the Session page.
            </p>
          </section>
        </div>
      </div>
    </template>
  </PanelDialog>
</template>
