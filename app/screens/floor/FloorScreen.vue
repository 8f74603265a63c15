<script setup lang="ts">
import { formatDay } from '#core/words'
import { useFloor } from './useFloor'

/** Who trains today, in order of start: what waits for each, and the ways a coach needs beside the racks. */
const { store, today, sessions, isLate, floor, isKnown, loadFloor, clocks, waiting } = useFloor()
await useAsyncData('floor', async () => {
  await Promise.all([store.load(), loadFloor()])
  return true
})
if (store.failure?.kind === 'refused' && store.failure.problem.status === 401)
  await navigateTo('/sign-in')
useHead({ title: 'Floor · Tholepin' })
</script>

<template>
  <div>
    <AppBar here="floor" />
    <main class="mx-auto max-w-[1100px] px-5 pb-10 max-md:px-3">
      <h1 class="pt-3 font-display text-[23px] leading-[27px]">Floor, {{ formatDay(today) }}</h1>
      <p class="text-ink2">
        {{
          sessions.length === 0
            ? 'Nobody has a session today.'
            : `${sessions.length} ${sessions.length === 1 ? 'session' : 'sessions'} to come or under way`
        }}
      </p>
      <p v-if="waiting" class="font-semibold text-alert">{{ waiting }}</p>
      <p v-if="store.failure" role="alert" class="alert-chip mt-2">
        The day could not be fetched.
        <button type="button" class="underline" @click="store.load()">Try again</button>
      </p>
      <TodaysFloor class="mt-3" :clients="store.view?.clients ?? []" :today="today" />
      <ol class="mt-3 border-t-[1.5px] border-ink">
        <li v-for="session in sessions" :key="session.id" class="row">
          <span class="font-display text-[16px] font-semibold">{{ session.start }}</span>
          <span class="min-w-0">
            <bdi class="line-clamp-2 font-semibold">{{ session.name }}</bdi>
            <span class="block text-ink2"
              >{{ session.what
              }}<template v-if="session.minutes">, at most {{ session.minutes }} min</template
              ><template v-if="clocks.get(session.id)?.ends">
                · ends about {{ clocks.get(session.id)?.ends }}</template
              ></span
            >
            <span
              v-for="line in [
                ...(clocks.get(session.id)?.waits ?? []),
                ...(clocks.get(session.id)?.lacks ?? []),
              ]"
              :key="line"
              class="block font-semibold text-alert"
              >{{ line }}</span
            >
          </span>
          <span class="why min-w-0">
            <NuxtLink v-if="session.need" :to="session.need.to" class="alert-chip">{{
              session.need.headline
            }}</NuxtLink>
            <span v-else class="text-ink2">{{
              isLate(session) ? 'should have begun' : 'nothing to settle'
            }}</span>
          </span>
          <span class="flex flex-wrap gap-2">
            <NuxtLink
              :to="`/clients/${session.id}/log`"
              class="control"
              :aria-label="`Log of ${session.name}`"
              >Log</NuxtLink
            >
            <NuxtLink
              :to="`/clients/${session.id}/split`"
              class="control"
              :aria-label="`Board of ${session.name}`"
              >Board</NuxtLink
            >
          </span>
        </li>
      </ol>
      <FloorStations v-if="isKnown" :saved="floor.stations" @saved="loadFloor()" />
    </main>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 60px minmax(160px, 1fr) minmax(160px, 1fr) auto;
  align-items: center;
  gap: 4px 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 767px) {
  .row {
    grid-template-columns: 52px minmax(0, 1fr);
  }
  .why,
  .row > :last-child {
    grid-column: 2;
  }
}
</style>
