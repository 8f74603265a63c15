<script setup lang="ts">
import { instantWords } from '~/shell/instantWords'
import { formatOneDecimal, GROUP_NAMES } from '#core/words'

useHead({ title: 'Compare · Tholepin' })
const { roster, methods, sides, left, right, rows, open } = await useComparison()
const halves = computed(() => [
  { id: 'left' as const, ...left },
  { id: 'right' as const, ...right },
])
const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
const differs = (a: number | undefined, b: number | undefined) =>
  a !== undefined && b !== undefined && Math.abs(a - b) >= 0.05
</script>

<template>
  <div>
    <AppBar here="compare" />
    <main class="mx-auto max-w-[1180px] px-5 pt-4 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">Compare</h1>
      <p class="text-ink2">
        Two rotations, two saves of one plan, or one plan by two methods. What differs on the right
        is blue.
      </p>
      <div class="mt-4 grid grid-cols-2 gap-8 max-md:grid-cols-1">
        <section
          v-for="half in halves"
          :key="half.id"
          :aria-label="half.id === 'left' ? 'Left side' : 'Right side'"
        >
          <div class="flex flex-wrap items-center gap-2">
            <select
              class="small-field"
              :value="sides[half.id].client"
              :aria-label="`Client, ${half.id}`"
              @change="
                sides[half.id] = { ...sides[half.id], client: valueOf($event), version: null }
              "
            >
              <option v-for="client in roster" :key="client.id" :value="client.id">
                {{ client.name }}
              </option>
            </select>
            <select
              class="small-field"
              :value="sides[half.id].version ?? ''"
              :aria-label="`Version, ${half.id}`"
              @change="
                sides[half.id] = { ...sides[half.id], version: Number(valueOf($event)) || null }
              "
            >
              <option value="">as it stands</option>
              <option
                v-for="revision in half.revisions.value"
                :key="revision.version"
                :value="revision.version"
              >
                {{ revision.version }} ·
                {{ revision.name ?? instantWords(revision.savedAt) }}
              </option>
            </select>
            <select
              class="small-field"
              :value="sides[half.id].method ?? ''"
              :aria-label="`Counted by, ${half.id}`"
              @change="sides[half.id] = { ...sides[half.id], method: valueOf($event) || null }"
            >
              <option value="">by the client’s method</option>
              <option v-for="method in methods" :key="method.id" :value="method.id">
                by {{ method.name }}
              </option>
            </select>
            <button type="button" class="control ml-auto" @click="open(sides[half.id].client)">
              Open
            </button>
          </div>
          <p v-if="half.complaint.value" role="alert" class="alert-chip mt-2">
            {{ half.complaint.value }}
          </p>
          <template v-if="half.shown.value">
            <p class="mt-2 text-ink2">
              {{ half.shown.value.title }} · {{ half.shown.value.days.length }} days ·
              {{ half.shown.value.method }}
            </p>
            <RotationStrip :days="half.shown.value.days" :today="null" />
          </template>
        </section>
      </div>
      <ScrollBox label="Where the two differ"
        ><table class="mt-4 w-full text-left max-md:min-w-[480px]">
          <caption class="sr-only">
            Sets per 7 days on both sides
          </caption>
          <thead>
            <tr class="text-[12px] text-ink2">
              <th scope="col">Sets per 7 days</th>
              <template v-for="half in halves" :key="half.id">
                <th scope="col" class="pr-2">counted</th>
                <th scope="col" class="pr-2">direct</th>
                <th scope="col" class="pr-8">days in 7</th>
              </template>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.group" class="border-t border-hair">
              <th scope="row" class="py-0.5 font-semibold">
                {{ GROUP_NAMES[row.group] }}
              </th>
              <template
                v-for="part in ['counted', 'direct', 'frequency'] as const"
                :key="`l-${part}`"
              >
                <td>{{ row.left ? formatOneDecimal(row.left[part]) : '' }}</td>
              </template>
              <template
                v-for="part in ['counted', 'direct', 'frequency'] as const"
                :key="`r-${part}`"
              >
                <td
                  :class="
                    differs(row.left?.[part], row.right?.[part]) ? 'font-semibold text-focus' : ''
                  "
                >
                  {{ row.right ? formatOneDecimal(row.right[part]) : '' }}
                </td>
              </template>
            </tr>
          </tbody>
        </table></ScrollBox
      >
    </main>
  </div>
</template>
