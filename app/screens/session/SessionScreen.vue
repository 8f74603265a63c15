<script setup lang="ts">
import { planDifference } from '#core/plan/block'
import { dayName, formatClock } from '#core/words'
import { useMounted } from '@vueuse/core'
import { SESSION_ACTIONS } from './sessionActions'
import { provideSession } from './sessionContext'

const route = useRoute()
const store = usePlanStore()
/** `4` is day 4, `4-2` its second session. */
const place = computed(() => {
  const [day = 1, session = 1] = String(route.params.place).split('-').map(Number)
  return { day: day - 1, session: session - 1 }
})
const id = await useClientPlan('session')
const rotation = await useOpenedRotation(id)
const asked = store.plan?.rotation.days[place.value.day]
// A day without sessions begins with its first; a second one is opened only where it stands.
if (store.plan && (!asked || (place.value.session > 0 && !asked.sessions[place.value.session])))
  throw createError({ statusCode: 404, fatal: true })

const builder = useSessionBuilder(
  () => place.value.day,
  () => place.value.session,
)
provideSession(builder)
useHead({ title: () => `${store.client?.name ?? 'Client'} · Session · Tholepin` })
const { isTakenUp } = useAutosave()
const steps = planSteps(() => isTakenUp.value, builder.undo, builder.redo)
watch(
  () => store.mergedAt,
  () => builder.say('Changes made in another window are in here now.'),
)
const isLive = useMounted()
const loads = useLoadsStore()
onMounted(() => {
  if (route.query.panel === 'short') builder.open('short')
  return loads.load()
})

async function toDay(day: number): Promise<void> {
  if (!store.plan?.rotation.days[day]) return builder.say(`The rotation has no day ${day + 1}.`)
  builder.select(null)
  await navigateTo(`/clients/${id}/session/${day + 1}${rotation.query.value}`)
}
/** The chosen exercise's shorthand gets the keyboard. */
function write(): void {
  document.querySelector<HTMLElement>('[data-selected] [data-shorthand]')?.focus()
}
useActions(
  SESSION_ACTIONS,
  { builder, toDay: day => void toDay(day), write },
  { isSilent: () => !isTakenUp.value || builder.opened.value !== null },
)
const { openHelp } = useShownActions()
preloadedLater([
  'AddExerciseDialog',
  'ShortDialog',
  'SwapDialog',
  'TemplateDialog',
  'SessionTextDialog',
  'VersionsDialog',
  'DismissDialog',
])

const isRest = computed(() => builder.day.value?.role === 'rest')
const difference = computed(() =>
  store.saveState.kind === 'conflict' && store.whole
    ? planDifference(store.whole, store.saveState.theirs.plan)
    : null,
)
const readout = computed(() => {
  const slot = builder.selected.value
  const time = builder.view.value?.time.groupings.find(
    held => held.grouping === builder.selectedGrouping.value?.id,
  )
  return slot && time
    ? `${builder.nameOf(slot.id)}: its group takes ${formatClock(time.seconds)}, of it ${formatClock(time.work)} work and ${formatClock(time.rest)} rest`
    : ''
})
</script>

<template>
  <div class="flex min-h-dvh flex-col" :aria-busy="!isLive || !isTakenUp">
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="session" :steps="steps" />
    <PainNotices />
    <main class="flex-1 px-5 pb-4 max-md:px-3">
      <SessionHead :id="id" :query="rotation.query.value" @day="toDay" />
      <OpenedRotationBar v-if="rotation.told.value" :told="rotation.told.value" />
      <ConflictPanel v-if="difference" :difference="difference" />
      <p v-if="!store.plan" class="py-10 text-ink2">No block is planned for this client yet.</p>
      <p v-else-if="isRest" class="py-10 text-ink2">
        Day {{ place.day + 1 }} is rest.
        <NuxtLink :to="`/clients/${id}/split${rotation.query.value}`" class="underline"
          >On the board</NuxtLink
        >
        R makes it a training day.
      </p>
      <div v-else class="grid grid-cols-[minmax(0,1fr)_300px] gap-7 max-[1100px]:grid-cols-1">
        <div class="min-w-0">
          <SessionStrip />
          <section aria-label="Exercises" class="mt-2">
            <ol class="border-t border-line">
              <GroupingBlock
                v-for="(grouping, at) in builder.groupings.value"
                :key="grouping.id"
                :grouping="grouping"
                :at="at"
              />
            </ol>
            <div class="mt-2 flex flex-wrap gap-2">
              <button type="button" class="control" @click="builder.open('add')">
                Add exercises <KeyCap label="E" />
              </button>
              <button type="button" class="control" @click="builder.open('templates')">
                Templates <KeyCap label="B" />
              </button>
              <button type="button" class="control" @click="builder.open('text')">
                As text <KeyCap label="X" />
              </button>
              <button type="button" class="control" @click="builder.open('versions')">
                Versions, dates <KeyCap label="O" />
              </button>
            </div>
          </section>
          <MuscleLines v-if="builder.slots.value.length > 0" />
        </div>
        <aside class="pt-3">
          <SessionChecks />
          <SessionCoverage />
        </aside>
      </div>
    </main>
    <footer class="sticky bottom-0 z-10 bg-ground">
      <div class="readout">
        <p role="status" class="min-w-0 flex-1 truncate">
          {{ builder.message.value || readout }}
        </p>
        <p class="shrink-0 text-ink2">
          {{ builder.day.value ? dayName(builder.day.value) : '' }}
        </p>
      </div>
      <div class="keys max-md:hidden!">
        <span><KeyCap label="←" /> <KeyCap label="→" /> choose</span>
        <span><KeyCap label="⇧" /> <KeyCap label="←" /> <KeyCap label="→" /> move</span>
        <button type="button" class="quiet-link" @click="builder.togglePair()">
          <KeyCap label="S" /> together, apart
        </button>
        <span><KeyCap label="+" /> <KeyCap label="−" /> sets</span>
        <span><KeyCap label="[" /> <KeyCap label="]" /> rest 15 s</span>
        <button
          type="button"
          class="quiet-link"
          @click="builder.selected.value && builder.open('swap')"
        >
          <KeyCap label="V" /> swap
        </button>
        <button
          type="button"
          class="quiet-link"
          @click="builder.selected.value && builder.warmUp(builder.selected.value)"
        >
          <KeyCap label="W" /> warm-up sets
        </button>
        <button type="button" class="quiet-link" @click="openHelp()">
          <KeyCap label="?" /> help
        </button>
      </div>
    </footer>
    <LazyAddExerciseDialog v-if="builder.opened.value === 'add'" />
    <LazyShortDialog v-else-if="builder.opened.value === 'short'" />
    <LazySwapDialog v-else-if="builder.opened.value === 'swap'" />
    <LazyTemplateDialog v-else-if="builder.opened.value === 'templates'" />
    <LazySessionTextDialog v-else-if="builder.opened.value === 'text'" />
    <LazyVersionsDialog v-else-if="builder.opened.value === 'versions'" />
    <LazyDismissDialog
      v-else-if="builder.opened.value === 'dismiss' && builder.notice.value"
      :finding="builder.notice.value"
      :is-firm="builder.isFirm.value"
      @closed="builder.close()"
      @dismissed="note => builder.notice.value && builder.dismiss(builder.notice.value, note)"
    />
  </div>
</template>

<style scoped>
.readout {
  display: flex;
  gap: 16px;
  min-height: 26px;
  padding: 4px 20px;
  border-top: 1px solid var(--line);
  background: var(--paper);
  font-size: 12.5px;
}
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
