<script setup lang="ts">
import { EQUIPMENT, GROUP_MUSCLES, JOINTS, PATTERNS } from '#core/plan/catalogue'
import { GROUP_NAMES, JOINT_NAMES, MUSCLE_NAMES } from '#core/words'
import { SavedExercise } from '#shared/contracts/library'

useHead({ title: 'Exercises · Tholepin' })
const { ask } = useApi()
const {
  search,
  shown,
  selected,
  select,
  substitutes,
  forms,
  setUps,
  ownIds,
  changedIds,
  creditsFor,
  isChanged,
  groups,
  presets,
  clients,
  refreshLibrary,
  refreshCredits,
} = useExerciseLibrary()
const own = useOwnExercise(async id => {
  await refreshLibrary()
  select(id)
})
const draft = own.draft
const heads = computed(() =>
  search.group
    ? GROUP_MUSCLES[search.group].filter(
        () => GROUP_MUSCLES[search.group as keyof typeof GROUP_MUSCLES].length > 1,
      )
    : [],
)
watch(
  () => search.group,
  () => (search.head = ''),
)
const complaint = ref('')
watch(
  () => selected.value?.id,
  () => (complaint.value = ''),
)

async function remove(): Promise<void> {
  if (!selected.value) return
  const result = await ask(`/api/exercises/${selected.value.id}`, {
    method: 'DELETE',
    answer: SavedExercise,
  })
  complaint.value = result.ok
    ? ''
    : result.error.kind === 'refused'
      ? result.error.problem.detail
      : 'The server does not answer. Nothing was changed.'
  if (result.ok) await refreshLibrary()
}

const list = useTemplateRef<HTMLElement>('list')
/** Arrow keys walk from the search into the list and along it. */
function walk(step: number, event: KeyboardEvent): void {
  const rows = [...(list.value?.querySelectorAll<HTMLElement>('button') ?? [])]
  const at = rows.indexOf(document.activeElement as HTMLElement)
  rows[Math.min(rows.length - 1, Math.max(0, at + step))]?.focus()
  event.preventDefault()
}
</script>

<template>
  <div>
    <AppBar here="exercises" />
    <main
      class="grid h-[calc(100dvh-78px)] grid-cols-[430px_1fr] gap-8 px-5 max-lg:grid-cols-[minmax(260px,1fr)_1.3fr] max-md:h-auto max-md:grid-cols-1 max-md:px-3"
    >
      <div
        class="flex min-h-0 flex-col pt-4"
        @keydown.down="walk(1, $event)"
        @keydown.up="walk(-1, $event)"
      >
        <h1 class="font-display text-[23px] leading-[27px]">
          Exercises <span class="text-[14px] font-normal text-ink2">{{ shown.length }}</span>
        </h1>
        <div class="mt-2 grid grid-cols-2 gap-2">
          <label class="col-span-2"
            ><span class="sr-only">Search the exercises</span
            ><input
              v-model="search.words"
              type="search"
              class="small-field w-full"
              placeholder="Name or purpose"
              autocomplete="off"
          /></label>
          <select v-model="search.group" class="small-field w-full" aria-label="Muscle">
            <option value="">any muscle</option>
            <option v-for="group in groups" :key="group" :value="group">
              {{ GROUP_NAMES[group] }}
            </option>
          </select>
          <select
            v-model="search.head"
            class="small-field w-full"
            aria-label="Head"
            :disabled="heads.length === 0"
          >
            <option value="">any head</option>
            <option v-for="head in heads" :key="head" :value="head">
              {{ MUSCLE_NAMES[head] }}
            </option>
          </select>
          <select v-model="search.length" class="small-field w-full" aria-label="Length">
            <option value="">any length</option>
            <option value="lengthened">hardest at long length</option>
            <option value="mid">hardest in the middle</option>
            <option value="shortened">hardest at short length</option>
          </select>
          <select v-model="search.preset" class="small-field w-full" aria-label="Equipment">
            <option value="">any equipment</option>
            <option
              v-for="preset in presets.filter(({ equipment }) => equipment.length > 0)"
              :key="preset.id"
              :value="preset.id"
            >
              {{ preset.name }}
            </option>
          </select>
          <select v-model="search.easyOn" class="small-field w-full" aria-label="Easy on">
            <option value="">any joint stress</option>
            <option v-for="joint in JOINTS" :key="joint" :value="joint">
              easy on the {{ JOINT_NAMES[joint] }}
            </option>
          </select>
          <label class="flex items-center gap-1.5"
            ><input v-model="search.own" type="checkbox" /> mine or changed</label
          >
        </div>
        <ul
          ref="list"
          class="mt-3 min-h-0 flex-1 overflow-y-auto border-t border-hair pb-6"
          aria-label="Exercises found"
        >
          <li v-for="exercise in shown" :key="exercise.id">
            <button
              type="button"
              class="row"
              :aria-current="selected?.id === exercise.id || undefined"
              @click="select(exercise.id)"
            >
              <span class="min-w-0 flex-1 truncate text-left"
                ><b class="font-semibold">{{ exercise.name }}</b>
                <span v-if="ownIds.has(exercise.id)" class="ml-1.5 text-[12px] text-focus"
                  >mine</span
                >
                <span v-else-if="changedIds.has(exercise.id)" class="ml-1.5 text-[12px] text-focus"
                  >changed</span
                >
              </span>
              <ExercisePegs :credits="exercise.intents[0].credits" />
            </button>
          </li>
          <li v-if="shown.length === 0" class="py-4 text-ink2">
            Nothing like that. Take a filter away, or copy a similar exercise as your own.
          </li>
        </ul>
      </div>
      <div class="min-h-0 overflow-y-auto pt-4 pb-10">
        <OwnExerciseForm
          v-if="draft"
          :draft="draft"
          :groups="groups"
          :joints="JOINTS"
          :equipment="EQUIPMENT"
          :patterns="PATTERNS"
          :errors="own.errors.value"
          :complaint="own.complaint.value"
          :complaint-about="own.complaintAbout"
          :is-new="own.editing.value === null"
          @put="own.put"
          @purpose="own.purpose"
          @credit="own.setCredit"
          @stress="own.setStress"
          @saved="own.save"
          @cancelled="own.cancel"
        />
        <template v-else-if="selected">
          <ExerciseDetail
            :exercise="selected"
            :substitutes="substitutes"
            :forms="forms"
            :set-ups="setUps"
            :is-own="ownIds.has(selected.id)"
            @selected="select"
            @copied="own.copy(selected)"
            @edited="own.edit(selected)"
            @removed="remove"
          />
          <p v-if="complaint" role="alert" class="alert-chip mt-2">
            {{ complaint }}
          </p>
          <CreditEditor
            class="mt-5"
            :exercise="selected"
            :groups="groups"
            :clients="clients"
            :reload="refreshCredits"
            :credits="(intent, client) => creditsFor(selected!, intent, client)"
            :is-changed="(intent, client) => isChanged(selected!, intent, client)"
          />
        </template>
      </div>
    </main>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  width: 100%;
  align-items: center;
  gap: 10px;
  padding: 3px 8px;
  border-bottom: 1px solid var(--hair);
}
.row:hover {
  background: var(--paper);
}
.row[aria-current] {
  background: var(--focus-wash);
}
.row:focus-visible {
  outline-offset: -2px;
}
</style>
