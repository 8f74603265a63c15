<script setup lang="ts">
/** The plan under other terms: for arguing with a client about days, minutes and wishes. */
const { id } = defineProps<{ id: string }>()
const {
  typed,
  complaint,
  message,
  suggested,
  rows,
  kept,
  isKept,
  isTrying,
  add,
  addTyped,
  remove,
  keep,
  forget,
} = useTerms()
</script>

<template>
  <section aria-label="Other terms" class="mt-6">
    <h2 class="text-[14px] font-[650]">Under other terms</h2>
    <form class="mt-1 flex flex-wrap items-center gap-2" @submit.prevent="addTyped()">
      <label class="flex items-center gap-2"
        >Terms
        <input
          v-model="typed"
          class="small-field w-[330px] max-w-full"
          placeholder="four days, 45 minutes, no arm day"
          maxlength="200"
          :aria-invalid="complaint !== '' || undefined"
          aria-describedby="terms-complaint"
      /></label>
      <button type="submit" class="control" :disabled="isTrying">
        {{ isTrying ? 'Trying' : 'Try' }}
      </button>
      <button
        v-for="one in suggested"
        :key="one.words"
        type="button"
        class="quiet-link"
        :disabled="isTrying"
        @click="add(one.terms)"
      >
        {{ one.words }}
      </button>
    </form>
    <p id="terms-complaint" role="status" class="min-h-5 text-[12.5px]">
      <span v-if="complaint" class="alert-chip">{{ complaint }}</span><template v-else>{{
        message
      }}</template>
    </p>
    <table v-if="rows.length > 0" class="terms w-full max-w-[1100px] text-left">
      <caption class="sr-only">
        What the plan comes to under each
      </caption>
      <thead class="text-[12px] text-ink2">
        <tr>
          <th scope="col" class="font-normal">Terms</th>
          <th scope="col" class="font-normal">Training days</th>
          <th scope="col" class="font-normal">Minutes</th>
          <th scope="col" class="font-normal">Effective sets, weighed</th>
          <th scope="col" class="font-normal">What gives</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.words" class="border-t border-hair align-top">
          <th scope="row" class="py-1 font-semibold">{{ row.words }}</th>
          <td>
            {{ row.days }}
            <span v-if="row.givenUp" class="text-ink2">without {{ row.givenUp }}</span>
          </td>
          <td>{{ row.minutes }}</td>
          <td>
            {{ row.stimulus }} <span class="text-focus">{{ row.change }}</span>
          </td>
          <td>
            {{ row.misses.join('; ') || 'every want is met' }}
            <span v-for="note in row.notes" :key="note" class="block text-ink2">{{ note }}</span>
          </td>
          <td>
            <button
              v-if="row.canGo"
              type="button"
              class="quiet-link whitespace-nowrap"
              :aria-label="`Take out: ${row.words}`"
              @click="remove(row.words)"
            >
              take out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length > 0 || kept.length > 0" class="mt-2 flex flex-wrap items-center gap-3">
      <button v-if="rows.length > 0 && !isKept" type="button" class="control" @click="keep()">
        Keep with the plan as the reason
      </button>
      <template v-if="kept.length > 0">
        <span class="text-[12.5px] text-ink2"
          >Kept with the plan: {{ kept.map(({ terms }) => terms).join(' · ') }}</span
        >
        <NuxtLink :to="`/clients/${id}/print?weighed=1`" class="control"
          >Print for the client</NuxtLink
        >
        <button type="button" class="quiet-link" @click="forget()">take out of the plan</button>
      </template>
    </p>
  </section>
</template>

<style scoped>
.terms td,
.terms th {
  padding-right: 14px;
}
</style>
