<script setup lang="ts">
/** What cannot be read in a file, row by row; a row is mended in the file or left out on purpose. */
const { problems, badRows } = defineProps<{
  problems: readonly { readonly row: number; readonly detail: string }[]
  badRows: readonly number[]
}>()
const emit = defineEmits<{ leftOut: [rows: readonly number[]] }>()
</script>

<template>
  <section aria-labelledby="bad-rows">
    <h3 id="bad-rows" class="text-[14px] text-alert">
      {{
        problems.length === 1
          ? '1 problem; nothing is taken in until it is settled'
          : `${problems.length} problems; nothing is taken in until they are settled`
      }}
    </h3>
    <ul class="mt-1 max-h-[140px] overflow-y-auto" tabindex="0" aria-label="Problems">
      <li v-for="problem in problems.slice(0, 60)" :key="`${problem.row} ${problem.detail}`">
        <strong class="font-semibold"
          >{{ problem.row > 0 ? `Row ${problem.row}` : 'File' }}:</strong
        >
        {{ problem.detail }}
        <button
          v-if="problem.row > 0"
          type="button"
          class="quiet-link text-[12px]"
          @click="emit('leftOut', [problem.row])"
        >
          leave row {{ problem.row }} out
        </button>
      </li>
    </ul>
    <button
      v-if="badRows.length > 1"
      type="button"
      class="control mt-1"
      @click="emit('leftOut', badRows)"
    >
      Leave these {{ badRows.length }} rows out
    </button>
  </section>
</template>
