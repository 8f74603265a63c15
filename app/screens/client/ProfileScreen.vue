<script setup lang="ts">
import { Done } from '#shared/contracts/history'
import { ProfileContract } from '#shared/contracts/profile'

const route = useRoute()
const id = String(route.params.clientId)
const { ask } = useApi()
const { data: profile, error } = await useAsyncData(`profile-${id}`, async () => {
  const result = await ask(`/api/clients/${id}/profile`, { answer: ProfileContract })
  if (result.ok) return result.value
  throw createError({
    statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
  })
})
if (error.value) throw createError({ statusCode: error.value.statusCode ?? 503, fatal: true })
useHead({ title: () => `${profile.value?.name ?? 'Client'} · Profile · Tholepin` })
const isSaved = ref(false)

/** Putting a client away takes a second click, and nothing is lost by it. */
const isAsking = ref(false)
const complaint = ref('')
async function archive(): Promise<void> {
  const result = await ask(`/api/clients/${id}/archive`, { method: 'POST', answer: Done })
  if (result.ok) await navigateTo('/archive')
  else complaint.value = 'The server did not take that. Nothing was changed; try again.'
}
</script>

<template>
  <div>
    <ClientBar :id="id" :name="profile?.name ?? ''" here="profile" />
    <main v-if="profile" class="mx-auto max-w-[1180px] px-5 pt-5 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">
        {{ profile.name }}
      </h1>
      <p role="status" class="text-ink2">
        {{ isSaved ? 'Saved. The board uses it from now on.' : profile.about }}
      </p>
      <ProfileForm
        class="mt-4"
        :before="profile"
        :path="`/api/clients/${id}/profile`"
        action="Save the profile"
        @saved="isSaved = true"
      />
      <section class="mt-8" aria-labelledby="away">
        <h2 id="away" class="section-head">Put away</h2>
        <p class="flex items-center gap-3">
          <a class="control" :href="`/api/clients/${id}/export`" download
            >Export everything as JSON</a
          >
          <a class="quiet-link" :href="`/api/clients/${id}/export?screening=with`" download
            >with the screening answers, which are health data</a
          >
          <button v-if="!isAsking" type="button" class="control" @click="isAsking = true">
            Archive…
          </button>
          <template v-else>
            <span>{{ profile.name }} leaves the roster; everything stays and can be restored.</span>
            <button type="button" class="control" @click="archive">Archive</button>
            <button type="button" class="control" @click="isAsking = false">
              Keep on the roster
            </button>
          </template>
          <span v-if="complaint" role="alert" class="alert-chip">{{ complaint }}</span>
        </p>
      </section>
    </main>
  </div>
</template>
