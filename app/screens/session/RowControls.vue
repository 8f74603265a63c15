<script setup lang="ts">
import { CAUTION_WORDS, GROUPING_NAMES, PLACEMENT_NAMES } from '#core/words'
import type { Slot } from '#core/plan/session'
import { useSession } from './sessionContext'

/** Everything about one exercise's sets that can be set without typing shorthand. */
const { held } = defineProps<{ held: Slot }>()
const builder = useSession()
const fields = useRowControls(() => held, builder)
const {
  assumed,
  next,
  course,
  numbers,
  choices,
  texts,
  setNumber,
  setChoice,
  setText,
  applyTechnique,
  roles,
  setRole,
  exercise,
  intent,
  techniques,
  lists,
} = fields
const grouping = computed(() =>
  builder.groupings.value.find(({ slots }) => slots.some(({ id }) => id === held.id)),
)
const others = computed(() => builder.groupings.value.filter(other => other !== grouping.value))
</script>

<template>
  <div class="controls" @click.stop>
    <div class="grid grid-cols-[repeat(auto-fill,minmax(124px,1fr))] gap-x-4 gap-y-1.5">
      <label v-for="field in numbers" :key="field.key">
        <span>{{ field.name }}</span>
        <input
          class="small-field"
          type="number"
          :min="0"
          :max="field.max"
          :step="field.step"
          :value="field.value"
          :placeholder="field.varies ? 'varies' : 'open'"
          @change="setNumber(field.key, ($event.target as HTMLInputElement).value)"
        />
      </label>
      <label v-for="{ key, name, options, words } in lists" :key="key">
        <span>{{ name }}</span>
        <select
          class="small-field"
          :value="choices[key] ?? ''"
          @change="setChoice(key, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">{{ key === 'side' ? 'both' : 'as usual' }}</option>
          <option v-for="option in options" :key="option" :value="option">
            {{ words[option] ?? option }}
          </option>
        </select>
      </label>
      <label v-for="field in texts" :key="field.key" class="col-span-2">
        <span>{{ field.name }}</span>
        <input
          class="small-field"
          type="text"
          maxlength="200"
          :value="field.value"
          :placeholder="field.example"
          @change="setText(field.key, ($event.target as HTMLInputElement).value)"
        />
      </label>
      <PlaceControls :held="held" :intents="exercise.intents" :roles="roles" @role="setRole" />
      <label class="col-span-2">
        <span>Way to do the sets</span>
        <select
          class="small-field"
          value=""
          @change="
            applyTechnique(($event.target as HTMLSelectElement).value)
            ;($event.target as HTMLSelectElement).value = ''
          "
        >
          <option value="">choose…</option>
          <option v-for="technique in techniques" :key="technique.id" :value="technique.id">
            {{ technique.words }}
          </option>
        </select>
      </label>
      <label>
        <span>Part</span>
        <select
          class="small-field"
          :value="grouping?.placement"
          @change="
            builder.edit({
              kind: 'tune_grouping',
              slot: held.id,
              change: { placement: ($event.target as HTMLSelectElement).value as 'main' },
            })
          "
        >
          <option v-for="placement in builder.PLACEMENTS" :key="placement" :value="placement">
            {{ PLACEMENT_NAMES[placement] }}
          </option>
        </select>
      </label>
    </div>
    <p v-if="next" class="mt-2 text-[12.5px]">{{ next }}{{ course ? `. ${course}` : '' }}</p>
    <p v-if="assumed" class="mt-2 text-[12px] text-ink2">{{ assumed }}</p>
    <p v-if="intent.how || exercise.cautions.length > 0" class="mt-2 text-[12px] text-ink2">
      <b v-if="intent.how" class="font-semibold text-ink first-letter:uppercase"
        >{{ intent.how }}.</b
      >{{ ' '
      }}<template v-for="caution in exercise.cautions" :key="caution"
        >{{ CAUTION_WORDS[caution] }}{{ ' ' }}</template
      >
    </p>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <button type="button" class="control" @click="builder.warmUp(held)">
        Propose warm-up sets
      </button>
      <label v-if="others.length > 0" class="flex-row! items-center gap-2 whitespace-nowrap">
        <span>Do together with</span>
        <select
          class="small-field"
          value=""
          @change="builder.pair(held.id, ($event.target as HTMLSelectElement).value as Slot['id'])"
        >
          <option value="">choose…</option>
          <option v-for="other in others" :key="other.id" :value="other.slots[0].id">
            {{ other.slots.map(one => builder.nameOf(one.id)).join(' & ') }}
          </option>
        </select>
      </label>
      <button
        v-if="(grouping?.slots.length ?? 0) > 1"
        type="button"
        class="control"
        @click="builder.edit({ kind: 'take_out', slot: held.id })"
      >
        Out of the {{ GROUPING_NAMES[grouping!.kind] }}
      </button>
      <button
        type="button"
        class="control"
        @click="builder.edit({ kind: 'hold', slots: [held.id], isHeld: !held.isHeld })"
      >
        {{ held.isHeld ? 'Let go' : 'Hold fixed' }}
      </button>
      <button type="button" class="control ml-auto" @click="builder.remove(held.id)">
        Take out <KeyCap label="Del" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.controls {
  margin: 4px 0 6px 30px;
  padding: 8px 0 4px;
  border-top: 1px solid var(--hair);
}
.controls label {
  display: flex;
  flex-direction: column;
  font-size: 12px;
  color: var(--ink2);
}
.controls label .small-field {
  width: 100%;
}
</style>
