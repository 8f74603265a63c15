import type { ActionTable } from '~/shell/actions'
import { PROPOSAL_GOALS } from '#core/design/allocation'

/** What the Proposals page can do. */
export interface ProposalsPage {
  readonly count: () => number
  readonly chosen: () => number
  readonly step: (by: 1 | -1) => void
  readonly use: (at: number) => unknown
  readonly useLetter: (letter: string) => unknown
  readonly tryOnBoard: (at: number) => unknown
  readonly draw: () => unknown
  readonly leave: () => unknown
}
const hasAny = ({ count }: ProposalsPage) => count() > 0
const LETTERS = Object.values(PROPOSAL_GOALS).map(({ letter }) => letter.toLowerCase())

/** Everything that can be done on the Proposals page. */
export const PROPOSALS_ACTIONS: ActionTable<ProposalsPage> = {
  title: 'the Proposals',
  actions: [
    {
      id: 'step',
      keys: ['ArrowLeft', 'ArrowRight'],
      label: 'walk the proposals',
      when: hasAny,
      do: ({ step }, { key }) => step(key === 'ArrowLeft' ? -1 : 1),
      isByKeyOnly: true,
    },
    {
      id: 'try',
      keys: [' '],
      label: 'try the chosen one on the board',
      when: hasAny,
      do: ({ tryOnBoard, chosen }) => tryOnBoard(chosen()),
    },
    {
      id: 'use',
      keys: ['Enter'],
      label: 'take the chosen one',
      when: hasAny,
      do: ({ use, chosen }) => use(chosen()),
    },
    {
      id: 'use_letter',
      keys: [LETTERS[0] ?? 'a', ...LETTERS.slice(1)],
      caps: LETTERS.map(letter => letter.toUpperCase()),
      label: 'take the one of that letter',
      when: hasAny,
      do: ({ useLetter }, { key }) => useLetter(key),
      isByKeyOnly: true,
    },
    { id: 'draw', keys: ['g'], label: 'draw again', do: ({ draw }) => draw() },
    {
      id: 'leave',
      keys: ['Escape'],
      label: 'stop drawing; else back to the board',
      do: ({ leave }) => leave(),
      isByKeyOnly: true,
    },
  ],
}
