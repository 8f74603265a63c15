<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { REHEARSAL_ACTIONS } from './rehearsalActions'

/** The block gone through ahead of time by a simulated client, many times over. */
const id = await useClientPlan('rehearsal')
const store = usePlanStore()
useHead({ title: () => `Rehearsal for ${store.client?.name ?? ''} · Tholepin` })
const {
  state,
  progress,
  seed,
  runs,
  group,
  joint,
  notice,
  start,
  cancel,
  makePractice,
  charts,
  groups,
  joints,
  summary,
  against,
  rules,
} = useRehearsal(id, useChartColours())
useActions(REHEARSAL_ACTIONS, { start, cancel })
const isLive = useMounted()
// Whoever comes here wants to see it gone through.
onMounted(() =>
  store.plan?.rotation.days.some(({ sessions }) => sessions.length > 0) ? start() : undefined,
)
</script>

<template>
  <div :aria-busy="!isLive">
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="rehearsal" />
    <main class="px-5 pt-4 pb-12 max-md:px-3">
      <header class="flex flex-wrap items-center gap-3">
        <h1 class="font-display text-[23px] leading-[27px]">Rehearsal</h1>
        <span class="alert-chip">Simulated, not {{ store.client?.name }}</span>
        <label class="text-ink2"
          >Runs
          <select v-model.number="runs" class="small-field">
            <option v-for="count in RUN_COUNTS" :key="count" :value="count">{{ count }}</option>
          </select></label
        >
        <label class="text-ink2"
          >Draw
          <input
            v-model.number="seed"
            type="number"
            min="0"
            max="999999"
            step="1"
            class="small-field w-24"
        /></label>
        <button
          v-if="state !== 'running'"
          type="button"
          class="control control-strong"
          @click="start()"
        >
          Rehearse {{ store.plan?.passes }} rotations <KeyCap label="R" />
        </button>
        <button v-else type="button" class="control" @click="cancel()">
          Cancel <KeyCap label="Esc" />
        </button>
        <progress
          v-if="state === 'running'"
          :value="progress"
          max="1"
          aria-label="How far the rehearsal is"
        />
        <button type="button" class="control ml-auto" @click="makePractice()">
          Make a practice client
        </button>
      </header>
      <p role="status" class="mt-1 text-[12.5px] text-ink2">
        {{
          notice ||
          (state === 'cancelled'
            ? 'Cancelled. What was rehearsed before still stands.'
            : state === 'failed'
              ? 'The rehearsal failed. Try again.'
              : state === 'done'
                ? summary.join(' ')
                : 'A simulated client with a strength, a recovery and habits of their own goes through the block as planned, misses sessions now and then and follows what the rules propose.')
        }}
      </p>
      <template v-if="charts.length > 0">
        <div class="mt-3 flex gap-4">
          <label class="text-ink2"
            >Muscle
            <select v-model="group" class="small-field">
              <option v-for="one in groups" :key="one.group" :value="one.group">
                {{ one.name }}
              </option>
            </select></label
          >
          <label class="text-ink2"
            >Joint
            <select v-model="joint" class="small-field">
              <option v-for="one in joints" :key="one.joint" :value="one.joint">
                {{ one.name }}
              </option>
            </select></label
          >
        </div>
        <div class="mt-2 grid grid-cols-2 gap-x-8 gap-y-3 max-md:grid-cols-1">
          <ChartFigure v-for="chart in charts" :key="chart.key" :chart="chart" />
          <section aria-labelledby="against-head">
            <h2 id="against-head" class="text-[14px] font-[650]">
              Strength at the end, and against doing nothing
            </h2>
            <table class="mt-1 w-full text-left text-[13px]">
              <thead>
                <tr class="text-[12px] text-ink2">
                  <th scope="col">The middle, and one in ten to either side</th>
                  <th scope="col" class="text-right">With the rules</th>
                  <th scope="col" class="text-right">Against doing nothing</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="line in against" :key="line.name" class="border-b border-hair">
                  <th scope="row" class="font-normal">{{ line.name }}</th>
                  <td class="text-right">{{ line.gained }}</td>
                  <td class="text-right">{{ line.against }}</td>
                </tr>
              </tbody>
            </table>
            <p class="mt-1 text-[12.5px] text-ink2">
              The same simulated clients on the same days, once with the proposals followed and once
              with the plan left alone. The simulated clients do not share the rules’ assumptions:
              how many sets suit one is not known to the rules.
            </p>
          </section>
          <section aria-labelledby="rules-head">
            <h2 id="rules-head" class="text-[14px] font-[650]">
              What the rules proposed, of all they proposed
            </h2>
            <table class="mt-1 w-full text-left text-[13px]">
              <thead>
                <tr class="text-[12px] text-ink2">
                  <th scope="col">Proposal</th>
                  <th scope="col" class="text-right">Nothing missed</th>
                  <th scope="col" class="text-right">Sessions missed</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="rule in rules" :key="rule.row" class="border-b border-hair">
                  <th scope="row" class="font-normal">
                    {{ rule.name }}
                  </th>
                  <td class="text-right">
                    {{ rule.whole }}
                  </td>
                  <td class="text-right">
                    {{ rule.missed }}
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
        </div>
      </template>
      <p class="mt-4 text-[12.5px] text-ink2">
        A practice client is a simulated one in the roster, with four rotations of log behind it:
        for trying the phone sheet and the review. Archive it when you are done.
      </p>
    </main>
  </div>
</template>
