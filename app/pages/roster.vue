<script setup lang="ts">
import { formatDay } from '#core/format'
import { placeOn } from '#core/rotation'
import type { RosterEntry } from '#shared/contracts/client'
import { useRosterKeys } from '~/components/roster/useRosterKeys'

useHead({ title: 'Roster · Tholepin' })
const store = useRosterStore()
const today = useToday()
await useAsyncData('roster', async () => {
  await store.load()
  return true
})
if (store.failure?.kind === 'refused' && store.failure.problem.status === 401) await navigateTo('/sign-in')

const list = useTemplateRef<HTMLElement>('list')
useRosterKeys(list)

const sections = computed(() => {
  const clients = store.view?.clients ?? []
  const isOut = (entry: RosterEntry) => (entry.block?.notices.length ?? 0) > 0
  return [
    { name: 'To look at', clients: clients.filter(isOut) },
    { name: 'Steady', clients: clients.filter(entry => !isOut(entry)) },
  ].filter(section => section.clients.length > 0)
})

function placeToday({ block }: RosterEntry) {
  return block && placeOn(block.days.length, block.startsOn, today.value)
}
</script>

<template>
  <div class="min-w-[1080px]">
    <AppBar>
      <template #trail>
        <span class="font-semibold" aria-current="page">Roster</span>
      </template>
    </AppBar>
    <main class="px-5 pb-10">
      <div class="relative py-4">
        <NuxtLink to="/clients/new" class="control control-strong absolute right-0 top-4">
          New client
        </NuxtLink>
        <h1 class="font-display text-[23px] leading-[27px]">
          {{ formatDay(today) }}
        </h1>
        <p class="text-ink2">
          {{ store.view?.studio }} · {{ store.view?.clients.length ?? 0 }} clients
        </p>
      </div>
      <p v-if="store.failure" role="alert" class="alert-chip">
        The roster could not be fetched. <button type="button" class="underline" @click="store.load()">
          Try again
        </button>
      </p>
      <div ref="list">
        <section v-for="section in sections" :key="section.name" class="mb-5" :aria-label="section.name">
          <div class="roster-heads">
            <h2 class="col-span-3 text-[14px] font-[650]">
              {{ section.name }} <span class="ml-1 font-normal text-ink2">{{ section.clients.length }}</span>
            </h2>
            <span>Direct arm sets this rotation</span>
            <span class="font-semibold text-flex">Flexors</span>
            <span class="font-semibold text-ext">Triceps</span>
            <span>Block</span>
          </div>
          <RosterRow v-for="entry in section.clients" :key="entry.id" :entry="entry" :place="placeToday(entry)" />
        </section>
      </div>
      <p class="flex flex-wrap items-center gap-x-6 gap-y-2 text-[12px] text-ink2">
        <span>Flexor sets stand above the line, triceps sets below; figures are counted sets per 7 days.</span>
        <span><KeyCap label="↑" /> <KeyCap label="↓" /> client</span>
        <span><KeyCap label="Enter" /> open the split</span>
      </p>
    </main>
  </div>
</template>

<style scoped>
.roster-heads {
  display: grid; grid-template-columns: 26px 190px minmax(150px, 1fr) 264px 58px 58px 130px 64px; align-items: baseline; column-gap: 14px;
  padding: 6px 12px; border-bottom: 1.5px solid var(--ink); font-size: 12px; color: var(--ink2);
}
.roster-heads h2 { color: var(--ink); }
</style>
