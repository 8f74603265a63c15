<script setup lang="ts">
import { useBoard } from '../boardContext'

/** A second method over the foot of the board: what it counts and says otherwise. Nothing changes until it is taken. */
const board = useBoard()
const {
  own,
  others,
  laidOver,
  before,
  message,
  begin,
  lay,
  muscles,
  findings,
  minutes,
  take,
  winners,
  winnersState,
  drawWinners,
} = useSecondMethod(board)
const field = useTemplateRef<HTMLSelectElement>('field')
onMounted(() => {
  begin()
  field.value?.focus()
})
onScopeDispose(() => (board.laidOver.value = null))
const changed = computed(() => muscles.value.filter(({ changesSides }) => changesSides))
const differences = computed(() => [
  { title: 'Checks that would appear', list: findings.value.appears },
  { title: 'Checks that would go', list: findings.value.goes },
])
const pick = (event: Event) => lay((event.target as HTMLSelectElement).value)
</script>

<template>
  <section
    class="foot-sheet"
    role="dialog"
    aria-label="A second method"
    @keydown.esc.stop.prevent="board.close()"
  >
    <div class="flex flex-wrap items-center gap-3 px-5 pt-2">
      <h2 class="text-[14px] font-[650]">
        {{ own?.name }} <span class="font-normal text-ink2">beside</span>
      </h2>
      <select
        ref="field"
        class="small-field"
        aria-label="Method laid over the board"
        :value="laidOver?.id ?? ''"
        @change="pick"
      >
        <option v-for="method in others" :key="method.id" :value="method.id">
          {{ method.name }}
        </option>
      </select>
      <span v-if="minutes" class="text-[12.5px] text-ink2"
        >{{ minutes.own }} min in 7 days by the one, {{ minutes.other }} by the other</span
      >
      <span role="status" class="text-[12.5px] font-semibold">{{ message }}</span>
      <button v-if="before" type="button" class="control" @click="take(before)">
        Back to {{ before.name }}
      </button>
      <button v-else-if="laidOver" type="button" class="control ml-auto" @click="take(laidOver)">
        Follow {{ laidOver.name }}
      </button>
      <button type="button" class="control" @click="board.close()">
        Close <KeyCap label="Esc" />
      </button>
    </div>
    <div class="columns">
      <section aria-label="Muscles">
        <h3 class="font-semibold">
          {{ changed.length === 0 ? 'No muscle changes sides' : 'What changes sides' }}
        </h3>
        <ul v-if="changed.length > 0" class="mb-2">
          <li v-for="muscle in changed" :key="muscle.group">
            <b>{{ muscle.name }}</b> {{ muscle.reason }}
          </li>
        </ul>
        <table class="w-full">
          <caption class="sr-only">
            Sets per 7 days under both methods
          </caption>
          <thead class="text-[12px] text-ink2">
            <tr>
              <th scope="col">Sets per 7 days</th>
              <th scope="col">{{ own?.name }}</th>
              <th scope="col">{{ laidOver?.name }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="muscle in muscles" :key="muscle.group" class="border-t border-hair">
              <th scope="row" class="font-semibold">{{ muscle.name }}</th>
              <td v-for="(side, at) in muscle.sides" :key="at">
                <b>{{ side.counted }}</b> of {{ side.band }},
                <span :class="muscle.changesSides ? 'font-semibold' : 'text-ink2'">{{
                  side.position
                }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <div>
        <section
          v-for="part in differences"
          :key="part.title"
          :aria-label="part.title"
          class="mb-2"
        >
          <h3 class="font-semibold">
            {{ part.title }} <span class="font-normal text-ink2">{{ part.list.length }}</span>
          </h3>
          <ul>
            <li v-for="finding in part.list" :key="finding.key">
              <span class="text-ink2">{{ finding.place }}</span> {{ finding.sentence }}
            </li>
          </ul>
        </section>
        <section aria-label="Proposals under both">
          <button
            type="button"
            class="control"
            :disabled="winnersState === 'drawing'"
            @click="drawWinners()"
          >
            {{ winnersState === 'drawing' ? 'Drawing' : 'Which proposal would win under each' }}
          </button>
          <p v-if="winnersState === 'failed'" role="alert" class="alert-chip mt-1">
            The proposals could not be drawn. Try again.
          </p>
          <ul v-if="winnersState === 'drawn'" role="status">
            <li v-for="winner in winners" :key="winner.method">
              <b>{{ winner.method }}</b>: {{ winner.words }}
            </li>
          </ul>
        </section>
      </div>
    </div>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 28px;
  max-height: 240px;
  overflow-y: auto;
  padding: 4px 20px 8px;
  font-size: 12.5px;
  line-height: 17px;
}
th {
  text-align: left;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
