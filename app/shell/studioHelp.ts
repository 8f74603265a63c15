import type { StudioWayId } from './places'

/** What the help says of one screen beside its keys. */
export interface ScreenHelp {
  /** A sign, and what it means. */
  readonly signs: readonly (readonly [sign: string, meaning: string])[]
  /** Three short ways to get something done. */
  readonly ways: readonly [string, string, string]
  /** What the guide is searched for. */
  readonly guide: string
}

/** Signs and ways of the screens of the whole studio. */
export const STUDIO_HELP: Readonly<Record<StudioWayId, ScreenHelp>> = {
  roster: {
    signs: [
      ['Now', 'needs you today: pain, a missed session, nothing sent'],
      ['lying peg', 'missed'],
      ['flag', 'your own mark: first in its section'],
    ],
    ways: [
      'Settle a missed session: ↓ to the client, 1, then the number of the way.',
      'Not today: → opens the reasons, L asks again later.',
      'Find anything: / and a few letters.',
    ],
    guide: 'roster',
  },
  floor: {
    signs: [
      [
        'box on a lane',
        'what is done in one go, as long as it takes; below it the station it holds',
      ],
      ['hatched box', 'getting warm, and the way there'],
      ['dashed box', 'somebody waits'],
      ['blue line', 'now'],
    ],
    ways: [
      'Mend a wait: N to it, then the number of a way out; O says whether it holds from now on.',
      'Move a start: the client’s lane, then ⇧ ← or ⇧ →.',
      'See what is free when: S turns the lanes to stations.',
    ],
    guide: 'floor',
  },
  'what-if': {
    signs: [
      ['tick', 'this client is changed; without it she stays as she is'],
      ['by hand', 'nothing stands in: change it on the board'],
      ['grey tick', 'only told: nothing of hers is written'],
    ],
    ways: [
      'A broken station: choose it, how many are left and the days, then L.',
      'Leave somebody out: take the tick away before A.',
      'Tell the clients: S sends what changed; Z takes all of it back.',
    ],
    guide: 'what if',
  },
  queue: {
    signs: [
      ['! ▬ ↕ •', 'pain, a missed session, proposals to decide about, a rotation that ended'],
      ['safe for all', 'strong evidence, a small step, no joint noted, nothing missed'],
      ['bar with a dot', 'change of strength a week, and the range it lies in four times in five'],
    ],
    ways: [
      'Go through it: Enter takes a proposal, Del refuses, N is the next client.',
      'Settle many at once: take ticks away, then A.',
      'Take back: Z, also what was done for a client before.',
    ],
    guide: 'queue',
  },
  exercises: {
    signs: [
      ['credit', 'what one set counts for a muscle: 1 direct, a part indirect'],
      ['yours', 'added by you'],
      ['caution', 'where it can hurt, and for whom'],
    ],
    ways: [
      'Change a credit: for all clients or for one; what it does is shown before.',
      'Add an exercise: “Copy as my own” on one that is like it, then change it.',
      'Find one: type its name, muscle or equipment.',
    ],
    guide: 'exercises',
  },
  methods: {
    signs: [
      ['blue with a bar', 'differs from the usual method'],
      ['direct only, in part, whole', 'how an indirect set is counted'],
      ['yours', 'a copy you changed'],
    ],
    ways: [
      'Make your own: copy one and change its settings.',
      'See another method over a board: ⇧M there.',
      'Follow it: choose it on the client’s profile.',
    ],
    guide: 'counting',
  },
  compare: {
    signs: [
      ['blue', 'differs on the right'],
      ['version', 'a save of the plan'],
      ['by', 'counted as another method counts'],
    ],
    ways: [
      'Two clients: choose one on either side.',
      'Before and after: one client, two versions.',
      'One plan by two methods: choose the method on one side.',
    ],
    guide: 'compare',
  },
  outbox: {
    signs: [
      ['rotation sent', 'what the client was told of a sending'],
      ['your words', 'stands on the sheet for two weeks'],
      ['answer to pain', 'stands on the sheet, and refers to a professional'],
    ],
    ways: [
      'Write to a client: the name, then “Write it”.',
      'Answer a note: on Review, under what the client wrote.',
      'Take a message back: Z on a page of the client, while nothing was done since.',
    ],
    guide: 'link',
  },
  archive: {
    signs: [
      ['since', 'when it was put away'],
      ['Export', 'everything of the client as a file'],
      ['Erase', 'for good: asks for the full name'],
    ],
    ways: [
      'Bring one back: Restore.',
      'Put one away: at the foot of the profile.',
      'Keep a copy first: Export.',
    ],
    guide: 'archive',
  },
  account: {
    signs: [
      ['dates and figures', 'hold on every screen, sheet and page of paper'],
      ['can load', 'loads are rounded to what there is'],
      ['sign-ins', 'places where you are signed in'],
    ],
    ways: [
      'Lost a phone: “Sign out everywhere”.',
      'Take everything along: “Export everything”.',
      'Other plates: “What the studio can load”.',
    ],
    guide: 'load',
  },
}
