<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { useSheetLink } from './useSheetLink'

/** The client's personal link with its QR code, and what went into the outbox. */
const {
  clientId,
  name,
  isFirst = false,
} = defineProps<{
  clientId: string
  name: string
  /** Something was sent, and there is no link to find it by: one is made at once. */
  isFirst?: boolean
}>()
const emit = defineEmits<{ closed: [] }>()
const {
  link,
  isLoaded,
  url,
  qr,
  words,
  complaint,
  writingComplaint,
  messages,
  make,
  withdraw,
  write,
} = useSheetLink(clientId)
onMounted(() => isFirst && make('', null))
const pin = ref('')
const days = ref<number | ''>('')
const text = ref('')
const { copy, copied } = useClipboard({ source: url })
async function send(): Promise<void> {
  if (await write(text.value)) text.value = ''
}
</script>

<template>
  <PanelDialog :title="`Sheet of ${name}`" :width="720" @closed="emit('closed')">
    <div class="mt-3 grid grid-cols-[1fr_200px] gap-5 max-md:grid-cols-1" :aria-busy="!isLoaded">
      <div class="flex flex-col gap-3">
        <p v-if="isFirst">
          Sent. <bdi>{{ name }}</bdi> has no sheet on a phone yet: let the phone’s camera read the
          code, or send the link. It opens once, then stays on that phone.
        </p>
        <p v-else>{{ words }}</p>
        <template v-if="url">
          <label class="flex flex-col gap-1 font-semibold"
            >The link, shown this once
            <input
              :value="url"
              readonly
              class="field text-[12px] font-normal"
              @focus="($event.target as HTMLInputElement).select()"
            />
          </label>
          <div class="flex gap-2">
            <button type="button" class="control control-strong" @click="copy()">
              {{ copied ? 'Copied' : 'Copy the link' }}
            </button>
            <a class="control" :href="url" target="_blank" rel="noopener">Open it here</a>
          </div>
          <p class="text-[12px] text-ink2">
            Only its hash is kept, so it cannot be shown again. Whoever has the link sees the sent
            sessions and can log them, nothing else.
          </p>
        </template>
        <form
          class="flex flex-wrap items-end gap-3 border-t border-hair pt-3"
          @submit.prevent="make(pin, days === '' ? null : days)"
        >
          <label class="flex flex-col gap-1"
            >PIN, if you want one<input
              v-model="pin"
              class="small-field w-[110px]"
              inputmode="numeric"
              :maxlength="LIMITS.pinDigits"
              autocomplete="off"
              placeholder="4 to 8 digits"
          /></label>
          <label class="flex flex-col gap-1"
            >Runs out after days<input
              v-model="days"
              type="number"
              v-bind="LIMITS.linkDays"
              class="small-field w-[110px]"
              placeholder="never"
          /></label>
          <button type="submit" class="control" :class="url ? '' : 'control-strong'">
            {{ link && !link.isOver ? 'Make a new link' : 'Make the link' }}
          </button>
          <button v-if="link && !link.isOver" type="button" class="control" @click="withdraw">
            Withdraw it
          </button>
        </form>
        <p v-if="link && !link.isOver" class="text-[12px] text-ink2">
          A new link ends the one before, on every phone.
        </p>
        <p v-if="complaint" role="alert" class="alert-chip">
          {{ complaint }}
        </p>
      </div>
      <img
        v-if="qr"
        :src="qr"
        width="200"
        height="200"
        alt="QR code of the link"
        class="rounded border border-edge bg-paper"
      />
      <div
        v-else
        class="grid size-[200px] place-items-center rounded border border-dashed border-edge p-4 text-center text-ink2"
      >
        A QR code for the phone’s camera appears with a new link
      </div>
    </div>
    <section class="mt-4 border-t border-hair pt-3" aria-labelledby="outbox-head">
      <h3 id="outbox-head" class="text-[14px]">Messages</h3>
      <p class="text-[12px] text-ink2">
        Your own words and answers to pain stand on the sheet. Copy what you also want to send by
        mail or phone.
      </p>
      <ul class="mt-2 max-h-[180px] overflow-y-auto" tabindex="0" aria-label="Messages">
        <li v-for="message in messages" :key="message.id" class="border-b border-hair py-1">
          <span class="text-[12px] text-ink2">{{ message.when }}, {{ message.about }}</span
          ><span class="block">{{ message.text }}</span>
        </li>
      </ul>
      <form class="mt-2 flex gap-2" @submit.prevent="send">
        <input
          v-model="text"
          class="field"
          :maxlength="LIMITS.longText"
          aria-label="A message in your words"
          placeholder="A message in your words"
        />
        <button type="submit" class="control" :disabled="text.trim() === ''">Write it</button>
      </form>
      <p v-if="writingComplaint" role="alert" class="alert-chip mt-1">
        {{ writingComplaint }}
      </p>
    </section>
    <ShownLinks :client-id="clientId" />
  </PanelDialog>
</template>
