<script setup lang="ts">
import { formatSets, methodDifferences } from '#core/words'
import { CircleAlert, Info, OctagonAlert } from 'lucide-vue-next'
import { useBoard } from './boardContext'
import { fittingAround } from './fittingAround'

const { pass } = defineProps<{
  /** Number of the rotation that today falls in, from 1; null before the block starts. */
  pass: number | null
}>()
const store = usePlanStore()
const board = useBoard()
const changes = computed(() =>
  store.client && store.methodBase ? methodDifferences(store.client.method, store.methodBase) : [],
)
const differences = computed(() => changes.value.length)
const methodWords = computed(
  () =>
    changes.value.map(({ choice, was, is }) => `${choice}: ${is} instead of ${was}`).join('; ') ||
    'The method this plan follows',
)
const { findings } = useFindings()
/** The few lines that are shown move along with the finding that is being looked at, which is told by itself. */
const shown = computed(() => {
  const key = board.noticeKey.value
  const lines = findings.value.map(line => line.parts.find(part => part.key === key) ?? line)
  return fittingAround(
    lines,
    lines.findIndex(line => line.key === key),
    line => line.sentence.length + line.place.length,
  )
})
const summary = computed(() => {
  if (store.isEmpty) return 'Nothing planned yet'
  return findings.value.length === 0 ? 'Nothing to look at' : `${findings.value.length} to look at`
})
const ICONS = { stop: OctagonAlert, caution: CircleAlert, info: Info } as const
const days = computed(() => board.days.value.length)
const passWord = computed(() => (days.value === 7 ? 'week' : 'rotation'))
</script>

<template>
  <div
    class="grid min-h-[98px] grid-cols-[minmax(210px,0.8fr)_auto_minmax(280px,1fr)] items-start gap-6 pt-3 max-xl:grid-cols-[minmax(170px,0.8fr)_auto_minmax(220px,1fr)] max-xl:gap-3 max-md:grid-cols-1 max-md:gap-2"
  >
    <div>
      <h1 class="font-display text-[23px] leading-[27px]">
        {{ store.client?.name }}
      </h1>
      <p class="text-ink2">
        {{ store.client?.about }}
      </p>
      <p class="text-ink2">
        {{ store.plan?.title }} ·
        <template v-if="pass">{{ passWord }} {{ pass }} of {{ store.plan?.passes }} · </template
        >{{ days }} days
      </p>
      <div class="mt-0.5 flex items-baseline gap-2">
        <SaveStatus />
        <span aria-hidden="true" class="text-ink3">·</span>
        <NuxtLink
          v-if="store.client"
          :to="store.client.basedOn ? `/methods/${store.client.method.id}` : '/methods'"
          class="truncate rounded text-[12.5px] text-ink2 hover:underline"
          :title="methodWords"
          >{{ store.client.method.name
          }}<span v-if="differences > 0" class="text-focus"
            >, {{ differences }} {{ differences === 1 ? 'setting' : 'settings' }} changed</span
          ></NuxtLink
        >
      </div>
    </div>
    <div class="flex items-start gap-5 max-md:hidden">
      <ArmBeam v-if="store.balance" :balance="store.balance" />
      <dl
        v-if="store.compounds"
        class="pt-0.5 text-[12px] leading-[16px] whitespace-nowrap max-xl:hidden"
      >
        <dt class="text-ink2">Push to pull</dt>
        <dd class="font-display text-[16px] leading-6 font-semibold">
          {{ formatSets(store.compounds.push) }} : {{ formatSets(store.compounds.pull) }}
        </dd>
        <dd class="text-ink2">compound sets</dd>
      </dl>
    </div>
    <section
      aria-label="To look at"
      class="w-full max-w-[440px] min-w-0 justify-self-end max-md:max-w-none"
    >
      <div class="flex items-center justify-between gap-8 text-[12px] text-ink2">
        <h2 class="font-normal">
          {{ summary }}
        </h2>
        <span v-if="findings.length > 0" class="flex shrink-0 gap-3">
          <button type="button" class="quiet-link" @click="board.open('checks')">
            <KeyCap label="X" /> all
          </button>
          <button
            type="button"
            class="quiet-link flex items-center gap-1.5"
            @click="board.nextNotice()"
          >
            <KeyCap label="N" /> next
          </button>
        </span>
      </div>
      <ul>
        <li v-for="worded in shown" :key="worded.key">
          <button
            type="button"
            class="notice"
            :data-current="board.noticeKey.value === worded.key || undefined"
            :title="`${worded.place} ${worded.sentence} ${worded.reason}`"
            @click="board.showFinding(worded.finding)"
          >
            <component
              :is="ICONS[worded.finding.severity]"
              :size="13"
              class="shrink-0"
              :class="worded.finding.severity === 'info' ? 'text-ink2' : 'text-alert'"
              aria-hidden="true"
            />
            <span class="line-clamp-2"
              ><span class="text-ink">{{ worded.sentence }}</span> {{ worded.place }}</span
            >
            <span
              v-if="board.noticeKey.value === worded.key && worded.hasFix"
              class="ml-auto shrink-0 text-focus"
              ><KeyCap label="↵" /> fix</span
            >
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.notice {
  display: flex;
  width: 100%;
  align-items: center;
  gap: 6px;
  padding: 0 4px;
  border-radius: 3px;
  line-height: 18px;
  text-align: left;
  color: var(--ink2);
}
.notice:hover {
  background: var(--paper);
}
.notice[data-current] {
  background: var(--focus-wash);
}
</style>
