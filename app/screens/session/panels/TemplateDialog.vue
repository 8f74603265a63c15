<script setup lang="ts">
import { formatClock } from '#core/words'
import { useSession } from '../sessionContext'

const builder = useSession()
const { offered, isLoading, keeping, put, keep, remove } = useSessionTemplates(builder)
const chosen = ref('')
const current = computed(
  () => offered.value.find(({ key }) => key === chosen.value) ?? offered.value[0],
)
const name = ref('')
const reason = ref('')
const hasSets = computed(() => builder.slots.value.length > 0)
async function keepThis(): Promise<void> {
  if (await keep(name.value, reason.value)) name.value = reason.value = ''
}
</script>

<template>
  <PanelDialog title="Session templates" :width="900" @closed="builder.close()">
    <div class="mt-3 grid grid-cols-[280px_1fr] gap-6">
      <ul class="max-h-[440px] overflow-y-auto" aria-label="Templates">
        <li v-for="template in offered" :key="template.key">
          <button
            type="button"
            class="w-full rounded px-2 py-1 text-left"
            :class="current?.key === template.key ? 'bg-focus-wash' : 'hover:bg-paper'"
            :aria-pressed="current?.key === template.key"
            @click="chosen = template.key"
          >
            <span class="block font-semibold">{{ template.name }}</span>
            <span class="block text-[12px] text-ink2"
              >{{ template.suits }} · {{ formatClock(template.fitted.seconds) }} for this
              client</span
            >
          </button>
        </li>
        <li v-if="isLoading" class="px-2 text-ink2">Fetching your own templates</li>
      </ul>
      <section v-if="current" :aria-label="current.name" class="flex min-h-[300px] flex-col">
        <ul class="list-disc pl-5">
          <li v-for="why in current.reasons" :key="why">
            {{ why }}
          </li>
        </ul>
        <h3 class="section-head mt-3">
          Fitted to this client: {{ formatClock(current.fitted.seconds)
          }}<span v-if="builder.limit.value !== null" class="font-normal text-ink2">
            of {{ builder.limit.value }} min</span
          >
        </h3>
        <p v-for="change in current.words" :key="change" class="text-focus">
          {{ change }}
        </p>
        <ul class="mt-1 text-[12.5px] leading-[18px]">
          <li v-for="line in current.lines" :key="line" class="border-b border-hair py-0.5">
            {{ line }}
          </li>
        </ul>
        <div class="mt-auto flex flex-wrap gap-3 pt-4">
          <button
            type="button"
            class="control control-strong"
            :disabled="current.fitted.session.groupings.length === 0"
            @click="put(current, false)"
          >
            {{ hasSets ? 'In place of this session' : 'Put in' }}
          </button>
          <button v-if="hasSets" type="button" class="control" @click="put(current, true)">
            At the end of it
          </button>
          <button
            v-if="current.ownId"
            type="button"
            class="control ml-auto"
            @click="remove(current.ownId)"
          >
            Remove this template
          </button>
        </div>
      </section>
    </div>
    <form
      v-if="hasSets"
      class="mt-4 flex flex-wrap items-end gap-3 border-t border-hair pt-3"
      @submit.prevent="keepThis()"
    >
      <label class="flex flex-col font-semibold"
        >Keep this session as
        <input
          v-model="name"
          class="field mt-1 font-normal"
          :maxlength="LIMITS.name"
          placeholder="Name"
          autocomplete="off"
        />
      </label>
      <label class="min-w-[260px] flex-1 font-semibold"
        >Why it is good
        <input
          v-model="reason"
          class="field mt-1 font-normal"
          :maxlength="LIMITS.shortText"
          placeholder="For whom, when"
          autocomplete="off"
        />
      </label>
      <button type="submit" class="control h-9" :disabled="keeping.isBusy.value">
        Keep as a template
      </button>
      <p role="alert" class="w-full">
        <span v-if="keeping.complaintAbout('/name', 'Name')" class="alert-chip">{{
          keeping.complaintAbout('/name', 'Name')
        }}</span>
        <span v-else-if="keeping.complaint.value" class="alert-chip">{{
          keeping.complaint.value
        }}</span>
      </p>
    </form>
  </PanelDialog>
</template>
