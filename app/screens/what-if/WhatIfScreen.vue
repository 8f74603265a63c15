<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { useActions } from '~/shell/useActions'
import { useWhatIf } from './useWhatIf'
import { WHAT_IF_ACTIONS } from './whatIfActions'

/** Something that happens to everybody: what it would do is seen before anything is written. */
const page = useWhatIf()
const { typed, seen, lines, count, taken, toSend, said, isBusy, look, toggle, take, send } = page
useActions(WHAT_IF_ACTIONS, {
  look: () => void look(),
  take: () => void take(),
  canTake: () => seen.value !== null,
  send: () => void send(),
  canSend: () => toSend.value.length > 0,
})
const isLive = useMounted()
useHead({ title: 'What if · Tholepin' })
</script>

<template>
  <div>
    <AppBar here="what-if" />
    <main class="px-5 pt-3 pb-10 max-md:px-3" :aria-busy="!isLive || isBusy">
      <h1 class="font-display text-[23px] leading-[27px]">What if, for everybody</h1>
      <p class="text-ink2">
        First what it would do, client by client; nothing is written before you say so.
      </p>
      <form class="mt-3" novalidate @submit.prevent="look()">
        <WhatIfFields v-model="typed" />
        <p class="mt-3">
          <button type="submit" class="control control-strong" :disabled="isBusy">
            Look <KeyCap label="L" />
          </button>
        </p>
      </form>
      <p role="status" class="mt-2 min-h-6 font-semibold">{{ said }}</p>
      <section v-if="seen" aria-labelledby="what-head" class="mt-2 max-w-[860px]">
        <h2 id="what-head" class="text-[16px] font-[650]">
          {{
            lines.length === 0
              ? 'Nobody is touched.'
              : `${lines.length} ${lines.length === 1 ? 'client' : 'clients'}`
          }}
        </h2>
        <p v-if="seen.view.studio" class="text-ink2">{{ seen.view.studio }}</p>
        <ul aria-label="What it would do" class="mt-2">
          <li v-for="line in lines" :key="line.client" class="border-b border-hair py-1.5">
            <label class="flex items-start gap-2">
              <input
                type="checkbox"
                class="mt-1"
                :checked="line.isIn"
                :disabled="!line.isWritten"
                @change="toggle(line.client)"
              />
              <span class="min-w-0">
                <bdi class="font-semibold">{{ line.name }}</bdi>{{ ' '
                }}<span>{{ line.words }}</span>
                <span
                  v-for="detail in line.details"
                  :key="detail"
                  class="block text-[12.5px] text-ink2"
                  >{{ detail }}</span
                >
              </span>
            </label>
          </li>
        </ul>
        <p class="mt-3">
          <button type="button" class="control control-strong" :disabled="isBusy" @click="take()">
            {{ count > 0 ? `Do it for ${count}` : 'Do it' }} <KeyCap label="A" />
          </button>
        </p>
      </section>
      <section v-if="taken" aria-label="Done" class="mt-2 max-w-[860px]">
        <ul v-if="taken.failed.length > 0" aria-label="Not changed">
          <li v-for="{ name, why } in taken.failed" :key="name" class="alert-chip mr-2">
            <bdi>{{ name }}</bdi>: {{ why }}
          </li>
        </ul>
        <button
          v-if="toSend.length > 0"
          type="button"
          class="control mt-2"
          :disabled="isBusy"
          @click="send()"
        >
          Send what changed to
          {{ new Set(toSend.map(({ name }) => name)).size }} <KeyCap label="S" />
        </button>
      </section>
    </main>
  </div>
</template>
