<script setup lang="ts">
import type { LogWord, SheetSession } from '#core/follow/sheet'
import { useEventListener } from '@vueuse/core'
import { RIR_CHOICES, useColumn, useLongPress } from './useColumn'
import type { TogetherSheet } from './useTogetherSheet'

/** One client of the group: her exercises, the next set lit; a tap logs it as planned, a long one opens its parts. */
const { store, session, number } = defineProps<{
  store: TogetherSheet
  session: SheetSession
  /** The key that logs her next set. */
  number: number
}>()
const { phone, isOpen, tapped, logged, finish, done, next, rows, isDone, isFinished } = useColumn(
  store,
  () => session,
)
const { amountText, countText, rir, hasLoad, isSeconds, complaint, limit, group } = phone
const press = useLongPress(
  () => void tapped(),
  () => (isOpen.value = true),
)
const [hurtOpen, total] = [ref(false), computed(() => phone.turns.value.length)]
const hurt = (word: Extract<LogWord, { kind: 'pain' }>) => void store.say(session.id, word)
useEventListener('keydown', event => {
  const isField = event.target instanceof Element && event.target.closest('input, dialog')
  if (!isField && event.key === String(number)) void tapped()
})
</script>

<template>
  <div class="flex h-full flex-col">
    <p class="text-ink2">
      {{ session.name }}, {{ done }} of {{ total }} sets
      <span v-if="store.waiting.length > 0" class="font-semibold text-alert"
        >{{ store.waiting.length }} waiting to be sent</span
      >
    </p>
    <p v-if="limit" role="alert" class="alert-chip mt-1">
      {{
        limit.isStopped
          ? 'A joint that is stopped: leave this exercise.'
          : 'A joint hurts: no harder than planned.'
      }}
    </p>
    <ol class="mt-2 flex-1" :aria-label="`Exercises, ${session.name}`">
      <li
        v-for="row in rows"
        :key="row.slot"
        class="border-b border-hair py-1"
        :class="row.isNext ? 'font-semibold' : ''"
      >
        {{ row.name }}
        <span class="block text-[12px] font-normal text-ink2">
          <span v-for="set in row.sets" :key="set.key" class="mr-2 inline-block"
            >{{ set.isDone ? '●' : '○' }} {{ set.words
            }}<span class="sr-only">{{ set.name }}{{ set.isDone ? ', done' : '' }}</span></span
          >
        </span>
      </li>
    </ol>
    <button
      v-if="next && !isFinished"
      type="button"
      class="control control-strong mt-2 h-auto! min-h-16! flex-col! gap-0.5! py-1.5! text-[15px] whitespace-normal!"
      :aria-label="`Log ${next.exercise}, ${next.name}, ${next.words}`"
      @pointerdown="press.down()"
      @pointerup="press.up()"
      @pointerleave="press.up()"
      @contextmenu.prevent
      @click="press.click()"
    >
      <span class="text-balance">{{ next.exercise }}</span>
      <span class="text-[13px] font-normal"
        >{{ next.name }} <KeyCap :label="String(number)"
      /></span>
      <span class="text-[17px]">{{ next.words }}</span>
    </button>
    <p v-if="next && !isFinished" class="flex items-center justify-between text-[12px] text-ink2">
      {{ group }}
      <button type="button" class="quiet-link" @click="isOpen = !isOpen">otherwise</button>
    </p>
    <form
      v-if="isOpen && next"
      class="mt-1 flex flex-wrap items-end gap-2"
      @submit.prevent="logged()"
    >
      <label v-if="hasLoad"
        >Load<input v-model="amountText" inputmode="decimal" class="small-field block w-20"
      /></label>
      <label
        >{{ isSeconds ? 'Seconds' : 'Reps'
        }}<input v-model="countText" inputmode="numeric" class="small-field block w-16"
      /></label>
      <label
        >Left in reserve
        <select v-model="rir" class="small-field block">
          <option :value="null">not said</option>
          <option v-for="choice in RIR_CHOICES" :key="choice" :value="choice">{{ choice }}</option>
        </select></label
      >
      <button type="submit" class="control control-strong">Log it</button>
    </form>
    <p v-if="complaint" role="alert" class="alert-chip mt-1">{{ complaint }}</p>
    <p class="mt-2 flex gap-2">
      <button type="button" class="control" @click="hurtOpen = true">Something hurts</button>
      <button v-if="isDone && !isFinished" type="button" class="control" @click="finish()">
        Finish
      </button>
      <span v-if="isFinished" class="self-center font-semibold">Finished.</span>
    </p>
    <LazyPhoneHurt
      v-if="hurtOpen"
      :levels="store.levels"
      @reported="hurt"
      @closed="hurtOpen = false"
    />
  </div>
</template>
