<script setup lang="ts">
import { weekdayName } from '#core/words'
import type { PlainDate } from '#core/base'
import { useEventListener } from '@vueuse/core'
import { CALENDAR_ACTIONS } from './blockActions'
import { useDrawnEvents } from './useDrawnEvents'

/** Dated sessions week by week. */
const {
  weeks,
  carried,
  consequences,
  heldWords,
  message,
  lift,
  carryTo,
  carryBy,
  putDown,
  putBack,
} = useBlockCalendar()
const drawn = useDrawnEvents()
const { marked, span, form, markedWords } = drawn
useActions(
  CALENDAR_ACTIONS,
  {
    isCarrying: () => carried.value !== null,
    isMarking: () => marked.value !== null,
    mark: drawn.begin,
    carryBy: days => (carried.value ? carryBy(days) : drawn.moveBy(days)),
    stretchBy: drawn.stretchBy,
    putDown: () => (carried.value ? putDown() : drawn.write()),
    putBack: () => (carried.value ? putBack() : drawn.close()),
  },
  { isFirst: true, ours: 'everywhere', isSilent: () => form.value !== null },
)
const isMarked = (date: PlainDate) =>
  span.value !== null && span.value.from <= date && date <= span.value.to
const isDrawing = ref(false)
function press(date: PlainDate): void {
  if (carried.value) return
  isDrawing.value = true
  drawn.press(date)
}
useEventListener('pointerup', () => {
  if (isDrawing.value) drawn.write()
  isDrawing.value = false
})
</script>

<template>
  <div>
    <div role="status" class="min-h-[22px]">
      <section v-if="carried" aria-label="Carrying" class="carrying">
        <p>
          <b>{{ heldWords }}</b>
        </p>
        <ul>
          <li v-for="line in consequences" :key="line">
            {{ line }}
          </li>
        </ul>
        <span class="flex gap-2"
          ><button type="button" class="control control-strong" @click="putDown()">
            Put down <KeyCap label="↵" /></button
          ><button type="button" class="control" @click="putBack()">
            Put back <KeyCap label="Esc" /></button
        ></span>
      </section>
      <p class="text-ink2">
        {{
          marked
            ? `${markedWords}: the arrows move the days, with ⇧ there are more or fewer; Enter says what comes up, Escape leaves it.`
            : message ||
              'Choose a session and carry it to another day with the arrows, or drag it. Draw over free days, or press E, for travel, exams and regattas.'
        }}
      </p>
    </div>
    <table class="mt-1 w-full table-fixed" :class="{ 'mb-36': carried }">
      <caption class="sr-only">
        Sessions of the block by week
      </caption>
      <thead class="text-left text-[12px] text-ink2">
        <tr>
          <th v-for="day in 7" :key="day" scope="col" class="px-1 font-normal">
            {{ weekdayName(day) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="week in weeks" :key="week[0]?.date">
          <CalendarDayCell
            v-for="day in week"
            :key="day.date"
            :day="day"
            :is-target="carried?.to === day.date || isMarked(day.date)"
            :is-sought="
              carried?.isStepped === true || (marked?.isStepped === true && marked.end === day.date)
            "
            @over="carryTo(day.date)"
            @dropped="putDown()"
            @pressed="press(day.date)"
            @drawn="isDrawing && drawn.stretchTo(day.date)"
            @event="drawn.open"
          >
            <CalendarChip
              v-for="entry in day.entries"
              :key="entry.key"
              :entry="entry"
              :is-held="carried?.key === entry.key"
              @lifted="lift(entry.key)"
            />
          </CalendarDayCell>
        </tr>
      </tbody>
    </table>
    <LazyEventDialog v-if="form" :drawn="drawn" @said="message = $event" />
  </div>
</template>

<style scoped>
/* Over the weeks, not among them: nothing moves under a session that is carried. */
.carrying {
  position: fixed;
  right: 20px;
  bottom: 34px;
  left: 20px;
  z-index: 20;
  display: flex;
  align-items: flex-start;
  gap: 24px;
  padding: 6px 12px;
  border: 1.5px dashed var(--focus);
  border-radius: 6px;
  background: var(--paper);
  font-size: 12.5px;
}
.carrying ul {
  flex: 1;
}
</style>
