<script setup lang="ts">
import type { useBlocksBeside } from './useBlocksBeside'

/** Two blocks side by side: what was put in, what it cost, what grew. */
const { beside } = defineProps<{ beside: ReturnType<typeof useBlocksBeside> }>()
const emit = defineEmits<{ closed: [] }>()
const { pair, begun, parts, problem } = beside
const SIDES = ['left', 'right'] as const
</script>

<template>
  <PanelDialog title="Two blocks side by side" :width="820" @closed="emit('closed')">
    <table class="mt-3 w-full text-left">
      <caption class="sr-only">
        Two blocks, line by line
      </caption>
      <thead>
        <tr>
          <td></td>
          <th v-for="(side, at) in SIDES" :key="side" scope="col" class="w-[38%] pb-2 font-normal">
            <select
              v-model="pair[at]"
              class="field"
              :data-first="at === 0 || undefined"
              :aria-label="`Block on the ${side}`"
            >
              <option v-for="block in begun" :key="block.id" :value="block.id">
                {{ block.title }}
              </option>
            </select>
          </th>
        </tr>
      </thead>
      <tbody v-for="part in parts.filter(({ lines }) => lines.length > 0)" :key="part.title">
        <tr>
          <th colspan="3" scope="rowgroup" class="section-head pt-3">{{ part.title }}</th>
        </tr>
        <tr v-for="line in part.lines" :key="line.name" class="border-b border-hair">
          <th scope="row" class="py-0.5 pr-3 font-normal">{{ line.name }}</th>
          <td v-for="(cell, at) in line.cells" :key="at" class="pr-3">{{ cell ?? '…' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="problem" role="alert" class="alert-chip mt-2">{{ problem }}</p>
    <p class="mt-3 text-[12.5px] text-ink2">
      A rise or a fall of strength is said only where the log supports it. Two blocks differ in more
      than their sets; what differs here need not be the cause.
    </p>
  </PanelDialog>
</template>
