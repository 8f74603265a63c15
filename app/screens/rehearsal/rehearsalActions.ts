import type { ActionTable } from '~/shell/actions'

/** Everything that can be done on the Rehearsal page. */
export const REHEARSAL_ACTIONS: ActionTable<{
  readonly start: () => unknown
  readonly cancel: () => unknown
}> = {
  title: 'the Rehearsal',
  actions: [
    { id: 'start', keys: ['r'], label: 'rehearse again', do: ({ start }) => start() },
    {
      id: 'cancel',
      keys: ['Escape'],
      label: 'stop',
      do: ({ cancel }) => cancel(),
      isByKeyOnly: true,
    },
  ],
}
