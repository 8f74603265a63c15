<script setup lang="ts">
import { dayName, formatClock } from '#core/words'
import { ChevronLeft, ChevronRight, Printer } from 'lucide-vue-next'
import { useSession } from './sessionContext'

const { id, query = '' } = defineProps<{
  id: string
  /** Behind the addresses of sessions, where one rotation is opened. */
  query?: string
}>()
const emit = defineEmits<{ day: [day: number] }>()
const store = usePlanStore()
const builder = useSession()
const { leaves, elbow, pairs, date } = useSessionFigures(builder)
const days = computed(() => store.plan?.rotation.days ?? [])
const ownTime = computed(() => builder.ownTime.value)
const seconds = computed(() => builder.view.value?.time.seconds ?? 0)
const limit = computed(() => builder.limit.value)
const isOver = computed(() => limit.value !== null && seconds.value > limit.value * 60)
const dayAt = computed(() => builder.dayAt())
</script>

<template>
  <div class="flex flex-wrap items-start gap-x-7 gap-y-2 pt-3">
    <div class="min-w-[min(300px,100%)] flex-1">
      <div class="flex items-center gap-2">
        <button
          type="button"
          class="step"
          :disabled="dayAt === 0"
          aria-label="The day before"
          @click="emit('day', dayAt - 1)"
        >
          <ChevronLeft :size="16" aria-hidden="true" />
        </button>
        <h1 class="font-display text-[23px] leading-[27px]">
          Day {{ dayAt + 1 }} {{ builder.day.value ? dayName(builder.day.value) : ''
          }}<span v-if="(builder.day.value?.sessions.length ?? 0) > 1" class="text-ink2"
            >, session {{ builder.sessionAt() + 1 }}</span
          >
        </h1>
        <button
          type="button"
          class="step"
          :disabled="dayAt >= days.length - 1"
          aria-label="The day after"
          @click="emit('day', dayAt + 1)"
        >
          <ChevronRight :size="16" aria-hidden="true" />
        </button>
      </div>
      <div class="mt-0.5 flex items-baseline gap-2 text-ink2">
        <span>{{ date }} · {{ store.plan?.title }}</span>
        <NuxtLink
          v-if="(builder.day.value?.sessions.length ?? 0) > 1"
          :to="`/clients/${id}/session/${dayAt + 1}${builder.sessionAt() === 0 ? '-2' : ''}${query}`"
          class="quiet-link underline"
          >session {{ builder.sessionAt() === 0 ? 2 : 1 }}</NuxtLink
        >
        <span aria-hidden="true">·</span><SaveStatus />
      </div>
    </div>
    <dl class="figures">
      <div>
        <dd :class="isOver ? 'text-alert' : ''">
          {{ formatClock(seconds) }}
        </dd>
        <dt>
          {{
            limit === null
              ? 'minutes, no limit'
              : isOver
                ? `${formatClock(seconds - limit * 60)} over the limit of ${limit}`
                : `of ${limit}, ${formatClock(limit * 60 - seconds)} spare`
          }}<span v-if="ownTime" class="block" :title="builder.timesWords.value">{{
            ownTime
          }}</span>
        </dt>
      </div>
      <div>
        <dd>{{ builder.setCount.value }} {{ builder.setCount.value === 1 ? 'set' : 'sets' }}</dd>
        <dt>
          {{ builder.slots.value.length }}
          {{ builder.slots.value.length === 1 ? 'exercise' : 'exercises'
          }}<span v-if="pairs > 0">, {{ pairs }} together</span>
        </dt>
      </div>
      <div v-if="leaves">
        <dd :class="leaves.isShort ? 'text-alert' : ''">{{ leaves.percent }}&nbsp;%</dd>
        <dt>{{ leaves.words }}</dt>
      </div>
      <div v-if="elbow">
        <dd :class="elbow.isOver ? 'text-alert' : ''">
          {{ elbow.load }}
        </dd>
        <dt>elbow load, cap {{ elbow.cap }}</dt>
      </div>
    </dl>
    <div class="flex items-center gap-2">
      <button
        type="button"
        class="control"
        :disabled="builder.slots.value.length === 0"
        @click="builder.open('short')"
      >
        Only N minutes <KeyCap label="L" />
      </button>
      <NuxtLink
        :to="`/clients/${id}/print?day=${dayAt + 1}${builder.sessionAt() > 0 ? '&session=2' : ''}`"
        class="control"
      >
        <Printer :size="15" aria-hidden="true" /> Print
      </NuxtLink>
    </div>
  </div>
</template>

<style scoped>
.step {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 24px;
  height: 24px;
  border-radius: 4px;
  color: var(--ink2);
}
.step:hover:not(:disabled) {
  background: var(--sunk);
}
.step:disabled {
  color: var(--line);
}
.figures {
  display: flex;
}
@media (max-width: 767px) {
  .figures {
    flex-wrap: wrap;
    gap: 8px 0;
  }
}
.figures > div {
  max-width: 190px;
  padding: 0 14px;
  border-left: 1px solid var(--line);
}
.figures dd {
  font-family: var(--font-display);
  font-size: 21px;
  line-height: 24px;
  font-weight: 600;
  white-space: nowrap;
}
.figures dt {
  font-size: 12px;
  line-height: 15px;
  color: var(--ink2);
}
.figures > div {
  display: flex;
  flex-direction: column;
}
</style>
