<script setup lang="ts">
import { useBlockState } from './blockContext'

/** Heads, grips and lengths, rotation by rotation: full where the wish is reached, half where it is not, hollow where nothing is. */
const { columns, heads } = useBlockState()
const { rows, proposal, proposed, effects, propose, take } = heads
</script>

<template>
  <div class="grid items-start gap-8 lg:grid-cols-[minmax(0,1fr)_340px]">
    <ScrollBox label="Heads, grips and lengths over the block">
      <table class="heads">
        <caption class="sr-only">
          Heads, grips and lengths by rotation
        </caption>
        <thead>
          <tr>
            <th scope="col" class="what">Muscle</th>
            <th scope="col" class="what">Head, grip, length</th>
            <th v-for="column in columns" :key="column.number" scope="col">{{ column.number }}</th>
            <th scope="col">Block</th>
            <th scope="col">Wish, at least</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.key" :class="row.group && 'first'">
            <th scope="rowgroup" class="text-left font-[650]">{{ row.group }}</th>
            <th scope="row" class="text-left font-normal">{{ row.name }}</th>
            <td v-for="(cell, at) in row.cells" :key="at">
              <svg width="16" height="16" viewBox="0 0 16 16" role="img" :aria-label="cell.words">
                <title>{{ cell.words }}</title>
                <template v-if="cell.state !== 'none'">
                  <circle
                    cx="8"
                    cy="8"
                    r="5.5"
                    fill="none"
                    stroke="var(--ink2)"
                    stroke-width="1.4"
                  />
                  <circle v-if="cell.state === 'full'" cx="8" cy="8" r="5.5" fill="var(--ink2)" />
                  <path
                    v-if="cell.state === 'thin'"
                    d="M8 2.5a5.5 5.5 0 0 0 0 11z"
                    fill="var(--ink2)"
                  />
                </template>
              </svg>
            </td>
            <td class="figure" :class="row.isMissed && 'font-semibold text-alert'">
              {{ row.over }}
            </td>
            <td class="figure text-ink2">{{ row.wish }}</td>
          </tr>
        </tbody>
      </table>
    </ScrollBox>
    <section aria-labelledby="turns-head">
      <h2 id="turns-head" class="section-head">Turns that fill what is missed</h2>
      <p class="text-ink2">
        Exercises that take turns reach in two or three rotations what one alone leaves out. As few
        new movements as it takes, each done three times at least.
      </p>
      <p class="mt-2 flex gap-2">
        <button
          type="button"
          class="control"
          :class="!proposal && 'control-strong'"
          @click="propose()"
        >
          Propose turns <KeyCap label="P" />
        </button>
        <button
          v-if="proposed.length > 0"
          type="button"
          class="control control-strong"
          @click="take()"
        >
          Take them <KeyCap label="↵" />
        </button>
      </p>
      <ul v-if="proposed.length > 0" class="mt-2" aria-label="Proposed turns">
        <li v-for="one in proposed" :key="one.key" class="border-b border-hair py-0.5">
          {{ one.words }}
        </li>
      </ul>
      <p v-if="proposed.length > 0" class="mt-1 text-[12.5px]">{{ effects }}.</p>
      <p v-else-if="proposal" class="mt-2">
        No turn helps: nothing is missed, or nothing that is possible here fills it.
      </p>
    </section>
  </div>
</template>

<style scoped>
.heads {
  border-collapse: collapse;
}
.heads th,
.heads td {
  padding: 3px 8px;
  text-align: center;
}
.heads .what,
.heads th[scope='row'],
.heads th[scope='rowgroup'] {
  text-align: left;
  white-space: nowrap;
}
.heads .first > * {
  border-top: 1px solid var(--hair);
}
.heads svg {
  display: block;
  margin: auto;
}
.figure {
  font-variant-numeric: tabular-nums;
}
</style>
