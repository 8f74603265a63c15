/** The finest units that are counted, in the order of docs/methods.md#muscles. */
export const MUSCLES = [
  'biceps_long',
  'biceps_short',
  'brachialis',
  'brachioradialis',
  'triceps_long',
  'triceps_lateral',
  'triceps_medial',
  'wrist_flexors',
  'wrist_extensors',
  'chest_clavicular',
  'chest_sternocostal',
  'delt_front',
  'delt_side',
  'delt_rear',
  'lats',
  'upper_back',
  'traps_upper',
  'spinal_erectors',
  'abs',
  'glutes',
  'quads',
  'hamstrings',
  'calves',
] as const
export type Muscle = (typeof MUSCLES)[number]

/** What a coach counts in. */
export const GROUPS = [
  'biceps',
  'elbow_flexors_other',
  'triceps',
  'forearms',
  'chest',
  'delts_front',
  'delts_side',
  'delts_rear',
  'lats',
  'upper_back',
  'traps',
  'lower_back',
  'abs',
  'glutes',
  'quads',
  'hamstrings',
  'calves',
] as const
export type Group = (typeof GROUPS)[number]

/** The groups whose direct sets this program exists to place. */
export const ARM_GROUPS = [
  'biceps',
  'elbow_flexors_other',
  'triceps',
  'forearms',
] as const satisfies readonly Group[]

/** The muscles of each group, in the order of the head shares. */
export const GROUP_MUSCLES = {
  biceps: ['biceps_long', 'biceps_short'],
  elbow_flexors_other: ['brachialis', 'brachioradialis'],
  triceps: ['triceps_long', 'triceps_lateral', 'triceps_medial'],
  forearms: ['wrist_flexors', 'wrist_extensors'],
  chest: ['chest_clavicular', 'chest_sternocostal'],
  delts_front: ['delt_front'],
  delts_side: ['delt_side'],
  delts_rear: ['delt_rear'],
  lats: ['lats'],
  upper_back: ['upper_back'],
  traps: ['traps_upper'],
  lower_back: ['spinal_erectors'],
  abs: ['abs'],
  glutes: ['glutes'],
  quads: ['quads'],
  hamstrings: ['hamstrings'],
  calves: ['calves'],
} as const satisfies Record<Group, readonly Muscle[]>

/** Large groups tolerate other frequencies and gaps than small ones (docs/methods.md#frequency). */
export const LARGE_GROUPS: readonly Group[] = [
  'chest',
  'lats',
  'upper_back',
  'glutes',
  'quads',
  'hamstrings',
]

/** Groups that share one folded rail on the board; a set counts once per bundle, at its highest credit. */
export const BUNDLES = [
  { id: 'chest', groups: ['chest'] },
  { id: 'back', groups: ['lats', 'upper_back', 'traps', 'lower_back'] },
  { id: 'delts', groups: ['delts_front', 'delts_side', 'delts_rear'] },
  { id: 'legs', groups: ['glutes', 'quads', 'hamstrings', 'calves'] },
  { id: 'abs', groups: ['abs'] },
] as const satisfies readonly { readonly id: string; readonly groups: readonly Group[] }[]
export type BundleId = (typeof BUNDLES)[number]['id']
