<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { SEASON_ACTIONS } from './seasonActions'
import { useAnswers } from './useAnswers'
import { useDraft } from './useDraft'
import { useBlockReports } from './useBlockReports'
import { useBlocksBeside } from './useBlocksBeside'
import { useEstimates } from './useEstimates'
import { usePhase } from './usePhase'
import { usePlanAhead } from './usePlanAhead'
import { useSeam } from './useSeam'
import { useSeason } from './useSeason'

/** Blocks in a row: behind, running, ahead, and what each asks where it follows another. */
const route = useRoute()
const id = String(route.params.clientId)
const {
  view,
  blocks,
  at,
  chosen,
  step,
  seam,
  concerns,
  rows,
  girths,
  events,
  phases,
  wordsOf,
  courseWords,
  ahead,
  open,
  refresh,
} = await useSeason(id)
useHead({ title: () => `${view.value?.name ?? 'Client'} · Season · Tholepin` })
const reports = useBlockReports(id)
const beside = useBlocksBeside(
  reports,
  () => blocks.value,
  () => chosen.value,
)
const estimates = useEstimates(id)
const answers = useAnswers(reports, () => blocks.value)
const planAhead = usePlanAhead(
  id,
  () => blocks.value.at(-1)?.id,
  () => refresh(),
)
const atSeam = useSeam(
  () => chosen.value,
  () => seam.value?.concerns.some(one => one !== 'readiness' && one !== 'gap') ?? false,
  refresh,
)
const draft = useDraft(id, () => chosen.value, refresh)
const phase = usePhase(id, () => chosen.value, refresh)
const isLive = useMounted()
const before = computed(() => blocks.value[at.value - 1]?.title ?? '')
const next = () => chosen.value && open(chosen.value, '/block', '&next=1')
useActions(
  SEASON_ACTIONS,
  {
    step,
    open: path => chosen.value && open(chosen.value, path),
    next,
    compare: beside.open,
    moveSeam: by => void atSeam.move(by),
    take: fix => void atSeam.take(fix),
    planAhead: planAhead.open,
    make: () => void draft.make(),
    phase: phase.open,
  },
  { isSilent: () => [beside.isOpen, planAhead.isOpen, phase.entered].some(one => one.value) },
)
</script>

<template>
  <div :aria-busy="!isLive">
    <ClientBar :id="id" :name="view?.name ?? ''" here="season" />
    <main v-if="view" class="px-5 pt-4 pb-12 max-md:px-3">
      <header class="flex flex-wrap items-start gap-x-8 gap-y-2">
        <h1 class="font-display text-[23px] leading-[27px]">Season</h1>
        <p v-if="chosen" class="leading-[18px]">
          <bdi class="block font-display text-[17px] font-semibold">{{ chosen.title }}</bdi>
          <span class="text-ink2"
            >{{ wordsOf(chosen).about }} · {{ wordsOf(chosen).days }} ·
            {{ chosen.passes.length }}
            {{ chosen.passes.length === 1 ? 'rotation' : 'rotations' }}</span
          >
        </p>
        <div v-if="chosen" class="ml-auto flex flex-wrap gap-2">
          <button type="button" class="control" @click="open(chosen)">
            Open it <KeyCap label="↵" />
          </button>
          <template v-if="chosen.state !== 'ahead'">
            <button type="button" class="control" @click="open(chosen, '/review')">
              Look back <KeyCap label="R" />
            </button>
            <button type="button" class="control" @click="open(chosen, '/report')">
              Report <KeyCap label="O" />
            </button>
          </template>
          <button
            v-if="beside.canCompare.value"
            type="button"
            class="control"
            @click="beside.open()"
          >
            Side by side <KeyCap label="C" />
          </button>
          <button
            v-if="draft.isDraft.value"
            type="button"
            class="control"
            :disabled="draft.isBusy.value"
            @click="draft.make()"
          >
            Make it a plan <KeyCap label="M" />
          </button>
          <button
            v-if="chosen.state !== 'behind'"
            type="button"
            class="control"
            @click="phase.open()"
          >
            Phase <KeyCap label="F" />
          </button>
          <button type="button" class="control" @click="planAhead.open()">
            Plan ahead <KeyCap label="Y" />
          </button>
          <button type="button" class="control control-strong" @click="next">
            Put the next behind it <KeyCap label="B" />
          </button>
        </div>
        <p role="status" class="basis-full text-right text-focus empty:hidden">
          {{ draft.said.value }}
        </p>
      </header>
      <p v-if="blocks.length === 0" class="mt-3 text-ink2">
        No block yet. Fill the split first; it is the first block.
      </p>
      <template v-else>
        <ScrollBox label="Blocks along the months" class="mt-4">
          <SeasonPlanks
            :blocks="blocks"
            :rows="rows"
            :girths="girths"
            :estimates="estimates"
            :events="events"
            :phases="phases"
            :at="at"
            :today="view.today"
            :concerns="concerns"
            :words-of="wordsOf"
            :course-words="courseWords"
            @chosen="place => (at = place)"
            @opened="chosen && open(chosen)"
          />
        </ScrollBox>
        <section
          v-if="answers.length > 0"
          aria-labelledby="answers-head"
          class="mt-4 max-w-[900px]"
        >
          <h2 id="answers-head" class="section-head">What the blocks say</h2>
          <p v-for="sentence in answers" :key="sentence">{{ sentence }}</p>
        </section>
        <SeasonDraft v-if="draft.isDraft.value && chosen" :title="chosen.title" :draft="draft" />
        <SeamPanel
          v-if="seam && chosen"
          :before="before"
          :after="chosen.title"
          :seam="seam"
          :at-seam="atSeam"
        />
        <p v-else class="mt-4 text-ink2">
          {{
            ahead.length === 0
              ? 'The first block has nothing before it. Put the next one behind it to see what it asks.'
              : 'The first block has nothing before it. Choose a later one to see its seam.'
          }}
        </p>
      </template>
    </main>
    <PlanAhead
      v-if="planAhead.isOpen.value"
      :plan="planAhead"
      @closed="planAhead.isOpen.value = false"
    />
    <PhaseDialog v-if="phase.entered.value && chosen" :title="chosen.title" :phase="phase" />
    <BlocksBeside
      v-if="beside.isOpen.value"
      :beside="beside"
      @closed="beside.isOpen.value = false"
    />
  </div>
</template>
