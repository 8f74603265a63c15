<script setup lang="ts">
import type { LogWord, Levels, PainPlace } from '#core/follow/sheet'
import { ALARM_SIGNS, EMERGENCY_WORDS, PAIN_PLACES, PAIN_WORDS, worseLevel } from './phonePain'

/** "This hurts": where, how much, and signs that stop work whatever the number. What follows is said at once. */
const { levels } = defineProps<{ levels: Levels }>()
const emit = defineEmits<{ closed: []; reported: [word: Extract<LogWord, { kind: 'pain' }>] }>()
const place = ref<PainPlace | null>(null)
const side = ref<'left' | 'right' | 'both' | null>(null)
const score = ref<number | null>(null)
const signs = ref<readonly string[]>([])
const isReported = ref(false)
const chosen = computed(() => PAIN_PLACES.find(({ id }) => id === place.value))
const joints = computed(() => chosen.value?.joints ?? [])
const hasSide = computed(() => chosen.value?.hasSides ?? true)
const isComplete = computed(
  () =>
    place.value !== null &&
    (side.value !== null || !hasSide.value) &&
    (score.value !== null || signs.value.length > 0),
)
const answer = computed(() =>
  joints.value
    .map(joint => worseLevel(levels[joint]?.left ?? 'none', levels[joint]?.right ?? 'none'))
    .reduce(worseLevel, 'none'),
)

function tell(): void {
  emit('reported', {
    kind: 'pain',
    joints: joints.value,
    side: hasSide.value ? (side.value ?? 'both') : 'both',
    score: score.value ?? 0,
    hasAlarmSign: signs.value.length > 0,
  })
  isReported.value = true
}
function toggle(sign: string): void {
  signs.value = signs.value.includes(sign)
    ? signs.value.filter(held => held !== sign)
    : [...signs.value, sign]
}
</script>

<template>
  <PhoneDialog title="What hurts?" @closed="emit('closed')">
    <div v-if="isReported" class="flex flex-col gap-4 text-[17px]" role="status">
      <p
        class="font-semibold"
        :class="answer === 'stop' ? 'rounded-lg bg-alert-wash p-3 text-alert' : ''"
      >
        {{ PAIN_WORDS[answer] || 'Noted. Your coach will see it.' }}
      </p>
      <p class="text-[15px] text-ink2">Your coach sees this first thing. {{ EMERGENCY_WORDS }}</p>
      <form method="dialog">
        <button class="phone-log w-full">Back to the session</button>
      </form>
    </div>
    <template v-else>
      <fieldset>
        <legend class="phone-legend">Where</legend>
        <div class="grid grid-cols-2 gap-2">
          <label v-for="option in PAIN_PLACES" :key="option.id" class="phone-choice"
            ><input
              v-model="place"
              type="radio"
              name="place"
              :value="option.id"
              class="sr-only"
            />{{ option.words }}</label
          >
        </div>
      </fieldset>
      <fieldset v-if="hasSide">
        <legend class="phone-legend">Which side</legend>
        <div class="grid grid-cols-3 gap-2">
          <label
            v-for="option in ['left', 'right', 'both'] as const"
            :key="option"
            class="phone-choice"
            ><input v-model="side" type="radio" name="side" :value="option" class="sr-only" />{{
              option === 'both' ? 'Both' : option === 'left' ? 'Left' : 'Right'
            }}</label
          >
        </div>
      </fieldset>
      <fieldset>
        <legend class="phone-legend">How much, from 0 (nothing) to 10 (as bad as can be)</legend>
        <div class="grid grid-cols-6 gap-2">
          <label v-for="value in 11" :key="value" class="phone-choice"
            ><input
              v-model="score"
              type="radio"
              name="score"
              :value="value - 1"
              class="sr-only"
            />{{ value - 1 }}</label
          >
        </div>
      </fieldset>
      <fieldset>
        <legend class="phone-legend">Any of these?</legend>
        <label
          v-for="sign in ALARM_SIGNS"
          :key="sign"
          class="flex min-h-[44px] items-center gap-3 text-[16px]"
          ><input
            type="checkbox"
            class="size-5"
            :checked="signs.includes(sign)"
            @change="toggle(sign)"
          />{{ sign }}</label
        >
      </fieldset>
      <p class="rounded-lg bg-alert-wash p-3 text-[15px] font-semibold text-alert">
        {{ EMERGENCY_WORDS }}
      </p>
      <button type="button" class="phone-log" :disabled="!isComplete" @click="tell">
        {{ isComplete ? 'Tell my coach' : 'Choose where, side and how much' }}
      </button>
    </template>
  </PhoneDialog>
</template>
