<script setup lang="ts">
import type { ReplanLine } from './useReplans'

/** The ways to deal with a missed session side by side; the best first. */
const { lines, isBusy } = defineProps<{ lines: readonly ReplanLine[]; isBusy: boolean }>()
const emit = defineEmits<{ chosen: [at: number] }>()
</script>

<template>
  <table class="replans" aria-label="What to do about it">
    <thead>
      <tr class="text-[12px] text-ink2">
        <th scope="col">Way</th>
        <th scope="col" class="text-right">Kept</th>
        <th scope="col" class="pl-4">Least ready</th>
        <th scope="col" class="pl-4 text-right">Longest</th>
        <th scope="col" class="pl-4">Joints</th>
        <th scope="col" class="pl-3 text-right">Days changed</th>
        <th scope="col" class="pl-3 text-right">Block ends</th>
        <th scope="col" class="pl-4">New to watch</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(line, at) in lines" :key="line.option" class="border-b border-hair align-top">
        <th scope="row" class="py-1 font-normal">
          <button
            type="button"
            class="control"
            :class="line.isBest ? 'control-strong' : ''"
            :disabled="isBusy"
            @click="emit('chosen', at)"
          >
            {{ line.name }} <KeyCap :label="String(at + 1)" />
          </button>
          <span class="block text-[12px] text-ink2">{{ line.what }}</span>
          <span class="block text-[12px] text-ink2">{{ line.sets }}</span>
        </th>
        <td data-head="Kept" class="py-1 text-right font-semibold">
          {{ line.kept }}
        </td>
        <td data-head="Least ready" class="py-1 pl-4">
          {{ line.lowest }}
        </td>
        <td
          data-head="Longest"
          class="py-1 pl-4 text-right whitespace-nowrap"
          :class="line.isOverLimit ? 'font-semibold text-alert' : ''"
        >
          {{ line.longest }}
        </td>
        <td data-head="Joints" class="py-1 pl-4">
          {{ line.ramp }}
        </td>
        <td data-head="Days changed" class="py-1 pl-3 text-right">
          {{ line.days }}
        </td>
        <td data-head="Block ends" class="py-1 pl-3 text-right whitespace-nowrap">
          {{ line.ends }}
        </td>
        <td
          data-head="New to watch"
          class="py-1 pl-4"
          :class="line.cautions === 'none' ? 'text-ink2' : 'font-semibold'"
        >
          {{ line.cautions }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.replans {
  width: 100%;
  font-size: 13px;
  text-align: start;
}
.replans tbody th {
  text-align: start;
}
/* Without room for columns each way is a card, its figures named. */
@media (max-width: 1100px) {
  .replans thead {
    display: none;
  }
  .replans tbody,
  .replans tr,
  .replans th {
    display: block;
    text-align: start;
  }
  .replans td {
    display: inline-block;
    padding: 0 14px 2px 0;
    text-align: start;
  }
  .replans td:empty {
    display: none;
  }
  .replans td::before {
    content: attr(data-head) ' ';
    font-size: 12px;
    font-weight: 400;
    color: var(--ink2);
  }
}
</style>
