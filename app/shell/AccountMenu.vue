<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown, CircleUser } from 'lucide-vue-next'
import { STUDIO_WAYS } from './places'

/** What belongs to the coach herself, and on a narrow screen the places of the studio. */
const { user } = useUserSession()
const { signOut } = useSignIn()
const { choice, next } = useTheme()
const { openHelp } = useShownActions()
const ACCOUNT = [
  { name: 'Account', to: '/account' },
  { name: 'Dates and units', to: '/account#dates' },
  { name: 'Password and sign-ins', to: '/account#password' },
  { name: 'What the studio can load', to: '/account#gear' },
] as const
const STUDIO = STUDIO_WAYS.filter(({ id }) => id !== 'account')
const THEME_WORDS = { system: 'as the system', light: 'light', dark: 'dark' } as const
</script>

<template>
  <Menu v-if="user" as="div" class="relative">
    <MenuButton class="control px-2!" :aria-label="`${user.name}, account menu`" :title="user.name">
      <CircleUser :size="15" aria-hidden="true" />
      <bdi class="max-w-[18ch] truncate max-xl:hidden">{{ user.name }}</bdi>
      <ChevronDown :size="13" class="max-xl:hidden" aria-hidden="true" />
    </MenuButton>
    <MenuItems class="menu right-0 w-[250px]">
      <p class="border-b border-hair px-3 pt-1 pb-2">
        <bdi class="block font-semibold">{{ user.name }}</bdi>
        <bdi class="text-[12px] text-ink2">{{ user.studio }}</bdi>
      </p>
      <div class="border-b border-hair py-1">
        <MenuItem
          v-for="{ name, to } in ACCOUNT"
          :key="to"
          v-slot="{ active, close }"
          as="template"
        >
          <NuxtLink :to="to" class="menu-item" :data-active="active || undefined" @click="close">{{
            name
          }}</NuxtLink>
        </MenuItem>
      </div>
      <div class="border-b border-hair py-1">
        <MenuItem
          v-for="{ id, name, path } in STUDIO"
          :key="id"
          v-slot="{ active, close }"
          as="template"
        >
          <NuxtLink
            :to="path"
            class="menu-item"
            :data-active="active || undefined"
            @click="close"
            >{{ name }}</NuxtLink
          >
        </MenuItem>
      </div>
      <div class="py-1">
        <MenuItem v-slot="{ active }">
          <button
            type="button"
            class="menu-item"
            :data-active="active || undefined"
            @click="openHelp()"
          >
            Help and keys <KeyCap class="ml-auto" label="?" />
          </button>
        </MenuItem>
        <MenuItem v-slot="{ active, close }" as="template">
          <NuxtLink to="/guide" class="menu-item" :data-active="active || undefined" @click="close"
            >Guide</NuxtLink
          >
        </MenuItem>
        <MenuItem v-slot="{ active }">
          <button type="button" class="menu-item" :data-active="active || undefined" @click="next">
            Theme: {{ THEME_WORDS[choice] }}
          </button>
        </MenuItem>
        <MenuItem v-slot="{ active }">
          <button
            type="button"
            class="menu-item"
            :data-active="active || undefined"
            @click="signOut"
          >
            Sign out
          </button>
        </MenuItem>
      </div>
    </MenuItems>
  </Menu>
</template>
