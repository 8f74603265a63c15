<script setup lang="ts">
import { ChevronLeft, Ellipsis, Frown, Repeat2 } from 'lucide-vue-next'
import type { LogEntry, SheetSession, SheetSwap } from '#core/follow/sheet'
import { JOINT_NAMES, partName, phoneDay, setName } from './phoneWords'
import { PAIN_WORDS } from './phonePain'
import { usePhoneTraining } from './usePhoneTraining'

/** One session under the thumb: the set in hand, its numbers, the rest after it. */
const { held, entries } = defineProps<{ held: SheetSession; entries: readonly LogEntry[] }>()
const emit = defineEmits<{ left: []; ended: [] }>()
const {
  phone,
  rest,
  elapsed,
  loadHint,
  logged,
  isDone,
  lastWords,
  soreWords,
  swap,
  say,
  hurt,
  saidSets,
  toFeel,
  feel,
} = usePhoneTraining(() => ({ session: held, entries }))
const {
  turns,
  turn,
  part,
  group,
  exercise,
  movement,
  limit,
  after,
  amountText,
  countText,
  rir,
  complaint,
  isSeconds,
  hasLoad,
  aimRir,
} = phone
const open = ref<'hurt' | 'swap' | 'more' | null>(null)
function swapped(choice: SheetSwap | null): void {
  open.value = null
  void swap(choice)
}
watch(isDone, done => done && emit('ended'))
</script>

<template>
  <div class="flex min-h-dvh flex-col">
    <main class="flex flex-1 flex-col gap-2 px-5 pt-2 pb-3">
      <header class="flex items-center gap-2">
        <button
          type="button"
          class="-ml-3 grid size-12 place-items-center"
          aria-label="Back to the sessions"
          @click="emit('left')"
        >
          <ChevronLeft :size="24" aria-hidden="true" />
        </button>
        <h1 class="min-w-0 flex-1 truncate text-[18px] font-semibold">
          {{ held.name }}
        </h1>
        <button type="button" class="phone-control px-3!" @click="open = 'hurt'">
          <Frown :size="18" class="text-alert" aria-hidden="true" /> Sore?
        </button>
      </header>
      <PhoneStrip
        :way="phone.way.value"
        :turns="turns"
        :exercises="held.exercises"
        :elapsed="elapsed"
        :limit-minutes="phone.standing.value.minutes ?? held.minuteLimit"
      />
      <template v-if="turn && part && exercise && movement">
        <div>
          <div class="flex items-baseline justify-between gap-3">
            <h2 class="name" :class="`text-${exercise.family}`">
              {{ part.part.as ?? movement.name }}
            </h2>
            <p class="text-[14px] whitespace-nowrap text-ink2">
              {{ exercise.letter }} · {{ held.exercises.indexOf(exercise) + 1 }} of
              {{ held.exercises.length }}
            </p>
          </div>
          <p class="text-[15px]">
            <span v-if="after && after.slot !== exercise.slot" class="text-ink2"
              >then
              <strong class="font-semibold" :class="`text-${after.family}`">{{
                after.name
              }}</strong></span
            >
            <span v-else class="text-ink2">{{
              after ? 'then the next set of it' : 'the last set'
            }}</span>
          </p>
        </div>
        <p v-if="group" class="-mt-2 text-[14px] text-ink2">
          {{ group }}
        </p>
        <PhonePegs
          :turns="phone.own.value"
          :current="turn"
          :family="exercise.family"
          @chosen="phone.choose($event)"
        />
        <div v-if="limit" class="rounded-lg bg-alert-wash p-3 text-[15px] text-alert" role="status">
          <strong>Sore: {{ JOINT_NAMES[limit.joint] }}.</strong> {{ PAIN_WORDS[limit.level] }}
          <button
            v-if="limit.wantsSwap"
            type="button"
            class="phone-control mt-2 w-full"
            @click="open = 'swap'"
          >
            Swap this exercise
          </button>
        </div>
        <p class="text-[15px] leading-[20px]">
          <strong class="font-semibold"
            >{{ part.part.side ? `${part.part.side === 'left' ? 'Left' : 'Right'}: ` : ''
            }}{{
              turn.parts.length > 1 && part.part.stage > 1 && !phone.isFurther.value
                ? `part ${part.part.stage}: `
                : ''
            }}</strong
          >{{ part.part.words }}{{ turn.plan.onlyIf ? `, only if ${turn.plan.onlyIf}` : '' }}
        </p>
        <p v-if="exercise.note" class="text-[15px] font-semibold">
          {{ exercise.note }}
        </p>
        <p class="flex justify-between gap-3 text-[14px] text-ink2">
          <span>{{
            movement.last
              ? `Last time, ${phoneDay(movement.last.on, 'short')}`
              : 'First time on record'
          }}</span>
          <span class="font-semibold text-ink">{{ lastWords }}</span>
        </p>
        <PhoneStepper
          v-if="hasLoad"
          v-model="amountText"
          :label="`Load in ${movement.scale.unit}`"
          :unit="movement.scale.unit"
          :hint="loadHint"
          decimal
          :invalid="complaint.startsWith('Load')"
          @stepped="phone.stepLoad($event)"
          @entered="logged"
        />
        <PhoneStepper
          v-model="countText"
          :label="isSeconds ? 'Seconds' : 'Reps'"
          :unit="isSeconds ? 's' : 'reps'"
          :hint="part.part.countWords && `target ${part.part.countWords}`"
          :invalid="complaint !== '' && !complaint.startsWith('Load')"
          @stepped="phone.stepCount($event)"
          @entered="logged"
        />
        <PhoneEffort
          v-if="part.part.kind === 'work'"
          :rir="rir"
          :aim="aimRir"
          :lapses="phone.lapses.value"
          @chosen="phone.chooseRir($event)"
          @lapsed="phone.toggleLapse($event)"
        />
        <p v-if="complaint" role="alert" class="text-[15px] font-semibold text-alert">
          {{ complaint }}
        </p>
        <button v-if="part.standing" type="button" class="phone-log" @click="logged">
          Change {{ setName(turn).toLowerCase() }}
        </button>
        <button
          v-else
          type="button"
          class="phone-log"
          :disabled="turn.state === 'stopped'"
          @click="logged"
        >
          {{ turn.state === 'stopped' ? 'Not today' : `Log ${partName(turn, part).toLowerCase()}` }}
        </button>
        <div
          v-if="part.standing || phone.isFurther.value || turn.state === 'skipped' || turn.isAdded"
          class="grid grid-cols-2 gap-2"
        >
          <button v-if="part.standing" type="button" class="phone-control" @click="phone.clear()">
            Take it out
          </button>
          <button type="button" class="phone-control" @click="phone.choose(null)">
            To the next set
          </button>
        </div>
        <PhoneWentOn
          v-if="!part.standing"
          :last="phone.lastDone.value"
          :shown="turn"
          :exercises="held.exercises"
          @said="phone.goOn()"
        />
        <div class="grid grid-cols-2 gap-2">
          <button type="button" class="phone-control" @click="open = 'swap'">
            <Repeat2 :size="18" aria-hidden="true" /> Swap
          </button>
          <button type="button" class="phone-control" @click="open = 'more'">
            <Ellipsis :size="18" aria-hidden="true" /> Less time, more
          </button>
        </div>
        <PhoneSetUp
          :movement="movement"
          :today="phone.standing.value.setUps.get(movement.exercise)"
          @said="
            say({ kind: 'set_up', slot: turn.slot, exercise: movement.exercise, setUp: $event })
          "
        />
        <PhoneHow :movement="movement" />
      </template>
      <section v-else class="flex flex-1 flex-col justify-center gap-3">
        <h2 class="font-display text-[30px]">That was all</h2>
        <button type="button" class="phone-log" @click="emit('ended')">Finish</button>
        <PhoneWentOn
          :shown="null"
          :last="phone.lastDone.value"
          :exercises="held.exercises"
          @said="phone.goOn()"
        />
      </section>
    </main>
    <div v-if="!open" class="sticky bottom-0 bg-paper">
      <PhoneFelt v-if="toFeel" :name="toFeel.name" @said="feel" @hurt="open = 'hurt'" />
      <PhoneRest v-if="rest.running.value && rest.left.value !== null" :rest="rest" />
    </div>
    <PhoneHurt
      v-if="open === 'hurt'"
      :levels="phone.levels.value"
      @closed="open = null"
      @reported="hurt"
    />
    <PhoneSwap
      v-if="open === 'swap' && exercise && movement"
      :exercise="exercise"
      :in-use="movement.exercise"
      :sore="soreWords"
      @closed="open = null"
      @chosen="swapped"
    />
    <PhoneMore
      v-if="open === 'more'"
      :session="held"
      :minutes="phone.standing.value.minutes"
      :exercise-name="exercise?.name ?? ''"
      @closed="open = null"
      @shortened="
        minutes => {
          open = null
          say({ kind: 'way', minutes })
        }
      "
      @set-added="
        () => {
          open = null
          saidSets()
        }
      "
      @skipped="
        () => {
          open = null
          exercise && say({ kind: 'skip', slot: exercise.slot, isSkipped: true })
        }
      "
      @noted="
        text => {
          open = null
          say({ kind: 'note', slot: exercise?.slot ?? null, text })
        }
      "
      @finished="
        () => {
          open = null
          emit('ended')
        }
      "
    />
  </div>
</template>

<style scoped>
.name {
  font-family: var(--font-display);
  font-size: 30px;
  line-height: 1.05;
  letter-spacing: -0.01em;
}
</style>
