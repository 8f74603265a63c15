import type { ActionTable } from '~/shell/actions'

/** What the Log page can do. */
export interface LogPage {
  readonly step: (by: 1 | -1) => void
  readonly open: (panel: 'link' | 'import') => void
}

/** Everything that can be done on the Log page, apart from its fields. */
export const LOG_ACTIONS: ActionTable<LogPage> = {
  title: 'the Log',
  mouse: 'Enter in a field saves the set and goes on; an empty field is as planned.',
  actions: [
    {
      id: 'step',
      keys: [',', '.'],
      label: 'the session before, after',
      do: ({ step }, { key }) => step(key === ',' ? -1 : 1),
      isByKeyOnly: true,
    },
    { id: 'link', keys: ['k'], label: 'the client’s sheet link', do: ({ open }) => open('link') },
    { id: 'import', keys: ['i'], label: 'import a log', do: ({ open }) => open('import') },
  ],
}
