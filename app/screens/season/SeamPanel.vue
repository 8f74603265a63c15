<script setup lang="ts">
import type { useSeam } from './useSeam'
import type { useSeason } from './useSeason'

/** What two blocks ask of a body where they meet, in four columns. */
const { seam, atSeam } = defineProps<{
  before: string
  after: string
  seam: NonNullable<Awaited<ReturnType<typeof useSeason>>['seam']['value']>
  atSeam: ReturnType<typeof useSeam>
}>()
const { offers, said, isAhead, move, take } = atSeam
const KEYS = { soften: '1', keep: '2' } as const
const has = (concern: (typeof seam)['concerns'][number]) => seam.concerns.includes(concern)
</script>

<template>
  <section
    aria-labelledby="seam-head"
    class="mt-4 rounded-[6px] border-2 border-focus bg-paper p-4"
  >
    <header class="flex flex-wrap items-baseline gap-3">
      <h2 id="seam-head" class="font-display text-[17px]">
        <bdi>{{ before }}</bdi> to <bdi>{{ after }}</bdi>
      </h2>
      <p class="text-ink2" :class="has('gap') && 'text-alert!'">{{ seam.gap }}</p>
      <p
        class="ml-auto font-semibold"
        :class="seam.concerns.length > 0 ? 'text-alert' : 'text-ink2'"
      >
        {{ seam.concerns.length > 0 ? `${seam.concerns.length} to look at` : 'Nothing to look at' }}
      </p>
      <span v-if="isAhead" class="flex flex-wrap gap-2">
        <button type="button" class="control" @click="move(-1)">
          Seam earlier <KeyCap label="⇧←" />
        </button>
        <button type="button" class="control" @click="move(1)">
          Seam later <KeyCap label="⇧→" />
        </button>
      </span>
      <p role="status" class="basis-full text-[12.5px] empty:hidden">{{ said }}</p>
    </header>
    <div class="mt-3 grid grid-cols-4 gap-6 max-lg:grid-cols-2 max-sm:grid-cols-1">
      <div
        v-for="{ title, limit, rows, concern } in [
          {
            title: 'Jump of sets',
            limit: 'a fifth more at most',
            rows: seam.jumps,
            concern: 'jump' as const,
          },
          {
            title: 'Joint load in 7 days',
            limit: 'a fifth more at most',
            rows: seam.joints,
            concern: 'joint' as const,
          },
        ]"
        :key="title"
      >
        <h3 class="flex justify-between gap-2 border-b border-hair pb-1">
          <b :class="has(concern) && 'text-alert'">{{ has(concern) ? '↑ ' : '✓ ' }}{{ title }}</b>
          <span class="text-[12px] text-ink2">{{ limit }}</span>
        </h3>
        <table class="w-full text-[12.5px]">
          <tbody>
            <tr v-for="row in rows" :key="row.name" :class="row.isMuch && 'text-alert'">
              <th scope="row" class="py-0.5 text-left font-normal">{{ row.name }}</th>
              <td class="text-right text-ink2">{{ row.before }} →</td>
              <td class="pl-1 text-right font-semibold">{{ row.after }}</td>
              <td class="pl-3 text-right">{{ row.ratio }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div>
        <h3 class="border-b border-hair pb-1">
          <b :class="has('readiness') && 'text-alert'"
            >{{ has('readiness') ? '↑ ' : '✓ ' }}Readiness carried in</b
          >
        </h3>
        <p class="mt-1 text-[12.5px]">{{ seam.carried }}</p>
      </div>
      <div>
        <h3 class="border-b border-hair pb-1">
          <b :class="has('kept') && 'text-alert'">{{ has('kept') ? '↑ ' : '✓ ' }}Exercises kept</b>
        </h3>
        <p class="mt-1 text-[12.5px]">{{ seam.kept }}</p>
        <p v-if="seam.fresh.length > 0" class="mt-1 text-[12.5px] text-ink2">
          New: {{ seam.fresh.join(', ') }}.
        </p>
        <p v-if="seam.early.length > 0" class="mt-1 text-[12.5px] text-alert">
          Leaves early: {{ seam.early.join(', ') }}.
        </p>
      </div>
    </div>
    <footer v-if="offers.length > 0" class="mt-3 border-t border-hair pt-1">
      <div
        v-for="offer in offers"
        :key="offer.fix"
        class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2"
      >
        <button type="button" class="control" @click="take(offer.fix)">
          {{ offer.words }} <KeyCap :label="KEYS[offer.fix]" />
        </button>
        <p class="min-w-[220px] flex-1 text-[12.5px] text-focus">
          {{ offer.effects.join(', ') }}{{ offer.isEnough ? '.' : '; more cannot be done so.' }}
        </p>
      </div>
    </footer>
  </section>
</template>
