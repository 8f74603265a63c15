<script setup lang="ts">
import type { FloorView } from '#shared/contracts/floor'
import { useStudioFloor } from './useStudioFloor'

/** What the studio has few of, when it is open and who helps. */
const { saved } = defineProps<{ saved: Pick<FloorView, 'stations' | 'house'> }>()
const emit = defineEmits<{ saved: [] }>()
const { typed, complaints, complaint, message, isBusy, save, outages } = useStudioFloor(
  () => saved,
  () => emit('saved'),
)
</script>

<template>
  <form class="mt-8 max-w-[720px]" novalidate aria-labelledby="studio" @submit.prevent="save()">
    <h2 id="studio" class="text-[14px] font-[650]">The studio</h2>
    <TextField
      v-model="typed.stations"
      label="Stations"
      hint="What there are few of, with how many: cable tower 2, preacher bench 1, rack 2. What is not named is plenty, and nobody waits for it."
      :complaint="complaints.stations"
    />
    <div class="grid gap-x-4 sm:grid-cols-3">
      <TextField
        v-model="typed.opens"
        label="Opens"
        hint="Such as 06:00; empty for always."
        :complaint="complaints.opens"
      />
      <TextField
        v-model="typed.closes"
        label="Closes"
        hint="Such as 21:30."
        :complaint="complaints.closes"
      />
      <TextField
        v-model="typed.coaches"
        label="Coaches on the floor"
        hint="At a time."
        :complaint="complaints.coaches"
      />
    </div>
    <TextField
      v-model="typed.closed"
      label="Closed on"
      hint="Days with semicolons between them: 24 Dec 2026; 31 Dec 2026 to 2 Jan 2027."
      :complaint="complaints.closed"
    />
    <ul v-if="outages.length > 0" aria-label="Out of use" class="mt-1">
      <li v-for="{ words, end } in outages" :key="words" class="flex flex-wrap items-center gap-2">
        <span>{{ words }}</span>
        <button type="button" class="control" :disabled="isBusy" @click="end()">Back in use</button>
      </li>
    </ul>
    <p class="text-[12.5px] text-ink2">
      Something broken, or you away?
      <NuxtLink to="/what-if" class="underline">What if, for everybody</NuxtLink> shows first what
      it does.
    </p>
    <p class="mt-2 flex flex-wrap items-center gap-3">
      <button type="submit" class="control control-strong" :disabled="isBusy">
        Save the studio
      </button>
      <span role="status">{{ message }}</span>
      <span v-if="complaint" role="alert" class="alert-chip">{{ complaint }}</span>
    </p>
  </form>
</template>
