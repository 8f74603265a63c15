<script setup lang="ts">
import { attentionWords } from '#core/format'
import { ArrowDown, ArrowUp } from 'lucide-vue-next'
import { useBoard } from './boardContext'

const { pass } = defineProps<{
  /** Number of the rotation that today falls in, from 1; null before the block starts. */
  pass: number | null
}>()
const store = usePlanStore()
const board = useBoard()
const MOST_SHOWN = 4
const notices = computed(() => store.attention.slice(0, MOST_SHOWN).map(notice => ({ notice, ...attentionWords(notice) })))
const summary = computed(() => {
  if (store.isEmpty) return 'Nothing allocated yet. + adds a set here.'
  return store.attention.length === 0 ? 'Every group in its band' : `${store.attention.length} to look at`
})
const more = computed(() => store.attention.length - notices.value.length)
const days = computed(() => board.days.value.length)
const passWord = computed(() => (days.value === 7 ? 'week' : 'rotation'))
</script>

<template>
  <div class="grid min-h-[98px] grid-cols-[minmax(240px,1fr)_auto_minmax(280px,1fr)] items-start gap-6 pt-3">
    <div>
      <h1 class="font-display text-[23px] leading-[27px]">
        {{ store.client?.name }}
      </h1>
      <p class="text-ink2">
        {{ store.client?.about }}
      </p>
      <p class="text-ink2">
        {{ store.plan?.title }} · <template v-if="pass">{{ passWord }} {{ pass }} of {{ store.plan?.passes }} · </template>{{ days }} days
      </p>
      <SaveStatus class="mt-0.5" />
    </div>
    <ArmBeam v-if="store.balance" :balance="store.balance" />
    <section aria-label="To look at" class="justify-self-end">
      <div class="flex items-center justify-between gap-8 text-[12px] text-ink2">
        <h2 class="font-normal">
          {{ summary }}
        </h2>
        <button v-if="notices.length > 0" type="button" class="quiet-link flex items-center gap-1.5" @click="board.nextNotice()">
          <KeyCap label="N" /> next
        </button>
      </div>
      <ul>
        <li v-for="{ notice, subject, matter } in notices" :key="notice.group">
          <button type="button" class="quiet-link flex items-center gap-2 leading-[18px]" @click="board.showGroup(notice.group)">
            <component :is="notice.kind === 'under_floor' ? ArrowDown : ArrowUp" :size="14" class="text-alert" aria-hidden="true" />
            <span><b class="font-semibold text-ink">{{ subject }}</b> {{ matter }}</span>
          </button>
        </li>
        <li v-if="more > 0" class="pl-[22px] text-[12px] text-ink2">
          and {{ more }} more
        </li>
      </ul>
    </section>
  </div>
</template>
