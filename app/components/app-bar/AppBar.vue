<script setup lang="ts">
import { LogOut, SunMoon } from 'lucide-vue-next'

defineSlots<{ trail?: () => unknown, actions?: () => unknown }>()
const { user } = useUserSession()
const { signOut } = useSignIn()
const { choice, next } = useTheme()
</script>

<template>
  <header class="flex h-11 items-center gap-3 border-b-[1.5px] border-ink px-5">
    <NuxtLink to="/roster" class="flex items-center gap-2 rounded font-display text-[17px] font-semibold" aria-label="Tholepin, to the roster">
      <TholepinMark />
      <span>Tholepin</span>
    </NuxtLink>
    <span class="h-5 w-px bg-line" aria-hidden="true" />
    <nav aria-label="Where you are" class="flex min-w-0 items-center gap-3">
      <slot name="trail" />
    </nav>
    <div class="ml-auto flex items-center gap-2">
      <slot name="actions" />
      <CommandBox />
      <button type="button" class="control" :aria-label="`Theme: ${choice}. Change it`" :title="`Theme: ${choice}`" @click="next">
        <SunMoon :size="15" aria-hidden="true" />
        <span class="w-[46px] text-left font-normal">{{ choice }}</span>
      </button>
      <NuxtLink v-if="user" to="/account" class="quiet-link px-1" :aria-label="`${user.name}, account`">
        {{ user.name }}
      </NuxtLink>
      <button type="button" class="control" :title="user ? `Signed in as ${user.name}` : undefined" @click="signOut">
        <LogOut :size="15" aria-hidden="true" />
        Sign out
      </button>
    </div>
  </header>
</template>
