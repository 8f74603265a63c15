<script setup lang="ts">
import { recoverySaid } from './logWords'

/** How a session ended: minutes, recovered, a note. Saving it closes the session. */
const { finish, isBusy, tooEarly } = defineProps<{
  finish: {
    readonly minutes: number | null
    readonly isRecovered: boolean | null
    readonly recovery: number | null
    readonly note: string
  } | null
  isBusy: boolean
  /** Why it cannot be closed yet; empty where it can. */
  tooEarly: string
}>()
const emit = defineEmits<{
  finished: [
    word: { minutes: number | null; isRecovered: boolean | null; recovery?: number; note: string },
  ]
}>()
const minutes = ref<number | ''>('')
/** 0 to 10; what was said as yes or no stays so until a number is chosen. */
const recovered = ref<string>('')
const RATINGS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10] as const
const note = ref('')
// Read anew only where what is held is another: what is being typed outlasts the saving of a set.
watch(
  () => JSON.stringify(finish),
  () => {
    const held = finish
    minutes.value = held?.minutes ?? ''
    const yesNo = held?.isRecovered === null || held === null ? '' : held.isRecovered ? 'yes' : 'no'
    recovered.value = held?.recovery === null || held === null ? yesNo : String(held.recovery)
    note.value = held?.note ?? ''
  },
  { immediate: true },
)
function said(): { isRecovered: boolean | null; recovery?: number } {
  if (recovered.value === 'yes' || recovered.value === 'no')
    return { isRecovered: recovered.value === 'yes' }
  return recoverySaid(recovered.value === '' ? null : Number(recovered.value))
}
</script>

<template>
  <p v-if="tooEarly" class="mt-4 border-t border-hair pt-3 text-ink2">{{ tooEarly }}</p>
  <form
    v-else
    class="mt-4 flex flex-wrap items-end gap-4 border-t border-hair pt-3"
    @submit.prevent="
      emit('finished', {
        minutes: minutes === '' ? null : minutes,
        ...said(),
        note,
      })
    "
  >
    <label class="flex flex-col gap-1"
      >Minutes<input
        v-model="minutes"
        type="number"
        v-bind="LIMITS.loggedMinutes"
        class="small-field w-[80px]"
    /></label>
    <label class="flex flex-col gap-1"
      >Recovered at the start
      <select v-model="recovered" class="small-field">
        <option value="">not said</option>
        <option v-for="value in RATINGS" :key="value" :value="String(value)">
          {{ value }}{{ value === 0 ? ', not at all' : value === 10 ? ', fully' : '' }}
        </option>
        <option v-if="finish && finish.recovery === null" value="yes">yes</option>
        <option v-if="finish && finish.recovery === null" value="no">no</option>
      </select>
    </label>
    <label class="flex min-w-[260px] flex-1 flex-col gap-1"
      >Note<input
        v-model="note"
        class="small-field"
        :maxlength="LIMITS.longText"
        autocomplete="off"
    /></label>
    <button
      type="submit"
      class="control"
      :class="finish ? '' : 'control-strong'"
      :disabled="isBusy"
    >
      {{ finish ? 'Save the end' : 'Close the session' }}
    </button>
  </form>
</template>
