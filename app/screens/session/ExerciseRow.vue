<script setup lang="ts">
import { readinessWords } from '#core/words'
import type { Slot } from '#core/plan/session'
import { ArrowDownUp, ChevronDown, CircleAlert, Lock } from 'lucide-vue-next'
import { useSession } from './sessionContext'

const { held, letter } = defineProps<{ held: Slot; letter: string }>()
const builder = useSession()
const isSelected = computed(() => builder.selected.value?.id === held.id)
const isOpen = ref(false)
const family = computed(() => builder.familyOf(held.id))
const findings = computed(() =>
  builder.findings.value.filter(({ place }) => place.slot === held.id),
)
const worst = computed(
  () => findings.value.find(({ severity }) => severity !== 'info') ?? findings.value[0],
)
const arrives = computed(() => builder.readinessAt(held.id))
</script>

<template>
  <li
    class="row"
    :data-selected="isSelected || undefined"
    :data-slot="held.id"
    :data-exercise="held.exercise"
    :style="{ '--text': `var(--${family})`, '--peg': `var(--${family}-peg)` }"
    @click="builder.select(held.id)"
  >
    <div class="flex items-start gap-3 max-md:flex-wrap max-md:gap-x-2">
      <span class="letter" aria-hidden="true">{{ letter }}</span>
      <span class="name">
        <button
          type="button"
          class="truncate text-left font-semibold hover:underline"
          :style="{ color: 'var(--text)' }"
          :aria-label="`${builder.nameOf(held.id)}, swap it`"
          :title="builder.nameOf(held.id)"
          @click="(builder.select(held.id), builder.open('swap'))"
        >
          {{ builder.nameOf(held.id) }}
        </button>
        <Lock v-if="held.isHeld" :size="12" class="shrink-0 text-ink2" aria-label="Held fixed" />
        <CircleAlert
          v-if="worst"
          :size="13"
          class="shrink-0"
          :class="worst.severity === 'info' ? 'text-ink3' : 'text-alert'"
          :aria-label="`${findings.length} to look at`"
          role="img"
        />
      </span>
      <SchemeField :held="held" />
      <span class="ready">{{
        arrives === null ? '' : readinessWords(arrives.percent, arrives.isWorked)
      }}</span>
      <span class="flex shrink-0 items-center gap-1">
        <button
          type="button"
          class="mini"
          :aria-label="`One set less of ${builder.nameOf(held.id)}`"
          @click.stop="(builder.select(held.id), builder.changeSets(-1, held.id))"
        >
          −
        </button>
        <button
          type="button"
          class="mini"
          :aria-label="`One set more of ${builder.nameOf(held.id)}`"
          @click.stop="(builder.select(held.id), builder.changeSets(1, held.id))"
        >
          +
        </button>
        <button
          type="button"
          class="mini"
          :aria-label="`Swap ${builder.nameOf(held.id)}`"
          @click.stop="(builder.select(held.id), builder.open('swap'))"
        >
          <ArrowDownUp :size="13" aria-hidden="true" />
        </button>
        <button
          type="button"
          class="mini"
          :aria-expanded="isOpen"
          :aria-label="`Settings of ${builder.nameOf(held.id)}`"
          @click.stop="(builder.select(held.id), (isOpen = !isOpen))"
        >
          <ChevronDown :size="14" :class="isOpen ? 'rotate-180' : ''" aria-hidden="true" />
        </button>
      </span>
    </div>
    <RowControls v-if="isOpen" :held="held" />
    <p v-if="held.note && !isOpen" class="pl-[30px] text-[12px] text-ink2">
      {{ held.note }}
    </p>
  </li>
</template>

<style scoped>
.row {
  padding: 3px 6px;
  border-left: 3px solid transparent;
  border-bottom: 1px solid var(--hair);
}
.row[data-selected] {
  border-left-color: var(--focus);
  background: var(--paper);
}
.letter {
  width: 18px;
  line-height: 28px;
  font-family: var(--font-display);
  font-weight: 600;
  color: var(--ink2);
}
.name {
  display: flex;
  align-items: center;
  gap: 6px;
  width: 200px;
  min-height: 28px;
  flex-shrink: 0;
  overflow: hidden;
}
.ready {
  width: 92px;
  flex-shrink: 0;
  font-size: 12px;
  line-height: 28px;
  color: var(--ink2);
  text-align: right;
  white-space: nowrap;
}
.mini {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 26px;
  height: 26px;
  border: 1px solid transparent;
  border-radius: 4px;
  color: var(--ink2);
  font-size: 15px;
}
.mini:hover {
  border-color: var(--edge);
  background: var(--sunk);
  color: var(--ink);
}
@media (max-width: 767px) {
  .name {
    flex: 1 1 180px;
    width: auto;
  }
  .ready {
    width: auto;
    flex: 1;
    text-align: start;
  }
  .mini {
    width: 44px;
    height: 44px;
  }
}
</style>
