<script setup lang="ts">
import type { Mode } from '#core/plan/method'
import { MODE_NAMES } from '#core/words'
import type { useDraft } from './useDraft'

/** The chosen draft: what comes first, how far the sets go, and the way to a plan. */
const { draft, title } = defineProps<{ title: string; draft: ReturnType<typeof useDraft> }>()
const { rows, baseWeeks, change, keep, isBusy } = draft
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <section :aria-label="`Draft: ${title}`" class="mt-4 max-w-[900px]">
    <h2 class="section-head">
      Draft: <bdi>{{ title }}</bdi>
    </h2>
    <p class="text-ink2">
      Its exercises are those of the block before, whatever becomes of them. Decide what comes first
      and how far the sets go.
    </p>
    <form class="mt-2" novalidate @submit.prevent="keep()">
      <table class="text-left">
        <thead>
          <tr class="text-[12px] text-ink2">
            <th scope="col" class="pr-4">Muscle</th>
            <th scope="col" class="pr-4">Priority</th>
            <th scope="col" class="pr-4">Sets at its end, per 7 days</th>
            <th scope="col">Now</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.group">
            <th scope="row" class="pr-4 font-normal">{{ row.name }}</th>
            <td class="py-0.5 pr-4">
              <select
                class="small-field"
                :value="row.mode"
                :aria-label="`${row.name}, priority in the draft`"
                @change="change(row.group, { mode: textOf($event) as Mode })"
              >
                <option v-for="(name, mode) in MODE_NAMES" :key="mode" :value="mode">
                  {{ name }}
                </option>
              </select>
            </td>
            <td class="pr-4">
              <input
                class="small-field w-20"
                inputmode="decimal"
                placeholder="usual"
                :value="row.end"
                :aria-label="`${row.name}, sets at the draft’s end`"
                @input="change(row.group, { end: textOf($event) })"
              />
            </td>
            <td>{{ row.now }}</td>
          </tr>
        </tbody>
      </table>
      <label class="mt-2 block"
        >Base: arm work comes in after
        <input v-model="baseWeeks" class="small-field w-14" inputmode="numeric" placeholder="no" />
        weeks</label
      >
      <div class="mt-2 flex flex-wrap items-center gap-3">
        <button type="submit" class="control" :disabled="isBusy">Keep in the draft</button>
      </div>
    </form>
  </section>
</template>
