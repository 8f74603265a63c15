<script setup lang="ts">
import {
  creditWords,
  cueLines,
  EQUIPMENT_NAMES,
  GROUP_NAMES,
  JOINT_NAMES,
  MUSCLE_NAMES,
  CAUTION_WORDS,
  capitalised,
  stimulusWords,
} from '#core/words'
import type { Exercise, Group, Intent, Joint, Muscle } from '#core/plan/catalogue'
import { TriangleAlert } from 'lucide-vue-next'

/** One exercise in full: what it does under each purpose, what to mind, and what can stand in. */
const { exercise, substitutes, forms, setUps, isOwn } = defineProps<{
  exercise: Exercise
  substitutes: readonly { readonly id: string; readonly name: string; readonly likeness: number }[]
  /** The same movement in other forms. */
  forms: readonly { readonly id: string; readonly name: string }[]
  setUps: readonly { readonly field: string; readonly name: string; readonly ways: string }[]
  isOwn: boolean
}>()
const emit = defineEmits<{ selected: [id: string]; copied: []; edited: []; removed: [] }>()
const STRESS = ['none', 'low', 'medium', 'high'] as const
const LENGTHS = {
  lengthened: 'hardest at long length',
  mid: 'hardest in the middle',
  shortened: 'hardest at short length',
} as const
const facts = computed(() => [
  exercise.kind === 'compound' ? 'compound' : 'single-joint',
  exercise.equipment.map(piece => EQUIPMENT_NAMES[piece]).join(', ') || 'no equipment',
  `${exercise.repRange[0]}–${exercise.repRange[1]} ${exercise.repUnit}`,
  `rest ${exercise.restSeconds} s`,
  `set-up ${exercise.setupSeconds} s`,
  ...(exercise.loadStepKg > 0 ? [`steps of ${exercise.loadStepKg} kg`] : []),
])
const creditsIn = ({ credits }: Intent) =>
  (Object.entries(credits) as [Group, number][])
    .sort((a, b) => b[1] - a[1])
    .map(([group, credit]) => `${GROUP_NAMES[group]} ${creditWords(credit)}`)
    .join(', ')
const headsIn = ({ headShares }: Intent) =>
  (Object.values(headShares) as Readonly<Partial<Record<Muscle, number>>>[])
    .flatMap(shares =>
      (Object.entries(shares) as [Muscle, number][]).map(
        ([muscle, share]) => `${MUSCLE_NAMES[muscle].toLowerCase()} ${Math.round(share * 100)} %`,
      ),
    )
    .join(', ')
const cuesIn = ({ id }: Intent) => cueLines(exercise.id, id).join('. ')
const stressIn = ({ jointStress }: Intent) =>
  (Object.entries(jointStress) as [Joint, number][])
    .filter(([, stress]) => stress > 0)
    .map(([joint, stress]) => `${JOINT_NAMES[joint]} ${STRESS[stress]}`)
    .join(', ')
</script>

<template>
  <article :aria-label="exercise.name">
    <div class="flex items-start gap-3">
      <div class="min-w-0 flex-1">
        <h2 class="font-display text-[20px] leading-6 font-semibold">
          {{ exercise.name }}
        </h2>
        <p class="text-ink2">
          {{ facts.join(' · ')
          }}<template v-if="exercise.aliases.length > 0">
            · also {{ exercise.aliases.join(', ') }}</template
          >
        </p>
        <p class="text-[12.5px]">{{ capitalised(stimulusWords(exercise).join('; ')) }}.</p>
      </div>
      <button v-if="isOwn" type="button" class="control" @click="emit('edited')">Edit</button>
      <button v-if="isOwn" type="button" class="control" @click="emit('removed')">Remove</button>
      <button type="button" class="control" @click="emit('copied')">Copy as my own</button>
    </div>
    <PoseFigure
      class="mt-3"
      :exercise="exercise.id"
      :pattern="exercise.pattern"
      :name="exercise.name"
      :height="130"
    />
    <dl class="mt-3 flex flex-col gap-2">
      <div v-for="intent in exercise.intents" :key="intent.id" class="border-l-2 border-line pl-3">
        <dt class="font-semibold">
          {{ intent.name }}
          <span class="font-normal text-ink2">{{ LENGTHS[intent.lengthBias] }}</span>
        </dt>
        <dd v-if="intent.how">
          {{ intent.how }}
        </dd>
        <dd v-if="cuesIn(intent)">{{ cuesIn(intent) }}</dd>
        <dd>{{ creditsIn(intent) }}</dd>
        <dd class="text-[12px] text-ink2">
          {{ headsIn(intent) }}
        </dd>
        <dd class="text-[12px] text-ink2">Joint stress: {{ stressIn(intent) || 'none' }}</dd>
      </div>
    </dl>
    <ul v-if="exercise.cautions.length > 0" class="mt-3 flex flex-col gap-1">
      <li v-for="caution in exercise.cautions" :key="caution" class="flex items-start gap-1.5">
        <TriangleAlert :size="14" class="mt-0.5 shrink-0 text-alert" aria-hidden="true" />
        {{ CAUTION_WORDS[caution] }}
      </li>
    </ul>
    <p class="mt-3">
      <span class="text-ink2">To set up: </span>
      {{
        setUps
          .map(({ name, ways }) => (ways ? `${name.toLowerCase()} (${ways})` : name.toLowerCase()))
          .join('; ')
      }}
    </p>
    <p v-if="forms.length > 0" class="mt-1">
      <span class="text-ink2">Other forms of it: </span>
      <template v-for="(one, at) in forms" :key="one.id">
        <button
          type="button"
          class="underline-offset-2 hover:underline"
          @click="emit('selected', one.id)"
        >
          {{ one.name }}</button>{{ at < forms.length - 1 ? ', ' : '' }}
      </template>
    </p>
    <p class="mt-1">
      <span class="text-ink2">Can stand in: </span>
      <template v-for="(one, at) in substitutes" :key="one.id">
        <button
          type="button"
          class="underline-offset-2 hover:underline"
          @click="emit('selected', one.id)"
        >
          {{ one.name }}</button>{{ at < substitutes.length - 1 ? ', ' : '' }}
      </template>
    </p>
  </article>
</template>
