<script setup lang="ts">
import { groupedBy } from '#core/base'
import { SETTING_ACTS, settingWords } from '#core/words'
import {
  jointSparing,
  type Method,
  methodById,
  METHOD_SETTINGS,
  type MethodSetting,
  settingOf,
  withSetting,
} from '#core/plan/method'
import { MethodContract, SavedMethod } from '#shared/contracts/method'

const route = useRoute()
const id = String(route.params.methodId)
const { own, refreshMethods } = useStudioSettings()
await refreshMethods()
const entry = own.value.find(({ method }) => method.id === id)
if (!entry) throw createError({ statusCode: 404, fatal: true })
const base = methodById(entry.basedOn)
const draft = shallowRef<Method>(entry.method)
useHead({ title: () => `${draft.value.name} · Methods · Tholepin` })

const { send, complaint, errors, isBusy, complaintAbout } = useSubmission({
  path: () => `/api/methods/${id}`,
  method: 'PUT',
  body: MethodContract,
  answer: SavedMethod,
})
const isSaved = ref(false)
const isLive = ref(false)
onMounted(() => (isLive.value = true))
const parts = [...groupedBy(METHOD_SETTINGS, ({ part }) => part)]
const keyOf = ({ path }: MethodSetting) => path.join('.')
const differs = (setting: MethodSetting) =>
  settingOf(draft.value, setting) !== settingOf(base, setting)
function set(setting: MethodSetting, event: Event): void {
  draft.value = withSetting(draft.value, setting, (event.target as HTMLInputElement).value)
  isSaved.value = false
}
function reset(setting: MethodSetting): void {
  draft.value = withSetting(draft.value, setting, settingOf(base, setting))
  isSaved.value = false
}
function spare(): void {
  draft.value = jointSparing(draft.value)
  isSaved.value = false
}
const { kept } = useLeaveWarning(() => draft.value)
async function submit(): Promise<void> {
  isSaved.value = (await send(draft.value)) !== undefined
  if (isSaved.value) kept()
  if (isSaved.value) await refreshMethods()
}
</script>

<template>
  <div>
    <AppBar here="methods" />
    <main class="px-5 pt-4 pb-12 max-md:px-3">
      <form novalidate method="post" @submit.prevent="submit">
        <div class="flex items-end gap-4">
          <TextField
            :model-value="draft.name"
            class="w-[300px]"
            label="Name"
            :complaint="complaintAbout('/name', 'Name')"
            @update:model-value="name => (draft = { ...draft, name })"
          />
          <TextField
            :model-value="draft.suits"
            class="w-[420px]"
            label="Suits"
            @update:model-value="suits => (draft = { ...draft, suits })"
          />
          <button
            type="button"
            class="control mb-0.5"
            title="Overhead work late and short of lock-out, strict form, 12 to 20 reps, no set past failure, lower joint ceilings"
            @click="spare"
          >
            Spare the joints
          </button>
        </div>
        <p class="text-ink2">
          Copied from {{ base.name }}; what differs is blue and marked with a bar.
          {{
            entry.clients.length === 0
              ? 'Nobody follows it yet: choose it on a client’s profile.'
              : `Followed by ${entry.clients.map(({ name }) => name).join(', ')}.`
          }}
        </p>
        <div class="mt-4 grid grid-cols-3 gap-x-10 gap-y-5">
          <section v-for="[part, settings] in parts" :key="part" :aria-label="part">
            <h2 class="section-head">
              {{ part }}
            </h2>
            <div
              v-for="setting in settings"
              :key="keyOf(setting)"
              class="setting"
              :data-differs="differs(setting) || undefined"
            >
              <div>
                <label :for="keyOf(setting)">{{ setting.label }}</label>
                <span :id="`${keyOf(setting)}-acts`" class="block text-[11.5px] text-ink2"
                  >acts on {{ SETTING_ACTS[keyOf(setting)] }}</span
                >
              </div>
              <span class="flex items-center gap-1.5">
                <select
                  v-if="setting.kind === 'choice'"
                  :id="keyOf(setting)"
                  :aria-describedby="`${keyOf(setting)}-acts`"
                  class="small-field max-w-[150px]"
                  :value="settingOf(draft, setting)"
                  @change="set(setting, $event)"
                >
                  <option
                    v-for="option in setting.options"
                    :key="option.value"
                    :value="option.value"
                  >
                    {{ option.words }}
                  </option>
                </select>
                <template v-else>
                  <input
                    :id="keyOf(setting)"
                    :aria-describedby="`${keyOf(setting)}-acts`"
                    type="number"
                    class="small-field w-[70px]"
                    :min="setting.low"
                    :max="setting.high"
                    :step="setting.step"
                    :value="settingOf(draft, setting)"
                    @input="set(setting, $event)"
                  />
                  <span class="w-[34px] text-[12px] text-ink2">{{ setting.unit }}</span>
                </template>
                <button
                  v-if="differs(setting)"
                  type="button"
                  class="quiet-link text-[12px]"
                  :aria-label="`${setting.label}: back to ${settingWords(setting, base)}`"
                  @click="reset(setting)"
                >
                  {{ settingWords(setting, base) }}
                </button>
              </span>
            </div>
          </section>
        </div>
        <SaveBar
          action="Save the method"
          :is-disabled="isBusy || !isLive"
          :saved-words="
            isSaved
              ? `Saved.${entry.clients.length > 0 ? ' Boards of its followers use it from now on.' : ''}`
              : ''
          "
          :complaint="complaint"
          :errors="errors"
        >
          <NuxtLink to="/methods" class="quiet-link"> All methods </NuxtLink>
        </SaveBar>
      </form>
    </main>
  </div>
</template>

<style scoped>
.setting {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 1px 0 1px 8px;
}
.setting[data-differs] {
  box-shadow: inset 2px 0 0 var(--focus);
}
.setting[data-differs] label {
  color: var(--focus);
  font-weight: 600;
}
</style>
