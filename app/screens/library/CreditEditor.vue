<script setup lang="ts">
import { GROUP_NAMES } from '#core/words'
import type { Credits, Exercise, Group } from '#core/plan/catalogue'
import { useMounted } from '@vueuse/core'

/** Changes credits for everyone or for one client, with the effect on current plans before anything is saved. */
const { exercise, groups, clients, credits, isChanged, reload } = defineProps<{
  exercise: Exercise
  groups: readonly Group[]
  clients: readonly { readonly id: string; readonly name: string }[]
  credits: (intent: string | null, client: string | null) => Credits
  isChanged: (intent: string | null, client: string | null) => boolean
  reload: () => Promise<unknown>
}>()
const { intent, client, draft, effects, complaint, isSaved, set, save, restore } = useCreditChange(
  () => exercise,
  credits,
  reload,
)
const isLive = useMounted()
const STEPS = [0, 0.25, 0.5, 0.75, 1] as const
const used = computed(() => groups.filter(group => draft.value[group] !== undefined))
const others = computed(() => groups.filter(group => draft.value[group] === undefined))
const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
const isOwn = computed(() => isChanged(intent.value, client.value))
</script>

<template>
  <section aria-labelledby="change">
    <h3 id="change" class="section-head">Change the credits</h3>
    <fieldset :disabled="!isLive">
      <legend class="sr-only">Credits of {{ exercise.name }}</legend>
      <div class="flex flex-wrap items-center gap-3">
        <label
          >of
          <select
            class="small-field"
            aria-label="Purpose"
            :value="intent ?? ''"
            @change="intent = valueOf($event) || null"
          >
            <option value="">every purpose</option>
            <option v-for="one in exercise.intents" :key="one.id" :value="one.id">
              {{ one.name }}
            </option>
          </select></label
        >
        <label
          >for
          <select
            class="small-field"
            aria-label="For whom"
            :value="client ?? ''"
            @change="client = valueOf($event) || null"
          >
            <option value="">everyone</option>
            <option v-for="one in clients" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select></label
        >
      </div>
      <table class="mt-2">
        <tbody>
          <tr v-for="group in used" :key="group">
            <th scope="row" class="pr-4 text-left font-semibold">
              {{ GROUP_NAMES[group] }}
            </th>
            <td v-for="step in STEPS" :key="step" class="pr-2">
              <label class="flex items-center gap-1"
                ><input
                  type="radio"
                  :name="`credit-${group}`"
                  :checked="draft[group] === step"
                  :aria-label="`${GROUP_NAMES[group]} ${step}`"
                  @change="set(group, step)"
                />
                {{ step }}</label
              >
            </td>
          </tr>
        </tbody>
      </table>
      <label class="mt-1 block text-ink2"
        >add
        <select
          class="small-field"
          value=""
          @change="valueOf($event) && set(valueOf($event) as Group, 0.5)"
        >
          <option value="">a muscle…</option>
          <option v-for="group in others" :key="group" :value="group">
            {{ GROUP_NAMES[group] }}
          </option>
        </select></label
      >
    </fieldset>
    <div role="status" class="mt-2 min-h-[20px]">
      <p v-if="complaint" class="alert-chip">
        {{ complaint }}
      </p>
      <template v-else-if="effects">
        <p v-if="effects.length === 0" class="text-ink2">
          Changes nobody’s week: no current plan uses it, or none that counts it.
        </p>
        <p v-for="effect in effects" :key="effect" class="font-semibold text-focus">
          Changes {{ effect }}
        </p>
      </template>
      <p v-else-if="isSaved" class="text-ink2">Saved. Every board uses it from now on.</p>
    </div>
    <div class="mt-2 flex gap-2">
      <button
        type="button"
        class="control control-strong"
        :disabled="effects === null"
        @click="save"
      >
        Save the credits
      </button>
      <button v-if="isOwn" type="button" class="control" @click="restore">
        Bring the usual ones back
      </button>
    </div>
  </section>
</template>
