<script setup lang="ts">
import { useLogImport } from './useLogImport'

/** A log from a file: columns, preview, rows that cannot be read, and all of it or nothing. */
const { clientId } = defineProps<{ clientId: string }>()
const emit = defineEmits<{ closed: []; imported: [] }>()
const {
  text,
  unit,
  dateOrder,
  outcome,
  isBusy,
  trial,
  isReady,
  isLookedAt,
  questions,
  problems,
  badRows,
  leaveOut,
  leaveNothingOut,
  outside,
  names,
  exercises,
  say,
  take,
  importAll,
  headers,
  rowCount,
  columns,
  choose,
  preview,
} = useLogImport(clientId)
async function run(): Promise<void> {
  if (await importAll()) emit('imported')
}
</script>

<template>
  <PanelDialog title="Import a log" :width="900" @closed="emit('closed')">
    <div class="mt-3 flex flex-col gap-3">
      <div class="flex flex-wrap items-end gap-3">
        <label class="control cursor-pointer focus-within:outline-2 focus-within:outline-focus"
          >Choose a CSV file<input
            type="file"
            accept=".csv,text/csv"
            class="sr-only"
            @change="take(($event.target as HTMLInputElement).files?.[0])"
        /></label>
        <label class="flex items-center gap-2"
          >Loads without a unit are in
          <select v-model="unit" class="small-field">
            <option value="kg">kg</option>
            <option value="lb">lb</option>
          </select></label
        >
        <label class="flex items-center gap-2"
          >3.4.2026 is
          <select v-model="dateOrder" class="small-field">
            <option value="day_first">3 April</option>
            <option value="month_first">4 March</option>
          </select></label
        >
      </div>
      <label class="flex flex-col gap-1"
        >or paste it here, header line first
        <textarea
          v-model="text"
          rows="4"
          class="field py-2 font-mono text-[12px]"
          spellcheck="false"
          placeholder="date,exercise,set,load,reps,rir"
        />
      </label>
      <fieldset
        v-if="headers.length > 0"
        class="grid grid-cols-4 gap-x-4 gap-y-1 border-t border-hair pt-2"
      >
        <legend class="sr-only">Which column is which</legend>
        <label
          v-for="column in columns"
          :key="column.id"
          class="flex items-center justify-between gap-2"
          :class="column.isNeeded ? 'font-semibold' : ''"
          >{{ column.words }}
          <select
            class="small-field w-[110px] font-normal"
            :value="column.chosen"
            @change="choose(column.id, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">–</option>
            <option v-for="header in headers" :key="header" :value="header">{{ header }}</option>
          </select>
        </label>
      </fieldset>
      <ImportProblems
        v-if="problems.length > 0"
        :problems="problems"
        :bad-rows="badRows"
        @left-out="leaveOut"
      />
      <NamesRead v-if="names.length > 0" :names="names" :exercises="exercises" @said="say" />
      <p v-if="outside > 0" role="status">
        {{ outside === 1 ? 'One row stays' : `${outside} rows stay` }} out.
        <button type="button" class="quiet-link" @click="leaveNothingOut()">
          Take them back in
        </button>
      </p>
      <ImportQuestions v-if="questions.length > 0" v-model="isLookedAt" :questions="questions" />
      <table v-if="preview.length > 0" class="text-left">
        <caption class="mb-1 text-left text-ink2">
          The first
          {{
            preview.length
          }}
          of
          {{
            rowCount
          }}
          rows as they are read
        </caption>
        <thead>
          <tr class="text-[12px] text-ink2">
            <th scope="col">Date</th>
            <th scope="col">Session</th>
            <th scope="col">Exercise</th>
            <th scope="col">Set</th>
            <th scope="col">Load</th>
            <th scope="col">Reps</th>
            <th scope="col">Left</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in preview" :key="row.key" class="border-b border-hair">
            <td>{{ row.on }}</td>
            <td>{{ row.session }}</td>
            <td>{{ row.name }}</td>
            <td>{{ row.set }}</td>
            <td>{{ row.load }}</td>
            <td>{{ row.count }}</td>
            <td>{{ row.rir }}</td>
          </tr>
        </tbody>
      </table>
      <div class="flex items-center gap-3">
        <button
          type="button"
          class="control control-strong"
          :disabled="
            !isReady ||
            isBusy ||
            trial === null ||
            outcome !== '' ||
            (questions.length > 0 && !isLookedAt)
          "
          @click="run"
        >
          {{ outside > 0 ? 'Take the rest in' : 'Take all of it in' }}
        </button>
        <p role="status" :class="outcome ? 'font-semibold' : 'text-ink2'">
          {{
            outcome ||
            (trial
              ? `${trial.sets} sets: ${trial.found} sessions filled in, ${trial.added} added.`
              : '')
          }}
        </p>
      </div>
    </div>
  </PanelDialog>
</template>
