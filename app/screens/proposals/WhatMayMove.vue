<script setup lang="ts">
import type { AllocationScope } from '#core/design/allocation'
import { SCOPE_NAMES } from '#core/words'
import { Lock } from 'lucide-vue-next'

/** What a search may move, and what stands fixed whatever is chosen. */
const scope = defineModel<AllocationScope>({ required: true })
const store = usePlanStore()
const held = computed(
  () =>
    store.plan?.rotation.days.flatMap(day =>
      day.sessions.flatMap(session =>
        session.groupings.flatMap(({ slots }) => slots.filter(({ isHeld }) => isHeld)),
      ),
    ).length ?? 0,
)
const limits = computed(() =>
  [
    ...new Set(
      store.plan?.rotation.days.flatMap(({ minuteLimit, role }) =>
        role === 'rest' || minuteLimit === undefined ? [] : [minuteLimit],
      ),
    ),
  ].sort((a, b) => b - a),
)
</script>

<template>
  <div class="contents">
    <label class="flex items-center gap-2 text-ink2"
      >What may move
      <select v-model="scope" class="small-field">
        <option v-for="(name, one) in SCOPE_NAMES" :key="one" :value="one">
          {{ name }}
        </option>
      </select>
    </label>
    <p class="flex items-center gap-2 text-[12.5px] text-ink2">
      Held fixed
      <span class="chip"
        ><Lock :size="12" aria-hidden="true" />
        {{ store.plan?.rotation.days.length ?? 0 }} days</span
      ><span v-if="limits.length > 0" class="chip"
        ><Lock :size="12" aria-hidden="true" /> {{ limits.join(' and ') }} min limits</span
      ><span v-if="held > 0" class="chip"
        ><Lock :size="12" aria-hidden="true" /> {{ held }} held</span
      >
    </p>
  </div>
</template>

<style scoped src="./columns.css"></style>
