import { Done } from '#shared/contracts/history'
import {
  LinkView,
  MessageBody,
  NewLinkAnswer,
  NewLinkBody,
  OutboxView,
} from '#shared/contracts/sheet'
import { renderSVG } from 'uqr'
import { instantWords } from '~/shell/instantWords'

const MESSAGE_WORDS = {
  link: 'link',
  sent: 'rotation sent',
  pain: 'answer to pain',
  own: 'your words',
} as const

/** A client's personal link: what is known of it, making it anew, withdrawing it; and the messages she would have got. */
export function useSheetLink(clientId: string) {
  const { ask } = useApi()
  const link = shallowRef<LinkView['link']>(null)
  const messages = shallowRef<OutboxView['messages']>([])
  const isLoaded = ref(false)
  /** The new link, told this once. */
  const url = ref('')
  const making = useSubmission({
    path: () => `/api/clients/${clientId}/link`,
    body: NewLinkBody,
    answer: NewLinkAnswer,
  })
  const writing = useSubmission({
    path: () => `/api/clients/${clientId}/messages`,
    body: MessageBody,
    answer: Done,
  })

  async function load(): Promise<void> {
    const [state, outbox] = await Promise.all([
      ask(`/api/clients/${clientId}/link`, { answer: LinkView }),
      ask(`/api/clients/${clientId}/messages`, { answer: OutboxView }),
    ])
    if (state.ok) link.value = state.value.link
    if (outbox.ok) messages.value = outbox.value.messages
    isLoaded.value = true
  }
  onMounted(load)

  async function make(pin: string, days: number | null): Promise<void> {
    const made = await making.send({ pin: pin === '' ? null : pin, days })
    if (!made) return
    url.value = `${location.origin}/sheet/${made.token}`
    await load()
  }
  async function withdraw(): Promise<void> {
    await ask(`/api/clients/${clientId}/link`, { method: 'DELETE', answer: Done })
    url.value = ''
    await load()
  }
  async function write(text: string): Promise<boolean> {
    const done = await writing.send({ text })
    if (done) await load()
    return done !== undefined
  }
  return {
    link,
    isLoaded,
    url,
    make,
    withdraw,
    write,
    complaint: computed(() => making.errors.value[0]?.detail ?? making.complaint.value),
    writingComplaint: computed(() => writing.errors.value[0]?.detail ?? writing.complaint.value),
    /** A picture of the link for a phone's camera; dark on light in both themes, as cameras want it. */
    qr: computed(() =>
      url.value === ''
        ? ''
        : `data:image/svg+xml,${encodeURIComponent(renderSVG(url.value, { border: 2 }))}`,
    ),
    words: computed(() => {
      const held = link.value
      if (!held) return 'No link yet.'
      if (held.isOver)
        return 'The last link was withdrawn or has run out. What was logged with it stays.'
      const parts = [
        `Made ${instantWords(held.createdAt)}`,
        held.hasPin ? 'with a PIN' : 'without a PIN',
        held.expiresAt
          ? `good until ${instantWords(held.expiresAt)}`
          : 'good until you withdraw it',
        held.phones === 0
          ? 'not opened yet'
          : `open on ${held.phones} ${held.phones === 1 ? 'phone' : 'phones'}${held.lastSeenAt ? `, last ${instantWords(held.lastSeenAt)}` : ''}`,
      ]
      return `${parts.join(', ')}.`
    }),
    messages: computed(() =>
      messages.value.map(message => ({
        ...message,
        when: instantWords(message.writtenAt),
        about: MESSAGE_WORDS[message.kind],
      })),
    ),
  }
}
