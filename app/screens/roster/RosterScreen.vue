<script setup lang="ts">
import { formatDay, unreadWords } from '#core/words'
import { useRosterActions } from './useRosterActions'
import { ROSTER_FILTERS } from './useRoster'
import { Plus } from 'lucide-vue-next'

useHead({ title: 'Roster · Tholepin' })
const {
  store,
  today,
  typed,
  filter,
  openRow,
  complaint,
  sections,
  counts,
  placeToday,
  flag,
  later,
  settle,
  toggle,
} = useRoster()
await useAsyncData('roster', async () => {
  await store.load()
  return true
})
if (store.failure?.kind === 'refused' && store.failure.problem.status === 401)
  await navigateTo('/sign-in')

const list = useTemplateRef<HTMLElement>('list')
/** Rows open and answer from here on; the server's drawing alone hears nothing. */
const isLive = useMounted()
useRosterActions(list, { open: toggle, flag: id => void flag(id) })
const FILTER_NAMES = {
  all: 'All',
  now: 'Now',
  week: 'This week',
  steady: 'Steady',
  flagged: 'Flagged',
} as const
const total = computed(() => store.view?.clients.length ?? 0)
</script>

<template>
  <div>
    <AppBar here="roster">
      <template #actions>
        <NuxtLink to="/queue" class="control"> Reviews <KeyCap label="R" /> </NuxtLink>
        <NuxtLink to="/clients/new" class="control control-strong">
          <Plus :size="15" aria-hidden="true" /> New client
        </NuxtLink>
      </template>
    </AppBar>
    <main class="px-5 pb-10 max-md:px-3">
      <div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2 py-3">
        <div>
          <h1 class="font-display text-[23px] leading-[27px]">
            {{ formatDay(today) }}
          </h1>
          <p class="text-ink2">
            {{ store.view?.studio }} · {{ total }} {{ total === 1 ? 'client' : 'clients'
            }}<template v-if="counts.now > 0"
              >, {{ counts.now }} {{ counts.now === 1 ? 'needs' : 'need' }} you now</template
            >
          </p>
          <p v-if="store.view && store.view.unread > 0" class="text-ink2" role="status">
            {{ unreadWords(store.view.unread) }}
          </p>
        </div>
        <TodaysFloor :clients="store.view?.clients ?? []" :today="today" />
      </div>
      <div class="mb-2 flex flex-wrap items-center gap-x-3 gap-y-2">
        <label class="sr-only" for="roster-search">Search the roster</label>
        <input
          id="roster-search"
          v-model="typed"
          type="search"
          class="small-field w-[220px]"
          placeholder="Name, reason, block"
          autocomplete="off"
        />
        <div role="group" aria-label="Show" class="flex flex-wrap gap-1">
          <button
            v-for="id in ROSTER_FILTERS"
            :key="id"
            type="button"
            class="filter"
            :aria-pressed="filter === id"
            @click="filter = id"
          >
            {{ FILTER_NAMES[id] }} <span class="font-normal text-ink2">{{ counts[id] }}</span>
          </button>
        </div>
        <NuxtLink to="/archive" class="quiet-link ml-auto">
          Archive<template v-if="store.view && store.view.archived > 0">
            · {{ store.view.archived }}</template
          >
        </NuxtLink>
      </div>
      <p v-if="store.failure" role="alert" class="alert-chip">
        The roster could not be fetched.
        <button type="button" class="underline" @click="store.load()">Try again</button>
      </p>
      <p v-if="complaint" role="alert" class="alert-chip">
        {{ complaint }}
      </p>
      <div ref="list" :aria-busy="!isLive">
        <section
          v-for="section in sections"
          :key="section.id"
          class="mb-4"
          :aria-label="section.name"
        >
          <div class="roster-heads">
            <h2 class="col-span-3 text-[14px] font-[650]">
              {{ section.name }}
              <span class="ml-1 font-normal text-ink2">{{ section.clients.length }}</span>
            </h2>
            <span class="figures">Direct arm sets this rotation</span>
            <span class="figures font-semibold text-flex">Flexors</span>
            <span class="figures font-semibold text-ext">Triceps</span>
            <span class="figures">Block</span>
          </div>
          <RosterRow
            v-for="entry in section.rows"
            :key="entry.id"
            :entry="entry"
            :place="placeToday(entry)"
            :today="today"
            :is-open="openRow === entry.id"
            @opened="toggle(entry.id)"
            @flagged="flag(entry.id)"
            @later="days => later(entry.id, days)"
            @settled="session => settle(entry.id, session)"
          />
        </section>
        <section v-if="store.view && total === 0" aria-labelledby="first-day" class="py-6">
          <h2 id="first-day" class="text-[17px] font-[650]">Your first client</h2>
          <ol class="mt-2 list-decimal ps-5 leading-7">
            <li>
              <NuxtLink to="/clients/new" class="underline">New client</NuxtLink>: a name and the
              months of training are enough.
            </li>
            <li>
              Take a template that fits, or let proposals draft the week; change what you like.
            </li>
            <li>Send the first week: you get a link and a code for the client’s phone.</li>
          </ol>
          <p class="mt-3 text-ink2">Rather see it at work first?</p>
          <p class="mt-1"><DemoButton /></p>
        </section>
        <p v-else-if="store.view && sections.length === 0" class="py-6 text-ink2">
          Nobody like that. Change the search or the filter.
        </p>
      </div>
      <p class="flex flex-wrap items-center gap-x-6 gap-y-2 text-[12px] text-ink2">
        <span
          >Flexor sets stand above the line, triceps sets below; pale is still to come, lying down
          is missed. Figures are counted sets per 7 days.</span
        >
        <span class="max-md:hidden"><KeyCap label="↑" /> <KeyCap label="↓" /> client</span>
        <span class="max-md:hidden"><KeyCap label="Enter" /> split</span>
        <span class="max-md:hidden"><KeyCap label="→" /> reasons</span>
        <span class="max-md:hidden"><KeyCap label="1" />–<KeyCap label="4" /> quick answer</span>
        <span class="max-md:hidden"><KeyCap label="L" /> later</span>
        <span class="max-md:hidden"><KeyCap label="F" /> flag</span>
      </p>
    </main>
  </div>
</template>

<style scoped>
.roster-heads {
  display: grid;
  grid-template-columns: 26px minmax(120px, 190px) minmax(170px, 1fr) 264px 54px 54px 120px 32px;
  align-items: baseline;
  column-gap: 14px;
  padding: 4px 12px;
  border-bottom: 1.5px solid var(--ink);
  font-size: 12px;
  color: var(--ink2);
}
.roster-heads h2 {
  color: var(--ink);
}
@media (max-width: 1023px) {
  .roster-heads {
    grid-template-columns: 1fr;
  }
  .roster-heads h2 {
    grid-column: 1;
  }
  .figures {
    display: none;
  }
}
.filter {
  min-height: 28px;
  padding: 0 9px;
  border: 1px solid transparent;
  border-radius: 4px;
  color: var(--ink2);
}
.filter:hover {
  background: var(--sunk);
}
.filter[aria-pressed='true'] {
  border-color: var(--edge);
  background: var(--paper);
  color: var(--ink);
  font-weight: 600;
}
</style>
