import type { ActionTable } from '~/shell/actions'

/** The roster and the row that has the keyboard. */
export interface RosterPage {
  readonly hasRow: () => boolean
  readonly walk: (by: 1 | -1) => void
  readonly toggle: () => void
  readonly answer: (selector: string) => unknown
  readonly flag: () => void
  readonly review: () => unknown
}
const hasRow = (page: RosterPage) => page.hasRow()

/** Everything that can be done on the roster; Enter is the link's own. */
export const ROSTER_ACTIONS: ActionTable<RosterPage> = {
  title: 'the Roster',
  actions: [
    {
      id: 'walk',
      keys: ['ArrowUp', 'ArrowDown'],
      label: 'walk the clients',
      do: ({ walk }, { key }) => walk(key === 'ArrowUp' ? -1 : 1),
      isByKeyOnly: true,
    },
    {
      id: 'open',
      keys: ['ArrowLeft', 'ArrowRight'],
      caps: ['→'],
      label: 'open or close reasons and answers',
      when: hasRow,
      do: ({ toggle }) => toggle(),
      isByKeyOnly: true,
    },
    {
      id: 'answer',
      keys: ['1', '2', '3', '4'],
      caps: ['1', '…', '4'],
      label: 'answer at once',
      when: hasRow,
      do: ({ answer }, { key }) => answer(`[data-answer="${key}"]`),
      isByKeyOnly: true,
    },
    {
      id: 'later',
      keys: ['l'],
      label: 'ask again later',
      when: hasRow,
      do: ({ answer }) => answer('[data-later]'),
    },
    {
      id: 'flag',
      keys: ['f'],
      label: 'flag, or take the flag off',
      when: hasRow,
      do: ({ flag }) => flag(),
    },
    {
      id: 'review',
      keys: ['r'],
      label: 'review one client after the other',
      do: ({ review }) => review(),
    },
  ],
}
