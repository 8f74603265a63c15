<script setup lang="ts">
import { MODE_NAMES } from '#core/words'

/** What carries over into the next block, and what comes first in it. */
const emit = defineEmits<{ closed: [] }>()
const {
  title,
  phase,
  startsOn,
  weeks,
  from,
  modes,
  rows,
  problem,
  isBusy,
  overlaps,
  left,
  isCut,
  begin,
  MODES,
  notes,
} = useNextBlock()
async function submit(): Promise<void> {
  if (await begin()) emit('closed')
}
</script>

<template>
  <PanelDialog title="The next block" :width="680" @closed="emit('closed')">
    <form class="mt-3" @submit.prevent="submit()">
      <p class="text-ink2">
        This block goes on to its end; the next waits behind it and can be worked on at once.
        Rotation, exercises that take turns and load rules carry over; ramps, effort and deloads
        follow the method and the priorities below.
      </p>
      <div class="mt-3 flex flex-wrap items-end gap-4">
        <label class="min-w-56 flex-1"
          >Title
          <input
            v-model="title"
            type="text"
            :maxlength="LIMITS.title"
            class="small-field block w-full"
            required
        /></label>
        <DateField v-model="startsOn" label="Starts on" is-stacked />
        <label
          >Weeks
          <input
            v-model="weeks"
            type="number"
            v-bind="LIMITS.nextBlockWeeks"
            class="small-field block w-20"
            required
        /></label>
      </div>
      <label v-if="overlaps && left" class="mt-1 block text-[12.5px]"
        ><input v-model="isCut" type="checkbox" /> This block makes room: it then has
        {{ left.passes }} rotations, to {{ left.to }}, and what was sent after that is taken back
        where it was not begun.</label
      >
      <p v-else-if="overlaps" class="mt-1 text-[12.5px] text-alert">
        This block’s first rotation is not over by then. Choose a later day.
      </p>
      <p v-if="phase" class="mt-1 text-[12.5px] text-ink2">
        It goes on in the phase <bdi>{{ phase }}</bdi>; Season says otherwise (F).
      </p>
      <p v-if="notes" class="mt-3 border-l-2 border-line pl-3 whitespace-pre-line">
        {{ notes }}
      </p>
      <p v-else class="mt-3 text-[12.5px] text-ink2">
        No closing notes yet. They are written on the block report (Review) and go along into the
        next block.
      </p>
      <fieldset class="mt-3">
        <legend class="font-semibold">Begins with</legend>
        <label class="mr-5"
          ><input v-model="from" type="radio" value="first" /> the sets of this block's first
          rotation</label
        >
        <label
          ><input v-model="from" type="radio" value="last" /> those of its last working one</label
        >
      </fieldset>
      <fieldset class="mt-3">
        <legend class="font-semibold">What comes first</legend>
        <div class="grid grid-cols-3 gap-x-6 gap-y-1">
          <label
            v-for="row in rows"
            :key="row.group"
            class="flex items-center justify-between gap-2"
            >{{ row.name }}
            <select
              v-model="modes[row.group]"
              class="small-field"
              :aria-label="`${row.name}, mode`"
            >
              <option v-for="mode in MODES" :key="mode" :value="mode">
                {{ MODE_NAMES[mode] }}
              </option>
            </select></label
          >
        </div>
      </fieldset>
      <p role="alert" class="mt-2 min-h-5 text-alert">
        {{ problem }}
      </p>
      <button type="submit" class="control control-strong" :disabled="isBusy">
        Put it behind this block
      </button>
    </form>
  </PanelDialog>
</template>
