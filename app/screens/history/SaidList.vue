<script setup lang="ts">
import { FELT_WORDS, formatDay, moreSaidWords } from '#core/words'
import type { HistoryView } from '#shared/contracts/history'

/** What the client said of sessions beside their sets, over time. */
const { said, nameOf } = defineProps<{
  said: HistoryView['said']
  nameOf: (exercise: string) => string
}>()
const rows = computed(() =>
  said.map(({ on, session, felt, recovery, more }) => ({
    key: `${on} ${session}`,
    on,
    session,
    words: [
      recovery === null ? '' : `recovered ${recovery} of 10`,
      moreSaidWords(more),
      ...felt
        .filter(({ where }) => where !== 'target')
        .map(({ exercise, where }) => `${nameOf(exercise)} felt ${FELT_WORDS[where].told}`),
    ].filter(Boolean),
    asMeant: felt.filter(({ where }) => where === 'target').length,
  })),
)
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="said-head">
    <h2 id="said-head" class="section-head">How sessions felt</h2>
    <ScrollBox label="How sessions felt">
      <table class="w-full text-left">
        <tbody>
          <tr v-for="row in rows" :key="row.key" class="border-b border-hair align-baseline">
            <td class="py-0.5 pr-3 whitespace-nowrap">{{ formatDay(row.on) }}</td>
            <th scope="row" class="pr-3 font-semibold">{{ row.session }}</th>
            <td>
              <bdi>{{ row.words.join('; ') }}</bdi>
              <span v-if="row.asMeant > 0" class="text-ink2">
                {{ row.words.length > 0 ? '; ' : '' }}{{ row.asMeant }}
                {{ row.asMeant === 1 ? 'exercise' : 'exercises' }} felt where meant</span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </ScrollBox>
    <p class="mt-1 text-[12px] text-ink3">
      No figure is made from this. An exercise felt elsewhere twice running is told in the review.
    </p>
  </section>
</template>
