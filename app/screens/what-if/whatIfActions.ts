import type { ActionTable } from '~/shell/actions'

/** What the keys of What if can do. */
export interface WhatIfVerbs {
  readonly look: () => void
  readonly take: () => void
  readonly canTake: () => boolean
  readonly send: () => void
  readonly canSend: () => boolean
}

export const WHAT_IF_ACTIONS: ActionTable<WhatIfVerbs> = {
  title: 'What if',
  actions: [
    { id: 'look', keys: ['l'], label: 'look at what it would do', do: ({ look }) => look() },
    {
      id: 'take',
      keys: ['a'],
      label: 'do it for everybody who is ticked',
      when: ({ canTake }) => canTake(),
      do: ({ take }) => take(),
    },
    {
      id: 'send',
      keys: ['s'],
      label: 'send what changed',
      when: ({ canSend }) => canSend(),
      do: ({ send }) => send(),
    },
  ],
}
