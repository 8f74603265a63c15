<script setup lang="ts">
import { ALLOCATION_SCOPES } from '#core/design/allocation'
import { asTaken, GROUP_NAMES, SCOPE_NAMES } from '#core/words'
import { OTHER_GROUPS } from './useProposals'
import { useDebounceFn, useMounted } from '@vueuse/core'
import { PROPOSALS_ACTIONS } from './proposalsActions'
import { Lock } from 'lucide-vue-next'

const store = usePlanStore()
const id = await useClientPlan('proposals')
useHead({ title: () => `${store.client?.name ?? 'Client'} · Proposals · Tholepin` })

const { isTakenUp } = useAutosave()
const isLive = useMounted()
const {
  scope,
  others,
  toggleOther,
  tryOnBoard,
  state,
  progress,
  proposals,
  chosen,
  message,
  columns,
  nowColumn,
  proof,
  concerns,
  notes,
  whyNot,
  isOld,
  scenarioRows,
  isTrying,
  draws,
  draw,
  cancel,
  use,
  tryScenarios,
} = useProposals()
watch(isTakenUp, isIn => isIn && state.value === 'idle' && void draw(), { immediate: true })
// Several muscles chosen in a row are one question.
const drawSoon = useDebounceFn(draw, 600)
watch(scope, () => void draw())
watch(others, () => void drawSoon())

const rest = computed(() => store.plan?.rotation.days.map(({ role }) => role === 'rest') ?? [])
const held = computed(
  () =>
    store.plan?.rotation.days.flatMap(day =>
      day.sessions.flatMap(session =>
        session.groupings.flatMap(({ slots }) => slots.filter(({ isHeld }) => isHeld)),
      ),
    ).length ?? 0,
)
const limits = computed(() =>
  [
    ...new Set(
      store.plan?.rotation.days.flatMap(({ minuteLimit, role }) =>
        role === 'rest' || minuteLimit === undefined ? [] : [minuteLimit],
      ),
    ),
  ].sort((a, b) => b - a),
)
const rails = computed(() => nowColumn.value?.rails ?? [])

const taken = computed(() => asTaken(store.context?.client.times, store.client?.name ?? ''))
const last = computed(() => columns.value.length - 1)
function step(by: number): void {
  chosen.value = Math.min(last.value, Math.max(0, chosen.value + by))
}
useActions(PROPOSALS_ACTIONS, {
  count: () => columns.value.length,
  chosen: () => chosen.value,
  step,
  use,
  useLetter: key => use(columns.value.findIndex(({ letter }) => letter === key.toUpperCase())),
  tryOnBoard,
  draw,
  leave: () => (state.value === 'drawing' ? cancel() : navigateTo(`/clients/${id}/split`)),
})
</script>

<template>
  <div class="flex min-h-dvh flex-col" :aria-busy="!isLive || !isTakenUp">
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="proposals">
      <template #actions>
        <button v-if="state === 'drawing'" type="button" class="control" @click="cancel()">
          Stop <KeyCap label="Esc" />
        </button>
        <button v-else type="button" class="control" @click="draw()">
          Draw again <KeyCap label="G" />
        </button>
      </template>
    </ClientBar>
    <PainNotices />
    <main class="flex-1 px-5 pb-6" :data-draws="draws">
      <div class="flex flex-wrap items-start gap-x-8 gap-y-2 pt-3">
        <div class="min-w-[280px] flex-1">
          <h1 class="font-display text-[23px] leading-[27px]">Ways to place the sets</h1>
          <p class="text-ink2">
            {{ store.client?.name }} · {{ store.plan?.title }} · drawn from the plan as it stands,
            nothing changed yet{{ taken ? `, minutes ${taken}` : '' }}
          </p>
        </div>
        <label class="flex items-center gap-2 text-ink2"
          >What may move
          <select v-model="scope" class="small-field">
            <option v-for="one in ALLOCATION_SCOPES" :key="one" :value="one">
              {{ SCOPE_NAMES[one] }}
            </option>
          </select>
        </label>
        <p class="flex items-center gap-2 text-[12.5px] text-ink2">
          Held fixed
          <span class="chip"><Lock :size="12" aria-hidden="true" /> {{ rest.length }} days</span
          ><span v-if="limits.length > 0" class="chip"
            ><Lock :size="12" aria-hidden="true" /> {{ limits.join(' and ') }} min limits</span
          ><span v-if="held > 0" class="chip"
            ><Lock :size="12" aria-hidden="true" /> {{ held }} held</span
          >
        </p>
      </div>
      <fieldset v-if="scope === 'chosen'" class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        <legend class="sr-only">Muscles that may move beside the arms</legend>
        <label v-for="group in OTHER_GROUPS" :key="group" class="flex items-center gap-1.5"
          ><input type="checkbox" :checked="others.includes(group)" @change="toggleOther(group)" />
          {{ GROUP_NAMES[group] }}</label
        >
      </fieldset>
      <p role="status" class="mt-1 min-h-6">
        <span v-if="state === 'drawing'" class="flex items-center gap-3"
          ><progress class="h-2 w-52" :value="progress" max="1">
            {{ Math.round(progress * 100) }} %
          </progress>
          Drawing: {{ Math.round(progress * 100) }} %</span
        >
        <span v-else-if="state === 'failed'" class="alert-chip"
          >The proposals could not be drawn: their part of the program did not load. Reload the
          page, or draw again.</span
        >
        <span v-else-if="isOld" class="alert-chip"
          >The plan has changed since these were drawn. Draw again.</span
        >
        <span v-else>{{ message || proof }}</span>
      </p>
      <ul v-if="concerns.length > 0" class="mt-1">
        <li v-for="concern in concerns" :key="concern">
          <span class="alert-chip">{{ concern }}</span>
        </li>
      </ul>
      <ul v-if="notes.withheld.length > 0" aria-label="Held back" class="mt-1">
        <li v-for="note in notes.withheld" :key="note" class="font-semibold">{{ note }}</li>
      </ul>
      <ul v-if="notes.leftOut.length > 0" aria-label="Fewer ways than three" class="mt-1 text-ink2">
        <li v-for="note in notes.leftOut" :key="note">{{ note }}</li>
      </ul>
      <div
        v-if="nowColumn"
        class="columns mt-2"
        :style="{ gridTemplateColumns: `120px repeat(${columns.length + 1}, minmax(0, 1fr))` }"
      >
        <div class="names">
          <p class="head" />
          <p
            v-for="rail in rails"
            :key="rail.group"
            class="rail-name"
            :style="{ color: `var(--${rail.family})` }"
          >
            {{ GROUP_NAMES[rail.group as 'biceps'].split(' ')[0] }}
          </p>
          <div class="measures" aria-hidden="true">
            <p>Lowest readiness</p>
            <p>Elbow peak</p>
            <p>Sets and time</p>
            <p>Checks</p>
          </div>
        </div>
        <section aria-label="Now" class="column now">
          <div class="head">
            <h2>Now</h2>
            <p>The plan as it stands</p>
          </div>
          <ColumnStacks
            v-for="rail in nowColumn.rails"
            :key="rail.group"
            :rail="rail"
            :rest="rest"
          />
          <div class="measures">
            <ColumnFigures
              :readiness="nowColumn.readiness"
              :elbow="nowColumn.elbow"
              :minutes="nowColumn.minutes"
              :sets="nowColumn.sets"
              :open="nowColumn.open"
            />
          </div>
        </section>
        <section
          v-for="(column, at) in columns"
          :key="column.letter"
          :aria-label="`${column.letter}, ${column.name}`"
          class="column"
          :data-current="chosen === at || undefined"
          @click="chosen = at"
        >
          <div class="head">
            <h2>
              <span class="letter">{{ column.letter }}</span> {{ column.name }}
            </h2>
            <p>{{ column.idea }}</p>
            <span class="mt-1 flex flex-wrap gap-2"
              ><button
                type="button"
                class="control control-strong"
                :disabled="column.changes.length === 0 || isOld"
                @click.stop="use(at)"
              >
                Use {{ column.letter }} <KeyCap :label="column.letter" /></button
              ><button
                type="button"
                class="control"
                :disabled="column.changes.length === 0 || isOld"
                @click.stop="tryOnBoard(at)"
              >
                Try on the board
              </button></span
            >
          </div>
          <ColumnStacks v-for="rail in column.rails" :key="rail.group" :rail="rail" :rest="rest" />
          <div class="measures">
            <ColumnFigures
              v-if="column.figures"
              :readiness="column.figures.readiness"
              :elbow="column.figures.elbow"
              :minutes="column.figures.minutes"
              :sets="column.figures.sets"
              :open="column.figures.open"
            />
          </div>
          <h3 class="mt-2 font-semibold">
            What changes <span class="font-normal text-ink2">{{ column.changes.length }}</span>
          </h3>
          <p v-if="column.surety" class="text-[12.5px] text-ink2">{{ column.surety }}</p>
          <p v-if="column.changes.length === 0" class="text-ink2">
            Nothing: the plan already does this.
          </p>
          <ul class="text-[12.5px] leading-[17px]">
            <li v-for="change in column.changes" :key="change.words">
              <label class="flex items-start gap-1.5"
                ><input
                  type="checkbox"
                  class="mt-0.5"
                  :checked="change.isTaken"
                  @change="change.toggle()"
                />
                {{ change.words }}</label
              >
            </li>
          </ul>
          <h3 class="mt-2 font-semibold">
            {{ column.misses.length === 0 ? 'Every want is met' : 'What had to give' }}
          </h3>
          <ul class="text-[12.5px] leading-[17px]">
            <li v-for="miss in column.misses" :key="miss">
              {{ miss }}
            </li>
          </ul>
          <p
            v-if="column.misses.length > 0 && column.binding.length > 0"
            class="text-[12.5px] text-ink2"
          >
            What binds: {{ column.binding.join(', ') }}.
          </p>
        </section>
      </div>
      <WhyNotMore v-if="whyNot.wants.length > 0" v-bind="whyNot" />
      <section v-if="proposals" aria-label="Other terms" class="mt-6">
        <div class="flex items-center gap-4">
          <h2 class="text-[14px] font-[650]">Under other terms</h2>
          <button type="button" class="control" :disabled="isTrying" @click="tryScenarios()">
            {{
              isTrying
                ? 'Trying'
                : scenarioRows.length > 0
                  ? 'Try again'
                  : 'Try shorter days, a day less, no arm day, finishers'
            }}
          </button>
        </div>
        <table v-if="scenarioRows.length > 0" class="mt-2 w-full max-w-[1000px] text-left">
          <thead class="text-[12px] text-ink2">
            <tr>
              <th class="font-normal">Terms</th>
              <th class="font-normal">Training days</th>
              <th class="font-normal">Minutes</th>
              <th class="font-normal">Effective sets, weighed</th>
              <th class="font-normal">What gives</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in scenarioRows" :key="row.key" class="border-t border-hair align-top">
              <th scope="row" class="py-1 font-semibold">{{ row.name }}</th>
              <td>{{ row.days }}</td>
              <td>{{ row.minutes }}</td>
              <td>{{ row.stimulus }}</td>
              <td>{{ row.misses.join('; ') || 'every want is met' }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </main>
    <footer class="keys">
      <span><KeyCap label="←" /> <KeyCap label="→" /> candidate</span>
      <span><KeyCap label="A" /> <KeyCap label="B" /> <KeyCap label="C" /> use it</span>
      <span><KeyCap label="Space" /> try on the board</span>
      <span><KeyCap label="G" /> draw again</span>
      <span><KeyCap label="Esc" /> back to the board</span>
    </footer>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
}
.column {
  padding: 6px 10px 12px;
  border: 2px solid transparent;
  border-radius: 6px;
  min-width: 0;
}
.column.now {
  background: var(--sunk);
}
.column[data-current] {
  border-color: var(--focus);
  background: var(--paper);
}
.head {
  min-height: 94px;
}
.head h2 {
  font-family: var(--font-display);
  font-size: 17px;
  line-height: 24px;
}
.head p {
  color: var(--ink2);
  font-size: 12.5px;
  line-height: 16px;
}
.letter {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 20px;
  height: 20px;
  border-radius: 50%;
  background: var(--ink);
  color: var(--on-ink);
  font-size: 13px;
}
.names {
  padding-top: 8px;
}
.rail-name {
  height: 54px;
  padding-top: 22px;
  font-weight: 650;
}
.measures {
  margin-top: 6px;
  padding-top: 6px;
  border-top: 1px solid var(--line);
}
.names .measures p {
  font-size: 12.5px;
  line-height: 24px;
  font-weight: 600;
}
.chip {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  padding: 1px 7px;
  border: 1px solid var(--edge);
  border-radius: 3px;
}
.keys {
  position: sticky;
  bottom: 0;
  display: flex;
  gap: 40px;
  min-height: 30px;
  padding: 5px 20px;
  border-top: 1px solid var(--hair);
  background: var(--ground);
  color: var(--ink2);
  font-size: 12.5px;
}
</style>
