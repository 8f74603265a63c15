<script setup lang="ts">
import type { Intent } from '#core/plan/catalogue'
import type { Slot } from '#core/plan/session'
import { useSession } from './sessionContext'

/** What an exercise is done for, and what its place in the session is there for. */
const { held, intents, roles } = defineProps<{
  held: Slot
  intents: readonly [Intent, ...Intent[]]
  roles: readonly { readonly id: string; readonly name: string }[]
}>()
const emit = defineEmits<{ role: [role: string] }>()
const builder = useSession()
</script>

<template>
  <label v-if="intents.length > 1" class="col-span-2">
    <span>Purpose</span>
    <select
      class="small-field"
      :value="held.intent ?? intents[0].id"
      @change="
        builder.edit({
          kind: 'set_purpose',
          slot: held.id,
          intent:
            ($event.target as HTMLSelectElement).value === intents[0].id
              ? null
              : ($event.target as HTMLSelectElement).value,
        })
      "
    >
      <option v-for="purpose in intents" :key="purpose.id" :value="purpose.id">
        {{ purpose.name }}
      </option>
    </select>
  </label>
  <label>
    <span>Role of the place</span>
    <select
      class="small-field"
      :value="held.role ?? ''"
      @change="emit('role', ($event.target as HTMLSelectElement).value)"
    >
      <option value="">none</option>
      <option v-for="{ id, name } in roles" :key="id" :value="id">{{ name }}</option>
    </select>
  </label>
</template>

<style scoped>
label {
  display: flex;
  flex-direction: column;
  font-size: 12px;
  color: var(--ink2);
}
label .small-field {
  width: 100%;
}
</style>
