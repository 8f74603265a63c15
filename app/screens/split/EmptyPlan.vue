<script setup lang="ts">
import { useBoard } from './boardContext'

/** A plan that holds nothing yet: the ways to fill it at once. */
const { clientId } = defineProps<{ clientId: string }>()
const board = useBoard()
</script>

<template>
  <section aria-labelledby="empty-plan" class="my-2 rounded border border-focus px-4 py-3">
    <h2 id="empty-plan" class="text-[15px] font-[650]">Nothing is planned yet</h2>
    <p class="mt-1 text-ink2">
      Three weeks are drafted from days, minutes, equipment and priorities, to choose from; or begin
      with a template, or with a plan you have in notes or a table. Single sets are added on the
      board.
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <NuxtLink :to="`/clients/${clientId}/proposals`" class="control control-strong"
        >Draft the week <KeyCap label="P"
      /></NuxtLink>
      <button type="button" class="control" @click="board.open('rotation')">
        Take a template <KeyCap label="O" />
      </button>
      <button type="button" class="control" @click="board.open('notes')">
        From notes or a table <KeyCap label="I" />
      </button>
    </p>
  </section>
</template>
