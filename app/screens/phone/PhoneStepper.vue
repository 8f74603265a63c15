<script setup lang="ts">
import { Minus, Plus } from 'lucide-vue-next'

/** A number under the thumb: minus, the figure itself to type over, plus. */
const {
  label,
  unit,
  hint,
  decimal = false,
  invalid = false,
} = defineProps<{
  label: string
  unit: string
  hint: string
  decimal?: boolean
  invalid?: boolean
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ stepped: [direction: 1 | -1]; entered: [] }>()
const width = computed(() => `${Math.max(2, text.value.length) * 0.62 + 0.3}em`)
</script>

<template>
  <div class="stepper" :data-invalid="invalid || undefined">
    <button type="button" :aria-label="`${label}, less`" @click="emit('stepped', -1)">
      <Minus :size="26" aria-hidden="true" />
    </button>
    <label class="middle">
      <span class="figure">
        <input
          v-model="text"
          type="text"
          :inputmode="decimal ? 'decimal' : 'numeric'"
          autocomplete="off"
          :aria-label="label"
          :aria-invalid="invalid"
          :style="{ width }"
          maxlength="7"
          placeholder="–"
          @focus="($event.target as HTMLInputElement).select()"
          @keydown.enter.prevent="emit('entered')"
          @keydown.up.prevent="emit('stepped', 1)"
          @keydown.down.prevent="emit('stepped', -1)"
        />
        <span class="unit">{{ unit }}</span>
      </span>
      <span class="hint">{{ hint }}</span>
    </label>
    <button type="button" :aria-label="`${label}, more`" @click="emit('stepped', 1)">
      <Plus :size="26" aria-hidden="true" />
    </button>
  </div>
</template>

<style scoped>
.stepper {
  display: grid;
  grid-template-columns: 64px 1fr 64px;
  min-height: 78px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: var(--paper);
  overflow: hidden;
}
.stepper[data-invalid] {
  border-color: var(--alert);
}
.stepper button {
  display: grid;
  place-items: center;
}
.stepper button:active {
  background: var(--sunk);
}
.stepper button:first-child {
  border-right: 1px solid var(--hair);
}
.stepper button:last-child {
  border-left: 1px solid var(--hair);
}
.stepper button:focus-visible,
input:focus-visible {
  outline-offset: -4px;
}
.middle {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  min-width: 0;
  padding: 2px 6px 6px;
}
.figure {
  display: flex;
  align-items: baseline;
  gap: 6px;
}
input {
  min-width: 1.4em;
  max-width: 4.6em;
  border: 0;
  background: transparent;
  color: var(--ink);
  font-family: var(--font-display);
  font-size: 42px;
  font-weight: 650;
  line-height: 1.05;
  text-align: center;
}
.unit {
  font-size: 17px;
  color: var(--ink2);
}
.hint {
  font-size: 14px;
  line-height: 1.2;
  color: var(--ink2);
  text-align: center;
}
</style>
