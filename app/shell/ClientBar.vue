<script setup lang="ts">
import { ChevronRight } from 'lucide-vue-next'

/** The bar of every screen about one client. */
const { id, name, here } = defineProps<{
  id: string
  name: string
  here:
    | 'profile'
    | 'targets'
    | 'split'
    | 'session'
    | 'block'
    | 'proposals'
    | 'log'
    | 'review'
    | 'history'
}>()
defineSlots<{ actions?: () => unknown }>()
const { exercise, close } = useStoryDesk()
const SCREENS = [
  ['split', 'Split', '/split'],
  ['session', 'Session', '/session/1'],
  ['block', 'Block', '/block'],
  ['proposals', 'Proposals', '/proposals'],
  ['log', 'Log', '/log'],
  ['review', 'Review', '/review'],
  ['targets', 'Targets', '/targets'],
  ['history', 'History', '/history'],
  ['profile', 'Profile', ''],
] as const
</script>

<template>
  <AppBar here="roster">
    <template #trail>
      <NuxtLink to="/roster" class="quiet-link"> Roster </NuxtLink>
      <ChevronRight :size="13" class="text-ink2" aria-hidden="true" />
      <NuxtLink
        :to="`/clients/${id}`"
        class="truncate rounded font-semibold hover:underline"
        :aria-label="`${name}, profile`"
      >
        {{ name }}
      </NuxtLink>
      <span class="w-2" aria-hidden="true" />
      <NuxtLink
        v-for="[screen, word, path] in SCREENS"
        :key="screen"
        :to="`/clients/${id}${path}`"
        class="nav-link"
        :aria-current="here === screen ? 'page' : undefined"
      >
        {{ word }}
      </NuxtLink>
    </template>
    <template #actions>
      <slot name="actions" />
    </template>
  </AppBar>
  <LazyStoryDialog v-if="exercise" :client-id="id" :first="exercise" @closed="close()" />
</template>
