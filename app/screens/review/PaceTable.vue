<script setup lang="ts">
import type { Group } from '#core/plan/catalogue'

/** How fast each muscle recovers, by the log, and what is reckoned with. */
interface PaceLine {
  readonly group: Group
  readonly name: string
  readonly learned: string
  readonly inForce: string
  readonly by: string
  readonly since: string
  readonly offered: number | null
  readonly isUsual: boolean
  readonly isByCoach: boolean
}
const { rows, isBusy } = defineProps<{ rows: readonly PaceLine[]; isBusy: boolean }>()
const emit = defineEmits<{
  set: [group: Group, pace: number]
  usual: [group: Group]
  anew: [group: Group]
}>()
const own = ref<Readonly<Partial<Record<Group, number | ''>>>>({})
const isPossible = (pace: number | '' | undefined): pace is number =>
  typeof pace === 'number' && pace >= 0.5 && pace <= 2
</script>

<template>
  <table class="w-full text-left text-[13px]">
    <thead>
      <tr class="text-[12px] text-ink2">
        <th scope="col">Muscle</th>
        <th scope="col">The log says</th>
        <th scope="col">In use</th>
        <th scope="col" class="pl-3">Your word</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.group" class="border-b border-hair align-top">
        <th scope="row" class="py-1 font-semibold">
          {{ row.name }}
        </th>
        <td class="py-1">
          {{ row.learned }} <span v-if="row.since" class="text-ink2">{{ row.since }}</span>
        </td>
        <td class="py-1">
          {{ row.inForce }} <span class="text-ink2">{{ row.by }}</span>
        </td>
        <td class="py-1 pl-3">
          <form
            class="flex flex-wrap gap-1"
            @submit.prevent="
              isPossible(own[row.group]) && emit('set', row.group, Number(own[row.group]))
            "
          >
            <button
              v-if="row.offered !== null"
              type="button"
              class="control"
              :disabled="isBusy"
              :aria-label="`Use ${row.offered} for ${row.name}`"
              @click="emit('set', row.group, row.offered)"
            >
              Use {{ row.offered }}
            </button>
            <input
              type="number"
              min="0.5"
              max="2"
              step="0.05"
              class="small-field w-16"
              :value="own[row.group] ?? ''"
              :aria-label="`Times the usual hours for ${row.name}, 0.5 to 2`"
              placeholder="0.5–2"
              @input="
                event =>
                  (own = {
                    ...own,
                    [row.group]:
                      (event.target as HTMLInputElement).value === ''
                        ? ''
                        : Number((event.target as HTMLInputElement).value),
                  })
              "
            />
            <button type="submit" class="control" :disabled="isBusy || !isPossible(own[row.group])">
              Set
            </button>
            <button
              v-if="!row.isUsual"
              type="button"
              class="control"
              :disabled="isBusy"
              :aria-label="`Usual hours for ${row.name}`"
              @click="emit('usual', row.group)"
            >
              Usual
            </button>
            <button
              type="button"
              class="control"
              :disabled="isBusy"
              :aria-label="`Start learning ${row.name} again from today`"
              @click="emit('anew', row.group)"
            >
              Learn anew
            </button>
          </form>
        </td>
      </tr>
    </tbody>
  </table>
</template>
