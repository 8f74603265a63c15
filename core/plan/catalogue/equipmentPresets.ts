import type { Equipment } from './exercise'

/** What a client usually has, to begin with; every piece can be added or taken away. A full gym is written as an empty list. */
export const EQUIPMENT_PRESETS = [
  { id: 'full_gym', name: 'Full gym', equipment: [] },
  {
    id: 'dumbbells_bench',
    name: 'Dumbbells and bench',
    equipment: ['dumbbell', 'bench', 'incline_bench'],
  },
  {
    id: 'home_cable',
    name: 'Home cable',
    equipment: ['cable', 'dumbbell', 'bench', 'incline_bench', 'cambered_bar'],
  },
  {
    id: 'bar_rack',
    name: 'Bar, rack and bench',
    equipment: ['barbell', 'rack', 'bench', 'pull_up_bar'],
  },
  { id: 'bands', name: 'Bands and body weight', equipment: ['band', 'pull_up_bar'] },
] as const satisfies readonly {
  readonly id: string
  readonly name: string
  readonly equipment: readonly Equipment[]
}[]
