<script setup lang="ts">
import { floorNames, formatDay } from '#core/words'
import { useMounted } from '@vueuse/core'
import { useActions } from '~/shell/useActions'
import { FLOOR_ACTIONS } from './floorActions'
import { useFloor } from './useFloor'
import { useLiveFloor } from './useLiveFloor'
import { useRemedies } from './useRemedies'

/** Who trains on a day, on one clock: what waits, and the ways out of it. */
const page = useFloor()
const { today, on, view, failed, refresh, scale, nowLeft, notices, lanes, stations, ends } = page
const ways = useRemedies(page)
const live = useLiveFloor(page)
const isLive = useMounted()
const byStation = ref(false)
const list = computed(() => view.value?.sessions ?? [])
const own = computed(() => notices.value.filter(({ session }) => session === ways.chosen.value))
useActions(FLOOR_ACTIONS, {
  ...ways,
  canTake: at => ways.ways.value[at] !== undefined,
  hasChosen: () => ways.chosen.value !== null,
  turnAlways: () => (ways.isAlways.value = !ways.isAlways.value),
  turnLanes: () => (byStation.value = !byStation.value),
  step: days => page.step(days),
  goToday: () => page.goTo(today.value),
  open: () => navigateTo(`/clients/${ways.session.value?.client}/session`),
})
const nameOf = (id: string) => floorNames({ sessions: list.value })(id)
await page.ready
useHead({ title: 'Floor · Tholepin' })
</script>

<template>
  <div>
    <AppBar here="floor" />
    <main class="px-5 pb-10 max-md:px-3" :aria-busy="!isLive || ways.isBusy.value">
      <div class="flex flex-wrap items-start gap-x-10 gap-y-3 pt-3">
        <div>
          <h1 class="font-display text-[23px] leading-[27px]">Floor, {{ formatDay(on) }}</h1>
          <p class="text-ink2">
            {{
              list.length === 0
                ? 'Nobody has a session to do.'
                : `${list.length} ${list.length === 1 ? 'session' : 'sessions'} to come or under way, ${page.most.value} at once at most`
            }}
          </p>
          <p v-if="page.waiting.value" class="font-semibold text-alert">{{ page.waiting.value }}</p>
          <p v-if="live.isLive.value" class="text-focus">
            Live, {{ live.now.value.sessions.length }} training
          </p>
          <p v-else-if="live.lostAt.value" role="alert" class="text-alert">
            Not live since {{ live.lostAt.value }}; trying again.
          </p>
          <p class="mt-2 flex flex-wrap gap-2">
            <button type="button" class="control" aria-label="Day before" @click="page.step(-1)">
              ←
            </button>
            <button
              type="button"
              class="control"
              :disabled="on === today"
              @click="page.goTo(today)"
            >
              Today
            </button>
            <button type="button" class="control" aria-label="Day after" @click="page.step(1)">
              →
            </button>
            <span
              v-if="page.parts.value.length > 1"
              role="group"
              aria-label="Part of the day"
              class="flex flex-wrap gap-1"
            >
              <button
                v-for="one in page.parts.value"
                :key="one.id"
                type="button"
                class="control"
                :class="{ 'control-strong': one.id === page.part.value?.id }"
                :aria-pressed="one.id === page.part.value?.id"
                @click="page.showPart(one.id)"
              >
                {{ one.name }} {{ one.sessions.length }}
              </button>
            </span>
            <button
              type="button"
              class="control"
              :aria-pressed="byStation"
              @click="byStation = !byStation"
            >
              By station <KeyCap label="S" />
            </button>
            <!-- A page of its own: only so it is kept for when there is no reception. -->
            <a v-if="on === today" href="/together" class="control">Together</a>
          </p>
        </div>
        <div v-if="notices.length > 0" class="min-w-0 flex-1">
          <h2 class="flex items-center gap-2 font-semibold">
            {{ notices.length }} to look at
            <button type="button" class="control" @click="ways.next()">
              Next <KeyCap label="N" />
            </button>
          </h2>
          <ul class="mt-1 max-h-[132px] overflow-y-auto" tabindex="0" aria-label="To look at">
            <li v-for="notice in notices" :key="`${notice.session} ${notice.at} ${notice.words}`">
              <button
                type="button"
                class="w-full text-left hover:underline"
                @click="ways.choose(notice.session)"
              >
                {{ notice.clock }} <b>{{ nameOf(notice.session) }}</b> {{ notice.words }}
              </button>
            </li>
          </ul>
        </div>
      </div>
      <FloorPains :pains="live.pains.value" />
      <FloorWrote :wrote="live.wrote.value" @answered="live.look()" />
      <p role="status" class="min-h-6 font-semibold">{{ ways.said.value }}</p>
      <p v-if="failed" role="alert" class="alert-chip mt-2">
        The day could not be fetched.
        <button type="button" class="underline" @click="refresh()">Try again</button>
      </p>
      <FloorLanes
        v-if="scale && !byStation"
        :lanes="lanes"
        :scale="scale"
        :now-left="nowLeft"
        :ends="ends"
        :told="live.told.value"
        :chosen="ways.chosen.value"
        @choose="ways.choose"
      >
        <FloorRemedies :notices="own" :ways="ways" />
      </FloorLanes>
      <FloorLanes v-else-if="scale" :lanes="stations" :scale="scale" :now-left="nowLeft" />
      <p v-if="scale && byStation && stations.length === 0" class="text-ink2">
        No stations are named yet: what is not named below is plenty.
      </p>
      <StudioFloor v-if="view" :saved="view" @saved="refresh()" />
      <details v-if="view" class="mt-4 max-w-[720px]">
        <summary class="font-semibold">Weights of the studio</summary>
        <StudioGear :saved="view.gear" @changed="refresh()" />
      </details>
    </main>
  </div>
</template>
