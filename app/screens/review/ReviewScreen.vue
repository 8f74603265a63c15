<script setup lang="ts">
import { EFFORT } from '#core/words'
import { useMounted } from '@vueuse/core'
import { instantWords } from '~/shell/instantWords'
import { ChevronLeft, ChevronRight } from 'lucide-vue-next'
import { REVIEW_ACTIONS } from './reviewActions'

/** The review: plan beside log, and what to do about the next rotation. The most important first. */
const route = useRoute()
const id = String(route.params.clientId)
const review = await useReview(id)
const {
  view,
  head,
  notice,
  isBusy,
  at,
  proposals,
  waiting,
  asPlanned,
  decide,
  confirm,
  sendAll,
  isHandingOver,
  turn,
  step,
  leftOut,
  nothingWords,
  muscles,
  exercises,
  trials,
  skipped,
} = review
const { missed, lines, choose, ahead, cannotCome, canCome } = useReplans(id, review)
const { difference, rows: paces, silent, set, usual, anew } = usePaces(id, review)
useHead({ title: () => `Review of ${view.value?.name ?? ''} · Tholepin` })
const { isRefusing, refused, change, takeAt, refuse, toSend } = useDeciding(id, review)
useActions(REVIEW_ACTIONS, {
  step,
  turn,
  take: () => takeAt('taken'),
  takeOnce: () => takeAt('once'),
  change,
  refuse,
  replan: choose,
  send: () => void sendAll(),
})
const isLive = useMounted()
</script>

<template>
  <div :aria-busy="!isLive">
    <ClientBar :id="id" :name="view?.name ?? ''" here="review" />
    <main
      v-if="view && head"
      class="grid grid-cols-[minmax(0,1fr)_400px] gap-8 px-5 pt-4 pb-12 max-xl:grid-cols-[minmax(0,1fr)_330px] max-xl:gap-5 max-lg:grid-cols-1 max-md:px-3"
    >
      <div>
        <header class="flex flex-wrap items-center gap-2">
          <h1 class="font-display text-[23px] leading-[27px]">
            {{ head.title }}
          </h1>
          <button
            type="button"
            class="control px-1.5!"
            aria-label="The rotation before"
            @click="turn(-1)"
          >
            <ChevronLeft :size="15" aria-hidden="true" />
          </button>
          <button
            type="button"
            class="control px-1.5!"
            aria-label="The rotation after"
            @click="turn(1)"
          >
            <ChevronRight :size="15" aria-hidden="true" />
          </button>
          <p class="text-ink2">
            {{ head.dates }}
          </p>
        </header>
        <p class="mt-1 text-[15px]">
          <strong class="font-semibold">{{ head.adherence }}.</strong> {{ head.recovered }}.
          {{ head.minutes }}.
        </p>
        <p
          v-for="pain in view.pains"
          :key="`${pain.on} ${pain.words}`"
          class="alert-chip mt-1 mr-2"
        >
          {{ pain.on }}: {{ pain.words }}
        </p>
        <section
          v-if="missed"
          aria-labelledby="missed-head"
          class="mt-3 rounded border border-hair px-3 py-2"
        >
          <h2 id="missed-head" class="flex items-center gap-2 text-[14px] font-[650]">
            <span class="alert-chip">{{ missed.isAhead ? 'Will be missed' : 'Missed' }}</span>
            {{ missed.words }}
            <span v-if="missed.more > 0" class="font-normal text-ink2"
              >and {{ missed.more }} more after it</span
            >
            <button
              v-if="missed.isAhead"
              type="button"
              class="quiet-link font-normal"
              @click="canCome()"
            >
              it can be done after all
            </button>
          </h2>
          <ReplanTable class="mt-1" :lines="lines" :is-busy="isBusy" @chosen="choose" />
        </section>
        <p v-if="ahead.length > 0" class="mt-2 flex flex-wrap items-center gap-2 text-[12.5px]">
          <span class="text-ink2">Ahead:</span>
          <span v-for="session in ahead" :key="session.id" class="flex items-center gap-1"
            >{{ session.words }}
            <button
              type="button"
              class="control"
              :aria-label="`${session.words} cannot be done: show what could be`"
              @click="cannotCome(session.id)"
            >
              cannot be done
            </button></span
          >
        </p>
        <ReviewNotes :client-id="id" :notes="view.notes" :name="view.name" />
        <MuscleTable :client-id="id" :rows="muscles" />
        <section aria-labelledby="exercises-head" class="mt-4">
          <h2 id="exercises-head" class="section-head">Exercises</h2>
          <ScrollBox label="Exercises"
            ><table class="w-full text-left">
              <thead>
                <tr class="text-[12px] text-ink2">
                  <th scope="col">Exercise</th>
                  <th scope="col" class="text-right">Sets</th>
                  <th scope="col" class="pl-3 text-right">Top, kg</th>
                  <th scope="col" class="pl-3 text-right">Median reps</th>
                  <th scope="col" class="pl-3 text-right">{{ EFFORT.logged }}</th>
                  <th scope="col" class="pl-4">Trend of fourteen weeks</th>
                </tr>
              </thead>
              <tbody>
                <tr
                  v-for="row in exercises"
                  :key="row.exercise"
                  :data-exercise="row.exercise"
                  class="border-b border-hair"
                >
                  <th scope="row" class="py-0.5 font-normal">
                    {{ row.name }}
                    <span v-if="row.otherwise" class="block text-[12px] text-ink2">{{
                      row.otherwise
                    }}</span>
                  </th>
                  <td class="text-right" :class="row.isShort ? 'font-semibold text-alert' : ''">
                    <span class="whitespace-nowrap">{{ row.sets }}</span>
                  </td>
                  <td class="pl-3 text-right whitespace-nowrap">
                    {{ row.load }}
                  </td>
                  <td class="pl-3 text-right whitespace-nowrap">
                    {{ row.reps }}
                  </td>
                  <td class="pl-3 text-right whitespace-nowrap">
                    {{ row.rir }}
                  </td>
                  <td class="pl-4 text-ink2">{{ row.trend }}</td>
                </tr>
              </tbody>
            </table></ScrollBox
          >
          <p v-if="exercises.length === 0" class="text-ink2">
            Nothing of this rotation is behind yet.
          </p>
        </section>
        <section v-if="leftOut.length > 0" aria-labelledby="left-out-head" class="mt-4">
          <h2 id="left-out-head" class="section-head">Kept in the log, left out of trends</h2>
          <p
            v-for="line in leftOut"
            :key="line.key"
            class="flex items-center gap-2 border-b border-hair py-1"
          >
            <span class="flex-1">{{ line.words }}</span>
            <button
              v-if="line.isQuestioned"
              type="button"
              class="control"
              :disabled="isBusy"
              :aria-label="`It is right: ${line.words}`"
              @click="confirm(line.value)"
            >
              It is right
            </button>
          </p>
        </section>
        <section aria-labelledby="pace-head" class="mt-4">
          <h2 id="pace-head" class="section-head">Recovery, learned from twelve weeks</h2>
          <p v-if="difference">{{ difference }}</p>
          <PaceTable
            v-if="paces.length > 0"
            :rows="paces"
            :is-busy="isBusy"
            @set="set"
            @usual="usual"
            @anew="anew"
          />
          <p v-else-if="silent.length === 0" class="text-ink2">
            Nothing to learn from yet: no muscle has an estimate beside what was done before it.
          </p>
          <details v-if="silent.length > 0" class="mt-1">
            <summary class="cursor-pointer">
              {{ silent.length }} with nothing to learn from yet: the usual hours
            </summary>
            <PaceTable :rows="silent" :is-busy="isBusy" @set="set" @usual="usual" @anew="anew" />
          </details>
        </section>
      </div>
      <aside aria-labelledby="next-head">
        <h2 id="next-head" class="font-display text-[17px]">
          For rotation {{ view.review.pass + 2 }}
        </h2>
        <p role="status" class="mt-1 text-[12.5px]" :class="notice ? 'font-semibold' : 'text-ink2'">
          {{
            notice ||
            (proposals.length === 0
              ? nothingWords
              : `${proposals.length} ${proposals.length === 1 ? 'change' : 'changes'} the log suggests`)
          }}
        </p>
        <CameList :lines="view.came" />
        <TrialList :lines="trials" />
        <HabitList :lines="skipped" />
        <FeltElsewhere :client-id="id" :lines="view.elsewhere" />
        <ProposalList
          v-model:refusing="isRefusing"
          class="mt-2"
          :proposals="proposals"
          :at="at"
          :is-busy="isBusy"
          @chosen="n => (at = n)"
          @taken="key => decide(key, 'taken')"
          @taken-once="key => decide(key, 'once')"
          @changed="change"
          @refused="refused"
        />
        <button
          v-if="toSend"
          type="button"
          class="control mt-3"
          :disabled="isBusy"
          @click="sendAll()"
        >
          Send {{ toSend }} <KeyCap label="S" />
        </button>
        <p v-else class="mt-3 text-[12.5px] text-ink2">
          The client has everything up to the next rotation.
        </p>
        <p v-for="name in view.review.contradictory" :key="name" class="mt-2 text-[12.5px]">
          <span class="alert-chip">Answers contradict</span> {{ name }}: said to be recovered, yet
          half of the sets fell two reps or more short. Ask what happened.
        </p>
        <details v-if="waiting.length > 0" class="mt-3">
          <summary class="cursor-pointer">
            {{ waiting.length }} waiting: no more changes in one week than a client can answer to
          </summary>
          <p v-for="line in waiting" :key="line.key" class="mt-1">
            {{ line.words }}. <span class="text-ink2">{{ line.reason }}</span>
          </p>
        </details>
        <details v-if="asPlanned.length > 0" class="mt-3">
          <summary class="cursor-pointer">{{ asPlanned.length }} as planned, and why</summary>
          <p v-for="line in asPlanned" :key="line.key" class="mt-1">
            {{ line.words }}. <span class="text-ink2">{{ line.reason }}</span>
          </p>
        </details>
        <section v-if="view.decisions.length > 0" aria-labelledby="decided-head" class="mt-4">
          <h3 id="decided-head" class="section-head">Decided</h3>
          <ul>
            <li
              v-for="decision in view.decisions"
              :key="decision.id"
              class="border-b border-hair py-1"
            >
              <span :class="decision.decision === 'taken' ? '' : 'line-through'">{{
                decision.words
              }}</span>
              <span class="block text-[12px] text-ink2"
                >{{ decision.decision }} by {{ decision.by }}, {{ instantWords(decision.at) }},
                after rotation {{ decision.pass + 1
                }}{{ decision.version === null ? '' : `, plan version ${decision.version}`
                }}{{ decision.reason ? `: “${decision.reason}”` : '' }}</span
              >
              <span v-if="decision.why" class="block text-[12px] text-ink2">{{
                decision.why
              }}</span>
              <NuxtLink
                v-if="decision.version !== null"
                :to="`/clients/${id}/split`"
                class="quiet-link text-[12px]"
                >version {{ decision.version }} in the history of the plan (B on the
                board)</NuxtLink
              >
            </li>
          </ul>
        </section>
        <p class="mt-4 text-[12px] text-ink2">
          <KeyCap label="↑" /> <KeyCap label="↓" /> proposals · <KeyCap label="," />{{ ' '
          }}<KeyCap label="." /> rotations · <KeyCap label="1" /> to <KeyCap label="4" /> a missed
          session. Proposals follow fixed rules from trends, answers, bands and pain; you decide.
        </p>
      </aside>
    </main>
    <LazySheetLinkDialog
      v-if="isHandingOver"
      is-first
      :client-id="id"
      :name="view?.name ?? ''"
      @closed="isHandingOver = false"
    />
  </div>
</template>
