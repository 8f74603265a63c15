<script setup lang="ts">
import { formatClock, formatSets, SHORT_WAY_NAMES } from '#core/words'
import { useSession } from '../sessionContext'

const builder = useSession()
const {
  minutes,
  way,
  ways,
  dates,
  on,
  result,
  sentence,
  changes,
  refusedWords,
  groups,
  offers,
  lines,
  refuse,
  allow,
  saveForDate,
  saveAsVariant,
  useAlways,
} = useShortSession(builder)
</script>

<template>
  <PanelDialog title="Only so many minutes" :width="820" @closed="builder.close()">
    <div class="mt-3 flex flex-wrap items-end gap-4">
      <label class="flex flex-col font-semibold"
        >Minutes today
        <input
          :value="minutes"
          data-first
          class="field mt-1 w-[90px]! font-normal"
          type="number"
          min="5"
          max="240"
          step="5"
          @input="minutes = Number(($event.target as HTMLInputElement).value)"
        />
      </label>
      <label class="flex flex-col font-semibold"
        >What gives first
        <select v-model="way" class="field mt-1 font-normal">
          <option v-for="one in ways" :key="one" :value="one">{{ SHORT_WAY_NAMES[one] }}</option>
        </select>
      </label>
      <p
        role="status"
        class="min-w-[300px] flex-1 pb-2 font-semibold"
        :class="result && !result.fits ? 'text-alert' : ''"
      >
        {{ sentence }}
      </p>
    </div>
    <div v-if="result" class="mt-3 grid grid-cols-[1fr_300px] gap-6">
      <section aria-label="Steps">
        <h3 class="section-head">
          {{ formatClock(result.before) }} → {{ formatClock(result.seconds) }}, step by step
        </h3>
        <p v-if="builder.timesWords.value" class="text-ink2">{{ builder.timesWords.value }}</p>
        <ol class="max-h-[230px] overflow-y-auto">
          <li
            v-for="(change, at) in changes"
            :key="`${at} ${change.key}`"
            class="flex items-center gap-3 border-b border-hair py-0.5"
          >
            <span class="min-w-0 flex-1">{{ change.words }}</span><span class="text-ink2"
              >−{{ formatClock(change.saved) }}</span
            >
            <button
              type="button"
              class="quiet-link text-[12px]"
              :aria-label="`Not this: ${change.words}`"
              @click="refuse(change.key, change.words)"
            >
              not this
            </button>
          </li>
          <li v-if="changes.length === 0" class="text-ink2">It fits as it is.</li>
          <li
            v-for="[key, words] in refusedWords"
            :key="key"
            class="flex items-center gap-3 py-0.5 text-ink2"
          >
            <s class="min-w-0 flex-1">{{ words }}</s>
            <button type="button" class="quiet-link text-[12px]" @click="allow(key)">
              allow again
            </button>
          </li>
        </ol>
        <h3 class="section-head mt-3">The short session</h3>
        <ul class="max-h-[160px] overflow-y-auto text-[12.5px] leading-[18px]">
          <li v-for="line in lines" :key="line" class="border-b border-hair py-0.5">
            {{ line }}
          </li>
        </ul>
      </section>
      <section aria-label="What is kept">
        <h3 class="section-head">Counted sets kept</h3>
        <table class="w-full">
          <thead class="text-[12px] text-ink2">
            <tr>
              <th class="text-left font-normal">Muscle</th>
              <th class="text-right font-normal">short</th>
              <th class="text-right font-normal">planned</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="row in groups"
              :key="row.group"
              :class="row.after < row.before ? 'font-semibold' : ''"
            >
              <th class="text-left font-normal" scope="row">{{ row.name }}</th>
              <td class="text-right" :class="row.after < row.before ? 'text-alert' : ''">
                {{ formatSets(row.after) }}
              </td>
              <td class="text-right text-ink2">{{ formatSets(row.before) }}</td>
            </tr>
          </tbody>
        </table>
        <template v-if="offers.length > 0">
          <h3 class="section-head mt-3">Could be caught up</h3>
          <p v-for="offer in offers" :key="offer.slot.id">
            {{ offer.words }}
          </p>
        </template>
      </section>
    </div>
    <div v-if="result" class="mt-4 flex flex-wrap items-center gap-3 border-t border-hair pt-3">
      <label v-if="dates.length > 0" class="flex items-center gap-2"
        >For
        <select v-model="on" class="small-field" aria-label="Date">
          <option v-for="date in dates" :key="date.on" :value="date.on">
            {{ date.words }}{{ date.isOneOff ? ' (changed already)' : '' }}
          </option>
        </select>
      </label>
      <button type="button" class="control control-strong" :disabled="!on" @click="saveForDate()">
        Only on this date
      </button>
      <button type="button" class="control" @click="saveAsVariant()">Keep as a version</button>
      <button type="button" class="control" @click="useAlways()">From now on</button>
    </div>
  </PanelDialog>
</template>
