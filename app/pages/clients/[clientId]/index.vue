<script setup lang="ts">
import { ProfileContract } from '#shared/contracts/profile'
import { ChevronRight } from 'lucide-vue-next'

const route = useRoute()
const id = String(route.params.clientId)
const { ask } = useApi()
const { data: profile, error } = await useAsyncData(`profile-${id}`, async () => {
  const result = await ask(`/api/clients/${id}/profile`, { answer: ProfileContract })
  if (result.ok) return result.value
  throw createError({ statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503 })
})
if (error.value) throw createError({ statusCode: error.value.statusCode ?? 503, fatal: true })
useHead({ title: () => `${profile.value?.name ?? 'Client'} · Profile · Tholepin` })
const isSaved = ref(false)
</script>

<template>
  <div class="min-w-[1080px]">
    <AppBar>
      <template #trail>
        <NuxtLink to="/roster" class="quiet-link">
          Roster
        </NuxtLink>
        <ChevronRight :size="13" class="text-ink2" aria-hidden="true" />
        <span class="truncate font-semibold">{{ profile?.name }}</span>
        <NuxtLink :to="`/clients/${id}/split`" class="quiet-link ml-6">
          Split
        </NuxtLink>
        <span class="font-semibold" aria-current="page">Profile</span>
      </template>
    </AppBar>
    <main v-if="profile" class="mx-auto max-w-[1180px] px-5 pt-5 pb-12">
      <h1 class="font-display text-[23px] leading-[27px]">
        {{ profile.name }}
      </h1>
      <p role="status" class="text-ink2">
        {{ isSaved ? 'Saved. The board reckons with it from now on.' : profile.about }}
      </p>
      <ProfileForm class="mt-4" :before="profile" :path="`/api/clients/${id}/profile`" action="Save the profile" @saved="isSaved = true" />
    </main>
  </div>
</template>
