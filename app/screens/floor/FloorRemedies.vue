<script setup lang="ts">
import type { FloorNotice } from '#core/words'
import type { FloorWays } from './useRemedies'

/** What is wrong with the chosen session's hour, and the ways out with their price. */
const { notices, ways } = defineProps<{ notices: readonly FloorNotice[]; ways: FloorWays }>()
</script>

<template>
  <div class="grid gap-x-6 gap-y-3 border-t border-hair px-3 py-3 md:grid-cols-[168px_1fr]">
    <div class="min-w-0">
      <p v-for="notice in notices" :key="`${notice.at} ${notice.words}`" class="font-semibold">
        {{ notice.clock }} {{ notice.words }}
      </p>
      <p v-if="notices.length === 0" class="text-ink2">Waits for nothing.</p>
      <p class="mt-2 flex flex-wrap gap-2">
        <NuxtLink :to="`/clients/${ways.session.value?.client}/session`" class="control"
          >Session</NuxtLink
        >
        <NuxtLink :to="`/clients/${ways.session.value?.client}/log`" class="control">Log</NuxtLink>
        <NuxtLink :to="`/clients/${ways.session.value?.client}/split`" class="control"
          >Board</NuxtLink
        >
      </p>
    </div>
    <div class="min-w-0">
      <div
        v-if="ways.ways.value.length > 0"
        role="group"
        aria-label="How long it holds"
        class="mb-2 flex flex-wrap items-center gap-2"
      >
        <KeyCap label="O" />
        <button
          v-for="[always, words] in [
            [false, 'this day only'],
            [true, 'from now on'],
          ] as const"
          :key="words"
          type="button"
          class="control"
          :class="{ 'control-strong': ways.isAlways.value === always }"
          :aria-pressed="ways.isAlways.value === always"
          @click="ways.hold(always)"
        >
          {{ words }}
        </button>
      </div>
      <ol class="grid min-w-0 gap-x-6 gap-y-3 lg:grid-cols-3">
        <li v-for="(way, at) in ways.ways.value" :key="way.key" class="min-w-0">
          <button
            type="button"
            class="control h-auto! max-w-full text-left whitespace-normal!"
            :class="{ 'control-strong': at === 0 }"
            :disabled="ways.isBusy.value"
            @click="ways.take(at)"
          >
            {{ way.title }} <KeyCap :label="String(at + 1)" />
          </button>
          <p v-for="line in way.lines" :key="line" class="mt-1">{{ line }}</p>
          <p v-if="ways.isAlways.value && !way.canStay" class="mt-1 text-ink2">
            this day only: the plan has another exercise there on other days
          </p>
        </li>
      </ol>
      <p v-if="notices.length > 0 && ways.ways.value.length === 0" class="text-ink2">
        {{
          ways.isLooking.value
            ? 'Looking for ways out'
            : 'No other start within half an hour, no other order and no other exercise is worth what it costs.'
        }}
      </p>
    </div>
  </div>
</template>
