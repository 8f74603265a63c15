/** A way of a place: one screen about a client. */
export interface Way {
  readonly id: WayId
  readonly name: string
  /** Behind `/clients/{id}`. */
  readonly path: string
  /** The letter that leads here after `⇧G`. */
  readonly letter: string
  /** What is there, for the box that finds things. */
  readonly hint: string
}
export type WayId =
  | 'split'
  | 'session'
  | 'block'
  | 'proposals'
  | 'season'
  | 'log'
  | 'review'
  | 'trends'
  | 'rehearsal'
  | 'report'
  | 'profile'
  | 'targets'
  | 'history'

interface Place {
  readonly id: 'plan' | 'follow' | 'client'
  readonly name: string
  readonly ways: readonly [Way, ...Way[]]
}

/** Everything there is about a client, by what a coach wants there. */
export const PLACES: readonly [Place, ...Place[]] = [
  {
    id: 'plan',
    name: 'Plan',
    ways: [
      {
        id: 'split',
        name: 'Split',
        path: '/split',
        letter: 's',
        hint: 'the rotation, day by day',
      },
      {
        id: 'session',
        name: 'Session',
        path: '/session/1',
        letter: 'e',
        hint: 'day 1 to scale; the day before and after from there',
      },
      {
        id: 'block',
        name: 'Block',
        path: '/block',
        letter: 'b',
        hint: 'weeks, ramps, loads, charts, calendar, sending',
      },
      {
        id: 'proposals',
        name: 'Proposals',
        path: '/proposals',
        letter: 'p',
        hint: 'ways to place the sets, to choose from',
      },
      {
        id: 'season',
        name: 'Season',
        path: '/season',
        letter: 'j',
        hint: 'blocks in a row, what each asks where it follows another',
      },
    ],
  },
  {
    id: 'follow',
    name: 'Follow',
    ways: [
      {
        id: 'log',
        name: 'Log',
        path: '/log',
        letter: 'l',
        hint: 'sessions as done, from paper, from a file; sheet link',
      },
      {
        id: 'review',
        name: 'Review',
        path: '/review',
        letter: 'r',
        hint: 'plan beside log, what to change next',
      },
      {
        id: 'trends',
        name: 'Trends',
        path: '/trends',
        letter: 't',
        hint: 'strength with its uncertainty, volume, readiness, girths',
      },
      {
        id: 'rehearsal',
        name: 'Rehearsal',
        path: '/rehearsal',
        letter: 'h',
        hint: 'the block gone through by a simulated client',
      },
      {
        id: 'report',
        name: 'Report',
        path: '/report',
        letter: 'o',
        hint: 'the block told to the client, on paper; closing notes',
      },
    ],
  },
  {
    id: 'client',
    name: 'Client',
    ways: [
      { id: 'profile', name: 'Profile', path: '', letter: 'f', hint: 'intake, method, priorities' },
      {
        id: 'targets',
        name: 'Targets',
        path: '/targets',
        letter: 'a',
        hint: 'bands, frequency, limits',
      },
      {
        id: 'history',
        name: 'History',
        path: '/history',
        letter: 'i',
        hint: 'sessions, pain, measurements',
      },
    ],
  },
]

const [plan, ...others] = PLACES
const [split, ...planning] = plan.ways
/** Every screen about a client, the split first. */
export const WAYS: readonly [Way, ...Way[]] = [
  split,
  ...planning,
  ...others.flatMap(({ ways }) => ways),
]

/** The place a way belongs to. */
export function placeOf(way: WayId): Place {
  const place = PLACES.find(({ ways }) => ways.some(({ id }) => id === way))
  if (!place) throw new Error(`no place holds ${way}`)
  return place
}

/** Screens of the whole studio, with the letter that leads there after `⇧G`. */
export const STUDIO_WAYS = [
  { id: 'roster', name: 'Roster', path: '/roster', letter: '1', hint: 'all clients' },
  { id: 'floor', name: 'Floor', path: '/floor', letter: '2', hint: 'who trains today, and when' },
  {
    id: 'queue',
    name: 'Queue',
    path: '/queue',
    letter: '3',
    hint: 'reviews one after the other',
  },
  {
    id: 'exercises',
    name: 'Exercises',
    path: '/exercises',
    letter: 'x',
    hint: 'the library, credits, your own',
  },
  {
    id: 'methods',
    name: 'Methods',
    path: '/methods',
    letter: 'm',
    hint: 'ways of training, side by side',
  },
  {
    id: 'compare',
    name: 'Compare',
    path: '/compare',
    letter: 'c',
    hint: 'two rotations side by side',
  },
  {
    id: 'what-if',
    name: 'What if',
    path: '/what-if',
    letter: '4',
    hint: 'something that happens to everybody',
  },
  { id: 'outbox', name: 'Outbox', path: '/outbox', letter: 'w', hint: 'messages to clients' },
  { id: 'archive', name: 'Archive', path: '/archive', letter: 'v', hint: 'clients put away' },
  {
    id: 'account',
    name: 'Account',
    path: '/account',
    letter: 'n',
    hint: 'name, units, dates, password, sign-ins',
  },
] as const
export type StudioWayId = (typeof STUDIO_WAYS)[number]['id']

/** The way an address shows; the split where it shows none. */
export function wayAt(path: string): Way {
  const [, rest] = /^\/clients\/[^/]+\/?([^/?]*)/.exec(path) ?? []
  return WAYS.find(({ path: own }) => (own.split('/')[1] ?? '') === rest) ?? split
}

/** Where one rotation is opened by itself, it stays so from the board to the session and on to the block. */
const KEEPS_ROTATION: ReadonlySet<WayId> = new Set(['split', 'session', 'block'])
export const rotationTail = (here: WayId, to: WayId, rotation: unknown): string =>
  here !== 'block' &&
  KEEPS_ROTATION.has(here) &&
  KEEPS_ROTATION.has(to) &&
  typeof rotation === 'string'
    ? `?rotation=${encodeURIComponent(rotation)}`
    : ''
