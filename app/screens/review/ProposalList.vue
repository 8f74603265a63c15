<script setup lang="ts">
import type { ProposalLine } from './reviewRows'

/** What the log speaks for, the one in hand open: take it, change it by hand, or refuse it with a reason. */
const { proposals, at, isBusy } = defineProps<{
  proposals: readonly ProposalLine[]
  at: number
  isBusy: boolean
}>()
const emit = defineEmits<{
  chosen: [at: number]
  taken: [key: string]
  takenOnce: [key: string]
  changed: []
  refused: [key: string, reason: string]
}>()
const isRefusing = defineModel<boolean>('refusing', { required: true })
const reason = ref('')
const field = useTemplateRef<HTMLInputElement[]>('field')
watch(isRefusing, async is => {
  reason.value = ''
  await nextTick()
  if (is) field.value?.[0]?.focus()
})
</script>

<template>
  <ol class="flex flex-col gap-1" aria-label="Proposals">
    <li
      v-for="(proposal, n) in proposals"
      :key="proposal.key"
      class="rounded border px-3 py-2"
      :class="n === at ? 'border-focus bg-paper' : 'border-hair'"
      :aria-current="n === at ? 'true' : undefined"
    >
      <button type="button" class="w-full text-left" @click="emit('chosen', n)">
        <span class="block font-semibold">{{ proposal.words }}</span>
        <span class="block text-[12.5px]">{{ proposal.reason }}</span>
        <span v-if="proposal.expected" class="block text-[12.5px]">{{ proposal.expected }}.</span>
        <span class="block text-[12px] text-ink2">{{ proposal.confidence }}</span>
      </button>
      <form
        v-if="n === at && isRefusing"
        class="mt-2 flex gap-2"
        @submit.prevent="emit('refused', proposal.key, reason)"
        @keydown.esc="isRefusing = false"
      >
        <input
          ref="field"
          v-model="reason"
          class="small-field flex-1"
          :maxlength="LIMITS.shortText"
          :aria-label="`Why not: ${proposal.words}`"
          placeholder="Why not, for the next look"
        />
        <button type="submit" class="control" :disabled="isBusy">Refuse it</button>
      </form>
      <p v-else-if="n === at" class="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          class="control control-strong"
          :disabled="isBusy"
          @click="emit('taken', proposal.key)"
        >
          {{ proposal.isByHand ? 'Noted' : proposal.mayHold ? 'From now on' : 'Take it' }}
          <KeyCap label="Enter" />
        </button>
        <button
          v-if="proposal.mayHold"
          type="button"
          class="control"
          :disabled="isBusy"
          @click="emit('takenOnce', proposal.key)"
        >
          Next rotation only <KeyCap label="O" />
        </button>
        <button type="button" class="control" @click="emit('changed')">
          Change <KeyCap label="E" />
        </button>
        <button type="button" class="control" :disabled="isBusy" @click="isRefusing = true">
          Refuse <KeyCap label="Del" />
        </button>
      </p>
    </li>
  </ol>
</template>
