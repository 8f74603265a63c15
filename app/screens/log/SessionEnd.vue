<script setup lang="ts">
/** How a session ended: minutes, recovered, a note. Saving it closes the session. */
const { finish, isBusy, tooEarly } = defineProps<{
  finish: {
    readonly minutes: number | null
    readonly isRecovered: boolean | null
    readonly note: string
  } | null
  isBusy: boolean
  /** Why it cannot be closed yet; empty where it can. */
  tooEarly: string
}>()
const emit = defineEmits<{
  finished: [word: { minutes: number | null; isRecovered: boolean | null; note: string }]
}>()
const minutes = ref<number | ''>('')
const recovered = ref<'yes' | 'no' | ''>('')
const note = ref('')
watch(
  () => finish,
  held => {
    minutes.value = held?.minutes ?? ''
    recovered.value =
      held?.isRecovered === null || held === null ? '' : held.isRecovered ? 'yes' : 'no'
    note.value = held?.note ?? ''
  },
  { immediate: true },
)
</script>

<template>
  <p v-if="tooEarly" class="mt-4 border-t border-hair pt-3 text-ink2">{{ tooEarly }}</p>
  <form
    v-else
    class="mt-4 flex flex-wrap items-end gap-4 border-t border-hair pt-3"
    @submit.prevent="
      emit('finished', {
        minutes: minutes === '' ? null : minutes,
        isRecovered: recovered === '' ? null : recovered === 'yes',
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
        <option value="yes">yes</option>
        <option value="no">no</option>
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
