<script setup lang="ts">
import { LookAnswer } from '#shared/contracts/shown'
import { instantWords } from '~/shell/instantWords'
import { refusalWords } from '~/shell/refusalWords'

/** What somebody without an account is shown by an address: tables, and nothing that can be changed. */
const { ask } = useApi()
const view = shallowRef<LookAnswer | null>(null)
const complaint = ref('')
async function look(): Promise<void> {
  complaint.value = ''
  const token = window.location.hash.slice(1)
  if (token === '') {
    complaint.value = 'This address is not whole. Open it as it was sent to you.'
    return
  }
  const result = await ask('/api/shown/look', {
    method: 'POST',
    body: { token },
    answer: LookAnswer,
  })
  if (result.ok) view.value = result.value
  else complaint.value = refusalWords(result.error, 'The server does not answer. Try again.')
}
onMounted(look)
useHead({
  title: () => `${view.value?.title ?? 'To look at'} · Tholepin`,
  // Nobody else finds it, and no page it leads to learns where one came from.
  meta: [
    { name: 'robots', content: 'noindex' },
    { name: 'referrer', content: 'no-referrer' },
  ],
})
</script>

<template>
  <main class="mx-auto max-w-[900px] px-5 pt-6 pb-12 max-md:px-3" :aria-busy="!view && !complaint">
    <p v-if="complaint" role="alert" class="alert-chip">
      {{ complaint }}
      <button type="button" class="underline" @click="look()">Try again</button>
    </p>
    <template v-if="view">
      <h1 dir="auto" class="font-display text-[23px] leading-[27px]">{{ view.title }}</h1>
      <p class="text-ink2">
        From <bdi>{{ view.about }}</bdi>. To look at only{{
          view.until ? `, until ${instantWords(view.until)}` : ''
        }}.
      </p>
      <section v-for="table in view.tables" :key="table.title" class="mt-5">
        <h2 class="section-head">{{ table.title }}</h2>
        <ScrollBox :label="table.title"
          ><table class="w-full text-left">
            <thead>
              <tr class="text-[12px] text-ink2">
                <th v-for="head in table.heads" :key="head" scope="col" class="pr-4">{{ head }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, at) in table.rows" :key="at" class="border-b border-hair align-top">
                <td v-for="(cell, n) in row" :key="n" dir="auto" class="py-0.5 pr-4">{{ cell }}</td>
              </tr>
            </tbody>
          </table></ScrollBox
        >
      </section>
    </template>
  </main>
</template>
