<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown } from 'lucide-vue-next'
import { PLACES, placeOf, rotationTail, type WayId, WAYS } from './places'

/** On a narrow screen: where one is, and every other screen about the client. */
const { clientId, here } = defineProps<{ clientId: string; here: WayId }>()
const route = useRoute()
const words = computed(
  () => `${placeOf(here).name}: ${WAYS.find(({ id }) => id === here)?.name ?? ''}`,
)
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="control min-h-[44px] px-3">
      {{ words }} <ChevronDown :size="14" aria-hidden="true" />
    </MenuButton>
    <MenuItems class="menu left-0 w-[230px]">
      <div v-for="place in PLACES" :key="place.id" class="border-b border-hair py-1 last:border-0">
        <p class="px-3 text-[12px] text-ink2">{{ place.name }}</p>
        <MenuItem v-for="way in place.ways" :key="way.id" v-slot="{ active, close }" as="template">
          <NuxtLink
            :to="`/clients/${clientId}${way.path}${rotationTail(here, way.id, route.query.rotation)}`"
            class="menu-item"
            :data-active="active || undefined"
            :aria-current="here === way.id ? 'page' : undefined"
            @click="close"
            >{{ way.name }}</NuxtLink
          >
        </MenuItem>
      </div>
    </MenuItems>
  </Menu>
</template>
