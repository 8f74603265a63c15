<script setup lang="ts">
/** What is tried out: how far it is, and what came of it. */
defineProps<{
  lines: readonly {
    readonly key: string
    readonly words: string
    readonly state: string
    readonly muscles: readonly string[]
  }[]
}>()
</script>

<template>
  <section v-if="lines.length > 0" id="trials" aria-labelledby="tried-head" class="mt-2">
    <h3 id="tried-head" class="section-head">On trial</h3>
    <ul>
      <li v-for="line in lines" :key="line.key" class="border-b border-hair py-1">
        <span class="block font-semibold" dir="auto">{{ line.words }}</span>
        <span class="block text-[12.5px] text-ink2">{{ line.state }}</span>
        <span v-for="words in line.muscles" :key="words" class="block text-[12.5px]">{{
          words
        }}</span>
      </li>
    </ul>
  </section>
</template>
