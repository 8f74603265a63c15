<script setup lang="ts">
import type { DrawnEvents } from './useDrawnEvents'

/** An event of the calendar: new on the days that were marked, or one that is there, with what it does told first. */
const { drawn } = defineProps<{ drawn: DrawnEvents }>()
const emit = defineEmits<{ said: [words: string] }>()
const { id, entered: begun } = drawn.form.value!
const entered = ref({ ...begun })
const problem = ref('')
const lines = computed(() => drawn.effects(entered.value, id ?? ''))
function submit(): void {
  problem.value = drawn.put(entered.value, id ?? undefined) ?? ''
  if (problem.value) return
  emit('said', `${entered.value.what.trim()} is in the block.`)
  drawn.close()
}
function takeOut(): void {
  if (id) drawn.drop(id)
  emit('said', `${begun.what} is out of the block.`)
  drawn.close()
}
</script>

<template>
  <PanelDialog :title="id ? begun.what : 'What comes up'" :width="640" @closed="drawn.close()">
    <form class="mt-3" novalidate @submit.prevent="submit()">
      <div class="flex flex-wrap items-end gap-3"><EventFields v-model="entered" /></div>
      <ul aria-label="What it does" class="mt-3 min-h-10">
        <li v-for="line in lines" :key="line">{{ line }}</li>
      </ul>
      <p role="alert" class="min-h-5 text-alert">{{ problem }}</p>
      <div class="flex gap-2">
        <button type="submit" class="control control-strong">
          {{ id ? 'Change it' : 'Put it in' }} <KeyCap label="Enter" />
        </button>
        <button v-if="id" type="button" class="control" @click="takeOut()">Take it out</button>
      </div>
    </form>
  </PanelDialog>
</template>
