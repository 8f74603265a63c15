<script setup lang="ts">
import { ROLE_NAMES } from '#core/words'
import type { DayRole } from '#core/plan/rotation'
import { useBoard } from '../boardContext'

/** The rotation as a whole: its length, what each day is for, weekdays; templates and notes to start from. */
const board = useBoard()
const {
  days,
  setDay,
  setLength,
  setAnchor,
  isOnWeekdays,
  canBeOnWeekdays,
  complaint,
  roles,
  limits,
} = useRotationEditor()
const { begins = undefined } = defineProps<{
  /** The part that is open at first; left out it is the days, templates where nothing is planned. */
  begins?: 'notes' | 'carry'
}>()
const PARTS = [
  ['days', 'Days'],
  ['templates', 'Start from a template'],
  ['notes', 'From notes or a table'],
  ['carry', 'Keep it, or give it to others'],
] as const
const part = ref<(typeof PARTS)[number][0]>(
  begins ?? (days.value.every(({ sets }) => sets === 0) ? 'templates' : 'days'),
)
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <PanelDialog title="Rotation" :width="860" @closed="board.close()">
    <div role="group" aria-label="What to change" class="mt-2 flex gap-1">
      <button
        v-for="[id, words] in PARTS"
        :key="id"
        type="button"
        class="control"
        :aria-pressed="part === id"
        :class="part === id ? 'control-strong' : ''"
        @click="part = id"
      >
        {{ words }}
      </button>
    </div>
    <template v-if="part === 'days'">
      <div class="mt-3 flex flex-wrap items-center gap-4">
        <label
          >Days
          <select
            class="small-field"
            :value="days.length"
            @change="setLength(Number(textOf($event)))"
          >
            <option
              v-for="length in limits.max - limits.min + 1"
              :key="length"
              :value="length + limits.min - 1"
            >
              {{ length + limits.min - 1 }}
            </option>
          </select></label
        >
        <label class="flex items-center gap-1.5"
          ><input
            type="radio"
            name="anchor"
            :checked="!isOnWeekdays"
            @change="setAnchor('floating')"
          />
          floats against the week</label
        >
        <label class="flex items-center gap-1.5"
          ><input
            type="radio"
            name="anchor"
            :checked="isOnWeekdays"
            :disabled="!canBeOnWeekdays"
            @change="setAnchor('weekday')"
          />
          stays on weekdays{{ canBeOnWeekdays ? '' : ' (7 or 14 days)' }}</label
        >
      </div>
      <p v-if="complaint" role="alert" class="alert-chip mt-2">
        {{ complaint }}
      </p>
      <table class="mt-2 w-full text-left">
        <thead>
          <tr class="text-[12px] text-ink2">
            <th scope="col">Day</th>
            <th scope="col">Role</th>
            <th scope="col">Own word</th>
            <th scope="col">Minutes, at most</th>
            <th scope="col">Sets</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="day in days" :key="day.at">
            <th scope="row" class="font-display text-[15px]">
              {{ day.at + 1 }}
            </th>
            <td>
              <select
                class="small-field"
                :value="day.role"
                :aria-label="`Role of day ${day.at + 1}`"
                @change="setDay(day.at, { role: textOf($event) as DayRole })"
              >
                <option v-for="role in roles" :key="role" :value="role">
                  {{ ROLE_NAMES[role] }}
                </option>
              </select>
            </td>
            <td>
              <input
                class="small-field"
                :value="day.label"
                :aria-label="`Own word for day ${day.at + 1}`"
                maxlength="60"
                @change="setDay(day.at, { label: textOf($event) })"
              />
            </td>
            <td>
              <input
                type="number"
                v-bind="LIMITS.minuteLimit"
                class="small-field w-[80px]"
                :disabled="day.role === 'rest'"
                :value="day.minutes"
                :aria-label="`Minutes of day ${day.at + 1}`"
                @change="
                  setDay(day.at, { minutes: textOf($event) === '' ? null : Number(textOf($event)) })
                "
              />
            </td>
            <td class="text-ink2">{{ day.sets }}{{ day.sessions > 1 ? ', two sessions' : '' }}</td>
          </tr>
        </tbody>
      </table>
      <p class="mt-2 text-[12px] text-ink2">
        Fewer days take empty ones out first; no session is ever lost. On the board:
        <KeyCap label="W" /> swaps two days, <KeyCap label="K" /> copies one,
        <KeyCap label="M" /> moves a session, <KeyCap label="R" /> makes a rest day; day heads can
        be dragged.
      </p>
    </template>
    <TemplateList v-else-if="part === 'templates'" />
    <NotesPart v-else-if="part === 'notes'" />
    <CarryPart v-else />
  </PanelDialog>
</template>
