<script setup lang="ts">
import { useSession } from './sessionContext'

/** Heads, lengths and grips: this session, the rotation, the wish; a gap can be filled at once. */
const builder = useSession()
const groups = useSessionCoverage(builder)
const percent = (share: number | null) => (share === null ? '' : `${Math.round(share * 100)}`)
</script>

<template>
  <section aria-label="Coverage" class="mt-4">
    <h2 class="text-[14px] font-[650]">
      Coverage <span class="font-normal text-ink2">% of direct sets</span>
    </h2>
    <p v-if="groups.length === 0" class="text-ink2">No direct arm sets yet.</p>
    <details
      v-for="held in groups"
      :key="held.group"
      class="border-b border-hair py-1"
      :open="held.gaps.length > 0"
    >
      <summary class="cursor-pointer font-semibold">
        {{ held.name }}
        <span class="font-normal" :class="held.gaps.length > 0 ? 'text-alert' : 'text-ink2'">{{
          held.gaps.length === 0
            ? 'wishes met'
            : `${held.gaps.length} ${held.gaps.length === 1 ? 'gap' : 'gaps'}`
        }}</span>
      </summary>
      <ul v-if="held.gaps.length > 0">
        <li
          v-for="gap in held.gaps"
          :key="gap.words"
          class="flex flex-wrap items-center gap-x-2 gap-y-1 py-0.5 text-[12.5px]"
        >
          <span class="min-w-[220px] flex-1">{{ gap.words }}</span>
          <button v-if="gap.fill" type="button" class="control" @click="gap.fill.apply()">
            + {{ gap.fill.name }}
          </button>
        </li>
      </ul>
      <table class="w-full text-[12px]">
        <thead class="text-ink2">
          <tr>
            <th class="text-left font-normal"><span class="sr-only">What</span></th>
            <th class="font-normal">here</th>
            <th class="font-normal">rotation</th>
            <th class="text-right font-normal">wish</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in held.lines" :key="line.name" :class="line.isShort ? 'text-alert' : ''">
            <th class="text-left font-normal" scope="row">{{ line.name }}</th>
            <td class="text-center">{{ percent(line.here) }}</td>
            <td class="text-center font-semibold">{{ percent(line.rotation) }}</td>
            <td class="text-right text-ink2">{{ line.wish }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>
