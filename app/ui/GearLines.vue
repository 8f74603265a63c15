<script setup lang="ts">
import type { Gear, GearField } from '#core/plan/estimate'
import { gearRows } from './gearLines'

/** What a gym can load, a line of text each, with what was read beside it. */
const typed = defineModel<Gear>({ required: true })
const rows = computed(() => gearRows(typed.value))
function set(field: GearField, event: Event): void {
  typed.value = { ...typed.value, [field]: (event.target as HTMLInputElement).value }
}
</script>

<template>
  <div class="grid gap-2">
    <div v-for="row in rows" :key="row.field">
      <label class="grid grid-cols-[150px_minmax(0,1fr)] items-center gap-2 max-sm:grid-cols-1">
        <span>{{ row.name }}</span>
        <input
          type="text"
          dir="auto"
          class="small-field w-full"
          :maxlength="LIMITS.shortText"
          :value="row.value"
          :aria-invalid="row.complaint !== '' || undefined"
          :aria-describedby="`gear-${row.field}`"
          @input="set(row.field, $event)"
        />
      </label>
      <p
        :id="`gear-${row.field}`"
        class="pl-[158px] text-[12px] max-sm:pl-0"
        :class="row.complaint ? 'text-alert' : 'text-ink2'"
        :role="row.complaint ? 'alert' : undefined"
      >
        {{ row.complaint || row.read || row.hint }}
      </p>
    </div>
  </div>
</template>
