<script setup lang="ts">
import { useBoard } from '../boardContext'

/** A plan from notes or a table: typed, pasted or opened; read at once, asked where it must be, shown on the board first. */
const board = useBoard()
const notes = usePlanNotes()
const {
  text,
  unit,
  file,
  problem,
  days,
  isReady,
  names,
  exercises,
  say,
  unread,
  weeks,
  otherWeeks,
  lineCount,
} = notes
function show(): void {
  if (!notes.show()) return
  board.close()
  board.say(
    'The plan from your notes is on the board, on trial. Enter keeps it, Escape puts it back.',
  )
}
const EXAMPLE = 'Mon push: bench 4x8, close-grip bench 3x10, pushdown 3x12-15 drop last'
</script>

<template>
  <div class="mt-3 flex flex-col gap-3">
    <div class="flex flex-wrap items-center gap-3">
      <label class="control cursor-pointer focus-within:outline-2 focus-within:outline-focus"
        >Open a table<input
          type="file"
          accept=".xlsx,.xlsm,.xls,.ods,.csv,text/csv"
          class="sr-only"
          @change="file.open(($event.target as HTMLInputElement).files?.[0])"
      /></label>
      <label
        >Loads without a unit are in
        <select v-model="unit" class="small-field">
          <option value="kg">kg</option>
          <option value="lb">lb</option>
        </select></label
      >
      <button
        v-if="file.sheets.value.length > 0"
        type="button"
        class="control"
        @click="file.close()"
      >
        Back to typed notes
      </button>
      <p role="status">{{ file.isReading.value ? 'Reading the table' : '' }}</p>
    </div>
    <p v-if="file.problem.value" role="alert" class="alert-chip">{{ file.problem.value }}</p>
    <SheetColumns
      v-if="file.sheet.value"
      v-model:chosen="file.chosen.value"
      :sheets="file.sheets.value"
      :columns="notes.columns.value"
      :headings="notes.headings.value"
      @choose="notes.choose"
    />
    <label v-else class="flex flex-col gap-1"
      >Notes of a session, a week or a block
      <textarea
        v-model="text"
        data-first
        dir="auto"
        rows="6"
        class="field py-2 font-mono text-[12.5px]"
        spellcheck="false"
        :placeholder="EXAMPLE"
      />
    </label>
    <NamesRead v-if="names.length > 0" :names="names" :exercises="exercises" @said="say" />
    <NotedDays v-if="lineCount > 0" :days="days" />
    <ul v-if="unread.length > 0" aria-label="Not read" class="text-ink2">
      <li v-for="line in unread" :key="line.line">
        Line {{ line.line }} is not read and stays out: <q dir="auto">{{ line.text }}</q>
      </li>
    </ul>
    <p v-if="weeks" class="text-ink2">
      {{ weeks.count }} weeks{{
        weeks.deloads.length > 0 ? `, week ${weeks.deloads.join(', ')} easier` : ''
      }}.
      {{
        otherWeeks.length > 0
          ? `The plan is made from the first; week ${otherWeeks.join(', ')} differs: change it on the Block page.`
          : ''
      }}
    </p>
    <div class="flex items-center gap-3">
      <button type="button" class="control control-strong" :disabled="!isReady" @click="show()">
        Show it on the board
      </button>
      <p v-if="problem" role="alert" class="alert-chip">{{ problem }}</p>
      <p v-else class="text-ink2">Nothing is changed until you keep it there.</p>
    </div>
  </div>
</template>
