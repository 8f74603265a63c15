<script setup lang="ts">
import type { useSafe } from './useQueue'

/** Changes that can be taken for all at once, each with a tick; and who is not among them. */
const { safe, isBusy } = defineProps<{ safe: ReturnType<typeof useSafe>; isBusy: boolean }>()
const { lines, ticked, clients, notSafe, toggle, take } = safe
</script>

<template>
  <section aria-labelledby="safe-head">
    <h2 id="safe-head" class="text-[16px] font-[650]">Safe for all</h2>
    <p class="text-[12px] text-ink2">
      Strong evidence, a small step, no joint that was so much as noted, no missed session open.
    </p>
    <p v-if="lines.length === 0" class="mt-1 text-ink2">Nothing that can be taken unseen.</p>
    <ul v-else class="mt-2" aria-label="Safe changes">
      <li v-for="line in lines" :key="line.id" class="border-b border-hair py-1">
        <label class="flex items-start gap-2">
          <input type="checkbox" class="mt-1" :checked="line.isIn" @change="toggle(line.id)" />
          <span class="min-w-0 flex-1">
            <bdi v-if="line.name" class="block font-semibold">{{ line.name }}</bdi>
            <span class="block">{{ line.words }}</span>
            <span class="block text-[12px] text-ink2">{{ line.why }}</span>
          </span>
        </label>
      </li>
    </ul>
    <button
      v-if="lines.length > 0"
      type="button"
      class="control control-strong mt-2"
      :disabled="isBusy || ticked.length === 0"
      @click="take()"
    >
      Take {{ ticked.length }} for {{ clients }} {{ clients === 1 ? 'client' : 'clients' }}
      <KeyCap label="A" />
    </button>
    <details v-if="notSafe.length > 0" class="mt-3">
      <summary class="font-semibold">Not in it, and why ({{ notSafe.length }})</summary>
      <ul>
        <li
          v-for="entry in notSafe"
          :key="entry.id"
          class="flex flex-wrap gap-x-3 border-b border-hair py-0.5"
        >
          <bdi class="font-semibold">{{ entry.name }}</bdi>
          <span class="text-ink2">{{ entry.notSafe }}</span>
        </li>
      </ul>
    </details>
  </section>
</template>
