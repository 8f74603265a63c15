<script setup lang="ts">
import type { Stations } from '#core/follow/floor'
import { useStations } from './useStations'

/** What the studio has few of, in one line. */
const { saved } = defineProps<{ saved: Stations }>()
const emit = defineEmits<{ saved: [] }>()
const { typed, complaint, message, isBusy, save } = useStations(
  () => saved,
  () => emit('saved'),
)
</script>

<template>
  <form class="mt-8 max-w-[720px]" novalidate @submit.prevent="save()">
    <label for="stations" class="text-[14px] font-[650]">Stations of the studio</label>
    <p id="stations-hint" class="mt-1 text-ink2">
      What there are few of, with how many: cable tower 2, preacher bench 1, rack 2. What is not
      named is plenty, and nobody waits for it.
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <input
        id="stations"
        v-model="typed"
        type="text"
        dir="auto"
        class="small-field min-w-0 flex-1"
        :maxlength="LIMITS.shortText"
        :aria-invalid="complaint !== '' || undefined"
        aria-describedby="stations-hint stations-said"
        autocomplete="off"
      />
      <button type="submit" class="control" :disabled="isBusy">Save the stations</button>
    </p>
    <p id="stations-said" role="status" class="mt-1 min-h-6">
      <span v-if="complaint" class="text-alert">{{ complaint }}</span>
      <span v-else>{{ message }}</span>
    </p>
  </form>
</template>
