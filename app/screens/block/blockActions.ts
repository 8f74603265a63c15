import { EFFORT } from '#core/words'
import { type ActionTable, ARROWS, arrowStep } from '~/shell/actions'
import type { BlockState } from './useBlock'

/** The views of the Block page, in the order of their numbers. */
export const BLOCK_VIEWS = [
  ['rotations', 'Rotations'],
  ['terms', 'Terms'],
  ['loads', 'Loads'],
  ['charts', 'Charts'],
  ['calendar', 'Calendar'],
  ['heads', 'Heads and grips'],
] as const
export type BlockView = (typeof BLOCK_VIEWS)[number][0]

/** The block with what its page adds to it. */
export interface BlockPage {
  readonly block: BlockState
  readonly view: () => BlockView
  readonly show: (view: BlockView) => void
  readonly toSplit: () => unknown
  /** The rotation in hand on the Split board. */
  readonly openRotation: () => unknown
}
const hasTurns = ({ view, block }: BlockPage) =>
  view() === 'heads' && block.heads.proposed.value.length > 0
const onRotations = ({ view }: BlockPage) => view() === 'rotations'

/** Everything that can be done on the Block page. */
export const BLOCK_ACTIONS: ActionTable<BlockPage> = {
  title: 'the Block page',
  actions: [
    {
      id: 'walk',
      keys: [...ARROWS],
      label: 'walk the rotations and muscles',
      when: onRotations,
      do: ({ block }, pressed) => {
        const { across, down } = arrowStep(pressed)
        block.go({ passes: across, rails: down })
      },
      isByKeyOnly: true,
    },
    {
      id: 'more_sets',
      keys: ['+', '='],
      caps: ['+'],
      label: 'a set more in this rotation',
      when: onRotations,
      do: ({ block }) => block.stepSets(1),
    },
    {
      id: 'fewer_sets',
      keys: ['-', '−'],
      caps: ['−'],
      label: 'a set less in this rotation',
      when: onRotations,
      do: ({ block }) => block.stepSets(-1),
    },
    {
      id: 'rir',
      keys: ['[', ']'],
      label: `less or more ${EFFORT.after} in this rotation`,
      when: onRotations,
      do: ({ block }, { key }) => block.stepRir(key === '[' ? -1 : 1),
      isByKeyOnly: true,
    },
    {
      id: 'deload',
      keys: ['d'],
      label: 'an easier rotation, or a working one again',
      when: onRotations,
      do: ({ block }) => block.toggleDeload(),
    },
    {
      id: 'choice',
      keys: ['x'],
      label: 'the other exercises of those that take turns',
      when: onRotations,
      do: ({ block }) => block.swapChoice(),
    },
    {
      id: 'copy',
      keys: ['k'],
      label: 'do the same in the next rotation',
      when: onRotations,
      do: ({ block }) => block.copyToNext(),
    },
    {
      id: 'trial',
      keys: ['t'],
      label: 'try something out, with a length',
      when: onRotations,
      do: ({ block }) => (block.isTrying.value = true),
    },
    {
      id: 'hold',
      keys: ['h'],
      label: 'change sets, reps or priority from here on',
      when: onRotations,
      do: ({ block }) => block.holdOn(),
    },
    {
      id: 'open_rotation',
      keys: ['o'],
      label: 'open this rotation on the board',
      when: onRotations,
      do: ({ openRotation }) => openRotation(),
    },
    {
      id: 'clear',
      keys: ['Delete'],
      label: 'take the exceptions of this rotation back',
      when: onRotations,
      do: ({ block }) => block.clearExceptions(),
    },
    {
      id: 'next_look',
      keys: ['n'],
      label: 'next thing to look at',
      when: onRotations,
      do: ({ block }) => block.nextLook(),
    },
    {
      id: 'propose_turns',
      keys: ['p'],
      label: 'turns that fill missed heads and grips',
      when: ({ view }) => view() === 'heads',
      do: ({ block }) => block.heads.propose(),
    },
    {
      id: 'view',
      keys: ['1', '2', '3', '4', '5', '6'],
      caps: ['1', '…', '6'],
      label: 'rotations, terms, loads, charts, calendar, heads and grips',
      do: ({ show }, { key }) => show(BLOCK_VIEWS[Number(key) - 1]![0]),
      isByKeyOnly: true,
    },
    {
      id: 'send',
      keys: ['Shift+Enter'],
      label: 'send this rotation to the client',
      do: ({ block }) => block.send(),
    },
    {
      id: 'split',
      keys: ['Enter'],
      label: 'back to the Split board; under Heads and grips, take the proposed turns',
      when: page => onRotations(page) || hasTurns(page),
      do: page => (hasTurns(page) ? page.block.heads.take() : page.toSplit()),
      isByKeyOnly: true,
    },
  ],
}

/** Sessions being carried on the calendar, and days being marked for an event. */
export interface CarryingOnCalendar {
  readonly isCarrying: () => boolean
  readonly isMarking: () => boolean
  readonly carryBy: (days: number) => void
  readonly stretchBy: (days: number) => void
  readonly mark: () => void
  readonly putDown: () => void
  readonly putBack: () => void
}
const isInHand = (screen: CarryingOnCalendar) => screen.isCarrying() || screen.isMarking()
const DAYS_A_ROW = 7

export const CALENDAR_ACTIONS: ActionTable<CarryingOnCalendar> = {
  title: 'the calendar',
  mouse: 'drag a session to another day; draw over free days for an event.',
  actions: [
    {
      id: 'mark',
      keys: ['e'],
      label: 'mark days for an event',
      do: ({ mark }) => mark(),
    },
    {
      id: 'carry',
      keys: [...ARROWS],
      label: 'carry what is in hand by a day or a week',
      when: isInHand,
      do: ({ carryBy }, pressed) => {
        const { across, down } = arrowStep(pressed)
        carryBy(across + DAYS_A_ROW * down)
      },
      isByKeyOnly: true,
    },
    {
      id: 'stretch',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight', 'Shift+ArrowUp', 'Shift+ArrowDown'],
      label: 'more or fewer days',
      when: screen => screen.isMarking(),
      do: ({ stretchBy }, pressed) => {
        const { across, down } = arrowStep(pressed)
        stretchBy(across + DAYS_A_ROW * down)
      },
      isByKeyOnly: true,
    },
    {
      id: 'put_down',
      keys: ['Enter'],
      label: 'put it down, or say what comes up on the marked days',
      when: isInHand,
      do: ({ putDown }) => putDown(),
    },
    {
      id: 'put_back',
      keys: ['Escape'],
      label: 'put it back',
      when: isInHand,
      do: ({ putBack }) => putBack(),
    },
  ],
}
