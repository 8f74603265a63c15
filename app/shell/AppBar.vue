<script setup lang="ts">
import { CircleUser, LogOut, SunMoon } from 'lucide-vue-next'

const { here = 'roster' } = defineProps<{
  /** The main screen this one is, or belongs to. */
  here?: 'roster' | 'exercises' | 'methods'
}>()
defineSlots<{ trail?: () => unknown; actions?: () => unknown }>()
const SCREENS = [
  ['roster', 'Roster'],
  ['exercises', 'Exercises'],
  ['methods', 'Methods'],
] as const
const { user } = useUserSession()
const { signOut } = useSignIn()
const { choice, next } = useTheme()
</script>

<template>
  <header class="flex h-11 items-center gap-3 border-b-[1.5px] border-ink px-5">
    <NuxtLink
      to="/roster"
      class="flex items-center gap-2 rounded font-display text-[17px] font-semibold"
      aria-label="Tholepin, to the roster"
    >
      <TholepinMark />
      <span>Tholepin</span>
    </NuxtLink>
    <span class="h-5 w-px bg-line" aria-hidden="true" />
    <nav aria-label="Where you are" class="flex min-w-0 items-center gap-3">
      <slot name="trail">
        <NuxtLink
          v-for="[id, name] in SCREENS"
          :key="id"
          :to="`/${id}`"
          class="nav-link"
          :aria-current="here === id ? 'page' : undefined"
        >
          {{ name }}
        </NuxtLink>
      </slot>
    </nav>
    <div class="ml-auto flex items-center gap-2">
      <slot name="actions" />
      <CommandBox />
      <button
        type="button"
        class="control px-2!"
        :aria-label="`Theme: ${choice}. Change it`"
        :title="`Theme: ${choice}`"
        @click="next"
      >
        <SunMoon :size="15" aria-hidden="true" />
      </button>
      <NuxtLink
        v-if="user"
        to="/account"
        class="quiet-link px-1 whitespace-nowrap"
        :aria-label="`${user.name}, account`"
        :title="user.name"
      >
        <span class="max-xl:hidden">{{ user.name }}</span><CircleUser
          :size="16"
          class="xl:hidden"
          aria-hidden="true"
        />
      </NuxtLink>
      <button
        type="button"
        class="control px-2!"
        aria-label="Sign out"
        :title="user ? `Sign out ${user.name}` : 'Sign out'"
        @click="signOut"
      >
        <LogOut :size="15" aria-hidden="true" />
      </button>
    </div>
  </header>
</template>
