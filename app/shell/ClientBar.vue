<script setup lang="ts">
import type { OwnSteps } from '~/stores/changes'
import { CLIENT_ACTIONS } from './clientActions'
import { PLACES, placeOf, rotationTail, type WayId } from './places'

/** The bar of every screen about one client. */
const {
  id,
  name,
  here,
  steps = null,
} = defineProps<{
  id: string
  name: string
  here: WayId
  /** The screen's own finer steps of undo, where it has any. */
  steps?: OwnSteps | null
}>()
defineSlots<{ actions?: () => unknown }>()
const { exercise, close } = useStoryDesk()
const route = useRoute()
const changes = useChangesStore()
const { isChoosing, isListing } = useClientDesk()
const place = computed(() => placeOf(here))
watch(
  () => id,
  of => changes.open(of, steps),
  { immediate: true },
)
onMounted(() => changes.load())
watch(useWritten(), () => changes.load())
useActions(
  CLIENT_ACTIONS,
  {
    choose: () => (isChoosing.value = true),
    turn: which => changes.turn(which),
    list: () => (isListing.value = true),
  },
  { isAlwaysHeard: true },
)
preloadedLater(['ChangesDialog'])
</script>

<template>
  <AppBar>
    <template #subject>
      <ClientChooser :name="name" />
      <nav aria-label="Places" class="flex items-center gap-3 self-stretch pl-1 max-md:hidden">
        <NuxtLink
          v-for="{ id: placeId, name: word, ways } in PLACES"
          :key="placeId"
          :to="`/clients/${id}${ways[0].path}`"
          class="nav-link"
          :aria-current="place.id === placeId ? 'true' : undefined"
        >
          {{ word }}
        </NuxtLink>
      </nav>
    </template>
    <template #undo>
      <UndoButtons />
    </template>
    <template #ways>
      <nav :aria-label="`In ${place.name}`" class="ways max-md:hidden">
        <NuxtLink
          v-for="way in place.ways"
          :key="way.id"
          :to="`/clients/${id}${way.path}${rotationTail(here, way.id, route.query.rotation)}`"
          class="way"
          :aria-current="here === way.id ? 'page' : undefined"
        >
          {{ way.name }}
        </NuxtLink>
      </nav>
      <WaysMenu class="md:hidden" :client-id="id" :here="here" />
    </template>
    <template #actions>
      <BlockChip v-if="place.id !== 'client'" :client-id="id" />
      <p v-if="changes.said" role="status" class="text-[12.5px] text-focus">{{ changes.said }}</p>
      <slot name="actions" />
    </template>
  </AppBar>
  <LazyChangesDialog v-if="isListing" :name="name" @closed="isListing = false" />
  <LazyStoryDialog v-if="exercise" :client-id="id" :first="exercise" @closed="close()" />
</template>
