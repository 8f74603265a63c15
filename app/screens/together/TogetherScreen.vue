<script setup lang="ts">
import { useTogether } from './useTogether'

/** Two to six clients of one hour side by side; works without reception once it was opened. */
const { on, people, chosen, isFull, failed, isLive, toggle, arranged, said, arrange } =
  useTogether()
/** Open where the group is still to be chosen; it does not close under the finger that ticks the second. */
const isChoosing = chosen.value.length < 2
useHead({ title: 'Together · Tholepin' })
</script>

<template>
  <div>
    <header class="flex flex-wrap items-center gap-4 border-b border-ink px-4 py-2">
      <a href="/floor" class="quiet-link">← Floor</a>
      <h1 class="font-display text-[20px]">Together</h1>
      <details :open="isChoosing" class="min-w-0 flex-1">
        <summary class="font-semibold">
          {{ chosen.length }} in the group{{ isFull ? ', that is the most' : '' }}
        </summary>
        <ul aria-label="Who trains today" class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
          <li v-for="one in people" :key="one.client">
            <label class="flex items-center gap-1"
              ><input
                type="checkbox"
                :checked="chosen.some(({ client }) => client === one.client)"
                :disabled="isFull && !chosen.some(({ client }) => client === one.client)"
                @change="toggle(one.client)"
              /><span
                >{{ one.start }} <bdi>{{ one.name }}</bdi>, {{ one.what }}</span
              ></label
            >
          </li>
        </ul>
        <p v-if="people.length === 0 && !failed" class="text-ink2">Nobody trains today.</p>
        <p v-if="chosen.length >= 2" class="mt-2">
          <button type="button" class="control" @click="arrange(false)">Lay side by side</button>
        </p>
        <div v-if="arranged" class="mt-1">
          <p>{{ arranged.summary }}</p>
          <template v-if="arranged.lines.length > 0">
            <ul aria-label="What would change">
              <li v-for="line in arranged.lines" :key="line">{{ line }}</li>
            </ul>
            <button type="button" class="control control-strong" @click="arrange(true)">
              Do it
            </button>
          </template>
        </div>
      </details>
      <p role="status" class="font-semibold">{{ said }}</p>
    </header>
    <main
      :aria-busy="!isLive"
      class="grid gap-3 p-3"
      :style="{
        gridTemplateColumns: `repeat(auto-fit, minmax(min(100%, ${chosen.length > 3 ? 240 : 280}px), 1fr))`,
      }"
    >
      <TogetherClient
        v-for="(one, at) in chosen"
        :key="one.client"
        :client="one.client"
        :name="one.name"
        :on="on"
        :number="at + 1"
      />
      <p v-if="chosen.length === 0" class="text-ink2">
        Choose two to six clients above. A tap on the lit set logs it as planned; hold it, or
        “otherwise”, to change the figures first.
      </p>
    </main>
  </div>
</template>
