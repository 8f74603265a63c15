import { type ActionTable, ARROWS, arrowStep } from '~/shell/actions'
import type { SplitBoardState } from './useSplitBoard'

/** The board with what its page adds to it. */
export interface BoardScreen {
  readonly board: SplitBoardState
  readonly toDigit: (digit: number) => void
  readonly confirm: () => void
  readonly cancel: () => void
  readonly toggleTable: () => void
}

/** Everything that can be done on the Split board. */
export const BOARD_ACTIONS: ActionTable<BoardScreen> = {
  title: 'the Split board',
  mouse:
    'drag pegs to another day; with Shift held, one set only. Drag a day’s head to move its session. Ctrl marks cells.',
  actions: [
    {
      id: 'walk',
      keys: [...ARROWS],
      label: 'walk the board',
      do: ({ board }, pressed) => {
        const { across, down } = arrowStep(pressed)
        board.go({ days: across, rails: down })
      },
      isByKeyOnly: true,
    },
    {
      id: 'day',
      keys: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'],
      caps: ['1', '…', '9'],
      label: 'jump to a day; two digits past nine',
      do: ({ toDigit }, { key }) => toDigit(Number(key)),
      isByKeyOnly: true,
    },
    {
      id: 'more_sets',
      keys: ['+', '='],
      caps: ['+'],
      label: 'add a set',
      do: ({ board }) => board.changeSets(1),
    },
    {
      id: 'fewer_sets',
      keys: ['-', '−'],
      caps: ['−'],
      label: 'cut a set',
      do: ({ board }) => board.changeSets(-1),
    },
    {
      id: 'pick',
      keys: [',', '.'],
      label: 'pick an exercise in the cell',
      do: ({ board }, { key }) => board.pickNext(key === ',' ? -1 : 1),
      isByKeyOnly: true,
    },
    {
      id: 'add_exercise',
      keys: ['e'],
      label: 'add an exercise',
      do: ({ board }) => board.openPicker(),
    },
    {
      id: 'carry',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      label: 'take sets in hand and carry them',
      do: ({ board }, pressed) => board.carryBy(arrowStep(pressed).across),
      isByKeyOnly: true,
    },
    {
      id: 'confirm',
      keys: ['Enter'],
      label: 'put down; else open the day’s session',
      do: ({ confirm }) => confirm(),
      isByKeyOnly: true,
    },
    {
      id: 'cancel',
      keys: ['Escape'],
      label: 'put back, drop the pick',
      do: ({ cancel }) => cancel(),
      isByKeyOnly: true,
    },
    {
      id: 'mark',
      keys: [' '],
      label: 'mark a cell: + − carry and hold act on all',
      do: ({ board }) => board.toggleMark(board.place.value),
      isByKeyOnly: true,
    },
    {
      id: 'hold',
      keys: ['f'],
      label: 'hold sets fixed against proposals',
      do: ({ board }) => board.toggleHold(),
    },
    {
      id: 'heads',
      keys: ['h'],
      label: 'open or close heads and groups',
      do: ({ board }) => board.toggleHeads(),
    },
    {
      id: 'next_finding',
      keys: ['n'],
      label: 'next thing to look at; Enter fixes it, Delete dismisses it',
      do: ({ board }) => board.nextNotice(),
    },
    {
      id: 'dismiss',
      keys: ['Delete'],
      label: 'dismiss what N shows',
      do: ({ board }) => board.dismissNotice(),
      isByKeyOnly: true,
    },
    {
      id: 'method',
      keys: ['M'],
      label: 'a second method laid over the board',
      do: ({ board }) => board.open('method'),
    },
    { id: 'checks', keys: ['x'], label: 'all checks', do: ({ board }) => board.open('checks') },
    {
      id: 'proposals',
      keys: ['p'],
      label: 'proposals: ways to place the sets',
      do: ({ board }) => navigateTo(`/clients/${board.clientId()}/proposals`),
    },
    {
      id: 'why',
      keys: ['y'],
      label: 'where the figure comes from',
      do: ({ board }) => board.open('why'),
    },
    {
      id: 'calendar',
      keys: ['c'],
      label: 'calendar weeks',
      do: ({ board }) => board.open('calendar'),
    },
    {
      id: 'revisions',
      keys: ['b'],
      label: 'history of the plan',
      do: ({ board }) => board.open('revisions'),
    },
    { id: 'table', keys: ['t'], label: 'plain table', do: ({ toggleTable }) => toggleTable() },
    {
      id: 'rotation',
      keys: ['o'],
      label: 'rotation: days, roles, templates',
      do: ({ board }) => board.open('rotation'),
    },
    {
      id: 'notes',
      keys: ['i'],
      label: 'a plan from notes or a table',
      do: ({ board }) => board.open('notes'),
    },
    {
      id: 'swap_days',
      keys: ['w'],
      label: 'swap two days',
      do: ({ board }) => board.choose('swap'),
    },
    { id: 'copy_day', keys: ['k'], label: 'copy a day', do: ({ board }) => board.choose('copy') },
    {
      id: 'move_session',
      keys: ['m'],
      label: 'move a session',
      do: ({ board }) => board.choose('move'),
    },
    {
      id: 'rest_day',
      keys: ['r'],
      label: 'rest day, or back',
      do: ({ board }) => board.toggleRest(),
    },
  ],
}
