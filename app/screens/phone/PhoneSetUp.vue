<script setup lang="ts">
import type { SheetMovement } from '#core/follow/sheet'
import type { SetUp } from '#core/plan/scheme'
import { setUpFields, setUpSummary, setUpTyped, type SetUpTexts } from './phoneSetUp'

/** How the station is set up: what was said last, and fields to say it for next time. */
const { movement, today } = defineProps<{
  movement: SheetMovement
  /** What was said of it today already. */
  today: SetUp | undefined
}>()
const emit = defineEmits<{ said: [setUp: SetUp] }>()
const typed = ref<SetUpTexts>({})
const complaint = ref('')
const rows = computed(() => setUpFields(movement, today))
const summary = computed(() => setUpSummary(movement, today))
watch(rows, () => (typed.value = {}), { immediate: true })

function say(): void {
  const read = setUpTyped(rows.value, typed.value)
  complaint.value = read.complaint
  if (read.complaint === '') emit('said', read.setUp)
}
</script>

<template>
  <details v-if="rows.length > 0" class="border-t border-hair pt-1 text-[15px]">
    <summary class="flex min-h-[44px] cursor-pointer items-center gap-2 font-semibold">
      Set-up <span class="font-normal text-ink2">{{ summary }}</span>
    </summary>
    <form class="flex flex-col gap-2 pb-2" @submit.prevent="say">
      <div class="grid grid-cols-2 gap-2">
        <label v-for="row in rows" :key="row.field" class="flex flex-col gap-1 text-[14px]">
          {{ row.name }}
          <input
            class="min-h-[44px] w-full rounded-lg border border-edge bg-paper px-3 text-[16px]"
            autocomplete="off"
            autocapitalize="off"
            maxlength="20"
            :value="typed[row.field] ?? row.value"
            :placeholder="row.example"
            @input="typed = { ...typed, [row.field]: ($event.target as HTMLInputElement).value }"
          />
        </label>
      </div>
      <p v-if="complaint" role="alert" class="font-semibold text-alert">{{ complaint }}</p>
      <button type="submit" class="phone-control">Keep for next time</button>
    </form>
  </details>
</template>
