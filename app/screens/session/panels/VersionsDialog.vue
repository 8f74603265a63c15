<script setup lang="ts">
import { useSession } from '../sessionContext'

const builder = useSession()
const { oneOffs, variants, dates, on, put, putForDate, dropOneOff, dropVariant } =
  useSessionVersions(builder)
</script>

<template>
  <PanelDialog title="Versions and single dates" :width="720" @closed="builder.close()">
    <h3 class="section-head mt-3">Single dates</h3>
    <p v-if="oneOffs.length === 0" class="text-ink2">
      Every date has the session as it is planned. Only N minutes (L) and Swap (V) can change a
      single date.
    </p>
    <details v-for="one in oneOffs" :key="one.on" class="border-b border-hair py-1">
      <summary class="cursor-pointer">
        <b>{{ one.words }}</b> {{ one.why }}, {{ one.minutes }}
        <button
          type="button"
          class="quiet-link ml-3 text-[12px]"
          @click.prevent="dropOneOff(one.on)"
        >
          back to the plan
        </button>
      </summary>
      <ul class="pl-4 text-[12.5px] leading-[18px]">
        <li v-for="line in one.lines" :key="line">
          {{ line }}
        </li>
      </ul>
    </details>
    <h3 class="section-head mt-4">Versions at hand</h3>
    <p v-if="variants.length === 0" class="text-ink2">None yet. Only N minutes (L) can keep one.</p>
    <details v-for="one in variants" :key="one.name" class="border-b border-hair py-1">
      <summary class="cursor-pointer">
        <b>{{ one.name }}</b> {{ one.minutes }}
        <button type="button" class="quiet-link ml-3 text-[12px]" @click.prevent="put(one.name)">
          use it from now on
        </button>
        <button
          v-if="on"
          type="button"
          class="quiet-link ml-3 text-[12px]"
          @click.prevent="putForDate(one.name)"
        >
          use it on the date below
        </button>
        <button
          type="button"
          class="quiet-link ml-3 text-[12px]"
          @click.prevent="dropVariant(one.name)"
        >
          remove
        </button>
      </summary>
      <ul class="pl-4 text-[12.5px] leading-[18px]">
        <li v-for="line in one.lines" :key="line">
          {{ line }}
        </li>
      </ul>
    </details>
    <label v-if="variants.length > 0 && dates.length > 0" class="mt-3 flex items-center gap-2"
      >Date
      <select v-model="on" class="small-field">
        <option v-for="date in dates" :key="date.on" :value="date.on">{{ date.words }}</option>
      </select>
    </label>
  </PanelDialog>
</template>
