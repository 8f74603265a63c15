<script setup lang="ts">
/** Figures of a file that look like slips, to be looked at before all of it is taken in. */
const { questions } = defineProps<{
  questions: readonly { readonly row: number; readonly detail: string }[]
}>()
const isLookedAt = defineModel<boolean>({ required: true })
</script>

<template>
  <section aria-labelledby="far-rows">
    <h3 id="far-rows" class="text-[14px]">
      {{ questions.length === 1 ? 'One figure looks' : `${questions.length} figures look` }}
      like a slip
    </h3>
    <ul class="mt-1 max-h-[110px] overflow-y-auto" tabindex="0" aria-label="Figures to look at">
      <li v-for="question in questions" :key="`${question.row} ${question.detail}`">
        <strong class="font-semibold">Row {{ question.row }}:</strong> {{ question.detail }}
      </li>
    </ul>
    <label class="mt-1 flex items-center gap-2 font-semibold"
      ><input v-model="isLookedAt" type="checkbox" />
      {{
        questions.length === 1 ? 'It is right as it stands' : 'They are right as they stand'
      }}</label
    >
  </section>
</template>
