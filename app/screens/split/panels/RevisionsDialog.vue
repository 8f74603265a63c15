<script setup lang="ts">
import { instantWords } from '~/shell/instantWords'
import { useBoard } from '../boardContext'

/** Every save of the plan, with what it changed; any of them can be brought back as one step. */
const board = useBoard()
const store = usePlanStore()
const { revisions, complaint, restore, rename } = useRevisions()
const MOST_CHANGES = 4
const nameOf = (id: string) => store.context?.catalogue.get(id)?.name ?? id
const textOf = (event: Event) => (event.target as HTMLInputElement).value

async function bringBack(version: number): Promise<void> {
  if (!(await restore(version))) return
  board.close()
  board.say(`Version ${version} brought back. Z undoes it.`)
}
</script>

<template>
  <PanelDialog title="History of this plan" :width="820" @closed="board.close()">
    <template #actions>
      <NuxtLink class="control" :to="`/compare?left=${store.client?.id}`"> Compare… </NuxtLink>
    </template>
    <p v-if="complaint" role="alert" class="alert-chip mt-2">
      {{ complaint }}
    </p>
    <ol class="mt-3 max-h-[60vh] overflow-y-auto">
      <li
        v-for="(revision, at) in revisions ?? []"
        :key="revision.version"
        class="flex items-baseline gap-3 border-t border-hair py-1.5"
      >
        <b class="w-9 font-display text-[15px]">{{ revision.version }}</b>
        <span class="w-[130px] shrink-0 text-[12px] text-ink2">{{
          instantWords(revision.savedAt)
        }}</span>
        <input
          class="small-field w-[150px] shrink-0"
          :value="revision.name ?? ''"
          placeholder="no name"
          :maxlength="LIMITS.name"
          :aria-label="`Name of version ${revision.version}`"
          @change="rename(revision.version, textOf($event))"
        />
        <span class="min-w-0 flex-1">
          <span
            v-for="decision in revision.decided"
            :key="decision.words"
            class="block font-semibold"
            >{{ decision.words }}
            <span class="font-normal text-ink2"
              >decided by {{ decision.by }} in the review</span
            ></span
          >
          <span v-for="(change, index) in revision.changes.slice(0, MOST_CHANGES)" :key="index"
            >{{ index > 0 ? '; ' : '' }}day {{ change.day + 1 }} {{ nameOf(change.exercise) }}
            {{ change.before }} → {{ change.after }}</span
          >
          <span v-if="revision.changes.length > MOST_CHANGES" class="text-ink2">
            and {{ revision.changes.length - MOST_CHANGES }} more</span
          >
          <span v-if="revision.isOther" class="text-ink2">days, order or details</span>
          <span v-if="revision.changes.length === 0 && !revision.isOther" class="text-ink2">{{
            revision.version === 1 ? 'the beginning' : 'the same sets'
          }}</span>
        </span>
        <span v-if="at === 0" class="text-[12px] text-ink2">as it stands</span>
        <button
          v-else
          type="button"
          class="control"
          :aria-label="`Bring version ${revision.version} back`"
          @click="bringBack(revision.version)"
        >
          Bring back
        </button>
      </li>
    </ol>
  </PanelDialog>
</template>
