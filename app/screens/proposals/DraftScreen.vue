<script setup lang="ts">
/** Three whole rotations for a plan that holds no set yet. */
const { id } = defineProps<{ id: string }>()
const store = usePlanStore()
const { isTakenUp } = useAutosave()
const { state, message, progress, columns, notes, draw, cancel, use, tryOnBoard } = useDrafts()
watch(isTakenUp, isIn => isIn && state.value === 'idle' && void draw(), { immediate: true })
const chosen = ref(0)
const rest = computed(() => store.plan?.rotation.days.map(({ role }) => role === 'rest') ?? [])
const about = computed(() => {
  const days = store.plan?.rotation.days.filter(({ role }) => role !== 'rest') ?? []
  const minutes = [...new Set(days.flatMap(({ minuteLimit }) => minuteLimit ?? []))]
  const words = days.length === 1 ? 'training day' : 'training days'
  const each = minutes.length > 0 ? ` of ${minutes.join(' and ')} min` : ''
  return `${days.length} ${words}${each} · ${store.client?.method.name ?? ''}`
})
</script>

<template>
  <DrawingFrame
    :id="id"
    v-model="chosen"
    :is-ready="isTakenUp"
    :state="state"
    :progress="progress"
    :letters="columns.map(({ letter }) => letter)"
    :use="use"
    :try-on-board="tryOnBoard"
    :draw="draw"
    :cancel="cancel"
  >
    <template #head>
      <h1 class="pt-3 font-display text-[23px] leading-[27px]">A rotation from nothing</h1>
      <p class="text-ink2">
        {{ store.client?.name }} · {{ about }} · nothing is changed until you take one
      </p>
    </template>
    <template #message>{{ message }}</template>
    <ul v-if="notes.concerns.length > 0">
      <li v-for="concern in notes.concerns" :key="concern">
        <span class="alert-chip">{{ concern }}</span>
      </li>
    </ul>
    <ul v-if="notes.withheld.length > 0" aria-label="Held back">
      <li v-for="note in notes.withheld" :key="note" class="font-semibold">{{ note }}</li>
    </ul>
    <ScrollBox label="Drafts side by side" class="mt-2"
      ><div
        class="proposal-columns"
        :style="{
          gridTemplateColumns: `repeat(${Math.max(1, columns.length)}, minmax(220px, 1fr))`,
        }"
      >
        <section
          v-for="(column, at) in columns"
          :key="column.letter"
          :aria-label="`${column.letter}, ${column.name}`"
          class="proposal"
          :data-current="at === chosen || undefined"
          @click="chosen = at"
        >
          <div class="head">
            <h2>
              <span class="letter">{{ column.letter }}</span> {{ column.name }}
            </h2>
            <p>{{ column.idea }}</p>
            <div class="mt-1 flex gap-2">
              <button type="button" class="control control-strong" @click.stop="use(at)">
                Use {{ column.letter }} <KeyCap :label="column.letter" />
              </button>
              <button type="button" class="control" @click.stop="tryOnBoard(at)">
                Try on the board
              </button>
            </div>
          </div>
          <div v-for="rail in column.rails" :key="rail.group" class="flex items-center gap-2">
            <span
              class="w-20 text-[12.5px] font-semibold"
              :style="{ color: `var(--${rail.family})` }"
              >{{ rail.name.split(' ')[0] }}</span
            >
            <ColumnStacks :rail="rail" :rest="rest" />
          </div>
          <div class="measures">
            <ColumnFigures v-bind="column.figures" />
          </div>
          <h3 class="mt-2 font-semibold">
            {{ column.misses.length === 0 ? 'Every want is met' : 'What had to give' }}
          </h3>
          <ul class="text-[12.5px] leading-[17px]">
            <li v-for="miss in column.misses" :key="miss">{{ miss }}</li>
          </ul>
          <p
            v-if="column.misses.length > 0 && column.binding.length > 0"
            class="text-[12.5px] text-ink2"
          >
            What binds: {{ column.binding.join(', ') }}.
          </p>
          <h3 class="mt-2 font-semibold">The days, sets behind each exercise</h3>
          <div v-for="day in column.days" :key="day.title" class="text-[12.5px] leading-[17px]">
            <h4 class="mt-1 font-semibold">{{ day.title }}</h4>
            <ol>
              <li v-for="line in day.lines" :key="line">{{ line }}</li>
            </ol>
          </div>
          <p class="mt-2 text-[12.5px] text-ink2">
            <b>The rest of the body:</b>
            {{ column.body.map(({ name, week }) => `${name} ${week}`).join(', ') }} sets in 7 days
          </p>
        </section>
      </div></ScrollBox
    >
  </DrawingFrame>
</template>

<style scoped src="./columns.css"></style>
