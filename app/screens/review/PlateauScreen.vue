<script setup lang="ts">
import { useMounted } from '@vueuse/core'
import { ArrowRight, Check, CircleAlert } from 'lucide-vue-next'

/** A plateau: everything that may hold a muscle back, and one thing to move next. */
const route = useRoute()
const id = String(route.params.clientId)
const { name, muscle, trend, isFlat, step, rows } = await usePlateau(id, String(route.params.group))
useHead({ title: () => `${muscle.value} of ${name.value} · Tholepin` })
const isLive = useMounted()
</script>

<template>
  <div class="min-h-dvh" :aria-busy="!isLive">
    <ClientBar :id="id" :name="name" here="review" />
    <main class="max-w-[860px] px-5 pt-4 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">{{ muscle }}: what could move it</h1>
      <p class="mt-1 text-[15px]">{{ trend }}</p>
      <p v-if="!isFlat" class="mt-1 text-ink2">
        The log does not say that it is flat. Here is what a look at it shows.
      </p>
      <section aria-labelledby="next-head" class="mt-3 rounded border border-focus px-3 py-2">
        <h2 id="next-head" class="text-[12.5px] text-ink2">
          Next, and nothing else until it shows
        </h2>
        <p class="font-semibold">{{ step }}</p>
      </section>
      <table class="mt-4 w-full text-left">
        <caption class="section-head text-left">
          What was looked at, in this order
        </caption>
        <tbody>
          <tr v-for="row in rows" :key="row.lever" class="border-b border-hair">
            <th scope="row" class="py-1 pr-4 font-semibold whitespace-nowrap">{{ row.name }}</th>
            <td class="py-1 pr-4">{{ row.words }}</td>
            <td class="py-1 whitespace-nowrap">
              <span v-if="row.isNext" class="flex items-center gap-1 font-semibold text-focus"
                ><ArrowRight :size="14" aria-hidden="true" /> next</span
              >
              <span v-else-if="row.isOff" class="flex items-center gap-1 text-alert"
                ><CircleAlert :size="14" aria-hidden="true" /> after that</span
              >
              <span v-else class="flex items-center gap-1 text-ink2"
                ><Check :size="14" aria-hidden="true" /> fine</span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p class="mt-4">
        <NuxtLink :to="`/clients/${id}/review`" class="quiet-link">Back to the rotation</NuxtLink>
      </p>
    </main>
  </div>
</template>
