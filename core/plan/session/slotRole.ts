import type { Exercise, Intent } from '../catalogue'

export const SLOT_ROLES = [
  'big',
  'stretched',
  'shortened',
  'brachialis',
  'forearm',
  'burn-out',
] as const
/** What a slot is there for, whatever exercise fills it. */
export type SlotRole = (typeof SLOT_ROLES)[number]

type Doing = readonly [exercise: Exercise, intent: Intent]

/** What each role asks of an exercise, in words and as a rule. */
export const SLOT_ROLE_TABLE: Readonly<
  Record<SlotRole, { readonly name: string; readonly suits: (...doing: Doing) => boolean }>
> = {
  big: {
    name: 'the big movement',
    suits: ({ kind, equipment }) =>
      kind === 'compound' || equipment.includes('barbell') || equipment.includes('cambered_bar'),
  },
  stretched: {
    name: 'work at long length',
    suits: (_, { lengthBias }) => lengthBias === 'lengthened',
  },
  shortened: {
    name: 'work at short length',
    suits: (_, { lengthBias }) => lengthBias === 'shortened',
  },
  brachialis: {
    name: 'palms facing or down',
    suits: (_, { credits }) => credits.elbow_flexors_other === 1,
  },
  forearm: { name: 'forearms', suits: (_, { credits }) => credits.forearms === 1 },
  'burn-out': { name: 'a burn-out', suits: ({ kind }) => kind === 'isolation' },
}

/** Whether an exercise can fill a slot with this role; one without a role takes any. */
export function suitsRole(role: SlotRole | undefined, ...doing: Doing): boolean {
  return role === undefined || SLOT_ROLE_TABLE[role].suits(...doing)
}
