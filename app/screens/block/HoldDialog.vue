<script setup lang="ts">
import { GROUP_NAMES, MODE_NAMES } from '#core/words'
import { useBlockState } from './blockContext'

/** Sets, reps and what is wanted of the muscle in hand, from the rotation in hand on, with a note. */
const { at, group, isHolding, hold, holdLimits, proposedHold } = useBlockState()
const entered = reactive({ ...proposedHold.value })
const problem = ref('')
const submit = () => (problem.value = hold(entered) ?? '')
</script>

<template>
  <PanelDialog
    :title="`${GROUP_NAMES[group]} from rotation ${at + 1} on`"
    :width="560"
    @closed="isHolding = false"
  >
    <form class="mt-3" novalidate @submit.prevent="submit()">
      <p class="text-ink2">
        Holds to the end of the block, or until you end it. The rotations before stay as they are.
      </p>
      <div class="mt-3 flex flex-wrap items-end gap-4">
        <label
          >Sets, more or fewer
          <input
            v-model.number="entered.sets"
            data-first
            type="number"
            :min="-holdLimits.sets"
            :max="holdLimits.sets"
            class="small-field block w-24"
        /></label>
        <label
          >Reps, more or fewer
          <input
            v-model.number="entered.reps"
            type="number"
            :min="-holdLimits.reps"
            :max="holdLimits.reps"
            class="small-field block w-24"
        /></label>
        <label
          >What you want of it
          <select v-model="entered.mode" class="small-field block">
            <option v-for="mode in holdLimits.modes" :key="mode" :value="mode">
              {{ MODE_NAMES[mode] }}
            </option>
          </select></label
        >
      </div>
      <label class="mt-3 block"
        >Why
        <input
          v-model="entered.why"
          type="text"
          class="small-field block w-full"
          dir="auto"
          :maxlength="LIMITS.shortText"
          placeholder="Elbows want lighter weights"
      /></label>
      <p role="alert" class="mt-2 min-h-5 text-alert">{{ problem }}</p>
      <button type="submit" class="control control-strong">
        Let it hold <KeyCap label="Enter" />
      </button>
    </form>
  </PanelDialog>
</template>
