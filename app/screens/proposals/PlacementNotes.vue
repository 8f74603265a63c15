<script setup lang="ts">
/** What stands in the way, what is held back for a joint, and why fewer ways than three are shown. */
const { concerns, withheld, leftOut } = defineProps<{
  concerns: readonly string[]
  withheld: readonly string[]
  leftOut: readonly string[]
}>()
</script>

<template>
  <div>
    <ul v-if="concerns.length > 0" class="mt-1">
      <li v-for="concern in concerns" :key="concern">
        <span class="alert-chip">{{ concern }}</span>
      </li>
    </ul>
    <ul v-if="withheld.length > 0" aria-label="Held back" class="mt-1">
      <li v-for="note in withheld" :key="note" class="font-semibold">{{ note }}</li>
    </ul>
    <ul v-if="leftOut.length > 0" aria-label="Fewer ways than three" class="mt-1 text-ink2">
      <li v-for="note in leftOut" :key="note">{{ note }}</li>
    </ul>
  </div>
</template>
