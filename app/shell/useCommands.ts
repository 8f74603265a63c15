import { capitalised, formatDay } from '#core/words'
import { FoundNotes } from '#shared/contracts/notes'
import { RosterView } from '#shared/contracts/roster'
import { useWritten } from './useApi'
import { STUDIO_WAYS, type Way, wayAt, WAYS } from './places'

/** Something that can be reached by typing its name. */
export interface Command {
  readonly name: string
  readonly kind: 'client' | 'screen' | 'action' | 'note'
  readonly hint: string
  readonly run: () => unknown
}

const MOST_FOUND = 12
/** How long the list of clients is good for. */
const FRESH_MS = 60_000
/** Letters before notes are searched, and of a note that are shown. */
const LEAST_SEARCHED = 3
const NOTE_SHOWN = 60

/** Everything the search-and-command box knows: clients of the coach, screens, and what can be done anywhere. */
export function useCommands() {
  const { ask } = useApi()
  const { signOut } = useSignIn()
  const { next: nextTheme } = useTheme()
  const { sections } = useShownActions()
  /** Known from the last time, so that a quick hand need not wait for the answer. */
  const clients = useState<RosterView['clients']>('command-clients', () => [])
  const isOpen = ref(false)

  const written = useWritten()
  /** When they were asked for, and what had been written by then: for a while nothing changes but from here. */
  const asked = useState('command-clients-asked', () => ({ at: 0, written: -1 }))

  async function open(): Promise<void> {
    isOpen.value = true
    const isFresh =
      asked.value.written === written.value && performance.now() - asked.value.at < FRESH_MS
    if (isFresh) return
    const result = await ask('/api/roster', { answer: RosterView })
    if (!result.ok) return
    clients.value = result.value.clients
    asked.value = { at: performance.now(), written: written.value }
  }

  /** What the open screen can do, with the key that does it at once. */
  const ofThisScreen = computed(() =>
    sections.value.flatMap(({ actions }) =>
      actions
        .filter(({ isByKeyOnly }) => !isByKeyOnly)
        .map(({ label, caps, run }): Command => ({
          name: capitalised(label),
          kind: 'action',
          hint: `here, ${caps.join(' ')}`,
          run,
        })),
    ),
  )

  const commands = computed<readonly Command[]>(() => [
    ...clients.value.flatMap(client => [
      asClient(client, WAYS[0]),
      ...WAYS.slice(1).map(way =>
        asClient(client, way, `${client.name}: ${way.name.toLowerCase()}`),
      ),
      {
        name: `${client.name}: print`,
        kind: 'client' as const,
        hint: 'the rotation on paper',
        run: () => navigateTo(`/clients/${client.id}/print`),
      },
    ]),
    ...STUDIO_WAYS.map(({ name, hint, path }): Command => ({
      name,
      kind: 'screen',
      hint,
      run: () => navigateTo(path),
    })),
    ...ofThisScreen.value,
    {
      name: 'New client',
      kind: 'action',
      hint: 'intake on one page',
      run: () => navigateTo('/clients/new'),
    },
    { name: 'Change the theme', kind: 'action', hint: 'system, light, dark', run: nextTheme },
    { name: 'Sign out', kind: 'action', hint: '', run: signOut },
  ])

  function asClient(
    { id, name, about }: RosterView['clients'][number],
    way: Way,
    called: string = name,
  ): Command {
    const hint =
      called === name ? [about, way.name.toLowerCase()].filter(Boolean).join(' · ') : way.hint
    return {
      name: called,
      kind: 'client',
      hint,
      run: () => navigateTo(`/clients/${id}${way.path}`),
    }
  }
  const route = useRoute()
  /** Clients by name, each leading to the screen that is open now. */
  function clientsHere(typed: string): readonly Command[] {
    const way = wayAt(route.path)
    return foundIn(
      clients.value.map(client => asClient(client, way)),
      typed,
    )
  }

  /** Commands whose name holds every word typed; names that begin so come first, then clients, screens, actions. */
  function foundIn(all: readonly Command[], typed: string): readonly Command[] {
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
    const fits = all.filter(({ name, hint }) =>
      words.every(word => `${name} ${hint}`.toLowerCase().includes(word)),
    )
    const begins = ({ name }: Command) =>
      Number(words[0] !== undefined && name.toLowerCase().startsWith(words[0]))
    return [...fits].sort((a, b) => begins(b) - begins(a)).slice(0, MOST_FOUND)
  }
  const found = (typed: string) => foundIn(commands.value, typed)
  /** Notes that hold what was typed, each leading to its client. */
  async function foundNotes(typed: string): Promise<readonly Command[]> {
    if (typed.trim().length < LEAST_SEARCHED) return []
    const result = await ask(`/api/notes?q=${encodeURIComponent(typed)}`, { answer: FoundNotes })
    if (!result.ok) return []
    return result.value.notes.map(({ text, on, client, clientId }) => ({
      name: text.length > NOTE_SHOWN ? `${text.slice(0, NOTE_SHOWN)}…` : text,
      kind: 'note',
      hint: `note of ${formatDay(on)} · ${client}`,
      run: () => navigateTo(`/clients/${clientId}/history#notes`),
    }))
  }
  return { isOpen, open, found, foundNotes, clientsHere }
}
