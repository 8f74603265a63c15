<script setup lang="ts">
import type { Gear } from '#core/plan/estimate'
import { typedGear } from '~/ui/gearLines'
import { GearBody } from '#shared/contracts/gear'

/** What the studio can load; every client without lines of her own is rounded to it. */
const { saved } = defineProps<{ saved: Gear }>()
const emit = defineEmits<{ changed: [] }>()
const typed = ref<Gear>({ ...saved })
const message = ref('')
const { send, complaint, isBusy } = useSubmission({
  path: () => '/api/account/gear',
  method: 'PUT',
  body: GearBody,
  answer: GearBody,
})

async function save(): Promise<void> {
  message.value = ''
  if (!(await send({ gear: typedGear({ ...typed.value }) }))) return
  message.value = 'Saved. Loads are rounded to it from now on.'
  emit('changed')
}
</script>

<template>
  <form class="mt-10" novalidate @submit.prevent="save()">
    <h2 class="text-[14px] font-[650]">What the studio can load</h2>
    <p class="mt-1 mb-3 max-w-[70ch] text-ink2">
      One line each, in kilograms unless it ends in lb. A client who trains elsewhere has lines of
      their own on the profile.
    </p>
    <GearLines v-model="typed" />
    <p role="status" class="mt-2 min-h-6">
      <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      <span v-else>{{ message }}</span>
    </p>
    <button type="submit" class="control" :disabled="isBusy">Save the weights</button>
  </form>
</template>
