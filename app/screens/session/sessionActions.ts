import { type ActionTable, arrowStep, DIGITS } from '~/shell/actions'
import type { SessionBuilder } from './useSessionBuilder'

/** The Session builder with what its page adds to it. */
export interface SessionPage {
  readonly builder: SessionBuilder
  readonly toDay: (day: number) => void
  readonly write: () => void
}

const steps = (pressed: Parameters<typeof arrowStep>[0]) => {
  const { across, down } = arrowStep(pressed)
  return { groupings: across, slots: down }
}
const CHOOSE_FIRST = 'N chooses something to look at first.'

/** Everything that can be done in the Session builder. */
export const SESSION_ACTIONS: ActionTable<SessionPage> = {
  title: 'the Session builder',
  mouse: 'drag a plank of the strip before, after or onto another; onto it they are done together.',
  actions: [
    {
      id: 'group',
      keys: ['ArrowLeft', 'ArrowRight'],
      label: 'choose a group of exercises',
      do: ({ builder }, pressed) => builder.go(steps(pressed)),
      isByKeyOnly: true,
    },
    {
      id: 'exercise',
      keys: ['ArrowUp', 'ArrowDown'],
      label: 'choose an exercise',
      do: ({ builder }, pressed) => builder.go(steps(pressed)),
      isByKeyOnly: true,
    },
    {
      id: 'move_group',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      label: 'move the group',
      do: ({ builder }, pressed) => builder.move(steps(pressed)),
      isByKeyOnly: true,
    },
    {
      id: 'move_partner',
      keys: ['Shift+ArrowUp', 'Shift+ArrowDown'],
      label: 'move among partners',
      do: ({ builder }, pressed) => builder.move(steps(pressed)),
      isByKeyOnly: true,
    },
    {
      id: 'write',
      keys: ['Enter'],
      label: 'its sets as shorthand',
      do: ({ write }) => write(),
      isByKeyOnly: true,
    },
    { id: 'add', keys: ['e'], label: 'add exercises', do: ({ builder }) => builder.open('add') },
    {
      id: 'pair',
      keys: ['s'],
      label: 'do it together with the next one, or apart',
      do: ({ builder }) => builder.togglePair(),
    },
    {
      id: 'more_sets',
      keys: ['+', '='],
      caps: ['+'],
      label: 'a set more',
      do: ({ builder }) => builder.changeSets(1),
    },
    {
      id: 'fewer_sets',
      keys: ['-', '−'],
      caps: ['−'],
      label: 'a set less',
      do: ({ builder }) => builder.changeSets(-1),
    },
    {
      id: 'rest',
      keys: ['[', ']'],
      label: 'rest 15 s shorter, longer',
      do: ({ builder }, { key }) => builder.changeRest(key === '[' ? -1 : 1),
      isByKeyOnly: true,
    },
    {
      id: 'swap',
      keys: ['v'],
      label: 'swap the exercise',
      when: ({ builder }) => builder.selected.value !== null,
      do: ({ builder }) => builder.open('swap'),
    },
    {
      id: 'warm_up',
      keys: ['w'],
      label: 'propose warm-up sets',
      when: ({ builder }) => builder.selected.value !== null,
      do: ({ builder }) => builder.warmUp(builder.selected.value!),
    },
    {
      id: 'remove',
      keys: ['Delete', 'Backspace'],
      caps: ['Del'],
      label: 'take the exercise out',
      do: ({ builder }) => builder.remove(),
    },
    {
      id: 'short',
      keys: ['l'],
      label: 'only so many minutes',
      do: ({ builder }) =>
        builder.slots.value.length > 0
          ? builder.open('short')
          : builder.say('Nothing to shorten yet.'),
    },
    {
      id: 'templates',
      keys: ['b'],
      label: 'session templates',
      do: ({ builder }) => builder.open('templates'),
    },
    {
      id: 'text',
      keys: ['x'],
      label: 'the session as text',
      do: ({ builder }) => builder.open('text'),
    },
    {
      id: 'versions',
      keys: ['o'],
      label: 'versions and single dates',
      do: ({ builder }) => builder.open('versions'),
    },
    {
      id: 'straight',
      keys: ['t'],
      label: 'show the same sets straight',
      do: ({ builder }) => (builder.showsStraight.value = !builder.showsStraight.value),
    },
    {
      id: 'next_finding',
      keys: ['n'],
      label: 'next thing to look at',
      do: ({ builder }) => builder.nextNotice(),
    },
    {
      id: 'fix',
      keys: ['f'],
      label: 'fix it',
      do: ({ builder }) =>
        builder.notice.value ? builder.fix(builder.notice.value) : builder.say(CHOOSE_FIRST),
    },
    {
      id: 'dismiss',
      keys: ['d'],
      label: 'dismiss it',
      do: ({ builder }) =>
        builder.notice.value ? builder.open('dismiss') : builder.say(CHOOSE_FIRST),
    },
    {
      id: 'day',
      keys: [...DIGITS],
      caps: ['1', '…', '9'],
      label: 'another day',
      do: ({ toDay }, { key }) => toDay(Number(key) - 1),
      isByKeyOnly: true,
    },
    {
      id: 'close',
      keys: ['Escape'],
      label: 'close what stands over the session',
      do: ({ builder }) => builder.close(),
      isByKeyOnly: true,
    },
  ],
}
