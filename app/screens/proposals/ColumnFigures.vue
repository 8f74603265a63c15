<script setup lang="ts">
/** The measures of one column: readiness, elbow, time and sets, what is left to look at. */
const { readiness, elbow, minutes, sets, open } = defineProps<{
  readiness: { percent: number; isShort: boolean; words: string } | null
  elbow: number
  minutes: number
  sets: number
  open: number
}>()
</script>

<template>
  <dl class="figures">
    <dt>Lowest readiness</dt>
    <dd :class="readiness?.isShort ? 'text-alert' : ''">
      <template v-if="readiness">
        <b>{{ readiness.percent }}&nbsp;%</b> {{ readiness.words }}
      </template>
    </dd>
    <dt>Elbow, share of the cap</dt>
    <dd :class="elbow > 1.001 ? 'text-alert' : ''">
      <b>{{ Math.round(elbow * 100) }}&nbsp;%</b> in the hardest session
    </dd>
    <dt>Sets and time</dt>
    <dd>
      <b>{{ sets }}</b> sets, <b>{{ minutes }}</b> min
    </dd>
    <dt>To look at</dt>
    <dd>
      <b>{{ open }}</b> to look at
    </dd>
  </dl>
</template>

<style scoped>
.figures dt {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.figures dd {
  min-height: 24px;
  font-size: 12.5px;
  line-height: 24px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.figures b {
  font-weight: 650;
}
</style>
