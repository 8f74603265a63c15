<script setup lang="ts">
import { PAIN_PLACES } from './phonePain'
import type { LogWord, MoreSaid, PainPlace, SaidPain } from '#core/follow/sheet'
import { numberSentence, parsedNumber, recoverySaid } from './phoneNumbers'

/** The end of a session: minutes, what hurts, recovered or not, a note. */
const { name, minutes, sets, planned, said } = defineProps<{
  name: string
  /** Since the first set. */ minutes: number | null
  sets: number
  planned: number
  /** What was said to hurt during the session: it need not be said again. */
  said: Readonly<Partial<Record<PainPlace, SaidPain>>>
}>()
const emit = defineEmits<{ back: []; finished: [words: readonly LogWord[]] }>()
const minutesText = ref(minutes === null ? '' : String(minutes))
const recovery = ref<number | null>(null)
const RATINGS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10] as const
const note = ref('')
/** Plain, as it goes to the phone's own store, which takes no reactive parts. */
const more = shallowRef<MoreSaid>({})
const asideTexts = reactive({ warmUp: '', way: '' })
const scores = ref<Partial<Record<PainPlace, SaidPain>>>({ ...said })
const complaint = ref('')
const ASKED = PAIN_PLACES.filter(({ joints }) => joints.length === 1)

function rate(place: PainPlace, score: number): void {
  scores.value = { ...scores.value, [place]: { score, side: scores.value[place]?.side ?? 'both' } }
}
/** Minutes as they were typed; null where nothing was, undefined where it is told what is wrong. */
function minutesIn(text: string, field: 'minutes' | 'asideMinutes'): number | null | undefined {
  const parsed = text.trim() === '' ? null : parsedNumber(text, field)
  if (parsed?.ok === false) complaint.value = numberSentence(parsed.error, field)
  return parsed === null ? null : parsed.ok ? parsed.value : undefined
}
function finish(): void {
  complaint.value = ''
  const taken = minutesIn(minutesText.value, 'minutes')
  const warmUp = minutesIn(asideTexts.warmUp, 'asideMinutes')
  const way = minutesIn(asideTexts.way, 'asideMinutes')
  if (taken === undefined || warmUp === undefined || way === undefined) return
  const pains = ASKED.flatMap(({ id, joints, hasSides }): LogWord[] => {
    const [now, before] = [scores.value[id], said[id]]
    const isNew = now && (now.score !== before?.score || now.side !== before.side)
    return isNew
      ? [
          {
            kind: 'pain',
            joints,
            side: hasSides ? now.side : 'both',
            score: now.score,
            hasAlarmSign: false,
          },
        ]
      : []
  })
  emit('finished', [
    ...pains,
    {
      kind: 'finish',
      minutes: taken,
      ...recoverySaid(recovery.value),
      note: note.value.trim(),
      ...more.value,
      ...(warmUp !== null && { warmUpMinutes: warmUp }),
      ...(way !== null && { wayMinutes: way }),
    },
  ])
}
</script>

<template>
  <main class="flex flex-col gap-5 px-5 pt-4 pb-10">
    <header>
      <h1 class="font-display text-[30px] leading-tight">
        {{ sets === 0 ? name : 'Well done' }}
      </h1>
      <p class="text-[16px] text-ink2">{{ name }}: {{ sets }} of {{ planned }} sets logged.</p>
    </header>
    <fieldset>
      <legend class="phone-legend">How recovered did the muscles feel when you began?</legend>
      <div class="grid grid-cols-6 gap-2">
        <label v-for="value in RATINGS" :key="value" class="phone-choice"
          ><input
            v-model="recovery"
            type="radio"
            name="recovered"
            :value="value"
            class="sr-only"
          />{{ value }}</label
        >
      </div>
      <p class="mt-1 flex justify-between text-[14px] text-ink2">
        <span>0 not at all</span><span>10 fully</span>
      </p>
    </fieldset>
    <fieldset>
      <legend class="phone-legend">Does anything hurt? 0 is nothing</legend>
      <div v-for="place in ASKED" :key="place.id" class="border-b border-hair py-2">
        <label class="flex items-center justify-between gap-3 text-[16px]"
          >{{ place.words }}
          <select
            class="min-h-[48px] min-w-[90px] rounded-lg border border-edge bg-paper px-3 text-[17px]"
            :value="scores[place.id]?.score ?? ''"
            @change="rate(place.id, Number(($event.target as HTMLSelectElement).value))"
          >
            <option value="" disabled>–</option>
            <option v-for="value in 11" :key="value" :value="value - 1">{{ value - 1 }}</option>
          </select>
        </label>
        <div
          v-if="(scores[place.id]?.score ?? 0) > 0 && place.hasSides"
          class="mt-2 grid grid-cols-3 gap-2"
          role="radiogroup"
          :aria-label="`${place.words}, side`"
        >
          <label v-for="side in ['left', 'right', 'both'] as const" :key="side" class="phone-choice"
            ><input
              type="radio"
              class="sr-only"
              :name="`${place.id}-side`"
              :checked="scores[place.id]?.side === side"
              @change="
                scores = { ...scores, [place.id]: { score: scores[place.id]?.score ?? 0, side } }
              "
            />{{ side }}</label
          >
        </div>
      </div>
    </fieldset>
    <label class="flex items-center justify-between gap-3 text-[16px]"
      ><span class="font-semibold">Minutes it took</span>
      <input
        v-model="minutesText"
        inputmode="numeric"
        maxlength="4"
        class="min-h-[52px] w-[110px] rounded-lg border border-edge bg-paper px-3 text-center font-display text-[24px]"
        :aria-invalid="complaint !== ''"
      />
    </label>
    <p v-if="complaint" role="alert" class="font-semibold text-alert">
      {{ complaint }}
    </p>
    <label class="flex flex-col gap-2"
      ><span class="phone-legend">Anything else?</span>
      <textarea
        v-model="note"
        rows="3"
        maxlength="1000"
        class="rounded-lg border border-edge bg-paper p-3 text-[17px]"
      />
    </label>
    <PhoneMoreSaid
      v-model="more"
      v-model:warm-up="asideTexts.warmUp"
      v-model:way="asideTexts.way"
    />
    <p v-if="complaint" class="font-semibold text-alert">{{ complaint }}</p>
    <button type="button" class="phone-log" @click="finish">Finish {{ name }}</button>
    <button type="button" class="phone-control" @click="emit('back')">Back to the sets</button>
  </main>
</template>
