<script setup lang="ts">
/** This plan kept as a template, or given to other clients: what would differ for each is seen first. */
const { part, chosen, others, carried, done, isBusy, keeping, keep, run, takeBack, count, isSeen } =
  useCarrying()
const name = ref('')
const reason = ref('')
const isKept = ref(false)
async function submit(): Promise<void> {
  isKept.value = await keep(name.value, reason.value)
  if (isKept.value) name.value = reason.value = ''
}
const people = (many: number) => (many === 1 ? 'one client' : `${many} clients`)
</script>

<template>
  <div class="mt-3 flex flex-col gap-4">
    <fieldset class="flex flex-wrap gap-x-5">
      <legend class="sr-only">What of the plan</legend>
      <label><input v-model="part" type="radio" value="rotation" /> the rotation</label>
      <label
        ><input v-model="part" type="radio" value="block" /> the whole block: rotations, ramps,
        effort, easier weeks</label
      >
      <p class="w-full text-[12px] text-ink2">
        Weights, seat and pad stay with this client; for another one they are found anew.
      </p>
    </fieldset>
    <form class="flex flex-wrap items-end gap-3" @submit.prevent="submit">
      <TextField
        v-model="name"
        class="w-[240px]"
        label="Keep it as a template"
        hint="Name"
        :complaint="keeping.complaintAbout('/name', 'Name')"
      />
      <TextField v-model="reason" class="min-w-[240px] flex-1" label="Why, for whom" hint="Notes" />
      <button type="submit" class="control mb-6" :disabled="keeping.isBusy.value">Keep it</button>
      <p role="status" class="w-full">
        {{ isKept ? 'Kept. It stands under “Start from a template” for every client.' : '' }}
      </p>
    </form>
    <fieldset>
      <legend class="text-[14px] font-[650]">Give it to</legend>
      <div
        class="grid max-h-[150px] gap-x-5 gap-y-1 overflow-y-auto sm:grid-cols-2 lg:grid-cols-3"
        tabindex="0"
        role="group"
        aria-label="Clients"
      >
        <label v-for="other in others" :key="other.id" class="truncate"
          ><input v-model="chosen" type="checkbox" :value="other.id" />
          <bdi> {{ other.name }}</bdi></label
        >
      </div>
    </fieldset>
    <div class="flex flex-wrap items-center gap-3">
      <button
        type="button"
        class="control"
        :class="isSeen ? '' : 'control-strong'"
        :disabled="isBusy || chosen.length === 0"
        @click="run(true)"
      >
        See what would differ
      </button>
      <button
        type="button"
        class="control"
        :class="isSeen ? 'control-strong' : ''"
        :disabled="isBusy || !isSeen"
        @click="run(false)"
      >
        Give it to {{ people(chosen.length) }}
      </button>
      <button v-if="count > 0" type="button" class="control" :disabled="isBusy" @click="takeBack">
        Take it back from {{ people(count) }}
      </button>
      <p role="status">
        {{ isBusy ? `${done} of ${chosen.length}` : count > 0 ? `${people(count)} have it.` : '' }}
      </p>
    </div>
    <CarriedList v-if="carried.length > 0" :carried="carried" />
  </div>
</template>
