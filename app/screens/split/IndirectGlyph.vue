<script setup lang="ts">
const peg = { kind: 'peg' as const, piece: 0, x: 0, height: 12, base: 0, isDirect: false }
</script>

<template>
  <svg
    width="10"
    height="24"
    viewBox="0 0 10 24"
    aria-hidden="true"
    class="shrink-0"
    style="--peg: var(--flex-peg)"
  >
    <PegMark :peg="peg" family="flex" scale="large" :x="5" :foot="22" :is-blue="false" />
  </svg>
</template>
