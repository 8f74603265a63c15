<script setup lang="ts">
import { SWAP_REASON_NAMES } from '#core/words'
import { useSession } from '../sessionContext'

const builder = useSession()
const {
  name,
  reason,
  reasons,
  joint,
  joints,
  taken,
  stations,
  onTheWay,
  allEquipment,
  dates,
  on,
  chosen,
  shown,
  choice,
  losesWeights,
  isBusy,
  complaint,
  forDate,
  here,
  takeOut,
  forBlock,
  forGood,
} = useSwap(builder)
const list = useTemplateRef<HTMLElement>('list')
function move(step: number): void {
  chosen.value = Math.min(shown.value.length - 1, Math.max(0, chosen.value + step))
  void nextTick(() => list.value?.querySelector<HTMLElement>('[aria-checked=true]')?.focus())
}
</script>

<template>
  <PanelDialog :title="`Swap ${name}`" :width="880" @closed="builder.close()">
    <fieldset class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <legend class="sr-only">Why</legend>
      <label v-for="one in reasons" :key="one" class="flex items-center gap-1.5"
        ><input v-model="reason" type="radio" name="why" :value="one" />
        {{ SWAP_REASON_NAMES[one] }}</label
      >
      <label v-if="reason === 'hurts' && joints.length > 0" class="flex items-center gap-1.5"
        >where
        <select v-model="joint" class="small-field">
          <option v-for="one in joints" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <label v-if="reason === 'taken' && stations.length > 0" class="flex items-center gap-1.5"
        >which
        <select v-model="taken" class="small-field">
          <option v-for="one in stations" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
    </fieldset>
    <fieldset
      v-if="reason === 'travelling'"
      class="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[12.5px]"
    >
      <legend class="text-ink2">What there is on the way</legend>
      <label v-for="one in allEquipment" :key="one.id" class="flex items-center gap-1"
        ><input v-model="onTheWay" type="checkbox" :value="one.id" /> {{ one.name }}</label
      >
    </fieldset>
    <p v-if="reason === 'hurts'" class="mt-2 text-[12.5px]">
      <b>Pain is a reason to spare the joint, not to test it.</b> Suggest an examination by a
      licensed professional where it stays or grows; record the report on the History page.
    </p>
    <ul
      ref="list"
      role="radiogroup"
      aria-label="Stand-ins"
      class="mt-3 max-h-[330px] overflow-y-auto"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
    >
      <li
        v-for="one in shown"
        :key="`${one.name} ${one.at}`"
        role="radio"
        :aria-checked="chosen === one.at"
        :tabindex="chosen === one.at ? 0 : -1"
        class="choice"
        :data-current="chosen === one.at || undefined"
        @click="chosen = one.at"
        @keydown.space.prevent="chosen = one.at"
      >
        <span class="w-[230px] shrink-0 font-semibold"
          >{{ one.name
          }}<span v-if="one.purpose" class="block text-[12px] font-normal text-ink2">{{
            one.purpose
          }}</span></span
        >
        <span class="text-[12.5px] text-ink2">{{ one.words.join(' · ') }}</span>
      </li>
    </ul>
    <p v-if="shown.length === 0" class="py-4">
      Nothing in the library can stand in under these limits. Allow more equipment, choose another
      reason, or take the exercise out: the button is below.
    </p>
    <p v-if="losesWeights" class="mt-2 text-[12px] text-ink2">
      Sets, reps and effort stay; the planned weight does not: it was meant for {{ name }}.
    </p>
    <p v-if="complaint" role="alert" class="mt-2">
      <span class="alert-chip">{{ complaint }}</span>
    </p>
    <div class="mt-4 flex flex-wrap items-center gap-3 border-t border-hair pt-3">
      <button type="button" class="control control-strong" :disabled="!choice" @click="here()">
        In this session
      </button>
      <label v-if="dates.length > 0" class="flex items-center gap-2">
        <select v-model="on" class="small-field" aria-label="Date">
          <option v-for="date in dates" :key="date.on" :value="date.on">{{ date.words }}</option>
        </select>
      </label>
      <button
        v-if="dates.length > 0"
        type="button"
        class="control"
        :disabled="!choice || !on"
        @click="forDate()"
      >
        Only on this date
      </button>
      <button type="button" class="control" :disabled="!choice" @click="forBlock()">
        In the whole block
      </button>
      <button type="button" class="control" :disabled="!choice || isBusy" @click="forGood()">
        For good, and avoid it
      </button>
      <button type="button" class="control ml-auto" @click="takeOut()">Take it out</button>
    </div>
  </PanelDialog>
</template>

<style scoped>
.choice {
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding: 5px 8px;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}
.choice[data-current] {
  background: var(--focus-wash);
}
</style>
