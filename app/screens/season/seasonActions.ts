import type { SeamFix } from '#shared/contracts/season'
import type { ActionTable } from '~/shell/actions'

/** What the Season page can do. */
export interface SeasonPage {
  readonly step: (by: 1 | -1) => void
  readonly open: (path?: string) => void
  readonly next: () => void
  /** The chosen block beside the one before it. */
  readonly compare: () => void
  /** The seam before the chosen block, one rotation later or earlier. */
  readonly moveSeam: (by: 1 | -1) => void
  /** A fix at the seam: the block begun lower, or what would leave too early kept. */
  readonly take: (fix: SeamFix) => void
  /** Blocks put behind the last one, a year in one form. */
  readonly planAhead: () => void
  /** What stretch of training the chosen block belongs to. */
  readonly phase: () => void
  /** The chosen draft becomes a plan. */
  readonly make: () => void
}

/** Everything that can be done on the Season page. */
export const SEASON_ACTIONS: ActionTable<SeasonPage> = {
  title: 'the Season',
  actions: [
    {
      id: 'step',
      keys: ['ArrowLeft', 'ArrowRight'],
      label: 'walk the blocks',
      do: ({ step }, { key }) => step(key === 'ArrowLeft' ? -1 : 1),
      isByKeyOnly: true,
    },
    {
      id: 'move_seam',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      label: 'move the seam before it',
      do: ({ moveSeam }, { key }) => moveSeam(key === 'ArrowLeft' ? -1 : 1),
    },
    {
      id: 'soften',
      keys: ['1'],
      label: 'start it lower and step up',
      do: ({ take }) => take('soften'),
    },
    {
      id: 'keep_on',
      keys: ['2'],
      label: 'keep what would leave too early',
      do: ({ take }) => take('keep'),
    },
    { id: 'open', keys: ['Enter'], label: 'open the block', do: ({ open }) => open() },
    { id: 'review', keys: ['r'], label: 'look back at it', do: ({ open }) => open('/review') },
    { id: 'report', keys: ['o'], label: 'its report', do: ({ open }) => open('/report') },
    {
      id: 'compare',
      keys: ['c'],
      label: 'two blocks side by side',
      do: ({ compare }) => compare(),
    },
    {
      id: 'plan_ahead',
      keys: ['y'],
      label: 'plan ahead: several blocks at once',
      do: ({ planAhead }) => planAhead(),
    },
    { id: 'phase', keys: ['f'], label: 'its phase', do: ({ phase }) => phase() },
    { id: 'make', keys: ['m'], label: 'make the draft a plan', do: ({ make }) => make() },
    { id: 'next', keys: ['b'], label: 'put the next block behind it', do: ({ next }) => next() },
  ],
}
