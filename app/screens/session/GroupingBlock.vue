<script setup lang="ts">
import { formatClock, GROUPING_NAMES, pairingSentence, PLACEMENT_NAMES } from '#core/words'
import type { Grouping } from '#core/plan/session'
import { useSession } from './sessionContext'

const { grouping, at } = defineProps<{ grouping: Grouping; at: number }>()
const builder = useSession()
const isTogether = computed(() => grouping.slots.length > 1)
const effect = computed(() => builder.effects.value.find(held => held.grouping === grouping.id))
const first = computed(() => grouping.slots[0].id)
const rests = computed(() => builder.restsOf(grouping))
const seconds = computed(
  () =>
    builder.view.value?.time.groupings.find(time => time.grouping === grouping.id)?.seconds ?? 0,
)
const LETTERS = 'abcdefghijklmnopqrstuvwxyz'
const restFrom = (event: Event) => {
  const value = Number((event.target as HTMLInputElement).value)
  return {
    kind: 'seconds' as const,
    seconds: Math.min(3600, Math.max(0, Number.isFinite(value) ? value : 0)),
  }
}
</script>

<template>
  <li class="block" :data-together="isTogether || undefined">
    <div v-if="isTogether || grouping.placement !== 'main'" class="head">
      <label v-if="isTogether" class="flex items-center gap-1.5">
        <span class="sr-only">How group {{ at + 1 }} is done</span>
        <select
          class="small-field font-semibold"
          :value="grouping.kind"
          @change="
            builder.convert(first, ($event.target as HTMLSelectElement).value as Grouping['kind'])
          "
        >
          <option v-for="kind in builder.GROUPING_KINDS" :key="kind" :value="kind">
            {{ GROUPING_NAMES[kind] }}
          </option>
        </select>
      </label>
      <label v-if="grouping.placement !== 'main'" class="flex items-center gap-1.5 text-ink2">
        <span class="sr-only">Part of the session</span>
        <select
          class="small-field"
          :value="grouping.placement"
          @change="
            builder.edit({
              kind: 'tune_grouping',
              slot: first,
              change: {
                placement: ($event.target as HTMLSelectElement).value as Grouping['placement'],
              },
            })
          "
        >
          <option v-for="placement in builder.PLACEMENTS" :key="placement" :value="placement">
            {{ PLACEMENT_NAMES[placement] }}
          </option>
        </select>
      </label>
      <template v-if="isTogether && grouping.kind !== 'straight'">
        <label class="flex items-center gap-1.5 text-ink2"
          >between
          <input
            class="small-field w-[58px]"
            type="number"
            v-bind="LIMITS.restSeconds"
            step="5"
            :value="rests.inside"
            @change="
              builder.edit({
                kind: 'tune_grouping',
                slot: first,
                change: { restBetweenPartners: restFrom($event) },
              })
            "
          />
          s</label
        >
        <label class="flex items-center gap-1.5 text-ink2"
          >after
          <input
            class="small-field w-[58px]"
            type="number"
            v-bind="LIMITS.restSeconds"
            step="15"
            :value="rests.after"
            @change="
              builder.edit({
                kind: 'tune_grouping',
                slot: first,
                change: { restAfterRound: restFrom($event) },
              })
            "
          />
          s</label
        >
      </template>
      <span class="min-w-0 flex-1 text-[12px] text-ink2">{{
        effect ? pairingSentence(effect, builder.nameOf) : ''
      }}</span>
      <span class="text-[12px] text-ink2">{{ formatClock(seconds) }}</span>
      <button
        v-if="isTogether"
        type="button"
        class="quiet-link text-[12px]"
        @click="(builder.select(first), builder.togglePair())"
      >
        apart
      </button>
    </div>
    <ul>
      <ExerciseRow
        v-for="(slot, n) in grouping.slots"
        :key="slot.id"
        :held="slot"
        :letter="`${at + 1}${isTogether ? (LETTERS[n] ?? '') : ''}`"
      />
    </ul>
  </li>
</template>

<style scoped>
.block[data-together] {
  margin: 4px 0;
  border-left: 2px solid var(--ink2);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  min-height: 30px;
  padding: 2px 8px;
  background: var(--sunk);
}
</style>
