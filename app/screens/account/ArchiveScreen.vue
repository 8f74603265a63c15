<script setup lang="ts">
import { plainDate } from '#core/base'
import { formatDate } from '#core/words'
import type { ArchiveView } from '#shared/contracts/roster'

useHead({ title: 'Archive · Tholepin' })
const { clients, complaint, erasing, typed, restore, erase, exportPath } = await useArchive()
const dayOf = (instant: string) => formatDate(plainDate(instant.slice(0, 10)))
type Archived = (typeof ArchiveView._output)['clients'][number]
function start(client: Archived): void {
  erasing.value = client.id
  typed.value = ''
}
</script>

<template>
  <div>
    <AppBar here="archive" />
    <main class="mx-auto max-w-[860px] px-5 pt-5 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">Archive</h1>
      <p class="text-ink2">
        Clients you have put away, with everything of theirs. Restoring brings them back to the
        roster as they were.
      </p>
      <p v-if="complaint" role="alert" class="alert-chip mt-2">
        {{ complaint }}
      </p>
      <ul class="mt-4">
        <li v-for="client in clients" :key="client.id" class="border-b border-hair py-2.5">
          <div class="flex items-center gap-3">
            <span class="min-w-0 flex-1"
              ><b class="text-[14px] font-semibold">{{ client.name }}</b
              >{{ ' ' }}<span class="text-ink2">{{ client.about }}</span></span
            >
            <span class="text-[12px] text-ink2">since {{ dayOf(client.archivedAt) }}</span>
            <button
              type="button"
              class="control"
              :aria-label="`Restore ${client.name}`"
              @click="restore(client.id)"
            >
              Restore
            </button>
            <a class="control" :href="exportPath(client.id)" download>Export</a>
            <button
              type="button"
              class="control"
              :aria-label="`Erase ${client.name} for good`"
              @click="start(client)"
            >
              Erase…
            </button>
          </div>
          <form
            v-if="erasing === client.id"
            class="mt-2 flex flex-wrap items-center gap-2 rounded bg-alert-wash p-3"
            @submit.prevent="erase(client.id)"
          >
            <label :for="`erase-${client.id}`" class="w-full text-alert"
              >Everything of {{ client.name }} goes: profile, plans, logs, measurements. It cannot
              be brought back; export first if you may need it. Type the full name to
              confirm.</label
            >
            <input
              :id="`erase-${client.id}`"
              v-model="typed"
              class="small-field w-[240px]"
              autocomplete="off"
            />
            <button type="submit" class="control" :disabled="typed.trim() !== client.name">
              Erase for good
            </button>
            <button type="button" class="control" @click="erasing = null">Keep</button>
          </form>
        </li>
      </ul>
      <p v-if="clients.length === 0" class="py-6 text-ink2">
        Nobody is archived. A client is put away at the foot of the profile.
      </p>
    </main>
  </div>
</template>
