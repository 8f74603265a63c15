<script setup lang="ts">
import type { Alternation, BlockEvent } from '#core/plan/block'
import {
  EFFORT,
  ALTERNATION_NAMES,
  asTaken,
  EFFECT_NAMES,
  formatDay,
  formatOneDecimal,
  RAMP_NAMES,
} from '#core/words'
import { X } from 'lucide-vue-next'
import { useBlockState } from './blockContext'

/** What makes a block of the rotation: dates, ramps, effort, deloads, turns, events, and what goes for it. */
const store = usePlanStore()
const {
  message,
  note,
  block,
  lengthDays,
  ramps,
  effort,
  deloads,
  turns,
  slots,
  events,
  trade,
  choices,
  setStart,
  setPasses,
  setWeeks,
  useMethodsBlock,
  setRamp,
  setBase,
  setEffort,
  setWave,
  setFailure,
  toggleDeload,
  proposeDeloads,
  addTurn: addTurnOf,
  dropTurn,
  addEvent,
  dropEvent,
  takeTrade,
} = useBlockTerms()
const passes = computed(() => store.plan?.passes ?? 0)
/** What the whole body costs, now and where the block is fullest. */
const { columns } = useBlockState()
const budget = computed(() => {
  const of = (key: 'sets' | 'minutes') => ({
    now: columns.value[0]?.[key] ?? 0,
    peak: Math.max(0, ...columns.value.map(column => column[key])),
  })
  return { sets: of('sets'), minutes: of('minutes') }
})
const taken = computed(() => asTaken(store.context?.client.times, store.client?.name ?? ''))
const numberOf = (event: Event) => Number((event.target as HTMLInputElement).value)
const textOf = (event: Event) => (event.target as HTMLInputElement).value
const event = ref({
  what: '',
  from: store.plan?.startsOn ?? '',
  to: store.plan?.startsOn ?? '',
  effect: 'skip' as BlockEvent['effect'],
  minutes: 30,
})
const TURNS = Object.keys(ALTERNATION_NAMES) as Alternation['by'][]
function add(): void {
  if (addEvent(event.value)) event.value.what = ''
}
const turnSlot = ref('')
const turnOther = ref('')
const turnHow = ref('')
const turnBy = ref<Alternation['by']>('exposure')
const others = computed(() => choices(turnSlot.value))
watch(turnSlot, () => (turnOther.value = turnHow.value = ''))
const addTurn = () => addTurnOf(turnSlot.value, turnOther.value, turnBy.value, turnHow.value)
const RAMP_KINDS = ['none', 'linear', 'step'] as const
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-x-10 gap-y-2 max-lg:grid-cols-1">
    <p class="col-span-2 min-h-5">
      <span role="alert" class="text-alert">{{ message }}</span><span
        role="status"
        class="text-focus"
        >{{ note }}</span
      >
    </p>
    <div>
      <section aria-labelledby="terms-dates">
        <h2 id="terms-dates" class="section-head">Dates</h2>
        <div class="flex flex-wrap items-end gap-4">
          <DateField
            :model-value="store.plan?.startsOn ?? ''"
            label="Starts on"
            is-stacked
            is-lazy
            @update:model-value="day => day && setStart(day)"
          />
          <label
            >Rotations of {{ lengthDays }} days
            <input
              type="number"
              min="1"
              max="60"
              class="small-field block w-24"
              :value="passes"
              @change="setPasses(numberOf($event))"
          /></label>
          <label
            >or weeks
            <input
              type="number"
              min="1"
              max="52"
              class="small-field block w-20"
              :value="Math.round((passes * lengthDays) / 7)"
              @change="setWeeks(numberOf($event))"
          /></label>
          <button type="button" class="control" @click="useMethodsBlock()">
            As the method has it
          </button>
        </div>
      </section>
      <section aria-labelledby="terms-ramps" class="mt-3">
        <h2 id="terms-ramps" class="section-head">Sets over the block</h2>
        <ScrollBox label="Rules of progress"
          ><table class="w-full text-left [&_td]:pr-2 [&_th]:pr-2">
            <thead class="text-[12px] text-ink2">
              <tr>
                <th class="font-normal">Muscle</th>
                <th class="font-normal">Mode</th>
                <th class="font-normal">Now</th>
                <th class="font-normal">Course</th>
                <th class="font-normal">Last working rotation</th>
                <th class="font-normal">Floor to ceiling</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in ramps" :key="row.group">
                <th scope="row" class="py-0.5 font-semibold">{{ row.name }}</th>
                <td>{{ row.mode }}</td>
                <td>{{ row.start }}</td>
                <td>
                  <select
                    class="small-field"
                    :aria-label="`${row.name}, course`"
                    :value="row.kind"
                    @change="setRamp(row.group, { kind: textOf($event) as 'none' })"
                  >
                    <option v-for="kind in RAMP_KINDS" :key="kind" :value="kind">
                      {{ RAMP_NAMES[kind] }}
                    </option>
                  </select>
                </td>
                <td>
                  <input
                    type="number"
                    v-bind="LIMITS.weekSets"
                    class="small-field w-20"
                    :aria-label="`${row.name}, sets per 7 days in the last working rotation`"
                    :disabled="row.kind === 'none'"
                    :value="row.end"
                    @change="setRamp(row.group, { end: numberOf($event) })"
                  />{{ ' ' }}<span class="text-[12px] text-alert">{{ row.problem }}</span
                  ><span v-if="row.unplaced" class="block max-w-[300px] text-[12px] text-alert">{{
                    row.unplaced
                  }}</span>
                </td>
                <td class="text-ink2">
                  {{ formatOneDecimal(row.floor) }} to {{ formatOneDecimal(row.ceiling) }}
                </td>
              </tr>
            </tbody>
          </table></ScrollBox
        >
        <label class="mt-2 block"
          >Base: single-joint arm work comes in after
          <input
            type="text"
            inputmode="numeric"
            class="small-field w-14"
            placeholder="no"
            :value="block.base?.weeks ?? ''"
            @change="setBase(textOf($event))"
          />
          weeks, and the course begins there</label
        >
        <p class="mt-1 text-[12px] text-ink2">
          Sets go round the exercises of a muscle, one more each and rotation, where minutes, the
          session's most and readiness allow it. Modes are set under
          <NuxtLink class="underline" :to="`/clients/${store.client?.id}/targets`">Targets</NuxtLink
          >.
        </p>
      </section>
      <section v-if="trade && trade.added > 0" aria-labelledby="terms-trade" class="mt-3">
        <h2 id="terms-trade" class="section-head">What goes for it</h2>
        <p>
          The muscles built up get {{ formatOneDecimal(trade.added) }} sets more per 7 days by the
          end; {{ trade.toRemove }} should go elsewhere, so that the whole stays bearable.<template
            v-if="trade.left > 0.05"
          >
            For {{ formatOneDecimal(trade.left) }} of them nothing could be found: build up less, or
            give more time.</template
          >
        </p>
        <p>
          Now the rotation takes {{ budget.sets.now }} sets and {{ budget.minutes.now }} min; at its
          peak {{ budget.sets.peak }} sets and {{ budget.minutes.peak }} min{{
            taken ? `, ${taken}` : ''
          }}.
        </p>
        <ul class="list-disc pl-5">
          <li v-for="line in trade.lines" :key="line">
            {{ line }}
          </li>
        </ul>
        <button
          v-if="trade.lines.length > 0"
          type="button"
          class="control mt-1"
          @click="takeTrade()"
        >
          Take these out
        </button>
      </section>
    </div>
    <div>
      <section aria-labelledby="terms-effort">
        <h2 id="terms-effort" class="section-head">Effort and reps</h2>
        <table class="text-left">
          <thead class="text-[12px] text-ink2">
            <tr>
              <th class="pr-6 font-normal">{{ EFFORT.name }}</th>
              <th class="pr-4 font-normal">First rotation</th>
              <th class="font-normal">Last working one</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="[kind, words] in [
                ['compound', 'Compounds'],
                ['isolation', 'Single-joint'],
              ] as const"
              :key="kind"
            >
              <th scope="row" class="font-semibold">{{ words }}</th>
              <td v-for="end in ['from', 'to'] as const" :key="end" class="py-0.5">
                <input
                  type="number"
                  v-bind="LIMITS.rir"
                  class="small-field w-16"
                  :aria-label="`${words}, ${EFFORT.inText} ${end === 'from' ? 'in the first rotation' : 'in the last working rotation'}`"
                  :value="effort?.[kind][end] ?? ''"
                  placeholder="own"
                  @change="setEffort(kind, end, numberOf($event))"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <label class="mt-2 block"
          >Rep wave, more or fewer reps rotation by rotation
          <input
            type="text"
            class="small-field w-40"
            :value="(block.repWave ?? []).join(' ')"
            placeholder="0 −2 −4"
            @change="setWave(textOf($event))"
        /></label>
        <label class="mt-1 block"
          >Last set of single-joint work to failure, from week
          <input
            type="text"
            inputmode="numeric"
            class="small-field w-16"
            :value="block.failure?.fromWeek ?? ''"
            placeholder="never"
            @change="setFailure(textOf($event))"
        /></label>
      </section>
      <section aria-labelledby="terms-deloads" class="mt-3">
        <h2 id="terms-deloads" class="section-head">Deloads</h2>
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <label v-for="n in passes" :key="n" class="flex items-center gap-1"
            ><input
              type="checkbox"
              :checked="deloads.includes(n - 1)"
              @change="toggleDeload(n - 1)"
            />
            {{ n }}</label
          >
          <button type="button" class="control" @click="proposeDeloads()">Propose</button>
        </div>
        <p class="mt-1 text-[12px] text-ink2">
          Half the sets, a tenth less load, four or more {{ EFFORT.after }}, straight sets. The ramp
          begins again after it.
        </p>
      </section>
      <section aria-labelledby="terms-turns" class="mt-3">
        <h2 id="terms-turns" class="section-head">Exercises that take turns</h2>
        <ul>
          <li v-for="turn in turns" :key="turn.slot" class="flex items-center gap-2">
            <span class="flex-1"
              >{{ turn.words }} <b>A</b>,
              <template v-for="other in turn.others" :key="other.letter"
                >{{ other.name }} <b>{{ other.letter }}</b>,
              </template>
              {{ ALTERNATION_NAMES[turn.by] }}</span
            >
            <button
              type="button"
              class="quiet-link"
              :aria-label="`No turns for ${turn.words}`"
              @click="dropTurn(turn.slot)"
            >
              <X :size="14" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <div class="mt-1 flex flex-wrap items-center gap-2">
          <select
            v-model="turnSlot"
            class="small-field max-w-52"
            aria-label="Exercise of the rotation"
          >
            <option value="">an exercise</option>
            <option v-for="{ slot, words } in slots" :key="slot.id" :value="slot.id">
              {{ words }}
            </option>
          </select>
          <select
            v-model="turnOther"
            class="small-field max-w-48"
            aria-label="The other exercise"
            :disabled="others.length === 0"
          >
            <option value="">and another</option>
            <option v-for="other in others" :key="other.exercise" :value="other.exercise">
              {{ other.name }}
            </option>
          </select>
          <input
            v-if="turnOther"
            v-model="turnHow"
            type="text"
            class="small-field w-44"
            aria-label="Held or set up then"
            placeholder="palms facing, bench 45"
            :maxlength="LIMITS.shortText"
          />
          <select v-model="turnBy" class="small-field" aria-label="How they take turns">
            <option v-for="by in TURNS" :key="by" :value="by">{{ ALTERNATION_NAMES[by] }}</option>
          </select>
          <button type="button" class="control" @click="addTurn()">Let them take turns</button>
        </div>
      </section>
      <section aria-labelledby="terms-events" class="mt-3">
        <h2 id="terms-events" class="section-head">Travel, exams, regattas</h2>
        <ul>
          <li v-for="held in events" :key="held.id" class="flex items-center gap-2">
            <span class="flex-1"
              ><b>{{ held.what }}</b
              >, {{ formatDay(held.from)
              }}<template v-if="held.to !== held.from"> to {{ formatDay(held.to) }}</template
              >: {{ EFFECT_NAMES[held.effect]
              }}<template v-if="held.minutes">, {{ held.minutes }} min</template></span
            >
            <button
              type="button"
              class="quiet-link"
              :aria-label="`Take out ${held.what}`"
              @click="dropEvent(held.id)"
            >
              <X :size="14" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <form class="mt-1 flex flex-wrap items-end gap-2" @submit.prevent="add()">
          <EventFields v-model="event" />
          <button type="submit" class="control">Add</button>
        </form>
      </section>
    </div>
  </div>
</template>
