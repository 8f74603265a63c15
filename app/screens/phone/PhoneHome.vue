<script setup lang="ts">
import type { NextComes, PhoneEntry } from './usePhoneHome'

/** What there is to train: today's session first, then what is left over and what comes. */
const { today, left, ahead, done, comes, name, studio, notes, words, coach } = defineProps<{
  today: PhoneEntry | null
  left: readonly PhoneEntry[]
  ahead: readonly PhoneEntry[]
  done: readonly PhoneEntry[]
  /** What comes next time of the session done last; null where none was done lately. */
  comes: NextComes | null
  name: string
  studio: string
  /** What sore joints ask for. */ notes: readonly string[]
  /** What the coach wrote lately. */ words: readonly {
    readonly id: string
    readonly text: string
  }[]
  coach: string
}>()
const emit = defineEmits<{ opened: [id: string]; hurting: [] }>()
</script>

<template>
  <main class="flex flex-col gap-6 px-5 pt-4 pb-10">
    <header class="flex items-start justify-between gap-3">
      <p class="text-[15px] text-ink2">
        {{ studio }}<span class="block text-[17px] font-semibold text-ink">{{ name }}</span>
      </p>
      <button type="button" class="phone-control" @click="emit('hurting')">Sore?</button>
    </header>
    <p
      v-for="note in notes"
      :key="note"
      class="rounded-lg bg-alert-wash p-3 text-[15px] font-semibold text-alert"
    >
      {{ note }}
    </p>
    <section v-if="words.length > 0" :aria-label="`From ${coach}`" class="flex flex-col gap-2">
      <p v-for="word in words" :key="word.id" class="border-s-4 border-focus ps-3 text-[16px]">
        <bdi class="block text-[13px] text-ink2">{{ coach }}</bdi>
        <span dir="auto" class="whitespace-pre-line">{{ word.text }}</span>
      </p>
    </section>
    <section v-if="today" aria-labelledby="today">
      <h1 id="today" class="font-display text-[33px] leading-tight">
        {{ today.name }}
      </h1>
      <p class="text-[16px] text-ink2">{{ today.when }} · {{ today.words }}</p>
      <p v-for="line in today.preparation" :key="line" class="mt-2 text-[16px]">
        First: {{ line }}
      </p>
      <ol class="my-4 border-y border-hair">
        <li
          v-for="line in today.lines"
          :key="line.letter"
          class="flex gap-3 border-b border-hair py-1.5 text-[16px] last:border-0"
        >
          <span class="w-7 font-display text-ink2">{{ line.letter }}</span><span
            class="flex-1 font-semibold"
            >{{ line.name }}</span
          ><span class="text-ink2">{{ line.sets }}</span>
        </li>
      </ol>
      <button type="button" class="phone-log w-full" @click="emit('opened', today.id)">
        {{ today.isBegun ? 'Go on' : 'Begin' }}
      </button>
    </section>
    <section v-else>
      <h1 class="font-display text-[33px] leading-tight">Nothing today</h1>
      <p class="text-[16px] text-ink2">
        {{
          ahead[0]
            ? `Next: ${ahead[0].name}, ${ahead[0].when.replace(/^T(?=om)/, 't')}.`
            : 'No sessions have been sent yet. They show up here by themselves.'
        }}
      </p>
    </section>
    <section v-if="comes" aria-labelledby="comes">
      <h2 id="comes" class="phone-legend">{{ comes.title }}</h2>
      <ul class="border-t border-hair text-[16px]">
        <li v-for="line in comes.lines" :key="line" class="border-b border-hair py-1.5">
          {{ line }}
        </li>
      </ul>
      <p class="mt-1 text-[15px] text-ink2">{{ comes.rest }}</p>
    </section>
    <section
      v-for="group in [
        { title: 'Not finished', rows: left },
        { title: 'Coming', rows: ahead },
        { title: 'Done lately', rows: done },
      ].filter(({ rows }) => rows.length > 0)"
      :key="group.title"
    >
      <h2 class="phone-legend">
        {{ group.title }}
      </h2>
      <ul class="flex flex-col gap-2">
        <li v-for="row in group.rows" :key="row.id">
          <button type="button" class="phone-row" @click="emit('opened', row.id)">
            <span class="text-[18px] font-semibold">{{ row.name }}</span><span
              class="text-[15px] text-ink2"
              >{{ row.when }} · {{ row.words }}</span
            >
          </button>
        </li>
      </ul>
    </section>
    <p class="text-[14px] text-ink2">
      Training advice from your coach, not an examination. Stop and get help if something feels
      wrong.
    </p>
  </main>
</template>
