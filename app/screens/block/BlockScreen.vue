<script setup lang="ts">
import { formatDay, phaseFollows, phaseName } from '#core/words'
import { useMounted } from '@vueuse/core'
import { Send } from 'lucide-vue-next'
import { BLOCK_ACTIONS, BLOCK_VIEWS, type BlockView } from './blockActions'
import { provideBlock } from './blockContext'

const store = usePlanStore()
const issued = useIssuedStore()
const id = await useClientPlan('block')
await useAsyncData(`block-sent-${id}`, async () => (await issued.load()).ok)
useHead({ title: () => `${store.client?.name ?? 'Client'} · Block · Tholepin` })
const { isTakenUp } = useAutosave()
const isLive = useMounted()
const block = useBlock()
provideBlock(block)
const { at, message, looks, readout, columns, isAskingAgain, isSending, isTrying } = block
const { isHandingOver, isHolding } = block
const route = useRoute()
const view = computed<BlockView>({
  get: () => BLOCK_VIEWS.find(([name]) => name === route.query.view)?.[0] ?? 'rotations',
  set: next =>
    void navigateTo({ query: next === 'rotations' ? {} : { view: next } }, { replace: true }),
})
const isBeginning = ref(false)
onMounted(() => (isBeginning.value = route.query.next === '1'))
const now = columns.value.findIndex(({ isNow }) => isNow)
const asked = Number(route.query.rotation ?? 0) - 1
at.value = columns.value[asked] ? asked : Math.max(0, now)

const dates = computed(() =>
  issued.expanded ? `${formatDay(issued.expanded.from)} to ${formatDay(issued.expanded.to)}` : '',
)
const length = computed(() => {
  const days = store.plan?.rotation.days.length ?? 0
  const passes = store.plan?.passes ?? 0
  return days === 7
    ? `${passes} ${passes === 1 ? 'week' : 'weeks'}`
    : `${passes} ${passes === 1 ? 'rotation' : 'rotations'} of ${days} days, ${Math.round(((passes * days) / 7) * 10) / 10} weeks`
})
/** The phase the block is in, with what follows it. */
const phase = computed(() => {
  const own = store.plan?.phase
  return own ? [phaseName(own), ...phaseFollows(own)].join(' · ') : ''
})
const steps = planSteps(
  () => isTakenUp.value,
  () => (message.value = store.undo() ? 'Undone.' : 'Nothing to undo.'),
  () => (message.value = store.redo() ? 'Done again.' : 'Nothing to redo.'),
)
const openRotation = () => navigateTo(`/clients/${id}/split?rotation=${at.value + 1}`)
useActions(
  BLOCK_ACTIONS,
  {
    block,
    view: () => view.value,
    show: next => (view.value = next),
    toSplit: () => navigateTo(`/clients/${id}/split`),
    openRotation,
  },
  {
    isSilent: () =>
      !isTakenUp.value ||
      isBeginning.value ||
      isAskingAgain.value ||
      isTrying.value ||
      isHolding.value ||
      isHandingOver.value,
    ours: 'in_grid',
  },
)
</script>

<template>
  <div class="flex min-h-dvh flex-col" :aria-busy="!isLive || !isTakenUp">
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="block" :steps="steps">
      <template #actions>
        <button
          v-if="store.plan"
          type="button"
          class="control control-strong"
          :disabled="isSending"
          @click="block.send()"
        >
          <Send :size="14" aria-hidden="true" /> Send rotation {{ at + 1 }}
        </button>
      </template>
    </ClientBar>
    <PainNotices />
    <main class="flex-1 px-5 pb-4 max-md:px-3">
      <p v-if="!store.plan" class="py-10 text-ink2">No block is planned for this client yet.</p>
      <template v-else>
        <div
          class="grid grid-cols-[minmax(300px,1fr)_minmax(280px,0.8fr)_auto] items-start gap-6 pt-3 max-lg:grid-cols-2 max-lg:gap-3 max-md:grid-cols-1"
        >
          <div>
            <h1 class="font-display text-[23px] leading-[27px]">
              {{ store.plan.title }}
            </h1>
            <p class="text-ink2">{{ dates }} · {{ length }}</p>
            <p v-if="phase" class="text-ink2">
              <bdi>{{ phase }}</bdi>
            </p>
            <BlockBefore />
            <SaveStatus />
          </div>
          <section aria-label="To look at" class="text-[12.5px] leading-[18px]">
            <h2 class="text-ink2">
              {{ looks.length === 0 ? 'Nothing to look at' : `${looks.length} to look at` }}
              <KeyCap v-if="looks.length > 0" label="N" />
            </h2>
            <ul>
              <li v-for="look in looks" :key="look.what">
                <b>{{ look.what }}</b> <span class="text-ink2">{{ look.much }}</span>{{ ' '
                }}<button
                  v-if="look.isReturn && look.pass !== null"
                  type="button"
                  class="quiet-link"
                  @click="block.makeReturn(look.pass)"
                >
                  Make it a return
                </button>
              </li>
            </ul>
          </section>
          <BlockFiles :client-id="id" @begun="isBeginning = true" />
        </div>
        <div role="group" aria-label="View" class="mt-2 mb-2 flex flex-wrap gap-1">
          <button
            v-for="([name, word], n) in BLOCK_VIEWS"
            :key="name"
            type="button"
            class="view"
            :aria-pressed="view === name"
            @click="view = name"
          >
            {{ word }} <KeyCap :label="String(n + 1)" />
          </button>
        </div>
        <template v-if="view === 'rotations'">
          <BlockRotations />
          <HeldChanges />
          <BlockTrials :client-id="id" />
        </template>
        <LazyBlockTerms v-else-if="view === 'terms'" />
        <LazyBlockLoads v-else-if="view === 'loads'" />
        <LazyBlockCharts v-else-if="view === 'charts'" />
        <LazyBlockCalendar v-else-if="view === 'calendar'" />
        <LazyBlockHeads v-else />
      </template>
    </main>
    <footer class="sticky bottom-0 z-10 bg-ground">
      <p role="status" class="readout">
        {{ message || readout }}
      </p>
      <div v-if="view === 'rotations'" class="keys max-md:hidden!">
        <span><KeyCap label="←" /> <KeyCap label="→" /> rotation</span
        ><span><KeyCap label="↑" /> <KeyCap label="↓" /> muscle</span>
        <button type="button" class="quiet-link" @click="block.stepSets(1)">
          <KeyCap label="+" /> a set more
        </button>
        <button type="button" class="quiet-link" @click="block.stepSets(-1)">
          <KeyCap label="−" /> a set fewer
        </button>
        <button type="button" class="quiet-link" @click="block.stepRir(-1)">
          <KeyCap label="[" /> harder
        </button>
        <button type="button" class="quiet-link" @click="block.stepRir(1)">
          <KeyCap label="]" /> easier
        </button>
        <button type="button" class="quiet-link" @click="block.toggleDeload()">
          <KeyCap label="D" /> deload here
        </button>
        <button type="button" class="quiet-link" @click="block.swapChoice()">
          <KeyCap label="X" /> swap A and B
        </button>
        <button type="button" class="quiet-link" @click="block.holdOn()">
          <KeyCap label="H" /> from here on
        </button>
        <button type="button" class="quiet-link" @click="isTrying = true">
          <KeyCap label="T" /> try out
        </button>
        <button type="button" class="quiet-link" @click="openRotation()">
          <KeyCap label="O" /> open on the board
        </button>
        <button type="button" class="quiet-link" @click="block.copyToNext()">
          <KeyCap label="K" /> copy to next
        </button>
        <button type="button" class="quiet-link" @click="block.clearExceptions()">
          <KeyCap label="Del" /> no exceptions
        </button>
      </div>
    </footer>
    <LazySendAgainDialog
      v-if="isAskingAgain"
      :pass="at"
      @closed="isAskingAgain = false"
      @confirmed="block.send(true)"
    />
    <LazySheetLinkDialog
      v-if="isHandingOver"
      is-first
      :client-id="id"
      :name="store.client?.name ?? ''"
      @closed="isHandingOver = false"
    />
    <LazyTrialDialog v-if="isTrying" />
    <LazyHoldDialog v-if="isHolding" />
    <LazyNextBlockDialog v-if="isBeginning" @closed="isBeginning = false" />
  </div>
</template>

<style scoped>
.view {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 2px 10px;
  border: 1px solid transparent;
  border-radius: 4px;
  color: var(--ink2);
}
.view[aria-pressed='true'] {
  border-color: var(--edge);
  background: var(--paper);
  color: var(--ink);
  font-weight: 650;
}
.readout {
  min-height: 26px;
  padding: 4px 20px;
  border-top: 1px solid var(--hair);
  color: var(--focus);
}
.keys {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 14px;
  min-height: 30px;
  padding: 4px 20px;
  border-top: 1px solid var(--hair);
  color: var(--ink2);
  font-size: 12.5px;
  white-space: nowrap;
  overflow: hidden;
}
</style>
