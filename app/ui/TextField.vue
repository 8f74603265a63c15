<script setup lang="ts">
/** A labelled field with its own complaint. */
const {
  label,
  type = 'text',
  autocomplete = 'off',
  complaint = '',
  hint = '',
  isFirst = false,
} = defineProps<{
  label: string
  type?: 'text' | 'email' | 'password' | 'number'
  autocomplete?: string
  /** What is wrong with what was entered; empty where nothing is. */
  complaint?: string
  hint?: string
  /** It can be typed in at once when the page opens. */
  isFirst?: boolean
}>()
const model = defineModel<string>({ required: true })
const id = useId()
const field = useTemplateRef<HTMLInputElement>('field')
onMounted(() => isFirst && field.value?.focus())
</script>

<template>
  <div>
    <label class="block font-semibold" :for="id">{{ label }}</label>
    <input
      :id="id"
      ref="field"
      dir="auto"
      :value="model"
      class="field mt-1"
      :type="type"
      :autocomplete="autocomplete"
      :aria-invalid="complaint !== ''"
      :aria-describedby="`${id}-words`"
      @input="model = ($event.target as HTMLInputElement).value"
    />
    <p :id="`${id}-words`" class="mt-1 text-[12px]">
      <span v-if="complaint" class="alert-chip">{{ complaint }}</span>
      <span v-else class="text-ink2">{{ hint }}</span>
    </p>
  </div>
</template>
