<script setup lang="ts">
import { EQUIPMENT_NAMES, GROUP_NAMES, JOINT_NAMES } from '#core/words'
import type { Equipment, Exercise, Group, Joint } from '#core/plan/catalogue'

/** An exercise of the coach's own, begun as a copy of one that is known. */
const { draft, groups, joints, equipment, patterns, errors, complaint, complaintAbout, isNew } =
  defineProps<{
    draft: Exercise
    groups: readonly Group[]
    joints: readonly Joint[]
    equipment: readonly Equipment[]
    patterns: readonly Exercise['pattern'][]
    errors: readonly { readonly detail: string }[]
    complaint: string
    complaintAbout: (pointer: string, label: string) => string
    isNew: boolean
  }>()
const emit = defineEmits<{
  put: [part: Partial<Exercise>]
  purpose: [part: Partial<Exercise['intents'][number]>]
  credit: [group: Group, credit: number]
  stress: [joint: Joint, stress: 0 | 1 | 2 | 3]
  saved: []
  cancelled: []
}>()
/** Fields without room for words of their own, told under them. */
const FIELDS = [
  ['/repRange', 'Reps'],
  ['/restSeconds', 'Rest'],
  ['/setupSeconds', 'Set-up'],
  ['/loadStepKg', 'Load step'],
  ['/equipment', 'Equipment'],
] as const
const told = computed(() =>
  FIELDS.map(([pointer, label]) => complaintAbout(pointer, label)).filter(words => words !== ''),
)
const STEPS = [0, 0.25, 0.5, 0.75, 1] as const
const STRESS = [
  [0, 'none'],
  [1, 'low'],
  [2, 'medium'],
  [3, 'high'],
] as const
const first = computed(() => draft.intents[0])
useLeaveWarning(() => draft)
const textOf = (event: Event) => (event.target as HTMLInputElement).value
const numberOf = (event: Event) => Number(textOf(event))
function toggle(piece: Equipment): void {
  emit('put', {
    equipment: draft.equipment.includes(piece)
      ? draft.equipment.filter(other => other !== piece)
      : [...draft.equipment, piece],
  })
}
</script>

<template>
  <form class="flex flex-col gap-4" novalidate @submit.prevent="emit('saved')">
    <h2 class="font-display text-[20px] leading-6 font-semibold">
      {{ isNew ? 'An exercise of your own' : 'Edit your exercise' }}
    </h2>
    <div class="grid grid-cols-[2fr_1fr_1fr] gap-3">
      <TextField
        :model-value="draft.name"
        label="Name"
        :complaint="complaintAbout('/name', 'Name')"
        @update:model-value="name => emit('put', { name })"
      />
      <label class="font-semibold"
        >Movement
        <select
          class="field mt-1 font-normal"
          :value="draft.pattern"
          @change="emit('put', { pattern: textOf($event) as Exercise['pattern'] })"
        >
          <option v-for="pattern in patterns" :key="pattern" :value="pattern">
            {{ pattern.replaceAll('_', ' ') }}
          </option>
        </select></label
      >
      <label class="font-semibold"
        >Joints
        <select
          class="field mt-1 font-normal"
          :value="draft.kind"
          @change="emit('put', { kind: textOf($event) as Exercise['kind'] })"
        >
          <option value="compound">compound</option>
          <option value="isolation">single-joint</option>
        </select></label
      >
    </div>
    <div class="flex flex-wrap gap-x-4 gap-y-2">
      <label
        >reps
        <input
          type="number"
          min="1"
          class="small-field w-[56px]"
          aria-label="Fewest reps"
          :value="draft.repRange[0]"
          :aria-invalid="complaintAbout('/repRange', '') !== ''"
          @input="emit('put', { repRange: [numberOf($event), draft.repRange[1]] })" />
        to
        <input
          type="number"
          min="1"
          class="small-field w-[56px]"
          aria-label="Most reps"
          :value="draft.repRange[1]"
          @input="emit('put', { repRange: [draft.repRange[0], numberOf($event)] })"
      /></label>
      <label
        >rest, s
        <input
          type="number"
          min="0"
          class="small-field w-[64px]"
          :value="draft.restSeconds"
          :aria-invalid="complaintAbout('/restSeconds', '') !== ''"
          @input="emit('put', { restSeconds: numberOf($event) })"
      /></label>
      <label
        >set-up, s
        <input
          type="number"
          min="0"
          class="small-field w-[64px]"
          :value="draft.setupSeconds"
          :aria-invalid="complaintAbout('/setupSeconds', '') !== ''"
          @input="emit('put', { setupSeconds: numberOf($event) })"
      /></label>
      <label
        >load step, kg
        <input
          type="number"
          min="0"
          step="0.25"
          class="small-field w-[64px]"
          :value="draft.loadStepKg"
          :aria-invalid="complaintAbout('/loadStepKg', '') !== ''"
          @input="emit('put', { loadStepKg: numberOf($event) })"
      /></label>
      <label
        >hardest at
        <select
          class="small-field"
          :value="first.lengthBias"
          @change="emit('purpose', { lengthBias: textOf($event) as typeof first.lengthBias })"
        >
          <option value="lengthened">long length</option>
          <option value="mid">the middle</option>
          <option value="shortened">short length</option>
        </select></label
      >
    </div>
    <fieldset>
      <legend class="font-semibold">Equipment</legend>
      <div class="flex flex-wrap gap-x-4">
        <label v-for="piece in equipment" :key="piece" class="flex items-center gap-1"
          ><input
            type="checkbox"
            :checked="draft.equipment.includes(piece)"
            @change="toggle(piece)"
          />
          {{ EQUIPMENT_NAMES[piece] }}</label
        >
      </div>
    </fieldset>
    <ul v-if="told.length > 0" aria-label="What to put right">
      <li v-for="words in told" :key="words" class="alert-chip">{{ words }}</li>
    </ul>
    <label class="font-semibold"
      >Cue
      <input
        class="field mt-1 font-normal"
        :value="first.how"
        @input="emit('purpose', { how: textOf($event) })"
    /></label>
    <div class="grid grid-cols-2 gap-6">
      <fieldset>
        <legend class="font-semibold">Credits per set</legend>
        <p v-if="complaintAbout('/intents', 'The credits')" class="alert-chip">
          {{ complaintAbout('/intents', 'The credits') }}
        </p>
        <label
          v-for="group in groups"
          :key="group"
          class="flex items-center justify-between gap-3 py-px"
          ><span>{{ GROUP_NAMES[group] }}</span>
          <select
            class="small-field"
            :aria-label="`Credit, ${GROUP_NAMES[group]}`"
            :value="first.credits[group] ?? 0"
            @change="emit('credit', group, numberOf($event))"
          >
            <option v-for="step in STEPS" :key="step" :value="step">
              {{ step === 0 ? '–' : step === 1 ? 'direct' : step }}
            </option>
          </select></label
        >
      </fieldset>
      <fieldset>
        <legend class="font-semibold">Joint stress</legend>
        <label
          v-for="joint in joints"
          :key="joint"
          class="flex items-center justify-between gap-3 py-px"
          ><span>{{ JOINT_NAMES[joint] }}</span>
          <select
            class="small-field"
            :value="first.jointStress[joint]"
            @change="emit('stress', joint, numberOf($event) as 0 | 1 | 2 | 3)"
          >
            <option v-for="[value, words] in STRESS" :key="value" :value="value">
              {{ words }}
            </option>
          </select></label
        >
      </fieldset>
    </div>
    <div class="flex items-center gap-3">
      <button type="submit" class="control control-strong h-9 px-5">Save the exercise</button>
      <button type="button" class="control h-9" @click="emit('cancelled')">Cancel</button>
      <p role="alert">
        <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
        <span v-else-if="errors.length > 0" class="alert-chip">{{ errors[0]?.detail }}</span>
      </p>
    </div>
  </form>
</template>
