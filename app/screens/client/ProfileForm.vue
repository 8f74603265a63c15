<script setup lang="ts">
import {
  EQUIPMENT_NAMES,
  formatSets,
  GROUP_NAMES,
  HINDRANCE_NAMES,
  PLAN_SCOPE_NAMES,
  JOINT_NAMES,
  MODE_NAMES,
  SCHOOL_NAMES,
  TRAINING_AGE_NAMES,
  WEEKDAY_NAMES,
} from '#core/words'
import type { Profile } from '#shared/contracts/profile'
import { useMounted } from '@vueuse/core'

const { before, path, action } = defineProps<{
  /** The profile as it stands; null for a new client. */
  before: Profile | null
  path: string
  /** What the button says. */
  action: string
}>()
const emit = defineEmits<{ saved: [id: string] }>()
const {
  entered,
  complaint,
  errors,
  isBusy,
  complaintAbout,
  method,
  methods,
  exercises,
  screening,
  bands,
  save,
  usePreset,
  modeOf,
  setMode,
  age,
  choices,
} = useProfileForm(before, () => path)
const isLive = useMounted()
const bodyGroups = computed(() =>
  choices.groups.filter(group => !(choices.armGroups as readonly string[]).includes(group)),
)
const equipmentWords = computed(() =>
  entered.equipment.length === 0
    ? 'Everything: a full gym.'
    : `${entered.equipment.length} kinds of equipment.`,
)

/** Fields of numbers keep the text that was typed: an empty one is not zero. */
function textOf(event: Event): string {
  return (event.target as HTMLInputElement).value
}

const allMinutes = ref('50')
function setAllMinutes(): void {
  for (const day of entered.days) day.minutes = String(allMinutes.value)
}

const { kept } = useLeaveWarning(() => entered)
async function submit(): Promise<void> {
  const saved = await save()
  if (!saved) return
  kept()
  emit('saved', saved.id)
}
</script>

<template>
  <form class="form" method="post" novalidate @submit.prevent="submit">
    <section aria-labelledby="who">
      <h2 id="who">Who</h2>
      <div
        class="grid grid-cols-[1.3fr_1.6fr_1.3fr_1fr_0.9fr] gap-x-4 gap-y-2 max-lg:grid-cols-2 max-sm:grid-cols-1"
      >
        <TextField
          v-model="entered.name"
          label="Name"
          :is-first="before === null"
          :complaint="complaintAbout('/name', 'Name')"
        />
        <TextField
          v-model="entered.about"
          label="In a few words"
          hint="What they do, what they train for."
          :complaint="complaintAbout('/about', 'In a few words')"
        />
        <TextField
          v-model="entered.email"
          label="E-mail"
          hint="For messages, where this server sends mail; may stay empty."
          :complaint="complaintAbout('/email', 'E-mail')"
        />
        <TextField
          v-model="entered.trainingAgeMonths"
          label="Months of training"
          type="number"
          :hint="age ? TRAINING_AGE_NAMES[age] : 'Planned training, not years in a gym.'"
          :complaint="complaintAbout('/trainingAgeMonths', 'Months of training')"
        />
        <div>
          <label class="block font-semibold" for="units">Loads in</label>
          <select id="units" v-model="entered.units" class="field mt-1">
            <option value="kg">kilograms</option>
            <option value="lb">pounds</option>
          </select>
        </div>
        <div class="col-span-2">
          <label class="block font-semibold" for="goal">Goal, in your words</label>
          <textarea id="goal" v-model="entered.goal" rows="2" class="field mt-1 py-1.5" />
        </div>
        <div class="col-span-2">
          <label class="block font-semibold" for="weak">Weak points</label>
          <textarea id="weak" v-model="entered.weakPoints" rows="2" class="field mt-1 py-1.5" />
        </div>
      </div>
    </section>

    <section aria-labelledby="days">
      <h2 id="days">Days with time</h2>
      <p v-if="complaintAbout('/days', 'Days')" class="alert-chip">
        {{ complaintAbout('/days', 'Days') }}
      </p>
      <p class="mb-2 flex items-center gap-2">
        <label
          >All days
          <input
            v-model="allMinutes"
            type="number"
            min="10"
            max="240"
            class="small"
            aria-label="Minutes for all days"
          />
          min</label
        >
        <button type="button" class="control" @click="setAllMinutes()">Set</button>
      </p>
      <div class="flex flex-wrap gap-2">
        <fieldset
          v-for="day in entered.days"
          :key="day.weekday"
          class="day"
          :data-on="day.isOn || undefined"
        >
          <legend class="sr-only">
            {{ WEEKDAY_NAMES[day.weekday - 1] }}
          </legend>
          <label class="flex items-center gap-2 font-semibold"
            ><input v-model="day.isOn" type="checkbox" />
            {{ WEEKDAY_NAMES[day.weekday - 1] }}</label
          >
          <label class="flex items-center justify-between gap-1 text-[12px] text-ink2"
            >min
            <input
              :value="day.minutes"
              :disabled="!day.isOn"
              type="number"
              min="10"
              max="240"
              class="small"
              @input="day.minutes = textOf($event)"
          /></label>
          <label class="flex items-center justify-between gap-1 text-[12px] text-ink2"
            >from
            <input
              v-model="day.start"
              :disabled="!day.isOn"
              type="text"
              inputmode="numeric"
              placeholder="17:30"
              class="small"
          /></label>
        </fieldset>
      </div>
    </section>

    <section aria-labelledby="method">
      <h2 id="method">Method and priorities</h2>
      <div class="grid grid-cols-[1fr_1.6fr] gap-8 max-lg:grid-cols-1 max-lg:gap-4">
        <div>
          <label class="block font-semibold" for="method-choice">Method</label>
          <select id="method-choice" v-model="entered.method" class="field mt-1">
            <option v-for="choice in methods" :key="choice.id" :value="choice.id">
              {{ choice.name }}
            </option>
          </select>
          <p v-if="complaintAbout('/method', 'Method')" class="alert-chip mt-1">
            {{ complaintAbout('/method', 'Method') }}
          </p>
          <p class="mt-1 text-ink2">
            {{ method.suits }} Counts
            {{ SCHOOL_NAMES[method.school.id as keyof typeof SCHOOL_NAMES] }}.
          </p>
          <label class="mt-3 block font-semibold" for="plan-scope">The plan is for</label>
          <select id="plan-scope" v-model="entered.scope" class="field mt-1">
            <option v-for="scope in choices.scopes" :key="scope" :value="scope">
              {{ PLAN_SCOPE_NAMES[scope] }}
            </option>
          </select>
          <table class="mt-3 text-left text-[12px]">
            <caption class="pb-1 text-left text-ink2">
              Sets per 7 days that follow from training age, priority and method
            </caption>
            <thead>
              <tr>
                <th scope="col" />
                <th scope="col">floor</th>
                <th scope="col">target</th>
                <th scope="col">ceiling</th>
                <th scope="col">from</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="band in bands" :key="band.group">
                <th scope="row">{{ GROUP_NAMES[band.group] }}</th>
                <td>{{ formatSets(band.floor) }}</td>
                <td>{{ formatSets(band.target) }}</td>
                <td>{{ formatSets(band.ceiling) }}</td>
                <td class="text-ink2">{{ band.from }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div class="modes">
          <label v-for="group in [...choices.armGroups, ...bodyGroups]" :key="group" class="mode">
            <span>{{ GROUP_NAMES[group] }}</span>
            <select
              :value="modeOf(group)"
              class="small w-auto!"
              @change="
                setMode(
                  group,
                  ($event.target as HTMLSelectElement).value as (typeof choices.modes)[number],
                )
              "
            >
              <option v-for="mode in choices.modes" :key="mode" :value="mode">
                {{ MODE_NAMES[mode] }}
              </option>
            </select>
          </label>
        </div>
      </div>
    </section>

    <section aria-labelledby="equipment">
      <h2 id="equipment">Equipment</h2>
      <div class="flex flex-wrap items-center gap-2">
        <button
          v-for="preset in choices.presets"
          :key="preset.id"
          type="button"
          class="control"
          @click="usePreset(preset.id)"
        >
          {{ preset.name }}
        </button>
        <span class="text-ink2" role="status">{{ equipmentWords }}</span>
      </div>
      <div class="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <label v-for="piece in choices.equipment" :key="piece" class="flex items-center gap-1.5"
          ><input v-model="entered.equipment" type="checkbox" :value="piece" />
          {{ EQUIPMENT_NAMES[piece] }}</label
        >
        <label class="flex items-center gap-1.5 font-semibold"
          ><input v-model="entered.hasSafeties" type="checkbox" /> safety bars or a spotter</label
        >
      </div>
    </section>

    <section aria-labelledby="body">
      <h2 id="body">Joints, recovery, load from outside</h2>
      <div class="grid grid-cols-[200px_200px_1fr] gap-8 max-lg:grid-cols-2 max-sm:grid-cols-1">
        <fieldset>
          <legend class="font-semibold">Sensitive joints</legend>
          <label v-for="joint in choices.joints" :key="joint" class="flex items-center gap-1.5"
            ><input v-model="entered.sensitiveJoints" type="checkbox" :value="joint" />
            {{ JOINT_NAMES[joint] }}</label
          >
        </fieldset>
        <fieldset>
          <legend class="font-semibold">Slows recovery now</legend>
          <label
            v-for="hindrance in choices.hindrances"
            :key="hindrance"
            class="flex items-center gap-1.5"
            ><input v-model="entered.slowedBy" type="checkbox" :value="hindrance" />
            {{ HINDRANCE_NAMES[hindrance] }}</label
          >
        </fieldset>
        <JointNotes v-model="entered.jointNotes" :joints="choices.joints" />
      </div>
      <fieldset class="mt-4">
        <legend class="font-semibold">Allowed for this client</legend>
        <label
          v-for="{ id, name, caution } in choices.permits"
          :key="id"
          class="flex items-baseline gap-1.5"
          ><input v-model="entered.permits" type="checkbox" :value="id" />
          <span
            ><span class="inline-block first-letter:uppercase">{{ name }}</span
            >{{ ' ' }}<small class="text-ink2">{{ caution }}</small></span
          ></label
        >
      </fieldset>
      <OutsideLoads
        v-model="entered.outside"
        class="mt-4"
        :groups="choices.groups"
        :complaint="complaintAbout('/sideLoads', 'Load from outside')"
      />
    </section>

    <section aria-labelledby="gear">
      <h2 id="gear">What can be loaded</h2>
      <p class="mb-2 text-[12px] text-ink2">
        Only where it differs from the studio's own weights (Account). Every load is rounded to what
        is there.
      </p>
      <GearLines v-model="entered.gear" />
    </section>

    <section aria-labelledby="exercises">
      <h2 id="exercises">Exercises</h2>
      <div class="grid grid-cols-2 gap-8">
        <ExerciseList
          v-model="entered.avoid"
          label="To avoid"
          hint="Type a few letters"
          :exercises="exercises"
        />
        <ExerciseList
          v-model="entered.keep"
          label="To keep"
          hint="Type a few letters"
          :exercises="exercises"
        />
      </div>
      <ExerciseRules
        v-model="entered.rules"
        :exercises="exercises"
        :unit="entered.units"
        :complaint="complaintAbout('/exerciseRules', 'Rules for single exercises')"
      />
    </section>

    <ScreeningQuestions
      v-model="entered.answers"
      v-model:clearance="entered.clearance"
      :questions="choices.questions"
      :state="screening"
      :complaint="complaintAbout('/screening', 'Clearance')"
    />

    <div class="flex items-center gap-4">
      <button type="submit" class="control control-strong h-9 px-5" :disabled="isBusy || !isLive">
        {{ action }}
      </button>
      <p role="alert">
        <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
        <span v-else-if="errors.length > 0" class="alert-chip"
          >{{
            errors.length === 1
              ? 'One field needs another look.'
              : `${errors.length} fields need another look.`
          }}
          {{ errors[0]?.detail }}</span
        >
      </p>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 20px;
}
.form h2 {
  margin-bottom: 8px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
  font-size: 14px;
  font-weight: 650;
}
.day {
  display: flex;
  flex-direction: column;
  gap: 4px;
  width: 132px;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: 4px;
}
.day[data-on] {
  border-color: var(--edge);
  background: var(--paper);
}
.small {
  min-height: 28px;
  width: 78px;
  padding: 0 6px;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font-size: 12.5px;
}
.small:disabled {
  border-color: var(--line);
  background: transparent;
  color: var(--ink3);
}
.modes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 3px 28px;
  align-content: start;
}
@media (max-width: 639px) {
  .modes {
    grid-template-columns: 1fr;
  }
}
.mode {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
table th,
table td {
  padding: 1px 12px 1px 0;
  font-weight: 400;
}
table td {
  font-family: var(--font-display);
  font-weight: 600;
}
</style>
