<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { Printer } from 'lucide-vue-next'

/** The block told to the client: planned, done, changed; printable. The coach's closing notes go along into the next block. */
const id = await useClientPlan('report')
const store = usePlanStore()
const { view, dates, sentences, muscles, exercises, measured, charts } = await useReport(
  id,
  useChartColours(),
)
useHead({ title: () => `Block report for ${view.value?.name ?? ''} · Tholepin` })
useAutosave()
const notes = ref(store.plan?.closingNotes ?? '')
const keep = () =>
  notes.value !== (store.plan?.closingNotes ?? '') &&
  store.edit({ kind: 'set_closing_notes', notes: notes.value })
const print = () => window.print()
const isLive = useMounted()
</script>

<template>
  <div class="report" :aria-busy="!isLive">
    <div class="print:hidden">
      <ClientBar :id="id" :name="view?.name ?? ''" here="report" />
    </div>
    <main
      v-if="view"
      class="mx-auto max-w-[820px] px-5 pt-4 pb-12 max-md:px-3 print:max-w-none print:p-0"
    >
      <header class="flex flex-wrap items-start gap-4">
        <div class="flex-1">
          <h1 class="font-display text-[23px] leading-[27px]">
            {{ view.title }}
          </h1>
          <p class="text-ink2">{{ view.name }} · {{ dates }}</p>
        </div>
        <button type="button" class="control control-strong print:hidden" @click="print()">
          <Printer :size="15" aria-hidden="true" /> Print
        </button>
      </header>
      <p v-for="sentence in sentences" :key="sentence" class="mt-2 text-[15px]">
        {{ sentence }}
      </p>
      <section aria-labelledby="strength-head" class="mt-4">
        <h2 id="strength-head" class="section-head">How strong you are</h2>
        <ul class="grid grid-cols-2 gap-x-8 max-md:grid-cols-1 print:grid-cols-2">
          <li v-for="row in exercises" :key="row.exercise" class="border-b border-hair py-0.5">
            <strong class="font-semibold">{{ row.name }}</strong>: {{ row.words }}
          </li>
        </ul>
        <p v-if="exercises.length === 0">
          Too few sessions with loads and reps to say anything yet.
        </p>
      </section>
      <div class="mt-4 grid grid-cols-2 gap-6 max-md:grid-cols-1 print:grid-cols-1">
        <ChartFigure v-for="chart in charts" :key="chart.key" :chart="chart" />
      </div>
      <section aria-labelledby="sets-head" class="mt-4 break-inside-avoid">
        <h2 id="sets-head" class="section-head">Sets in a usual week</h2>
        <table class="w-full text-left">
          <thead>
            <tr class="text-[12px] text-ink2">
              <th scope="col">Muscle</th>
              <th scope="col" class="text-right">Planned</th>
              <th scope="col" class="text-right">Done</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in muscles" :key="row.group" class="border-b border-hair">
              <th scope="row" class="font-normal">
                {{ row.name }}
              </th>
              <td class="text-right">
                {{ row.planned }}
              </td>
              <td class="text-right font-semibold">
                {{ row.done }}
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="measured.length > 0" aria-labelledby="measured-head" class="mt-4">
        <h2 id="measured-head" class="section-head">Measured</h2>
        <p v-for="row in measured" :key="row.kind">
          {{ row.words }}
        </p>
      </section>
      <section aria-labelledby="changed-head" class="mt-4">
        <h2 id="changed-head" class="section-head">What we changed on the way</h2>
        <p
          v-for="change in view.changes"
          :key="`${change.on} ${change.words}`"
          class="border-b border-hair py-0.5"
        >
          {{ change.on }}: {{ change.words }}. <span class="text-ink2">{{ change.why }}</span>
        </p>
        <p v-if="view.changes.length === 0">Nothing: the plan was followed as it was made.</p>
      </section>
      <section aria-labelledby="notes-head" class="mt-4">
        <h2 id="notes-head" class="section-head">What we take into the next block</h2>
        <textarea
          v-model="notes"
          class="small-field w-full print:hidden"
          rows="5"
          :maxlength="LIMITS.closingNotes"
          aria-labelledby="notes-head"
          placeholder="What worked, what to leave, what comes next. It is shown when you begin the next block."
          @change="keep()"
        />
        <p class="hidden whitespace-pre-line print:block">
          {{ notes || 'We talk about it.' }}
        </p>
        <SaveStatus class="print:hidden" />
      </section>
    </main>
  </div>
</template>

<style scoped>
@media print {
  .report {
    background: #fff;
    color: #000;
    --ink: #000;
    --ink2: #444;
    --line: #bbb;
    --paper: #fff;
    --ground: #fff;
  }
  .report :deep(.quiet-link) {
    display: none;
  }
  .report :deep(h2) {
    break-after: avoid;
  }
  .report {
    print-color-adjust: exact;
  }
}
@page {
  size: A4;
  margin: 14mm;
}
</style>
