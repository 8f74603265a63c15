<script setup lang="ts">
import { SHOWN_WORDS } from '#core/words'
import { useClipboard } from '@vueuse/core'
import { useShownLinks } from './useShownLinks'

/** Addresses at which somebody without an account looks at the plan, a rotation or the report, and a calendar to subscribe to. */
const { clientId } = defineProps<{ clientId: string }>()
const { url, make, withdraw, complaint, lines } = useShownLinks(clientId)
const KINDS = Object.keys(SHOWN_WORDS) as (keyof typeof SHOWN_WORDS)[]
const typed = reactive({
  kind: 'plan' as keyof typeof SHOWN_WORDS,
  rotation: 1,
  withHealth: false,
  days: 30 as number | '',
})
const { copy, copied } = useClipboard({ source: url })
const submit = () =>
  make({
    kind: typed.kind,
    block: null,
    pass: typed.kind === 'rotation' ? typed.rotation - 1 : null,
    withHealth: typed.withHealth,
    days: typed.days === '' ? null : typed.days,
  })
</script>

<template>
  <section class="mt-4 border-t border-hair pt-3" aria-labelledby="shown-head">
    <h3 id="shown-head" class="text-[14px]">To look at without an account</h3>
    <p class="text-[12px] text-ink2">
      An address for a physio, a club or a calendar program: whoever has it sees this alone, and can
      change nothing. No pain and no measurements unless you tick it.
    </p>
    <form class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="submit()">
      <label class="flex flex-col gap-1"
        >What
        <select v-model="typed.kind" class="small-field">
          <option v-for="kind in KINDS" :key="kind" :value="kind">{{ SHOWN_WORDS[kind] }}</option>
        </select></label
      >
      <label v-if="typed.kind === 'rotation'" class="flex flex-col gap-1"
        >Which
        <input
          v-model.number="typed.rotation"
          type="number"
          min="1"
          max="60"
          class="small-field w-[80px]"
      /></label>
      <label v-if="typed.kind === 'report'" class="flex items-center gap-1"
        ><input v-model="typed.withHealth" type="checkbox" />with pain and measurements</label
      >
      <label class="flex flex-col gap-1"
        >Good for days
        <input
          v-model="typed.days"
          type="number"
          v-bind="LIMITS.linkDays"
          class="small-field w-[110px]"
          placeholder="no end"
      /></label>
      <button type="submit" class="control">New address</button>
    </form>
    <p v-if="url" class="mt-2 flex flex-wrap items-end gap-2">
      <label class="flex min-w-[260px] flex-1 flex-col gap-1 font-semibold"
        >The address, shown this once
        <input
          :value="url"
          readonly
          class="field text-[12px] font-normal"
          @focus="($event.target as HTMLInputElement).select()"
      /></label>
      <button type="button" class="control control-strong" @click="copy()">
        {{ copied ? 'Copied' : 'Copy the address' }}
      </button>
    </p>
    <ul v-if="lines.length > 0" class="mt-2" aria-label="Addresses">
      <li
        v-for="line in lines"
        :key="line.id"
        class="flex flex-wrap items-center gap-2 border-b border-hair py-1"
      >
        <span class="flex-1"
          >{{ line.words }} <span class="text-[12px] text-ink2">{{ line.about }}</span></span
        >
        <button
          type="button"
          class="control"
          :aria-label="`Withdraw: ${line.words}`"
          @click="withdraw(line.id)"
        >
          Withdraw
        </button>
      </li>
    </ul>
    <p v-if="complaint" role="alert" class="alert-chip mt-1">{{ complaint }}</p>
  </section>
</template>
