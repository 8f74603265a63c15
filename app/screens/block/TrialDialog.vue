<script setup lang="ts">
import { GROUP_NAMES } from '#core/words'
import { useBlockState } from './blockContext'

/** Something to try out, and for how long: no verdict on it before. */
const { isTrying, begin, proposedTrial, trialLimits } = useBlockState()
const { what, from, weeks, groups } = proposedTrial.value
const entered = reactive({ what, from, weeks, groups: [...groups] })
const problem = ref('')
const submit = () => (problem.value = begin(entered) ?? '')
</script>

<template>
  <PanelDialog title="Try something out" :width="620" @closed="isTrying = false">
    <form class="mt-3" novalidate @submit.prevent="submit()">
      <p class="text-ink2">
        A trial has a length. Until it is over strength is not judged for its muscles; recovery,
        joints and ceilings are. Then the review tells what came of it.
      </p>
      <div class="mt-3 flex flex-wrap items-end gap-4">
        <label class="min-w-56 flex-1"
          >What
          <input
            v-model="entered.what"
            data-first
            type="text"
            class="small-field block w-full"
            dir="auto"
            :maxlength="LIMITS.shortText"
            placeholder="An arm day on Saturdays"
        /></label>
        <DateField v-model="entered.from" label="From" is-stacked />
        <label
          >Weeks
          <input
            v-model.number="entered.weeks"
            type="number"
            :min="trialLimits.weeks.least"
            :max="trialLimits.weeks.most"
            class="small-field block w-20"
        /></label>
      </div>
      <fieldset class="mt-3">
        <legend class="font-semibold">Muscles it is about</legend>
        <div class="grid grid-cols-4 gap-x-4 gap-y-1">
          <label v-for="group in trialLimits.groups" :key="group"
            ><input v-model="entered.groups" type="checkbox" :value="group" />
            {{ GROUP_NAMES[group] }}</label
          >
        </div>
      </fieldset>
      <p role="alert" class="mt-2 min-h-5 text-alert">{{ problem }}</p>
      <button type="submit" class="control control-strong">
        Begin the trial <KeyCap label="Enter" />
      </button>
    </form>
  </PanelDialog>
</template>
