<script setup lang="ts">
import type { LineFields, LogBlock, LogLine, OtherValue } from './logLines'

/** A session as prescribed beside the session as done. Enter goes from set to set; arrows move without saving. */
const { blocks, complaints } = defineProps<{
  blocks: readonly LogBlock[]
  complaints: ReadonlyMap<string, string>
}>()
const emit = defineEmits<{
  saved: [line: LogLine, fields: LineFields]
  planned: [lines: readonly LogLine[]]
  taken: [line: LogLine, value: OtherValue]
  cleared: [line: LogLine]
}>()
const lines = computed(() => blocks.flatMap(block => block.lines))
const table = useTemplateRef<HTMLElement>('table')

function focus(line: LogLine | undefined, column: number): void {
  const fields = [
    ...(table.value?.querySelectorAll<HTMLInputElement>('input[data-line]') ?? []),
  ].filter(field => field.dataset.line === line?.key)
  const field = fields.find(candidate => candidate.dataset.column === String(column)) ?? fields[0]
  field?.focus()
  field?.select()
}
function move(from: LogLine, by: 1 | -1, column: number): void {
  focus(lines.value[lines.value.indexOf(from) + by], column)
}
function entered(line: LogLine, fields: LineFields): void {
  emit('saved', line, fields)
  const next = lines.value[lines.value.indexOf(line) + 1]
  // The next set usually has the same load: its count is what is typed.
  focus(next, next?.hasLoad && next.place.slot !== line.place.slot ? 0 : 1)
}
</script>

<template>
  <div ref="table" class="flex flex-col gap-3">
    <section
      v-for="block in blocks"
      :key="block.slot"
      :data-exercise="block.lines[0]?.movement.exercise"
      class="group border-t border-hair pt-1.5"
      :aria-label="block.name"
    >
      <div class="flex flex-wrap items-baseline gap-x-2">
        <span class="w-6 font-display text-ink2">{{ block.letter }}</span>
        <h3 class="text-[14px]">
          {{ block.name }}
        </h3>
        <span class="text-[12px] text-ink2"
          >{{ block.planned }}{{ block.swappedFrom ? `, instead of ${block.swappedFrom}` : ''
          }}{{ block.isSkipped ? ', skipped' : '' }}</span
        >
        <button
          v-if="block.lines.some(({ state, usual }) => state === 'empty' && usual.count !== '')"
          type="button"
          class="quiet-link ml-auto font-semibold"
          :aria-label="`${block.name}: all as planned`"
          @click="emit('planned', block.lines)"
        >
          All as planned
        </button>
      </div>
      <table class="lines">
        <colgroup>
          <col class="w-[96px]" />
          <col class="w-[34%]" />
          <col class="w-[72px]" />
          <col class="w-[72px]" />
          <col class="w-[72px]" />
          <col />
        </colgroup>
        <thead class="max-md:hidden">
          <tr class="text-left text-[11px] text-ink2">
            <th scope="col" class="font-normal">set</th>
            <th scope="col" class="font-normal">asked for</th>
            <th scope="col" class="font-normal">
              {{ block.lines[0]?.movement.scale.unit }}
            </th>
            <th scope="col" class="font-normal">
              {{ block.lines[0]?.isSeconds ? 's' : 'reps' }}
            </th>
            <th scope="col" class="font-normal">left</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <LogLineRow
            v-for="line in block.lines"
            :key="line.key"
            :line="line"
            :complaint="complaints.get(line.key) ?? ''"
            class="group"
            @entered="entered(line, $event)"
            @left="emit('saved', line, $event)"
            @taken="emit('taken', line, $event)"
            @cleared="emit('cleared', line)"
            @moved="(by, column) => move(line, by, column)"
          />
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.lines {
  width: calc(100% - 2rem);
  margin-inline-start: 2rem;
  table-layout: fixed;
}
@media (max-width: 767px) {
  .lines {
    display: block;
    width: 100%;
    margin-inline-start: 0;
  }
  .lines tbody {
    display: block;
  }
}
</style>
