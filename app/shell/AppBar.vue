<script setup lang="ts">
import { CircleHelp } from 'lucide-vue-next'
import { STUDIO_ACTIONS } from './clientActions'
import { STUDIO_WAYS, type StudioWayId } from './places'

/** The bar of every screen: the studio's own places, and below it the ways of the place one is in. */
const { here = null } = defineProps<{ here?: StudioWayId | null }>()
defineSlots<{
  /** Whom the screen is about, and the places there are for it. */
  subject?: () => unknown
  undo?: () => unknown
  ways?: () => unknown
  /** At the right of the second line. */
  actions?: () => unknown
}>()
const MAIN = STUDIO_WAYS.filter(({ id }) => id === 'roster' || id === 'floor' || id === 'queue')
const WAYS = STUDIO_WAYS.filter(({ id }) => id !== 'account')
/** The floor stands in the first line already; a phone shows the main places, the account menu the rest. */
const WITHIN: Readonly<Partial<Record<StudioWayId, string>>> = {
  floor: 'md:hidden',
  queue: 'md:hidden',
  exercises: 'max-md:hidden',
  methods: 'max-md:hidden',
  compare: 'max-md:hidden',
  'what-if': 'max-md:hidden',
  outbox: 'max-md:hidden',
  archive: 'max-md:hidden',
}
/** Pages on which the studio's own things are changed; a client's pages have the client's history. */
const UNDONE: readonly (StudioWayId | null)[] = [
  'exercises',
  'methods',
  'account',
  'floor',
  'queue',
  'what-if',
]
const isUndone = UNDONE.includes(here)
const changes = useChangesStore()
if (isUndone) {
  // Queue and floor go from client to client: there it is whatever was done last.
  changes.open(here === 'queue' || here === 'floor' ? 'anyone' : null, null)
  onMounted(() => changes.load())
  watch(useWritten(), () => changes.load())
  useActions(STUDIO_ACTIONS, { turn: which => changes.turn(which) }, { isAlwaysHeard: true })
}
const { openHelp } = useShownActions()
const { user } = useUserSession()
</script>

<template>
  <header class="bar">
    <div class="bar-line">
      <NuxtLink
        to="/roster"
        class="flex shrink-0 items-center gap-2 rounded font-display text-[17px] font-semibold"
        aria-label="Tholepin, to the roster"
      >
        <TholepinMark />
        <span class="max-lg:hidden">Tholepin</span>
      </NuxtLink>
      <span class="h-5 w-px bg-line max-md:hidden" aria-hidden="true" />
      <nav aria-label="Studio" class="flex shrink-0 items-center gap-3 max-md:hidden">
        <NuxtLink
          v-for="{ id, name, path } in MAIN"
          :key="id"
          :to="path"
          class="nav-link"
          :aria-current="here === id ? 'page' : undefined"
        >
          {{ name }}
        </NuxtLink>
      </nav>
      <slot name="subject" />
      <span v-if="user?.isDemo" class="alert-chip shrink-0 max-lg:hidden">Demo studio</span>
      <div class="ml-auto flex shrink-0 items-center gap-2">
        <slot name="undo">
          <UndoButtons v-if="isUndone" />
        </slot>
        <CommandBox />
        <button
          type="button"
          class="control px-2! max-md:hidden"
          aria-label="Help and keys"
          title="Help and keys (?)"
          @click="openHelp()"
        >
          <CircleHelp :size="15" aria-hidden="true" />
        </button>
        <AccountMenu />
      </div>
    </div>
    <div class="ways-line">
      <slot name="ways">
        <nav aria-label="In the studio" class="ways">
          <NuxtLink
            v-for="{ id, name, path } in WAYS"
            :key="id"
            :to="path"
            class="way"
            :class="WITHIN[id]"
            :aria-current="here === id ? 'page' : undefined"
          >
            {{ name }}
          </NuxtLink>
        </nav>
      </slot>
      <div class="ml-auto flex items-center gap-2">
        <p v-if="isUndone && changes.said" role="status" class="text-[12.5px] text-focus">
          {{ changes.said }}
        </p>
        <slot name="actions" />
      </div>
    </div>
  </header>
</template>

<style scoped>
.bar {
  background: var(--paper);
  border-bottom: 1.5px solid var(--ink);
}
.bar-line {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  padding: 0 20px;
  background: var(--ground);
}
.ways-line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 16px;
  min-height: 30px;
  padding: 1px 20px;
  border-top: 1px solid var(--hair);
}
@media (max-width: 767px) {
  .bar-line,
  .ways-line {
    gap: 8px;
    padding-inline: 12px;
  }
  .bar-line {
    min-height: 52px;
  }
}
</style>
