import type { ActionTable } from './actions'

/** What can be done on every screen about a client. */
export interface ClientDesk {
  readonly choose: () => unknown
  readonly turn: (which: 'undo' | 'redo') => unknown
  readonly list: () => unknown
}

/** What can be done on pages of the studio's own things. */
export const STUDIO_ACTIONS: ActionTable<Pick<ClientDesk, 'turn'>> = {
  title: 'every screen of the studio’s own',
  actions: [
    {
      id: 'undo',
      keys: ['z'],
      label: 'undo the last thing done in the studio',
      do: ({ turn }) => turn('undo'),
    },
    { id: 'redo', keys: ['Z'], label: 'redo', do: ({ turn }) => turn('redo') },
  ],
}

export const CLIENT_ACTIONS: ActionTable<ClientDesk> = {
  title: 'every screen of a client',
  actions: [
    {
      id: 'undo',
      keys: ['z'],
      label: 'undo the last thing done for this client',
      do: ({ turn }) => turn('undo'),
    },
    { id: 'redo', keys: ['Z'], label: 'redo', do: ({ turn }) => turn('redo') },
    { id: 'list', keys: ['u'], label: 'list of what was done', do: ({ list }) => list() },
    { id: 'choose', keys: ['q'], label: 'another client', do: ({ choose }) => choose() },
  ],
}
