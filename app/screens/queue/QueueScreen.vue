<script setup lang="ts">
import { formatDay } from '#core/words'
import { useMounted } from '@vueuse/core'
import { useActions } from '~/shell/useActions'
import { QUEUE_ACTIONS } from './queueActions'
import { useEarlyReviews } from './useEarlyReviews'
import { useQueue, useSafe } from './useQueue'

/** Reviews one client after the other, the worst first: what is safe for all, then each in one column. */
const page = useQueue()
const { view, failed, refresh, waiting, behind, current, coming, said, isBusy, next, back } = page
const safe = useSafe(page)
const early = useEarlyReviews(waiting, current)
useActions(QUEUE_ACTIONS, {
  next: () => void next(),
  back,
  takeSafe: () => void safe.take(),
  canTakeSafe: () => safe.ticked.value.length > 0,
  sendRest: () => void safe.sendRest(),
  canSendRest: () => safe.unsent.value.length > 0,
  open: () => navigateTo(`/clients/${current.value?.id}/review`),
  hasCurrent: () => current.value !== null,
})
const isLive = useMounted()
await page.ready
useHead({ title: 'Queue · Tholepin' })
</script>

<template>
  <div>
    <AppBar here="queue" />
    <main
      :aria-busy="!isLive || isBusy"
      class="grid grid-cols-[230px_minmax(0,1fr)_340px] gap-6 px-5 pt-3 pb-10 max-xl:grid-cols-[210px_minmax(0,1fr)] max-lg:grid-cols-1 max-md:px-3"
    >
      <div class="max-lg:order-3">
        <h1 class="font-display text-[21px] leading-[26px]">Review queue</h1>
        <QueueList
          class="mt-2"
          :behind="behind"
          :waiting="waiting"
          :current="current?.id ?? null"
          :unread="view?.unread ?? 0"
          @chosen="page.choose"
        />
      </div>
      <div class="min-w-0">
        <p role="status" class="min-h-6 font-semibold">{{ said }}</p>
        <p v-if="failed" role="alert" class="alert-chip">
          The queue could not be fetched.
          <button type="button" class="underline" @click="refresh()">Try again</button>
        </p>
        <Suspense v-if="current">
          <QueueReview
            :key="`${current.id} ${current.pass}`"
            :entry="current"
            :early="early.take(current)"
          />
        </Suspense>
        <div v-else-if="view && view.unread === 0" class="py-6">
          <p class="font-display text-[19px]">Nobody waits for a review.</p>
          <p v-if="view.next" class="text-ink2">
            <bdi>{{ view.next.name }}</bdi>’s rotation ends {{ formatDay(view.next.on) }}.
          </p>
        </div>
        <p v-if="current" class="mt-3 flex flex-wrap gap-2 border-t border-ink pt-3">
          <button type="button" class="control control-strong" :disabled="isBusy" @click="next()">
            {{ coming ? 'Next, ' : 'Done, the last one' }}<bdi v-if="coming">{{ coming.name }}</bdi>
            <KeyCap label="N" />
          </button>
          <button type="button" class="control" @click="back()">Back <KeyCap label="⇧N" /></button>
          <span class="self-center text-[12px] text-ink2"
            >What is left open goes on as planned.</span
          >
        </p>
      </div>
      <aside class="max-xl:col-span-2 max-lg:order-2 max-lg:col-span-1">
        <SafeList :safe="safe" :is-busy="isBusy" />
        <section aria-labelledby="sum-head" class="mt-6 border-t border-ink pt-2">
          <h2 id="sum-head" class="text-[14px] font-[650]">So far</h2>
          <ClientOnly>
            <p>{{ page.sumWords(page.minutes.value) }}</p>
          </ClientOnly>
          <p v-if="safe.unsent.value.length > 0" class="mt-1">
            <button type="button" class="control" :disabled="isBusy" @click="safe.sendRest()">
              Send to {{ safe.unsent.value.length }} who
              {{ safe.unsent.value.length === 1 ? 'has' : 'have' }} changes <KeyCap label="⇧S" />
            </button>
          </p>
        </section>
      </aside>
    </main>
  </div>
</template>
