<script setup lang="ts">
import { formatOneDecimal } from '#core/words'
import { useBoard } from '../boardContext'

/** Rotations to start from, by how well they fit this client, each with its strip, its reasons and what would differ. */
const board = useBoard()
const { offered, use, load, remove, rename, replace, takeIn, problem } = useTemplates()
const said = ref('')
/** The template whose names are being typed. */
const renaming = ref<string | null>(null)
onMounted(load)
function choose(template: (typeof offered.value)[number]): void {
  if (!board.report(use(template))) return void (said.value = board.message.value)
  board.close()
  board.say(`${template.name}, fitted to this client. Z brings the old rotation back.`)
}
async function update(template: (typeof offered.value)[number]): Promise<void> {
  said.value = await replace(template)
}
</script>

<template>
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <p class="text-ink2">What fits best stands first, as this client would get it.</p>
    <label class="control ml-auto cursor-pointer focus-within:outline-2 focus-within:outline-focus"
      >Take a template in<input
        type="file"
        accept=".json,application/json"
        class="sr-only"
        @change="takeIn(($event.target as HTMLInputElement).files?.[0])"
    /></label>
    <p role="status" class="w-full text-[12.5px] empty:hidden">{{ said }}</p>
    <p v-if="problem" role="alert" class="alert-chip w-full">{{ problem }}</p>
  </div>
  <ol class="mt-3 grid gap-x-6 md:grid-cols-2" aria-label="Templates, best fit first">
    <li
      v-for="template in offered"
      :key="template.id"
      class="flex flex-col gap-1 border-t border-hair py-2"
    >
      <span class="flex items-baseline gap-2"
        ><b dir="auto" class="font-display text-[15px]">{{ template.name }}</b
        >{{ ' ' }}<span v-if="template.edits" class="text-[12px] text-ink2">your own</span
        ><button
          type="button"
          class="control ml-auto"
          :aria-label="`Use ${template.name}`"
          @click="choose(template)"
        >
          Use
        </button></span
      >
      <RotationStrip :days="template.days" :today="null" />
      <span class="text-[12.5px]">{{ template.reasons }}</span>
      <span dir="auto" class="text-[12px] text-ink2"
        >biceps {{ formatOneDecimal(template.flexors) }}, triceps
        {{ formatOneDecimal(template.triceps) }} per 7 days. {{ template.about }}</span
      >
      <span v-if="template.edits" class="flex gap-3 text-[12px]">
        <a
          class="quiet-link"
          :href="`/api/plan-templates/${template.id}/export`"
          :download="`${template.name}.json`"
          >export</a
        >
        <button
          type="button"
          class="quiet-link"
          :aria-label="`Rename ${template.name}`"
          @click="renaming = template.id"
        >
          rename
        </button>
        <button
          type="button"
          class="quiet-link"
          :aria-label="`Make ${template.name} as this plan is`"
          @click="update(template)"
        >
          as this plan is
        </button>
        <button
          type="button"
          class="quiet-link"
          :aria-label="`Remove ${template.name}`"
          @click="remove(template)"
        >
          remove
        </button>
      </span>
      <TemplateNames
        v-if="renaming === template.id"
        :template="template"
        :rename="rename"
        @closed="renaming = null"
      />
      <details v-if="template.changes.length > 0" class="text-[12px]">
        <summary class="cursor-pointer">
          {{
            template.changes.length === 1
              ? 'What would differ'
              : `What would differ: ${template.changes.length}`
          }}
        </summary>
        <ul class="list-disc pl-5">
          <li v-for="change in template.changes" :key="change">{{ change }}</li>
        </ul>
      </details>
    </li>
  </ol>
</template>
