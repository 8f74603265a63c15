<script setup lang="ts">
import { useDemo } from './useDemo'

/** Into the demo studio: made-up clients with a past, for a day. */
const { isBusy, complaint, enter } = useDemo()
</script>

<template>
  <span class="inline-flex flex-wrap items-center gap-2">
    <button type="button" class="control" :disabled="isBusy" @click="enter()">
      {{ isBusy ? 'Opening the demo studio' : 'Look around in the demo studio' }}
    </button>
    <span v-if="complaint" role="alert" class="alert-chip">{{ complaint }}</span>
  </span>
</template>
