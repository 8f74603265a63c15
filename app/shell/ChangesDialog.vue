<script setup lang="ts">
import { capitalised } from '#core/words'
import type { ChangesView } from '#shared/contracts/changes'
import { instantWords } from './instantWords'

/** Everything done for a client lately: what, who, when, where it came from. */
const { name } = defineProps<{ name: string }>()
const emit = defineEmits<{ closed: [] }>()
const store = useChangesStore()
const changes = shallowRef<ChangesView['changes'] | null>(null)
const load = async () => (changes.value = await store.list())
onMounted(load)
async function undo(): Promise<void> {
  await store.turn('undo')
  await load()
}
const rows = computed(() =>
  (changes.value ?? []).map(change => ({
    ...change,
    did: capitalised(change.did),
    when: instantWords(change.at),
  })),
)
</script>

<template>
  <PanelDialog :title="`Done for ${name}`" :width="640" @closed="emit('closed')">
    <div class="mt-2 flex items-center gap-3">
      <button
        type="button"
        class="control"
        :disabled="!store.can('undo') || store.isBusy"
        @click="undo()"
      >
        Undo the last <KeyCap label="Z" />
      </button>
      <p role="status">{{ store.said }}</p>
    </div>
    <ol class="mt-2 max-h-[60vh] overflow-y-auto" tabindex="0" aria-label="What was done">
      <li
        v-for="row in rows"
        :key="row.id"
        class="grid grid-cols-[1fr_auto] gap-x-4 border-b border-hair py-1.5"
        :class="row.isUndone ? 'text-ink2' : ''"
      >
        <span>
          <b class="font-semibold" :class="row.isUndone ? 'line-through' : ''">{{ row.did }}</b>
          <template v-if="row.isUndone">, undone</template>
          <template v-if="row.isForSeveral"
            >, for several clients; undo it on {{ row.place }}</template
          >
          <span v-if="row.detail" class="block text-[12px] text-ink2">{{ row.detail }}</span>
        </span>
        <span class="text-end text-[12px] text-ink2"
          >{{ row.when
          }}<span class="block"
            ><bdi>{{ row.by }}</bdi
            >, {{ row.place }}</span
          ></span
        >
      </li>
    </ol>
    <p v-if="changes && rows.length === 0" class="mt-3 text-ink2">
      Nothing yet. Whatever you change for this client stands here, and can be undone.
    </p>
  </PanelDialog>
</template>
