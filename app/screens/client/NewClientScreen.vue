<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { useClientImport } from './useClientImport'

useHead({ title: 'New client · Tholepin' })
const { complaints, isBusy, take } = useClientImport()
/** A file chosen before the page hears it would be lost. */
const isLive = useMounted()
</script>

<template>
  <div>
    <AppBar here="roster" />
    <main class="mx-auto max-w-[1180px] px-5 pt-5 pb-12 max-md:px-3" :aria-busy="!isLive || isBusy">
      <h1 class="font-display text-[23px] leading-[27px]">New client</h1>
      <p class="text-ink2">
        A name and the months of training are enough to start; everything else has a usual value
        that you can change now or later.
      </p>
      <p class="mt-2 flex items-center gap-3">
        <label class="control cursor-pointer focus-within:outline-2 focus-within:outline-focus"
          >{{ isBusy ? 'Taking it in' : 'Or take a client in from a file'
          }}<input
            type="file"
            accept=".json,application/json"
            class="sr-only"
            :disabled="isBusy || !isLive"
            @change="take(($event.target as HTMLInputElement).files?.[0])"
        /></label>
        <span class="text-[12px] text-ink2"
          >made with “Export everything as JSON”; profile, plans, log and measurements come back as
          they were</span
        >
      </p>
      <ClientTable />
      <ul v-if="complaints.length > 0" role="alert" class="mt-2">
        <li v-for="line in complaints" :key="line" class="alert-chip mb-1">
          {{ line }}
        </li>
      </ul>
      <ProfileForm
        class="mt-4"
        :before="null"
        path="/api/clients"
        action="Open the board"
        @saved="id => navigateTo(`/clients/${id}/split`)"
      />
    </main>
  </div>
</template>
