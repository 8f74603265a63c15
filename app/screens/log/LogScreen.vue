<script setup lang="ts">
import { JOINT_NAMES } from '#core/words'
import { useMounted } from '@vueuse/core'
import { LOG_ACTIONS } from './logActions'

/** The log: sessions on the left, the open one as prescribed beside as done. */
const route = useRoute()
const id = String(route.params.clientId)
const { name, rows, chosen, choose, step, refresh } = await useLog(id)
const session = useSessionLog(id, () => chosen.value?.id ?? null)
const { log, state, complaints, notice, blocks, pains, notes, said, clockOff } = session
// Drawn by the server first: until the page is alive it takes no click.
const isLive = useMounted()
const panel = ref<'link' | 'import' | null>(route.query.panel === 'link' ? 'link' : null)
useHead({ title: () => `Log of ${name.value} · Tholepin` })
useActions(LOG_ACTIONS, { step, open: which => (panel.value = which) })

async function saved(run: Promise<unknown>): Promise<void> {
  await run
  await refresh()
}
</script>

<template>
  <div :aria-busy="!isLive || state === 'loading'">
    <ClientBar :id="id" :name="name" here="log" />
    <main
      class="grid grid-cols-[300px_minmax(0,1fr)] gap-8 px-5 pt-4 pb-12 max-lg:grid-cols-[220px_minmax(0,1fr)] max-lg:gap-5 max-md:grid-cols-1 max-md:px-3"
    >
      <nav aria-label="Sessions">
        <h1 class="font-display text-[23px] leading-[27px]">Log</h1>
        <p class="my-2 flex gap-2">
          <button type="button" class="control" @click="panel = 'link'">
            Sheet link <KeyCap label="K" />
          </button>
          <button type="button" class="control" @click="panel = 'import'">
            Import <KeyCap label="I" />
          </button>
          <a class="control" :href="`/api/clients/${id}/log/csv`" download>CSV</a>
        </p>
        <label class="md:hidden"
          ><span class="sr-only">Session</span>
          <select
            class="field"
            :value="chosen?.id"
            @change="choose(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="row in rows" :key="row.id" :value="row.id">
              {{ row.day }} {{ row.name }}, {{ row.words }}
            </option>
          </select></label
        >
        <ol class="flex flex-col max-md:hidden">
          <li v-for="row in rows" :key="row.id">
            <button
              type="button"
              class="flex w-full items-baseline gap-2 rounded border-b border-hair px-2 py-1 text-left hover:bg-sunk"
              :class="row.id === chosen?.id ? 'bg-paper font-semibold' : ''"
              :aria-current="row.id === chosen?.id ? 'true' : undefined"
              @click="choose(row.id)"
            >
              <span class="w-[78px]">{{ row.day }}</span><span class="flex-1 truncate">{{
                row.name
              }}</span>
              <span v-if="row.aside > 0" class="alert-chip text-[12px]"
                >{{ row.aside }} to look at</span
              >
              <span
                class="text-[12px]"
                :class="row.state === 'missed' ? 'font-semibold text-alert' : 'text-ink2'"
                >{{ row.words
                }}{{ row.isWorked ? ` ${row.setsDone}/${row.setsPlanned}` : '' }}</span
              >
            </button>
          </li>
        </ol>
        <p v-if="rows.length === 0" class="text-ink2">
          No sessions yet. Send a rotation on the Block page; it shows up here.
        </p>
      </nav>
      <section v-if="chosen" :aria-label="`${chosen.name}, ${chosen.day}`">
        <header class="flex items-baseline gap-3">
          <h2 class="font-display text-[21px]">{{ chosen.name }}, {{ chosen.day }}</h2>
          <p class="text-ink2">
            {{ chosen.words }}, {{ chosen.setsDone }} of {{ chosen.setsPlanned }} sets{{
              chosen.minutes === null ? '' : `, ${chosen.minutes} min`
            }}
          </p>
          <p class="ml-auto text-[12px] text-ink2" role="status">
            {{ state === 'saving' ? 'Saving' : '' }}
          </p>
        </header>
        <p v-if="notice" role="alert" class="alert-chip mt-2">
          {{ notice }}
        </p>
        <p v-for="pain in pains" :key="pain.id" class="alert-chip mt-2 mr-2">
          {{ pain.joints.map(joint => JOINT_NAMES[joint]).join(' and ') }}, {{ pain.side }}:
          {{ pain.score }} of 10{{ pain.hasAlarmSign ? ', with an alarm sign' : '' }} ({{
            pain.at
          }})
        </p>
        <p v-for="note in notes" :key="note.text" class="mt-2">
          “{{ note.text }}”<span v-if="note.about" class="text-ink2"> about {{ note.about }}</span>
        </p>
        <p v-if="said.length > 0" class="mt-2">
          <span class="text-ink2">Said:</span> <bdi>{{ said.join('; ') }}</bdi>
        </p>
        <p v-if="clockOff > 0" class="mt-2 text-[12px] text-ink2">
          The phone’s clock was {{ Math.round(clockOff / 60) }} min off; times here are put right.
        </p>
        <p v-if="state === 'failed'" role="alert" class="alert-chip mt-2">
          The session could not be fetched.
          <button type="button" class="underline" @click="session.load()">Try again</button>
        </p>
        <p v-if="state === 'loading'" class="mt-3 text-ink2">Fetching the session</p>
        <template v-if="log">
          <SessionLogTable
            class="mt-3"
            :blocks="blocks"
            :complaints="complaints"
            @saved="(line, fields) => saved(session.save([[line, fields]]))"
            @planned="lines => saved(session.asPlanned(lines))"
            @taken="(line, value) => saved(session.take(line, value))"
            @cleared="line => saved(session.clear(line))"
          />
          <SessionEnd
            :finish="log.finish"
            :is-busy="state === 'saving'"
            :too-early="session.tooEarly.value"
            @finished="word => saved(session.finish(word))"
          />
          <SessionNote :client-id="id" :session="chosen.id" :on="chosen.on" />
          <p class="mt-4 text-[12px] text-ink2">
            <KeyCap label="Enter" /> saves a set, empty fields as planned, and goes on ·
            <KeyCap label="↑" /> <KeyCap label="↓" /> from set to set · <KeyCap label="," />{{ ' '
            }}<KeyCap label="." /> sessions · 4+ for four or more left ·
            <kbd>6@20, drop 5@16</kbd> for a set that went on
          </p>
        </template>
      </section>
    </main>
    <SheetLinkDialog v-if="panel === 'link'" :client-id="id" :name="name" @closed="panel = null" />
    <LogImportDialog
      v-if="panel === 'import'"
      :client-id="id"
      @closed="panel = null"
      @imported="saved(session.load())"
    />
  </div>
</template>
