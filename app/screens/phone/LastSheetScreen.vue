<script setup lang="ts">
import { lastSheet } from './sheetKeeping'
import { useSheetHead } from './useSheetHead'

/** Where the icon on the home screen leads: the sheet that was opened last on this phone. */
useSheetHead()
const token = lastSheet()
</script>

<template>
  <PhoneSheet v-if="token" :token="token" />
  <main v-else class="phone px-5 pt-10">
    <h1 class="font-display text-[30px]">No sheet yet</h1>
    <p class="mt-4 text-[17px]">
      Open the link your coach gave you once on this phone; after that, this icon leads to your
      sheet.
    </p>
  </main>
</template>
