import type { ActionTable } from '~/shell/actions'

/** What the Review page can do. */
export interface ReviewPage {
  readonly step: (by: 1 | -1) => void
  readonly turn: (by: 1 | -1) => void
  readonly take: () => void
  readonly takeOnce: () => void
  readonly change: () => void
  readonly refuse: () => void
  readonly replan: (at: number) => void
  readonly send: () => void
}

/** Everything that can be done on the Review page. */
export const REVIEW_ACTIONS: ActionTable<ReviewPage> = {
  title: 'the Review',
  actions: [
    {
      id: 'step',
      keys: ['ArrowUp', 'ArrowDown'],
      label: 'walk the proposals',
      do: ({ step }, { key }) => step(key === 'ArrowUp' ? -1 : 1),
      isByKeyOnly: true,
    },
    { id: 'take', keys: ['Enter'], label: 'take the proposal', do: ({ take }) => take() },
    {
      id: 'takeOnce',
      keys: ['o'],
      label: 'take it for the next rotation only',
      do: ({ takeOnce }) => takeOnce(),
    },
    {
      id: 'refuse',
      keys: ['Delete'],
      label: 'refuse the proposal, with a reason',
      do: ({ refuse }) => refuse(),
    },
    { id: 'change', keys: ['e'], label: 'change it by hand', do: ({ change }) => change() },
    {
      id: 'replan',
      keys: ['1', '2', '3', '4'],
      caps: ['1', '…', '4'],
      label: 'choose what becomes of the missed session',
      do: ({ replan }, { key }) => replan(Number(key) - 1),
      isByKeyOnly: true,
    },
    { id: 'send', keys: ['s'], label: 'send what changed', do: ({ send }) => send() },
    {
      id: 'turn',
      keys: [',', '.'],
      label: 'the rotation before, after',
      do: ({ turn }, { key }) => turn(key === ',' ? -1 : 1),
      isByKeyOnly: true,
    },
  ],
}
