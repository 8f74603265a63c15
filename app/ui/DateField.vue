<script setup lang="ts">
import { CalendarDays } from 'lucide-vue-next'
import { useDayField } from './useDayField'

/** A day, typed as the reader has dates written or chosen in the calendar; what cannot be read stays to be put right. */
const {
  label,
  isStacked = false,
  isLazy = false,
} = defineProps<{
  label: string
  /** The label stands above the field. */
  isStacked?: boolean
  /** It is taken once it is typed to the end, where each change counts. */
  isLazy?: boolean
}>()
const field = useTemplateRef<HTMLInputElement>('field')
const DayChooser = defineAsyncComponent(() => import('./DayChooser.vue'))
const model = defineModel<string>({ required: true })
const id = useId()
const { text, complaint, isOpen, readOn, commit, step, chosen } = useDayField(model, {
  isLazy: () => isLazy,
  back: () => field.value?.focus(),
})
</script>

<template>
  <div :class="isStacked ? '' : 'inline-flex flex-wrap items-baseline gap-1'">
    <label :id="`${id}-label`" :for="id" :class="isStacked && 'block'">{{ label }}</label>
    <span class="relative inline-flex items-center">
      <input
        :id="id"
        ref="field"
        v-model="text"
        type="text"
        class="small-field w-[148px]"
        autocomplete="off"
        :aria-invalid="complaint !== ''"
        :aria-describedby="complaint ? `${id}-words` : undefined"
        @input="readOn"
        @change="commit"
        @blur="commit"
        @keydown.up.prevent="step(1)"
        @keydown.down.exact.prevent="step(-1)"
        @keydown.alt.down.prevent="isOpen = true"
      />
      <button
        type="button"
        class="-ml-7 grid size-6 place-items-center rounded text-ink2"
        aria-label="Choose a day"
        :aria-describedby="`${id}-label`"
        title="Choose a day (Alt ↓ in the field)"
        :aria-expanded="isOpen"
        @click="isOpen = !isOpen"
      >
        <CalendarDays :size="15" aria-hidden="true" />
      </button>
      <DayChooser
        v-if="isOpen"
        :day="model"
        :label="label"
        @chosen="chosen"
        @closed="isOpen = false"
      />
    </span>
    <span v-if="complaint" :id="`${id}-words`" role="alert" class="alert-chip block basis-full">{{
      complaint
    }}</span>
  </div>
</template>
