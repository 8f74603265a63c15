<script setup lang="ts">
import { passDates, passOn, planDifference } from '#core/plan/block'
import { placeOn } from '#core/plan/rotation'
import { formatDay } from '#core/words'
import { provideBoard } from './boardContext'

const NARROW_FROM_DAYS = 9
const isLive = useMounted()
const hasLess = useMediaQuery('(max-width: 1279px)')
// The server draws the wide board; the page agrees with it until it is alive.
const isNarrow = computed(() => isLive.value && hasLess.value)
/** Too little room for the days side by side: then one at a time. */
const isPhone = useIsPhone()

const store = usePlanStore()
const id = await useClientPlan('client')
const rotation = await useOpenedRotation(id)
useHead({ title: () => `${store.client?.name ?? 'Client'} · Split · Tholepin` })

const board = useSplitBoard(() => rotation.query.value)
provideBoard(board)
const { isTakenUp } = useAutosave()
const steps = planSteps(() => isTakenUp.value, board.undo, board.redo)
const trial = useTrial()
watch(
  isTakenUp,
  isIn =>
    isIn &&
    trial.takeUp() &&
    board.say(`On trial: ${store.trial?.name}. Enter keeps it, Escape puts it back.`),
)
watch(
  () => store.mergedAt,
  () => board.say('Changes made in another window are in here now.'),
)

function answersTrial(answer: () => unknown): boolean {
  if (!store.trial || board.carry.inHand.value) return false
  void answer()
  return true
}
const templateChanges = useTemplateChanges()
const isTable = ref(false)
const { openHelp } = useShownActions()
useBoardActions({
  board,
  isSilent: () =>
    !isTakenUp.value ||
    board.isPickerOpen.value ||
    templateChanges.isOpen.value ||
    (board.opened.value !== null &&
      board.opened.value !== 'checks' &&
      board.opened.value !== 'method'),
  // While something is on trial, Enter and Escape answer that, unless sets are in hand.
  onConfirm: () => answersTrial(trial.keep),
  onCancel: () => answersTrial(trial.putBack),
  onTable: () => {
    isTable.value = !isTable.value
  },
})

// What opens over the board is fetched when the page is at rest, so that the board itself comes first.
preloadedLater([
  'ExercisePicker',
  'ChecksSheet',
  'SecondMethodSheet',
  'DismissDialog',
  'DayChooser',
  'WhyDialog',
  'RotationDialog',
  'CalendarDialog',
  'RevisionsDialog',
])

const today = useToday()
const pass = computed(() => (store.plan ? passOn(store.plan, today.value) : null))
const todayAt = computed(() => {
  const place =
    store.plan && placeOn(store.plan.rotation.days.length, store.plan.startsOn, today.value)
  return place?.day ?? null
})
const dates = computed(() => {
  const plan = store.plan
  if (!plan) return []
  return (passDates(plan)[pass.value ?? 0] ?? []).map(date =>
    formatDay(
      date,
      plan.rotation.days.length > NARROW_FROM_DAYS || isNarrow.value ? 'narrow' : 'wide',
    ),
  )
})
/** Which rotation it is; an opened one is told by its own bar. */
const shownPass = computed(() =>
  pass.value === null || rotation.at.value !== null
    ? null
    : Math.min(pass.value + 1, store.plan?.passes ?? 1),
)
const difference = computed(() =>
  store.saveState.kind === 'conflict' && store.whole
    ? planDifference(store.whole, store.saveState.theirs.plan)
    : null,
)
</script>

<template>
  <div class="flex min-h-dvh flex-col">
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="split" :steps="steps" />
    <PainNotices />
    <main class="flex-1 px-5 max-md:px-3">
      <SplitBoardHead :pass="shownPass" />
      <FloorAheadLines :id="id" />
      <OpenedRotationBar v-if="rotation.told.value" :told="rotation.told.value" />
      <TemplateChangeBar
        v-if="!store.trial && rotation.at.value === null"
        :changes="templateChanges"
        @said="board.say($event)"
      />
      <TrialBar
        v-if="store.trial"
        :name="store.trial.name"
        @kept="trial.keep()"
        @put-back="trial.putBack()"
      />
      <ConflictPanel v-if="difference" :difference="difference" />
      <EmptyPlan v-if="store.plan && store.isEmpty" :client-id="id" />
      <p v-if="!store.plan" class="py-10 text-ink2">No block is planned for this client yet.</p>
      <PlainTable v-else-if="isTable" />
      <DayBoard v-else-if="isPhone" :dates="dates" :is-ready="isTakenUp" :today="todayAt" />
      <SplitBoard v-else :dates="dates" :is-ready="isTakenUp" />
    </main>
    <footer v-if="store.plan" class="sticky bottom-0 z-10 bg-ground">
      <SplitBoardReadout :is-phone="isPhone" />
      <div class="keys max-md:hidden!">
        <span
          ><KeyCap label="←" /> <KeyCap label="→" /> <KeyCap label="↑" />{{ ' '
          }}<KeyCap label="↓" /> move</span
        >
        <span><KeyCap label="⇧" /> <KeyCap label="←" /> <KeyCap label="→" /> carry sets</span>
        <span><KeyCap label="+" /> <KeyCap label="−" /> add, cut</span>
        <span class="max-xl:hidden"><KeyCap label="," /> <KeyCap label="." /> pick exercise</span>
        <button type="button" class="quiet-link" @click="board.openSession()">
          <KeyCap label="↵" /> session
        </button>
        <NuxtLink :to="`/clients/${id}/proposals`" class="quiet-link">
          <KeyCap label="P" /> propose
        </NuxtLink>
        <button type="button" class="quiet-link" @click="board.toggleHeads()">
          <KeyCap label="H" /> heads
        </button>
        <button type="button" class="quiet-link" @click="board.open('rotation')">
          <KeyCap label="O" /> rotation
        </button>
        <button type="button" class="quiet-link" @click="board.open('why')">
          <KeyCap label="Y" /> why
        </button>
        <button type="button" class="quiet-link max-xl:hidden" @click="board.open('calendar')">
          <KeyCap label="C" /> weeks
        </button>
        <button type="button" class="quiet-link" @click="board.open('revisions')">
          <KeyCap label="B" /> history
        </button>
        <button
          type="button"
          class="quiet-link"
          :aria-pressed="isTable"
          @click="isTable = !isTable"
        >
          <KeyCap label="T" /> {{ isTable ? 'board' : 'plain table' }}
        </button>
        <button type="button" class="quiet-link" @click="openHelp()">
          <KeyCap label="?" /> help
        </button>
      </div>
    </footer>
    <LazyExercisePicker v-if="board.isPickerOpen.value" />
    <LazyWhyDialog v-if="board.opened.value === 'why'" />
    <LazyChecksSheet v-else-if="board.opened.value === 'checks'" />
    <LazySecondMethodSheet v-else-if="board.opened.value === 'method'" />
    <LazyDismissDialog
      v-else-if="board.opened.value === 'dismiss' && board.notice.value"
      :finding="board.notice.value"
      :is-firm="board.isFirm.value"
      @closed="board.close()"
      @dismissed="note => board.notice.value && board.dismiss(board.notice.value, note)"
    />
    <LazyRotationDialog v-else-if="board.opened.value === 'rotation'" />
    <LazyRotationDialog v-else-if="board.opened.value === 'notes'" begins="notes" />
    <LazyRevisionsDialog v-else-if="board.opened.value === 'revisions'" />
    <LazyCalendarDialog v-else-if="board.opened.value === 'calendar'" />
    <LazyDayChooser
      v-else-if="
        board.opened.value === 'swap' ||
        board.opened.value === 'copy' ||
        board.opened.value === 'move'
      "
      :what="board.opened.value"
    />
  </div>
</template>

<style scoped>
.keys {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  min-height: 30px;
  padding: 4px 20px;
  border-top: 1px solid var(--hair);
  color: var(--ink2);
  font-size: 12.5px;
  white-space: nowrap;
  overflow: hidden;
}
</style>
