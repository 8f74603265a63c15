<script setup lang="ts">
import { useBoard } from '../boardContext'

/** Everything the checks have found, over the foot of the board, so that a fix can be seen on the board before it is made. */
const board = useBoard()
const { findings, dismissed } = useFindings()
const showsDismissed = ref(false)
/** Lines that show what they stand for. */
const opened = ref<ReadonlySet<string>>(new Set())
function toggle(key: string): void {
  const next = new Set(opened.value)
  if (!next.delete(key)) next.add(key)
  opened.value = next
}
const list = useTemplateRef<HTMLElement>('list')

function move(step: number): void {
  const rows = [...(list.value?.querySelectorAll<HTMLElement>('[data-row]') ?? [])]
  const at = rows.findIndex(row => row.contains(document.activeElement))
  rows[Math.min(rows.length - 1, Math.max(0, at + step))]?.focus()
}
onMounted(() => move(1))
</script>

<template>
  <section
    class="foot-sheet"
    role="dialog"
    aria-label="Checks"
    @keydown.esc.stop.prevent="board.close()"
    @keydown.down.prevent="move(1)"
    @keydown.up.prevent="move(-1)"
  >
    <div class="flex items-center gap-4 px-5 pt-2">
      <h2 class="text-[14px] font-[650]">
        Checks <span class="font-normal text-ink2">{{ findings.length }}</span>
      </h2>
      <span class="text-[12px] text-ink2"
        ><KeyCap label="↑" /> <KeyCap label="↓" /> the chosen fix is shown on the board in blue ·
        <KeyCap label="Enter" /> makes it · <KeyCap label="Del" /> dismisses the finding</span
      >
      <button
        v-if="dismissed.length > 0"
        type="button"
        class="quiet-link ml-auto"
        :aria-pressed="showsDismissed"
        @click="showsDismissed = !showsDismissed"
      >
        {{ dismissed.length }} dismissed
      </button>
      <button
        type="button"
        class="control"
        :class="dismissed.length > 0 ? '' : 'ml-auto'"
        @click="board.close()"
      >
        Close <KeyCap label="Esc" />
      </button>
    </div>
    <ul ref="list" class="mt-1 max-h-[210px] overflow-y-auto px-5 pb-2">
      <template v-if="!showsDismissed">
        <template v-for="line in findings" :key="line.key">
          <FindingRow
            :worded="line"
            :parts="line.parts.length"
            :is-open="opened.has(line.key)"
            @toggle="toggle(line.key)"
          />
          <template v-if="opened.has(line.key)">
            <FindingRow v-for="part in line.parts" :key="part.key" :worded="part" is-part />
          </template>
        </template>
        <li v-if="findings.length === 0" class="py-3 text-ink2">Nothing to look at.</li>
      </template>
      <template v-else>
        <li v-for="worded in dismissed" :key="worded.key" class="aside-row">
          <span class="w-[120px] shrink-0 text-[12px] text-ink2">{{
            worded.place || 'the rotation'
          }}</span>
          <span class="min-w-0 flex-1"
            >{{ worded.sentence }}
            <span class="text-ink2">{{ worded.note ? `“${worded.note}”` : 'no note' }}</span></span
          >
          <button type="button" class="control" @click="board.bringBack(worded.finding)">
            Bring back
          </button>
        </li>
      </template>
    </ul>
  </section>
</template>

<style scoped>
.aside-row {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
  padding: 1px 6px;
  border-bottom: 1px solid var(--hair);
}
</style>
