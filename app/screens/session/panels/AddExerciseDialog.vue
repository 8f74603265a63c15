<script setup lang="ts">
import type { RankedChoice } from '#core/design/suggest'
import { choiceReasonWords, creditWords, GROUP_NAMES } from '#core/words'
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { useSession } from '../sessionContext'

/** Adding exercises one after the other: the dialog stays open, so that a whole session is typed in a row. */
const builder = useSession()
const typed = ref('')
const sets = ref(3)
const isPaired = ref(false)
const MOST_SETS = 20
const MOST_SHOWN = 40
const found = computed(() => builder.choices(typed.value).slice(0, MOST_SHOWN))
const input = useTemplateRef<{ el: HTMLInputElement }>('input')

function credits({ exercise, intent }: RankedChoice): string {
  const chosen = exercise.intents.find(candidate => candidate.id === intent) ?? exercise.intents[0]
  return Object.entries(chosen.credits)
    .map(
      ([group, credit]) =>
        `${GROUP_NAMES[group as keyof typeof GROUP_NAMES].toLowerCase()} ${creditWords(credit)}`,
    )
    .join(', ')
}
function purpose({ exercise, intent }: RankedChoice): string {
  return intent === null
    ? ''
    : (exercise.intents.find(candidate => candidate.id === intent)?.name ?? '')
}
function add(choice: RankedChoice | null): void {
  if (!choice) return
  const whole = Math.round(Number(sets.value))
  builder.add(
    choice,
    Math.min(MOST_SETS, Math.max(1, Number.isFinite(whole) ? whole : 3)),
    isPaired.value,
  )
  typed.value = ''
  if (input.value) input.value.el.value = ''
}
</script>

<template>
  <PanelDialog title="Add exercises" @closed="builder.close()">
    <p role="status" class="min-h-5 text-ink2">
      {{ builder.message.value || 'Type a few letters; Enter adds, Escape is done.' }}
    </p>
    <Combobox :model-value="null" nullable @update:model-value="add">
      <div class="mt-2 flex items-center gap-3">
        <div class="flex-1">
          <ComboboxInput
            ref="input"
            class="field"
            aria-label="Exercise"
            placeholder="Type a few letters"
            autocomplete="off"
            @change="typed = $event.target.value"
            @keydown.esc="builder.close()"
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
        <label class="flex items-center gap-1.5"
          ><input v-model="isPaired" type="checkbox" /> with the one before</label
        >
      </div>
      <ComboboxOptions static class="mt-3 max-h-[400px] overflow-y-auto outline-none">
        <ComboboxOption
          v-for="choice in found"
          :key="`${choice.exercise.id} ${choice.intent}`"
          v-slot="{ active }"
          :value="choice"
          as="template"
        >
          <li
            class="flex cursor-pointer items-center gap-4 rounded px-2.5 py-1"
            :class="active ? 'bg-focus-wash' : ''"
          >
            <span class="min-w-0">
              <span class="block font-semibold"
                >{{ choice.exercise.name
                }}<span v-if="purpose(choice)" class="font-normal text-ink2"
                  >, {{ purpose(choice) }}</span
                ></span
              >
              <span class="block truncate text-[12px] text-ink2">{{ credits(choice) }}</span>
            </span>
            <span class="ml-auto shrink-0 text-right text-[12px]">
              <span
                v-for="reason in choice.reasons.slice(0, 2)"
                :key="reason.kind"
                class="block"
                :class="
                  reason.kind === 'fills'
                    ? 'text-focus'
                    : reason.kind === 'known'
                      ? 'text-ink2'
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
  </PanelDialog>
</template>
