<script setup lang="ts">
import type { SheetSession } from '#core/follow/sheet'

/** The rest of what can be done about a session: less time, one set more, a note, done early. */
const { session, minutes, exerciseName } = defineProps<{
  session: SheetSession
  minutes: number | null
  exerciseName: string
}>()
const emit = defineEmits<{
  closed: []
  shortened: [minutes: number | null]
  setAdded: []
  skipped: []
  noted: [text: string]
  finished: []
}>()
const note = ref('')
</script>

<template>
  <PhoneDialog title="This session" @closed="emit('closed')">
    <section v-if="session.ways.length > 1" aria-labelledby="less-time">
      <h3 id="less-time" class="phone-legend">Only so many minutes today</h3>
      <div class="flex flex-col gap-2">
        <button
          v-for="way in session.ways"
          :key="way.minutes ?? 'plan'"
          type="button"
          class="phone-row"
          :aria-pressed="way.minutes === minutes"
          @click="emit('shortened', way.minutes)"
        >
          <span class="text-[18px] font-semibold">{{
            way.minutes === null
              ? `As planned, about ${Math.ceil(way.seconds / 60)} min`
              : `${way.minutes} minutes`
          }}</span>
          <span class="text-[14px] text-ink2">{{ way.words }}</span>
        </button>
      </div>
    </section>
    <section v-if="exerciseName" class="flex flex-col gap-2" aria-labelledby="this-exercise">
      <h3 id="this-exercise" class="phone-legend">
        {{ exerciseName }}
      </h3>
      <div class="grid grid-cols-2 gap-2">
        <button type="button" class="phone-control" @click="emit('setAdded')">One set more</button>
        <button type="button" class="phone-control" @click="emit('skipped')">
          Skip the rest of it
        </button>
      </div>
    </section>
    <form class="flex flex-col gap-2" @submit.prevent="note.trim() && emit('noted', note.trim())">
      <label class="phone-legend" for="phone-note">A note for your coach</label>
      <textarea
        id="phone-note"
        v-model="note"
        rows="3"
        maxlength="1000"
        class="rounded-lg border border-edge bg-paper p-3 text-[17px]"
      />
      <button type="submit" class="phone-control self-start" :disabled="note.trim() === ''">
        Keep the note
      </button>
    </form>
    <button type="button" class="phone-control" @click="emit('finished')">
      Finish the session now
    </button>
  </PhoneDialog>
</template>
