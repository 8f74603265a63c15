import { FORMS, GRIP_WIDTHS, GRIPS, LOCK_OUTS, SIDE_ORDERS } from '#core/plan/scheme'

export type ChoiceKey =
  'grip' | 'gripWidth' | 'form' | 'lockOut' | 'sideOrder' | 'startSide' | 'side'

interface ChoiceList {
  readonly key: ChoiceKey
  readonly name: string
  readonly options: readonly string[]
  readonly words: Readonly<Record<string, string>>
}
const SIDES = ['left', 'right'] as const
/** What is chosen from a list, in the words of the lists. */
export const CHOICE_LISTS: readonly ChoiceList[] = [
  {
    key: 'grip',
    name: 'Grip',
    options: GRIPS,
    words: { supinated: 'palms up', neutral: 'palms facing', pronated: 'palms down' },
  },
  { key: 'gripWidth', name: 'Grip width', options: GRIP_WIDTHS, words: {} },
  {
    key: 'form',
    name: 'Form',
    options: FORMS,
    words: { momentum: 'momentum allowed', assisted: 'with help', lowering_only: 'lowering only' },
  },
  { key: 'lockOut', name: 'Lock-out', options: LOCK_OUTS, words: { never: 'not at all' } },
  {
    key: 'sideOrder',
    name: 'Arms',
    options: SIDE_ORDERS,
    words: {
      switch: 'left then right',
      rest_between: 'rest between sides',
      alternating_reps: 'alternating reps',
      alternating_sets: 'alternating sets',
      together: 'both arms at once',
    },
  },
  { key: 'startSide', name: 'Starting side', options: SIDES, words: {} },
  { key: 'side', name: 'Only one side', options: SIDES, words: {} },
]
