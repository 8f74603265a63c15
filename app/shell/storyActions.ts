import type { ActionTable } from './actions'

/** What can be asked about an exercise on every screen of a client. */
export interface StoryDesk {
  readonly open: () => void
}

/** The story of an exercise, one key from any screen of a client. */
export const STORY_ACTIONS: ActionTable<StoryDesk> = {
  title: 'every screen of a client',
  actions: [
    {
      id: 'story',
      keys: ['a'],
      label: 'all sets of the exercise at hand: its story',
      do: ({ open }) => open(),
    },
  ],
}
