<script setup lang="ts">
import type { QueueEntry } from '#shared/contracts/queue'
import type { FetchedReview } from '../review/useReview'
import { QUEUE_REVIEW_ACTIONS } from './queueActions'
import { strengthRows } from './strengthRows'

/** The review of one client in one column: what happened, then what to decide. */
const { entry, early } = defineProps<{
  entry: QueueEntry
  early: Promise<FetchedReview> | null
}>()
const id = entry.id
const review = await useReview(id, { pass: entry.pass, early })
const { view, head, notice, isBusy, at, proposals, waiting, decide, nothingWords, step } = review
const { missed, lines, choose } = useReplans(id, review)
const { isRefusing, refused, change, takeAt, refuse, toSend } = useDeciding(id, review)
useActions(QUEUE_REVIEW_ACTIONS, {
  step,
  turn: () => {},
  take: () => takeAt('taken'),
  takeOnce: () => takeAt('once'),
  change,
  refuse,
  replan: choose,
  send: () => void review.sendAll(),
})
const strength = computed(() => (view.value ? strengthRows(view.value) : []))
const hurts = computed(() =>
  entry.why.filter(({ kind }) => kind === 'pain').map(({ words }) => words),
)
/** Whoever chose the client in the list goes on with the keys of the review. */
const section = useTemplateRef<HTMLElement>('section')
onMounted(() => {
  if (document.activeElement?.closest('[data-queue-list]')) section.value?.focus()
})
</script>

<template>
  <section
    v-if="view && head"
    ref="section"
    tabindex="-1"
    :aria-label="`Review of ${view.name}`"
    :aria-busy="isBusy"
  >
    <header>
      <h2 class="font-display text-[21px] leading-[26px]">
        <bdi>{{ view.name }}</bdi>
      </h2>
      <p class="text-ink2">
        <bdi v-if="entry.about">{{ entry.about }}. </bdi>{{ head.title }}, {{ head.dates }}.
        <NuxtLink class="quiet-link" :to="`/clients/${id}/review`"
          >The whole review <KeyCap label="Y"
        /></NuxtLink>
      </p>
      <p class="mt-1 text-[15px]">
        <strong class="font-semibold">{{ head.adherence }}.</strong> {{ head.recovered }}.
        {{ head.minutes }}.
      </p>
      <p v-for="pain in view.pains" :key="`${pain.on} ${pain.words}`" class="alert-chip mt-1 mr-2">
        {{ pain.on }}: {{ pain.words }}
      </p>
      <p v-if="hurts.length > 0">
        <template v-if="view.pains.length === 0"
          ><strong class="font-semibold text-alert">{{ hurts.join('; ') }}</strong>
        </template>
        <NuxtLink class="quiet-link" :to="`/clients/${id}/history#joints`">See the joint</NuxtLink>
      </p>
    </header>
    <StrengthRows v-if="strength.length > 0" :rows="strength" />
    <section v-if="missed" aria-labelledby="queue-missed" class="mt-3">
      <h3 id="queue-missed" class="section-head">Missed: {{ missed.words }}</h3>
      <ol>
        <li
          v-for="(line, n) in lines"
          :key="line.option"
          class="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1"
        >
          <button
            type="button"
            class="control"
            :class="line.isBest ? 'control-strong' : ''"
            :disabled="isBusy"
            @click="choose(n)"
          >
            {{ line.name }} <KeyCap :label="String(n + 1)" />
          </button>
          <span class="min-w-0 flex-1 text-[12.5px]"
            >{{ line.what }}. {{ line.kept }} of its sets kept{{
              line.lowest ? `; least ready ${line.lowest}` : ''
            }}</span
          >
        </li>
      </ol>
    </section>
    <ReviewNotes :client-id="id" :notes="view.notes" :name="view.name" />
    <CameList :lines="view.came" />
    <section aria-labelledby="queue-proposals" class="mt-3">
      <h3 id="queue-proposals" class="section-head">For the next rotation</h3>
      <p v-if="proposals.length === 0" class="text-ink2">{{ nothingWords }}</p>
      <ProposalList
        v-model:refusing="isRefusing"
        :proposals="proposals"
        :at="at"
        :is-busy="isBusy"
        @chosen="to => (at = to)"
        @taken="key => decide(key, 'taken')"
        @taken-once="key => decide(key, 'once')"
        @changed="change"
        @refused="refused"
      />
      <p v-if="waiting.length > 0" class="mt-1 text-[12.5px] text-ink2">
        {{ waiting.length }} more for later: too much for one week.
      </p>
    </section>
    <p role="status" class="mt-2 min-h-6 font-semibold">{{ notice }}</p>
    <p v-if="toSend">
      <button type="button" class="control" :disabled="isBusy" @click="review.sendAll()">
        Send {{ toSend }} <KeyCap label="S" />
      </button>
    </p>
    <LazySheetLinkDialog
      v-if="review.isHandingOver.value"
      is-first
      :client-id="id"
      :name="view.name"
      @closed="review.isHandingOver.value = false"
    />
  </section>
</template>
