<script setup lang="ts">
import { useClientTable } from './useClientTable'

/** Many clients from a table: looked at first, each with what was read, and added one by one. */
const { open, rows, toggle, add, unit, usualMonths, isBusy, count, added, asksUnit, problem } =
  useClientTable()
</script>

<template>
  <section aria-labelledby="client-table-head" class="mt-3">
    <p class="flex items-center gap-3">
      <label class="control cursor-pointer focus-within:outline-2 focus-within:outline-focus"
        >Or many clients from a table<input
          type="file"
          accept=".csv,.xlsx,.ods,.xls"
          class="sr-only"
          @change="open(($event.target as HTMLInputElement).files?.[0])"
      /></label>
      <span class="text-[12px] text-ink2"
        >CSV, XLSX or ODS with a column of names; training, days, minutes, start, goal and notes are
        read where they are there</span
      >
    </p>
    <p v-if="problem" role="alert" class="alert-chip mt-2">{{ problem }}</p>
    <form v-if="rows.length > 0" class="mt-3" @submit.prevent="add()">
      <h2 id="client-table-head" class="section-head">{{ rows.length }} clients in the table</h2>
      <p class="flex flex-wrap items-center gap-4">
        <label v-if="asksUnit"
          >A number of training without a word is in
          <select v-model="unit" class="small-field">
            <option value="years">years</option>
            <option value="months">months</option>
          </select></label
        >
        <label
          >Months of training where none is said
          <input
            v-model.number="usualMonths"
            type="number"
            min="0"
            max="1200"
            class="small-field w-20"
        /></label>
      </p>
      <ul aria-label="Clients of the table" class="mt-2">
        <li v-for="row in rows" :key="row.row" class="border-b border-hair py-1">
          <label class="flex flex-wrap items-baseline gap-x-3"
            ><input
              type="checkbox"
              :checked="row.isChosen"
              :disabled="row.outcome?.state === 'added'"
              @change="toggle(row.row)"
            />
            <b dir="auto">{{ row.name }}</b>{{ ' '
            }}<span class="text-[12.5px] text-ink2"
              >{{ row.words }}<template v-if="row.isThere">; on the roster already</template></span
            ></label
          >
          <p v-for="line in row.unread" :key="line" class="pl-6 text-[12.5px] text-alert">
            {{ line }}
          </p>
          <p
            v-if="row.outcome"
            class="pl-6 text-[12.5px]"
            :class="row.outcome.state === 'failed' && 'text-alert'"
          >
            {{ row.outcome.words }}
          </p>
        </li>
      </ul>
      <p class="mt-3 flex items-center gap-3">
        <button type="submit" class="control control-strong" :disabled="isBusy || count === 0">
          {{ isBusy ? 'Adding' : `Add ${count} ${count === 1 ? 'client' : 'clients'}` }}
        </button>
        <span role="status">{{
          added > 0 ? `${added} ${added === 1 ? 'client is' : 'clients are'} on the roster.` : ''
        }}</span>
        <NuxtLink v-if="added > 0" to="/roster" class="quiet-link underline"
          >See them on the roster</NuxtLink
        >
      </p>
    </form>
  </section>
</template>
