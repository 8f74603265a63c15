import type { ActionTable } from '~/shell/actions'

/** What the floor's keys can do. */
export interface FloorVerbs {
  readonly walk: (step: number) => void
  readonly next: () => void
  readonly take: (at: number) => void
  readonly canTake: (at: number) => boolean
  readonly shift: (steps: number) => void
  readonly turnAlways: () => void
  readonly turnLanes: () => void
  readonly step: (days: number) => void
  readonly goToday: () => void
  readonly hasChosen: () => boolean
  readonly open: () => void
}

export const FLOOR_ACTIONS: ActionTable<FloorVerbs> = {
  title: 'the Floor',
  actions: [
    {
      id: 'walk',
      keys: ['ArrowUp', 'ArrowDown'],
      label: 'client above or below',
      isByKeyOnly: true,
      do: (screen, { key }) => screen.walk(key === 'ArrowUp' ? -1 : 1),
    },
    { id: 'next', keys: ['n'], label: 'next thing to look at', do: screen => screen.next() },
    ...[1, 2, 3].map(at => ({
      id: `take-${at}`,
      keys: [String(at)] as const,
      label: `take way out ${at}`,
      when: (screen: FloorVerbs) => screen.canTake(at - 1),
      do: (screen: FloorVerbs) => screen.take(at - 1),
    })),
    {
      id: 'always',
      keys: ['o'],
      label: 'ways out for this day only, or from now on',
      do: screen => screen.turnAlways(),
    },
    {
      id: 'shift',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      label: 'start of the chosen session five minutes earlier or later',
      isByKeyOnly: true,
      when: screen => screen.hasChosen(),
      do: (screen, { key }) => screen.shift(key === 'ArrowLeft' ? -1 : 1),
    },
    {
      id: 'day',
      keys: ['ArrowLeft', 'ArrowRight'],
      label: 'day before or after',
      isByKeyOnly: true,
      do: (screen, { key }) => screen.step(key === 'ArrowLeft' ? -1 : 1),
    },
    { id: 'today', keys: ['Home'], label: 'today', do: screen => screen.goToday() },
    {
      id: 'lanes',
      keys: ['s'],
      label: 'lanes by client, or by station',
      do: screen => screen.turnLanes(),
    },
    {
      id: 'open',
      keys: ['Enter'],
      label: 'session of the chosen client',
      when: screen => screen.hasChosen(),
      do: screen => screen.open(),
    },
  ],
}
