<script setup lang="ts">
import type { RankedChoice } from '#core/design/suggest'
import { choiceReasonWords, creditWords, dayName, GROUP_NAMES, railName } from '#core/words'
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
  DialogTitle,
} from '@headlessui/vue'
import { useBoard } from './boardContext'

const board = useBoard()
const typed = ref('')
const sets = ref(2)
const MOST_SETS = 20
const USUAL_SETS = 2

const found = computed(() => board.choices(typed.value))
const place = computed(() => {
  const day = board.days.value[board.place.value.day]
  const rail = board.selectedRail.value
  return day && rail
    ? `${railName(rail.view)}, day ${board.place.value.day + 1} ${dayName(day)}`
    : ''
})

function facts({ exercise, intent }: RankedChoice): { purpose: string; others: string } {
  const chosen = exercise.intents.find(candidate => candidate.id === intent) ?? exercise.intents[0]
  const others = Object.entries(chosen.credits)
    .filter(([, credit]) => credit !== 1)
    .map(
      ([group, credit]) =>
        `${GROUP_NAMES[group as keyof typeof GROUP_NAMES]} ${creditWords(credit)}`,
    )
  return { purpose: intent === null ? '' : chosen.name, others: others.join(', ') }
}
const LENGTHS = {
  lengthened: 'hardest long',
  mid: 'hardest mid-range',
  shortened: 'hardest short',
} as const

function close(): void {
  board.isPickerOpen.value = false
}
function choose(choice: RankedChoice): void {
  const whole = Math.round(Number(sets.value))
  board.addExercise(
    choice,
    Math.min(MOST_SETS, Math.max(1, Number.isFinite(whole) ? whole : USUAL_SETS)),
  )
}
</script>

<template>
  <Dialog :open="board.isPickerOpen.value" class="relative z-20" @close="close">
    <div class="fixed inset-0 bg-scrim" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center pt-24">
      <DialogPanel class="w-[560px] rounded-[6px] border border-edge bg-ground p-4">
        <DialogTitle class="font-display text-[17px] font-semibold"> Add an exercise </DialogTitle>
        <p class="text-ink2">
          {{ place }}
        </p>
        <Combobox
          :model-value="null"
          nullable
          @update:model-value="choice => choice && choose(choice)"
        >
          <div class="mt-3 flex gap-3">
            <div class="flex-1">
              <ComboboxInput
                class="field"
                aria-label="Exercise"
                placeholder="Type a few letters"
                autocomplete="off"
                @change="typed = $event.target.value"
                @keydown.esc="close"
              />
            </div>
            <label class="flex items-center gap-2"
              >Sets
              <input
                v-model.number="sets"
                type="number"
                min="1"
                :max="MOST_SETS"
                step="1"
                class="field w-[70px]!"
              />
            </label>
          </div>
          <ComboboxOptions static class="mt-3 max-h-[380px] overflow-y-auto outline-none">
            <ComboboxOption
              v-for="choice in found"
              :key="`${choice.exercise.id} ${choice.intent}`"
              v-slot="{ active }"
              :value="choice"
              as="template"
            >
              <li class="option" :data-active="active || undefined">
                <span class="min-w-0">
                  <span class="block font-semibold"
                    >{{ choice.exercise.name
                    }}<span v-if="facts(choice).purpose" class="font-normal text-ink2"
                      >, {{ facts(choice).purpose }}</span
                    ></span
                  >
                  <span class="block truncate text-[12px] text-ink2">{{
                    facts(choice).others || 'no indirect sets for other groups'
                  }}</span>
                </span>
                <span class="ml-auto shrink-0 text-right text-[12px] text-ink2">
                  <span class="block">{{ LENGTHS[choice.exercise.intents[0].lengthBias] }}</span>
                  <span
                    v-for="reason in choice.reasons.slice(0, 2)"
                    :key="reason.kind"
                    class="block"
                    :class="
                      reason.kind === 'fills'
                        ? 'text-focus'
                        : reason.kind === 'known'
                          ? ''
                          : 'text-alert'
                    "
                    >{{ choiceReasonWords(reason) }}</span
                  >
                </span>
              </li>
            </ComboboxOption>
          </ComboboxOptions>
        </Combobox>
        <p v-if="found.length === 0" class="py-4 text-ink2">
          No exercise with these letters fits the client's equipment. Try fewer letters.
        </p>
        <div class="mt-3 flex items-center justify-between text-[12px] text-ink2">
          <span
            ><KeyCap label="↑" /> <KeyCap label="↓" /> choose · <KeyCap label="Enter" /> add</span
          >
          <button type="button" class="control" @click="close">Close <KeyCap label="Esc" /></button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>

<style scoped>
.option {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 5px 10px;
  border-radius: 4px;
  cursor: pointer;
}
.option[data-active] {
  background: var(--focus-wash);
}
</style>
