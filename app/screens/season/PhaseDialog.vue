<script setup lang="ts">
import type { FirstChoice } from '#core/follow/season'
import type { PhaseKind } from '#core/plan/method'
import { FIRST_WORDS, PHASE_NAMES } from '#core/words'
import type { usePhase } from './usePhase'

/** What a stretch of training is for, and what of the arm work follows it. */
const { title, phase } = defineProps<{ title: string; phase: ReturnType<typeof usePhase> }>()
const { entered, change, keep, close, problem, isBusy } = phase
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <PanelDialog :title="`Phase of ${title}`" :width="560" @closed="close()">
    <form v-if="entered" class="mt-2" novalidate @submit.prevent="keep()">
      <p class="text-ink2">
        Blocks in a row with the same phase are one stretch. What you ask for here holds in this
        block alone, over the client’s targets.
      </p>
      <div class="mt-3 flex flex-wrap items-end gap-4">
        <label
          >Phase
          <select
            class="small-field block"
            data-first
            :value="entered.kind"
            @change="change({ kind: textOf($event) as PhaseKind | '' })"
          >
            <option value="">none</option>
            <option v-for="(name, kind) in PHASE_NAMES" :key="kind" :value="kind">
              {{ name }}
            </option>
          </select></label
        >
        <template v-if="entered.kind !== ''">
          <label class="min-w-40 flex-1"
            >What it leads to
            <input
              class="small-field block w-full"
              dir="auto"
              :maxlength="LIMITS.title"
              :value="entered.what"
              @input="change({ what: textOf($event) })"
          /></label>
          <DateField
            :model-value="entered.on"
            label="On, or the end of the block"
            is-stacked
            @update:model-value="on => change({ on })"
          />
        </template>
      </div>
      <fieldset v-if="entered.kind !== ''" class="mt-3 flex flex-wrap items-end gap-4">
        <legend class="font-semibold">What follows it</legend>
        <label
          >Arms at least every
          <span class="block"
            ><input
              class="small-field w-14"
              inputmode="numeric"
              placeholder="usual"
              :value="entered.armsEvery"
              @input="change({ armsEvery: textOf($event) })"
            />
            days</span
          ></label
        >
        <label
          >Arm sets
          <span class="block"
            ><input
              class="small-field w-14"
              inputmode="numeric"
              placeholder="100"
              :value="entered.volume"
              @input="change({ volume: textOf($event) })"
            />
            % of the usual</span
          ></label
        >
        <label
          >What comes first
          <select
            class="small-field block"
            :value="entered.first"
            @change="change({ first: textOf($event) as FirstChoice })"
          >
            <option v-for="(words, choice) in FIRST_WORDS" :key="choice" :value="choice">
              {{ words }}
            </option>
          </select></label
        >
      </fieldset>
      <p role="alert" class="mt-2 min-h-5 text-alert">{{ problem }}</p>
      <button type="submit" class="control control-strong" :disabled="isBusy">Keep it</button>
    </form>
  </PanelDialog>
</template>
