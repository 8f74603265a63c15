<script setup lang="ts">
import type { PlainDate } from '#core/base'
import { refusedWords } from '../phone/phoneWords'
import { sessionFor, useTogetherSync } from './useColumn'

/** One column: whose it is, and her session of the day. */
const { client, name, on, number } = defineProps<{
  client: string
  name: string
  on: PlainDate
  number: number
}>()
const store = useTogetherSync(client)
const session = computed(() => sessionFor(store, on))
</script>

<template>
  <section
    class="flex min-w-0 flex-col rounded border border-line p-3"
    :aria-label="name"
    :aria-busy="store.state.kind === 'opening'"
  >
    <h2 class="font-display text-[18px] leading-6">
      <bdi>{{ name }}</bdi>
    </h2>
    <p
      v-if="store.reception === 'none'"
      role="status"
      class="text-[12.5px] font-semibold text-alert"
    >
      No reception: kept here, sent later.
    </p>
    <p v-if="store.state.kind === 'over'" role="alert" class="alert-chip">
      {{ store.state.words }}
      <a href="/sign-in?next=/together" class="underline">Sign in</a>
    </p>
    <p v-else-if="store.state.kind === 'unknown'" role="alert" class="alert-chip">
      {{ store.state.words }}
    </p>
    <p v-for="notice in store.notices" :key="notice" class="alert-chip mt-1">{{ notice }}</p>
    <p v-for="clash in store.clashes" :key="clash.mine.id" role="alert" class="alert-chip mt-1">
      Somebody else logged this set otherwise meanwhile. Theirs stands.
      <button type="button" class="underline" @click="store.settleClash(clash, 'mine')">
        Put mine in its place
      </button>
      <button type="button" class="underline" @click="store.settleClash(clash, 'theirs')">
        Leave theirs
      </button>
    </p>
    <p v-for="one in store.aside" :key="one.entry.id" role="alert" class="alert-chip mt-1">
      Not taken: {{ refusedWords(one.entry, store.view) }}. {{ one.why }}
      <button type="button" class="underline" @click="store.forgetAside(one.entry.id)">Seen</button>
    </p>
    <TogetherColumn
      v-if="session"
      :key="session.id"
      :store="store"
      :session="session"
      :number="number"
    />
    <p v-else-if="store.state.kind === 'ready'" class="text-ink2">
      Nothing of today is sent to <bdi>{{ name }}</bdi>.
      <a class="underline" :href="`/clients/${client}/block`">Send it on Block</a>
    </p>
  </section>
</template>
