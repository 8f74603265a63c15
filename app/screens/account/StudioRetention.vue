<script setup lang="ts">
import {
  KEEP_ALL,
  type Retention,
  RETENTION_CHOICES,
  RetentionContract,
  RetentionView,
} from '#shared/contracts/retention'
import { dueWords, RETENTION_LINES } from './retentionWords'

/** What is erased by itself, with what that means today before it happens. */
const { ask } = useApi()
const { data: kept, refresh } = await useAsyncData('retention', async () => {
  const result = await ask('/api/account/retention', { answer: RetentionView })
  return result.ok ? result.value : null
})
const chosen = ref<Retention>({ ...(kept.value?.retention ?? KEEP_ALL) })
const { send, complaint, isBusy } = useSubmission({
  path: () => '/api/account/retention',
  method: 'PUT',
  body: RetentionContract,
  answer: RetentionView,
})
async function save(): Promise<void> {
  if (await send({ ...chosen.value })) await refresh()
}
</script>

<template>
  <form class="mt-10" novalidate aria-labelledby="keeping" @submit.prevent="save()">
    <h2 id="keeping" class="text-[14px] font-[650]">How long records are kept</h2>
    <p class="mt-1 max-w-[70ch] text-ink2">
      Kept until you erase them, unless you say otherwise here. What is erased by a rule cannot be
      brought back; a rule is followed a day after it was set.
    </p>
    <div class="mt-3 grid max-w-[640px] gap-2">
      <label
        v-for="{ name, label, words } in RETENTION_LINES"
        :key="name"
        class="grid items-center gap-x-4 sm:grid-cols-2"
      >
        <span>{{ label }}</span>
        <select v-model="chosen[name]" class="small-field">
          <option v-for="choice in RETENTION_CHOICES[name]" :key="String(choice)" :value="choice">
            {{ words(choice) }}
          </option>
        </select>
      </label>
    </div>
    <p role="status" class="mt-2 min-h-6 max-w-[70ch]">
      <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      <span v-else-if="kept">{{ dueWords(kept) }}</span>
    </p>
    <button type="submit" class="control" :disabled="isBusy">Save the rules</button>
  </form>
</template>
