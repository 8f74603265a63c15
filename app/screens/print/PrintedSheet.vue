<script setup lang="ts">
import { formatSetCount } from '#core/words'
import type { PrintedSession } from './usePrintedSessions'

/** One session on paper: read at arm's length, with room to write load and reps of every set. */
const { sheet, who } = defineProps<{ sheet: PrintedSession; who: string }>()
const MOST_BOXES = 6
</script>

<template>
  <article class="sheet">
    <header>
      <h2>{{ sheet.title }}</h2>
      <p>
        {{ who }}<span v-if="sheet.date"> · {{ sheet.date }}</span> ·
        {{ formatSetCount(sheet.sets) }} · {{ sheet.minutes }} min
        <span class="date">Date ____________</span>
      </p>
    </header>
    <p v-for="line in sheet.preparation" :key="line" class="preparation">First: {{ line }}</p>
    <section
      v-for="group in sheet.groups"
      :key="group.key"
      class="group"
      :data-together="group.exercises.length > 1 || undefined"
    >
      <p v-if="group.heading" class="heading">
        {{ group.heading }}
      </p>
      <div v-for="exercise in group.exercises" :key="exercise.key" class="exercise">
        <div class="what">
          <PoseFigure
            class="drawing"
            :exercise="exercise.exercise"
            :pattern="exercise.pattern"
            :name="exercise.name"
            :height="40"
          />
          <h3>
            <span class="letter">{{ exercise.letter }}</span> {{ exercise.name }}
          </h3>
          <p v-for="line in exercise.lines" :key="line" class="line">
            {{ line }}
          </p>
          <p v-if="exercise.loads" class="line">
            <b>{{ exercise.loads }}</b>
          </p>
          <p v-if="exercise.note" class="note">
            {{ exercise.note }}
          </p>
          <p v-if="exercise.hints" class="small">
            {{ exercise.hints }}
          </p>
        </div>
        <ol class="boxes" :aria-label="`Room for ${exercise.sets} sets`">
          <li v-for="set in Math.min(MOST_BOXES * 2, Math.max(1, exercise.sets))" :key="set">
            <span>{{ set }}</span>
            <span v-if="exercise.bySet[set - 1]" class="load">{{ exercise.bySet[set - 1] }}</span>
          </li>
        </ol>
      </div>
    </section>
    <footer>
      <p>Pain 0 to 10, where: ____________________ Minutes: ______ Recovered 0 to 10: ____</p>
      <p class="small">
        A planning aid, not medical advice. Pain is a reason to stop; have it examined by a licensed
        professional.
      </p>
    </footer>
  </article>
</template>

<style scoped>
.sheet {
  width: 186mm;
  margin: 0 auto;
  color: #000;
  font-size: 12.5pt;
  line-height: 1.3;
  break-after: page;
}
.sheet:last-child {
  break-after: auto;
}
header {
  border-bottom: 1.5pt solid #000;
  padding-bottom: 4pt;
}
h2 {
  font-family: var(--font-display);
  font-size: 21pt;
  line-height: 1.1;
}
.date {
  float: right;
}
.preparation {
  margin-top: 6pt;
}
.group {
  margin-top: 7pt;
  padding: 1pt 0;
  break-inside: avoid;
}
.group[data-together] {
  border-left: 3pt solid #000;
  padding-left: 7pt;
}
.heading {
  font-size: 11pt;
  font-weight: 600;
}
.heading::first-letter {
  text-transform: uppercase;
}
.exercise {
  display: grid;
  grid-template-columns: 1fr 78mm;
  gap: 6mm;
  padding: 3pt 0 4pt;
  border-bottom: 0.5pt solid #777;
}
h3 {
  font-size: 15pt;
  font-weight: 650;
  line-height: 1.15;
}
.letter {
  font-family: var(--font-display);
  color: #444;
}
.line {
  font-size: 13pt;
}
.note {
  font-style: italic;
}
.small {
  font-size: 9pt;
  color: #333;
  line-height: 1.25;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 2mm;
  align-content: start;
}
.boxes li {
  position: relative;
  height: 11mm;
  border: 0.75pt solid #000;
  border-radius: 1mm;
}
.boxes li::after {
  content: '×';
  position: absolute;
  left: 50%;
  top: 2mm;
  color: #777;
}
.boxes span {
  position: absolute;
  left: 1mm;
  top: 0.3mm;
  font-size: 8pt;
  color: #444;
}
.boxes .load {
  left: auto;
  right: 1mm;
  color: #000;
}
footer {
  margin-top: 8pt;
  font-size: 11pt;
  break-inside: avoid;
}
.drawing {
  float: right;
  margin-inline-start: 8px;
}
.drawing :deep(figcaption) {
  display: none;
}
</style>
