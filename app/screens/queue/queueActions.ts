import type { ActionTable } from '~/shell/actions'
import { REVIEW_ACTIONS, type ReviewPage } from '../review/reviewActions'

/** What the queue's keys can do besides deciding about the client at hand. */
export interface QueueVerbs {
  readonly next: () => void
  readonly back: () => void
  readonly takeSafe: () => void
  readonly canTakeSafe: () => boolean
  readonly sendRest: () => void
  readonly canSendRest: () => boolean
  readonly open: () => unknown
  readonly hasCurrent: () => boolean
}

export const QUEUE_ACTIONS: ActionTable<QueueVerbs> = {
  title: 'the Queue',
  actions: [
    {
      id: 'next',
      keys: ['n'],
      label: 'this client is done, the next one',
      when: screen => screen.hasCurrent(),
      do: ({ next }) => next(),
    },
    { id: 'back', keys: ['N'], label: 'the client before', do: ({ back }) => back() },
    {
      id: 'safe',
      keys: ['a'],
      label: 'take all safe changes that are ticked',
      when: screen => screen.canTakeSafe(),
      do: ({ takeSafe }) => takeSafe(),
    },
    {
      id: 'sendRest',
      keys: ['S'],
      label: 'send what changed to everybody who is done',
      when: screen => screen.canSendRest(),
      do: ({ sendRest }) => sendRest(),
    },
    {
      id: 'open',
      keys: ['y'],
      label: 'why: the whole review of this client',
      when: screen => screen.hasCurrent(),
      do: ({ open }) => open(),
    },
  ],
}

/** Deciding about the client at hand: as on the Review, without turning to other rotations. */
export const QUEUE_REVIEW_ACTIONS: ActionTable<ReviewPage> = {
  title: 'the Queue',
  actions: REVIEW_ACTIONS.actions.filter(({ id }) => id !== 'turn'),
}
