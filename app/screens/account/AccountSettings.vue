<script setup lang="ts">
import { DATE_NAMES } from '#core/words'
import { AccountBody, type AccountView, SignedInCoach } from '#shared/contracts/session'

/** What the coach calls herself and her studio, and how dates and figures are written everywhere. */
const { account } = defineProps<{ account: AccountView }>()
const emit = defineEmits<{ saved: [] }>()
const entered = reactive({
  name: account.name,
  studio: account.studio,
  writing: { ...account.writing },
})
const { send, complaint, complaintAbout, isBusy } = useSubmission({
  path: () => '/api/account',
  method: 'PUT',
  body: AccountBody,
  answer: SignedInCoach,
})
const { fetch: refreshSession } = useUserSession()
const isSaved = ref(false)
const DATES = [
  ['day_month', 'Sat 28 Nov'],
  ['month_day', 'Sat Nov 28'],
  ['year_first', 'Sat 2026-11-28'],
] as const
const DECIMAL_SIGNS = [
  ['point', '12.5'],
  ['comma', '12,5'],
] as const
const { kept } = useLeaveWarning(() => entered)
async function save(): Promise<void> {
  isSaved.value = false
  if (!(await send({ ...entered, writing: { ...entered.writing } }))) return
  kept()
  await refreshSession()
  isSaved.value = true
  emit('saved')
}
</script>

<template>
  <form method="post" novalidate class="mt-6" @submit.prevent="save">
    <div class="grid gap-x-12 md:grid-cols-2">
      <TextField
        v-model="entered.name"
        label="Your name"
        autocomplete="name"
        :complaint="complaintAbout('/name', 'Your name')"
      />
      <TextField
        v-model="entered.studio"
        label="Studio"
        autocomplete="organization"
        :complaint="complaintAbout('/studio', 'Studio')"
      />
    </div>
    <fieldset id="dates" class="mt-3 flex flex-wrap gap-x-5 gap-y-2">
      <legend class="mb-1 text-[14px] font-[650]">Dates and figures</legend>
      <label
        >Dates as
        <select v-model="entered.writing.dates" class="small-field">
          <option v-for="[id, example] in DATES" :key="id" :value="id">{{ example }}</option>
        </select></label
      >
      <label
        >Names of days and months in
        <select v-model="entered.writing.language" class="small-field">
          <option v-for="({ name }, id) in DATE_NAMES" :key="id" :value="id" :lang="id">
            {{ name }}
          </option>
        </select></label
      >
      <label
        >Figures as
        <select v-model="entered.writing.decimals" class="small-field">
          <option v-for="[id, example] in DECIMAL_SIGNS" :key="id" :value="id">
            {{ example }}
          </option>
        </select></label
      >
      <p class="w-full text-[12px] text-ink2">
        Holds on every screen, on your clients’ sheets and on paper. Times are those of the device
        you look at. What you type is read with point or comma either way.
      </p>
    </fieldset>
    <div class="mt-3 flex items-center gap-3">
      <button type="submit" class="control control-strong" :disabled="isBusy">Save</button>
      <p role="status">{{ isSaved ? 'Saved.' : '' }}</p>
      <p v-if="complaint" role="alert" class="alert-chip">{{ complaint }}</p>
    </div>
  </form>
</template>
