<script setup lang="ts">
import type { FirstChoice } from '#core/follow/season'
import type { PhaseKind } from '#core/plan/method'
import { PHASE_NAMES } from '#core/words'
import { X } from 'lucide-vue-next'
import type { usePlanAhead } from './usePlanAhead'

/** A year of blocks in one form: titles, weeks, and what comes first in each. */
const { plan } = defineProps<{ plan: ReturnType<typeof usePlanAhead> }>()
const emit = defineEmits<{ closed: [] }>()
const { choices, rows, change, drop, add, begin, put, problem, isBusy, weeks, canAdd } = plan
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <PanelDialog title="Plan ahead" :width="820" @closed="emit('closed')">
    <form class="mt-2" novalidate @submit.prevent="begin()">
      <p class="text-ink2">
        Drafts: days and what comes first. Their exercises go on being those of the block before,
        until you make one a plan or change it by hand.
      </p>
      <table class="mt-2 w-full text-left">
        <thead>
          <tr class="text-[12px] text-ink2">
            <th scope="col">Title</th>
            <th scope="col">Weeks</th>
            <th scope="col">Phase</th>
            <th scope="col">What comes first</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in rows" :key="at">
            <td class="py-0.5 pr-2">
              <input
                class="small-field w-full"
                dir="auto"
                :maxlength="LIMITS.title"
                :data-first="at === 0 || undefined"
                :value="row.title"
                :aria-label="`Title of block ${at + 1}`"
                @input="change(at, { title: textOf($event) })"
              />
            </td>
            <td class="pr-2">
              <input
                type="number"
                v-bind="LIMITS.nextBlockWeeks"
                class="small-field w-16"
                :value="row.weeks"
                :aria-label="`Weeks of block ${at + 1}`"
                @input="change(at, { weeks: Number(textOf($event)) })"
              />
            </td>
            <td class="pr-2">
              <select
                class="small-field"
                :value="row.phase ?? ''"
                :aria-label="`Phase of block ${at + 1}`"
                @change="change(at, { phase: (textOf($event) || null) as PhaseKind | null })"
              >
                <option value="">none</option>
                <option v-for="(name, kind) in PHASE_NAMES" :key="kind" :value="kind">
                  {{ name }}
                </option>
              </select>
            </td>
            <td class="pr-2">
              <select
                class="small-field w-full"
                :value="row.first"
                :aria-label="`What comes first in block ${at + 1}`"
                @change="change(at, { first: textOf($event) as FirstChoice })"
              >
                <option v-for="[choice, words] in choices" :key="choice" :value="choice">
                  {{ words }}
                </option>
              </select>
            </td>
            <td>
              <button
                type="button"
                class="quiet-link inline-grid place-items-center max-md:min-h-11 max-md:min-w-11"
                :aria-label="`Leave block ${at + 1} out`"
                @click="drop(at)"
              >
                <X :size="14" aria-hidden="true" />
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="mt-1 flex items-center gap-3">
        <button type="button" class="control" :disabled="!canAdd" @click="add()">
          One more block
        </button>
        <span class="text-ink2">{{ weeks }} weeks in all</span>
      </p>
      <p role="alert" class="mt-1 min-h-5 text-alert">{{ problem }}</p>
      <div class="flex items-center gap-3">
        <button
          type="submit"
          class="control control-strong"
          :disabled="isBusy || rows.length === 0"
        >
          Put {{ rows.length === 1 ? 'one block' : `${rows.length} blocks` }} behind the last
        </button>
        <p role="status">{{ put > 0 ? `${put} put` : '' }}</p>
      </div>
    </form>
  </PanelDialog>
</template>
