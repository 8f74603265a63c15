<script setup lang="ts">
import { PAIN_WORDS } from './phonePain'
import { doneWords, JOINT_NAMES, refusedWords } from './phoneWords'
import { usePhoneSheet } from './usePhoneSheet'

/** A client's sheet on her phone, from opening the link to the end of a session. */
const { token } = defineProps<{ token: string }>()
const { store, home, open, place, hurting, soreNotes, status, finishing, finish, show } =
  usePhoneSheet(() => token)
</script>

<template>
  <div class="phone" :data-state="store.state.kind" :data-waiting="store.waiting.length">
    <p v-if="status" role="status" class="flex items-center gap-2 px-5 pt-2 text-[14px] text-ink2">
      <span class="size-2.5 rounded-full border-2 border-edge" aria-hidden="true" /> {{ status }}
    </p>
    <p
      v-for="notice in store.notices"
      :key="notice"
      role="status"
      class="mx-5 mt-2 rounded-lg bg-alert-wash p-3 text-[15px] font-semibold text-alert"
    >
      {{ notice }}
    </p>
    <section
      v-for="{ entry, why, isTold } in store.aside"
      :key="entry.id"
      class="mx-5 mt-3 rounded-lg border-2 border-dashed border-alert p-3 text-[16px]"
      aria-label="Not taken"
    >
      <p>
        <strong>One thing you logged could not be taken:</strong>
        {{ refusedWords(entry, store.view) }}. {{ why }}
        {{ isTold ? 'Your coach has it in the notes.' : 'Tell your coach.' }}
      </p>
      <button type="button" class="phone-control mt-2 w-full" @click="store.forgetAside(entry.id)">
        Got it
      </button>
    </section>
    <section
      v-for="clash in store.clashes"
      :key="clash.mine.id"
      class="mx-5 mt-3 rounded-lg border-2 border-dashed border-alert p-3 text-[16px]"
      aria-label="Logged twice"
    >
      <p v-if="clash.mine.word.kind === 'set'">
        <strong>Logged on another phone too.</strong> Yours: {{ doneWords(clash.mine.word.done) }}.
        Theirs:
        {{ clash.theirs?.word.kind === 'set' ? doneWords(clash.theirs.word.done) : 'taken out' }}.
      </p>
      <div class="mt-2 grid grid-cols-2 gap-2">
        <button type="button" class="phone-control" @click="store.settleClash(clash, 'mine')">
          Keep mine
        </button>
        <button type="button" class="phone-control" @click="store.settleClash(clash, 'theirs')">
          Keep theirs
        </button>
      </div>
    </section>
    <PhonePin
      v-if="store.state.kind === 'pin'"
      :complaint="store.state.complaint"
      @entered="store.enter($event)"
    />
    <main v-else-if="store.state.kind === 'opening'" class="px-5 pt-10 text-[17px] text-ink2">
      Fetching your sheet
    </main>
    <main
      v-else-if="store.state.kind === 'unknown' || (store.state.kind === 'over' && !store.view)"
      class="flex flex-col gap-4 px-5 pt-10"
    >
      <h1 class="font-display text-[30px]">
        {{ store.state.kind === 'over' ? 'This link is over' : 'No sheet here' }}
      </h1>
      <p class="text-[17px]">
        {{ store.state.words }}
      </p>
      <button
        v-if="store.state.kind === 'unknown'"
        type="button"
        class="phone-control self-start"
        @click="store.open(token)"
      >
        Try again
      </button>
    </main>
    <template v-else>
      <p
        v-if="store.state.kind === 'over'"
        role="alert"
        class="mx-5 mt-2 rounded-lg bg-alert-wash p-3 text-[15px] font-semibold text-alert"
      >
        {{ store.state.words
        }}{{
          store.waiting.length > 0
            ? ` ${store.waiting.length} things you logged since are kept on this phone and go out with the new link.`
            : ''
        }}
      </p>
      <PhoneFinish
        v-if="open && finishing"
        :name="open.session.name"
        :minutes="finishing.minutes"
        :sets="finishing.sets"
        :planned="finishing.planned"
        :said="finishing.said"
        @back="show('training')"
        @finished="finish"
      />
      <PhoneTraining
        v-else-if="open && place === 'training'"
        :key="open.session.id"
        :held="open.session"
        :entries="open.entries"
        @left="show('home')"
        @ended="show('finish')"
      />
      <PhoneHome
        v-else
        :today="home.today.value"
        :left="home.left.value"
        :ahead="home.ahead.value"
        :done="home.done.value"
        :comes="home.comes.value"
        :name="store.view?.client.name ?? ''"
        :studio="store.view?.coach.studio ?? ''"
        :words="store.view?.words ?? []"
        :coach="store.view?.coach.name ?? ''"
        :notes="
          soreNotes.map(({ joint, level }) => `Sore: ${JOINT_NAMES[joint]}. ${PAIN_WORDS[level]}`)
        "
        @opened="show('training', $event)"
        @hurting="hurting.isOpen = true"
      />
      <PhoneHurt
        v-if="hurting.isOpen"
        :levels="store.levels"
        @closed="hurting.isOpen = false"
        @reported="hurting.tell"
      />
    </template>
  </div>
</template>
