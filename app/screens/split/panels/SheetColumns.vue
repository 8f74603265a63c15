<script setup lang="ts">
import type { PlanColumn } from '#core/exchange/notes'

/** Which sheet of a file holds the plan, and which of its columns is which. */
const { sheets, columns, headings } = defineProps<{
  sheets: readonly { readonly name: string; readonly isCut: boolean }[]
  columns: readonly {
    readonly id: PlanColumn
    readonly words: string
    readonly chosen: number | undefined
  }[]
  headings: readonly string[]
}>()
const chosen = defineModel<number>('chosen', { required: true })
const emit = defineEmits<{ choose: [column: PlanColumn, place: string] }>()
</script>

<template>
  <div class="flex flex-col gap-2">
    <label v-if="sheets.length > 1"
      >Sheet
      <select v-model="chosen" class="small-field">
        <option v-for="(sheet, at) in sheets" :key="sheet.name" :value="at">
          {{ sheet.name }}
        </option>
      </select></label
    >
    <p v-if="sheets[chosen]?.isCut" class="text-alert">
      Only the first 2,000 rows are read; put the plan on a sheet of its own.
    </p>
    <fieldset v-if="headings.length > 0" class="grid gap-x-4 gap-y-1 sm:grid-cols-3 lg:grid-cols-5">
      <legend class="sr-only">Which column is which</legend>
      <label
        v-for="column in columns"
        :key="column.id"
        class="flex items-center justify-between gap-2 text-[12.5px]"
        >{{ column.words }}
        <select
          class="small-field w-[92px]"
          :value="column.chosen ?? ''"
          @change="emit('choose', column.id, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">–</option>
          <option v-for="(heading, at) in headings" :key="at" :value="at">
            {{ heading || `column ${at + 1}` }}
          </option>
        </select></label
      >
    </fieldset>
    <p v-else class="text-ink2">No headings were found; the cells are read as notes.</p>
  </div>
</template>
