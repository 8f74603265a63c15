<script setup lang="ts">
import { JOINT_NAMES } from '#core/words'
import type { Joint } from '#core/plan/catalogue'
import type { FormJointNote } from './useProfileForm'
import { Plus, X } from 'lucide-vue-next'

/** Sore places: which side, what provokes it, since when. */
const { joints } = defineProps<{ joints: readonly Joint[] }>()
const notes = defineModel<FormJointNote[]>({ required: true })

function add(): void {
  const [joint] = joints
  if (joint) notes.value = [...notes.value, { joint, side: 'both', provokedBy: '', since: '' }]
}
</script>

<template>
  <fieldset>
    <legend class="font-semibold">Joint notes</legend>
    <p class="text-[12px] text-ink2">
      What was sore or still is. Pain of today goes into the history, where it holds work back.
    </p>
    <div v-for="(note, at) in notes" :key="at" class="mt-1.5 flex items-center gap-2">
      <select v-model="note.joint" class="small-field" :aria-label="`Joint of note ${at + 1}`">
        <option v-for="joint in joints" :key="joint" :value="joint">
          {{ JOINT_NAMES[joint] }}
        </option>
      </select>
      <select v-model="note.side" class="small-field" :aria-label="`Side of note ${at + 1}`">
        <option v-for="side in ['left', 'right', 'both']" :key="side">
          {{ side }}
        </option>
      </select>
      <input
        v-model="note.provokedBy"
        class="small-field min-w-0 flex-1"
        placeholder="what provokes it"
        :aria-label="`What provokes note ${at + 1}`"
      />
      <input
        v-model="note.since"
        class="small-field w-[96px]"
        placeholder="since when"
        :aria-label="`Since when, note ${at + 1}`"
      />
      <button
        type="button"
        class="rounded p-1"
        :aria-label="`Remove note ${at + 1}`"
        @click="notes = notes.filter((_, other) => other !== at)"
      >
        <X :size="14" aria-hidden="true" />
      </button>
    </div>
    <button type="button" class="control mt-1.5" @click="add">
      <Plus :size="14" aria-hidden="true" /> Joint note
    </button>
  </fieldset>
</template>
