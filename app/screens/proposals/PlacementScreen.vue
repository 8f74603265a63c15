<script setup lang="ts">
import { asTaken, GROUP_NAMES } from '#core/words'
import { OTHER_GROUPS } from './useProposals'
import { useDebounceFn } from '@vueuse/core'

/** Where the open sets of a rotation go: the plan as it stands beside the ways to place them. */
const { id } = defineProps<{ id: string }>()
const store = usePlanStore()
const { isTakenUp } = useAutosave()
const {
  scope,
  others,
  toggleOther,
  tryOnBoard,
  state,
  progress,
  proposals,
  chosen,
  message,
  columns,
  nowColumn,
  proof,
  concerns,
  notes,
  whyNot,
  isOld,
  draws,
  draw,
  cancel,
  use,
} = useProposals()
watch(isTakenUp, isIn => isIn && state.value === 'idle' && void draw(), { immediate: true })
// Several muscles chosen in a row are one question.
const drawSoon = useDebounceFn(draw, 600)
watch(scope, () => void draw())
watch(others, () => void drawSoon())

const rest = computed(() => store.plan?.rotation.days.map(({ role }) => role === 'rest') ?? [])
const rails = computed(() => nowColumn.value?.rails ?? [])

const about = computed(() => {
  const taken = asTaken(store.context?.client.times, store.client?.name ?? '')
  const parts = [store.client?.name, store.plan?.title, 'drawn from the plan as it stands']
  return `${parts.join(' · ')}, nothing changed yet${taken ? `, minutes ${taken}` : ''}`
})
</script>

<template>
  <DrawingFrame
    :id="id"
    v-model="chosen"
    :is-ready="isTakenUp"
    :state="state"
    :progress="progress"
    :letters="columns.map(({ letter }) => letter)"
    :use="use"
    :try-on-board="tryOnBoard"
    :draw="draw"
    :cancel="cancel"
    :data-draws="draws"
  >
    <template #head>
      <div class="flex flex-wrap items-start gap-x-8 gap-y-2 pt-3">
        <div class="min-w-[280px] flex-1">
          <h1 class="font-display text-[23px] leading-[27px]">Ways to place the sets</h1>
          <p class="text-ink2">{{ about }}</p>
        </div>
        <WhatMayMove v-model="scope" />
      </div>
      <fieldset v-if="scope === 'chosen'" class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        <legend class="sr-only">Muscles that may move beside the arms</legend>
        <label v-for="group in OTHER_GROUPS" :key="group" class="flex items-center gap-1.5"
          ><input type="checkbox" :checked="others.includes(group)" @change="toggleOther(group)" />
          {{ GROUP_NAMES[group] }}</label
        >
      </fieldset>
    </template>
    <template #message>
      <span v-if="isOld" class="alert-chip"
        >The plan has changed since these were drawn. Draw again.</span
      >
      <span v-else>{{ message || proof }}</span>
    </template>
    <PlacementNotes :concerns="concerns" v-bind="notes" />
    <ScrollBox v-if="nowColumn" label="Ways side by side" class="mt-2"
      ><div
        class="proposal-columns"
        :style="{ gridTemplateColumns: `120px repeat(${columns.length + 1}, minmax(180px, 1fr))` }"
      >
        <div class="proposal-names">
          <p class="head" />
          <p
            v-for="rail in rails"
            :key="rail.group"
            class="rail-name"
            :style="{ color: `var(--${rail.family})` }"
          >
            {{ GROUP_NAMES[rail.group as 'biceps'].split(' ')[0] }}
          </p>
          <div class="measures" aria-hidden="true">
            <p>Lowest readiness</p>
            <p>Elbow peak</p>
            <p>Sets and time</p>
            <p>Checks</p>
          </div>
        </div>
        <section aria-label="Now" class="proposal now">
          <div class="head">
            <h2>Now</h2>
            <p>The plan as it stands</p>
          </div>
          <ColumnStacks
            v-for="rail in nowColumn.rails"
            :key="rail.group"
            :rail="rail"
            :rest="rest"
          />
          <div class="measures">
            <ColumnFigures
              :readiness="nowColumn.readiness"
              :elbow="nowColumn.elbow"
              :minutes="nowColumn.minutes"
              :sets="nowColumn.sets"
              :open="nowColumn.open"
            />
          </div>
        </section>
        <section
          v-for="(column, at) in columns"
          :key="column.letter"
          :aria-label="`${column.letter}, ${column.name}`"
          class="proposal"
          :data-current="chosen === at || undefined"
          @click="chosen = at"
        >
          <div class="head">
            <h2>
              <span class="letter">{{ column.letter }}</span> {{ column.name }}
            </h2>
            <p>{{ column.idea }}</p>
            <span class="mt-1 flex flex-wrap gap-2"
              ><button
                type="button"
                class="control control-strong"
                :disabled="column.changes.length === 0 || isOld"
                @click.stop="use(at)"
              >
                Use {{ column.letter }} <KeyCap :label="column.letter" /></button
              ><button
                type="button"
                class="control"
                :disabled="column.changes.length === 0 || isOld"
                @click.stop="tryOnBoard(at)"
              >
                Try on the board
              </button></span
            >
          </div>
          <ColumnStacks v-for="rail in column.rails" :key="rail.group" :rail="rail" :rest="rest" />
          <div class="measures">
            <ColumnFigures
              v-if="column.figures"
              :readiness="column.figures.readiness"
              :elbow="column.figures.elbow"
              :minutes="column.figures.minutes"
              :sets="column.figures.sets"
              :open="column.figures.open"
            />
          </div>
          <ProposalChanges
            :changes="column.changes"
            :surety="column.surety"
            :misses="column.misses"
            :binding="column.binding"
          />
        </section></div
    ></ScrollBox>
    <WhyNotMore v-if="whyNot.wants.length > 0" v-bind="whyNot" />
    <OtherTerms v-if="proposals" :id="id" />
  </DrawingFrame>
</template>

<style scoped src="./columns.css"></style>
