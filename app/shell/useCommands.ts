import { capitalised } from '#core/words'
import { RosterView } from '#shared/contracts/roster'

/** Something that can be reached by typing its name. */
export interface Command {
  readonly name: string
  readonly kind: 'client' | 'screen' | 'action'
  readonly hint: string
  readonly run: () => unknown
}

/** Everything the search-and-command box knows: clients of the coach, screens, and what can be done anywhere. */
export function useCommands() {
  const { ask } = useApi()
  const { signOut } = useSignIn()
  const { next: nextTheme } = useTheme()
  const { sections } = useShownActions()
  /** Known from the last time, so that a quick hand need not wait for the answer. */
  const clients = useState<RosterView['clients']>('command-clients', () => [])
  const isOpen = ref(false)

  async function open(): Promise<void> {
    isOpen.value = true
    const result = await ask('/api/roster', { answer: RosterView })
    if (result.ok) clients.value = result.value.clients
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
    ...clients.value.flatMap(({ id, name, about }): Command[] => [
      {
        name,
        kind: 'client',
        hint: about === '' ? 'split board' : `${about} · split board`,
        run: () => navigateTo(`/clients/${id}/split`),
      },
      {
        name: `${name}: session`,
        kind: 'client',
        hint: 'day 1 to scale; the day before and after from there',
        run: () => navigateTo(`/clients/${id}/session/1`),
      },
      {
        name: `${name}: block`,
        kind: 'client',
        hint: 'weeks, ramps, loads, charts, calendar, sending',
        run: () => navigateTo(`/clients/${id}/block`),
      },
      {
        name: `${name}: proposals`,
        kind: 'client',
        hint: 'ways to place the sets, to choose from',
        run: () => navigateTo(`/clients/${id}/proposals`),
      },
      {
        name: `${name}: print`,
        kind: 'client',
        hint: 'the rotation on paper',
        run: () => navigateTo(`/clients/${id}/print`),
      },
      {
        name: `${name}: log`,
        kind: 'client',
        hint: 'sessions as done, from paper, from a file; sheet link',
        run: () => navigateTo(`/clients/${id}/log`),
      },
      {
        name: `${name}: review`,
        kind: 'client',
        hint: 'plan beside log, what to change next',
        run: () => navigateTo(`/clients/${id}/review`),
      },
      {
        name: `${name}: trends`,
        kind: 'client',
        hint: 'strength with its uncertainty, volume, readiness, girths',
        run: () => navigateTo(`/clients/${id}/trends`),
      },
      {
        name: `${name}: rehearsal`,
        kind: 'client',
        hint: 'the block gone through by a simulated client',
        run: () => navigateTo(`/clients/${id}/rehearsal`),
      },
      {
        name: `${name}: block report`,
        kind: 'client',
        hint: 'told to the client, on paper; closing notes',
        run: () => navigateTo(`/clients/${id}/report`),
      },
      {
        name: `${name}: targets`,
        kind: 'client',
        hint: 'bands, frequency, limits',
        run: () => navigateTo(`/clients/${id}/targets`),
      },
      {
        name: `${name}: history`,
        kind: 'client',
        hint: 'sessions, trends, pain, measurements',
        run: () => navigateTo(`/clients/${id}/history`),
      },
      {
        name: `${name}: profile`,
        kind: 'client',
        hint: 'intake, method, priorities',
        run: () => navigateTo(`/clients/${id}`),
      },
    ]),
    { name: 'Roster', kind: 'screen', hint: 'all clients', run: () => navigateTo('/roster') },
    {
      name: 'Methods',
      kind: 'screen',
      hint: 'five ways of training, side by side',
      run: () => navigateTo('/methods'),
    },
    {
      name: 'Exercises',
      kind: 'screen',
      hint: 'the library, credits, your own',
      run: () => navigateTo('/exercises'),
    },
    {
      name: 'Compare',
      kind: 'screen',
      hint: 'two rotations side by side',
      run: () => navigateTo('/compare'),
    },
    {
      name: 'Outbox',
      kind: 'screen',
      hint: 'messages to clients',
      run: () => navigateTo('/outbox'),
    },
    {
      name: 'Archive',
      kind: 'screen',
      hint: 'clients put away',
      run: () => navigateTo('/archive'),
    },
    {
      name: 'Account',
      kind: 'screen',
      hint: 'password, sign-ins',
      run: () => navigateTo('/account'),
    },
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

  /** Commands whose name holds every word typed; names that begin so come first, then clients, screens, actions. */
  function found(typed: string): readonly Command[] {
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
    const fits = commands.value.filter(({ name, hint }) =>
      words.every(word => `${name} ${hint}`.toLowerCase().includes(word)),
    )
    const begins = ({ name }: Command) =>
      Number(words[0] !== undefined && name.toLowerCase().startsWith(words[0]))
    return [...fits].sort((a, b) => begins(b) - begins(a)).slice(0, 12)
  }
  return { isOpen, open, found }
}
