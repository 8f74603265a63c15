<script setup lang="ts">
import { EFFORT, LAPSE_WORDS } from '#core/words'
import type { LineFields, LogLine, OtherValue } from './logLines'

/** One set to fill in: what was asked, three fields, and whatever was said about it before. Enter takes the plan where a field is empty. */
const { line, complaint } = defineProps<{ line: LogLine; complaint: string }>()
const emit = defineEmits<{
  entered: [fields: LineFields]
  left: [fields: LineFields]
  taken: [value: OtherValue]
  cleared: []
  moved: [by: 1 | -1, column: number]
}>()
const fields = reactive({ load: '', count: '', rir: '' })
/** What Enter has sent already need not be sent again when the field is left for the next. */
const sent = ref<LineFields | null>(null)
const COLUMNS = ['load', 'count', 'rir'] as const
// An answer that comes while somebody types takes nothing that was typed since.
watch(
  () => COLUMNS.map(column => line[column]).join('\n'),
  (now, before) => {
    const was = before?.split('\n') ?? []
    now.split('\n').forEach((value, at) => {
      const column = COLUMNS[at]!
      const isTyped = fields[column] !== (was[at] ?? '') && fields[column] !== sent.value?.[column]
      if (!isTyped) fields[column] = value
    })
    sent.value = null
  },
  { immediate: true },
)
const lapses = computed(() => line.lapses.map(lapse => LAPSE_WORDS[lapse]).join(', '))
const isChanged = computed(
  () => fields.load !== line.load || fields.count !== line.count || fields.rir !== line.rir,
)
const labels = computed(() => ({
  load: `load in ${line.movement.scale.unit}`,
  count: line.isSeconds ? 'seconds' : 'reps',
  rir: EFFORT.logged.toLowerCase(),
}))
function enter(): void {
  sent.value = { ...fields }
  emit('entered', { ...fields })
}
function left(): void {
  if (COLUMNS.every(column => fields[column] === sent.value?.[column])) return
  if (isChanged.value && (fields.count !== '' || line.state === 'done')) emit('left', { ...fields })
}
</script>

<template>
  <tr :data-state="line.state" class="line">
    <th
      scope="row"
      class="py-0.5 pr-3 text-left font-normal whitespace-nowrap"
      :class="line.place.stage > 1 ? 'pl-5 text-ink2' : ''"
    >
      {{ line.name }}
    </th>
    <td class="asked truncate pr-4 text-ink2" :title="line.planned">
      {{ line.planned }}
    </td>
    <td v-for="(column, at) in COLUMNS" :key="column" class="pr-1">
      <span class="block text-[11px] text-ink2 md:hidden" aria-hidden="true">{{
        labels[column]
      }}</span>
      <input
        v-if="column !== 'load' || line.hasLoad"
        v-model="fields[column]"
        class="small-field w-[62px] text-right max-md:min-h-[44px] max-md:w-full"
        :data-line="line.key"
        :data-column="at"
        inputmode="decimal"
        maxlength="120"
        autocomplete="off"
        :aria-label="`${line.movement.name}, set ${line.name}, ${labels[column]}`"
        :placeholder="line.usual[column]"
        :aria-invalid="complaint !== ''"
        @keydown.enter.prevent="enter"
        @keydown.up.prevent="emit('moved', -1, at)"
        @keydown.down.prevent="emit('moved', 1, at)"
        @blur="left"
      />
    </td>
    <td class="said pl-2 text-[12px]">
      <span v-if="lapses" class="mr-2 font-semibold">{{ lapses }}</span>
      <span v-if="complaint" role="alert" class="font-semibold text-alert">{{ complaint }}</span>
      <span v-else class="text-ink2">
        <template v-for="other in line.others.slice(0, 2)" :key="other.key">
          <span class="mr-2"
            >{{ other.isAside ? 'also' : 'was' }} {{ other.words }} ({{
              [other.by, other.at].filter(Boolean).join(', ')
            }})
            <button
              type="button"
              class="quiet-link font-semibold"
              :aria-label="`Take ${other.words} for set ${line.name} of ${line.movement.name}`"
              @click="emit('taken', other)"
            >
              {{ other.isAside ? 'take it' : 'back' }}
            </button></span
          >
        </template>
        <button
          v-if="line.state === 'done' && line.others.length === 0"
          type="button"
          class="quiet-link"
          :aria-label="`Take set ${line.name} of ${line.movement.name} out`"
          @click="emit('cleared')"
        >
          take out
        </button>
      </span>
    </td>
  </tr>
</template>

<style scoped>
/* A set at a time: what was asked over the three fields. */
@media (max-width: 767px) {
  .line {
    display: grid;
    grid-template-columns: minmax(44px, 0.7fr) repeat(3, 1fr);
    align-items: end;
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
  }
  .asked {
    grid-row: 1;
    grid-column: 2 / -1;
  }
  .line > th {
    grid-row: 1;
  }
  .line > td:nth-of-type(2) {
    grid-column: 2;
  }
  .said {
    grid-column: 1 / -1;
  }
}
</style>
