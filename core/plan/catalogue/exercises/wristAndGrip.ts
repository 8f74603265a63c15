import type { Exercise } from '../exercise'
import { intent } from './intent'

/** Wrist and grip. Values and their confidence: docs/methods.md#exercises. Shares per head, stress by joint (0 to 3; a joint that is not named bears none). */
export const WRIST_AND_GRIP = [
  { id: 'wrist_curl', name: 'Wrist curl', aliases: ['palm-up wrist curl'],
    pattern: 'wrist', kind: 'isolation', equipment: ['dumbbell', 'bench'], laterality: 'either',
    setupSeconds: 25, repUnit: 'reps', repRange: [12, 20], restSeconds: 60, loadStepKg: 1, loadBasis: 'per_hand',
    cautions: [], substitutes: ['wrist_roller', 'dead_hang'],
    intents: [
      intent('default', 'as usual', '', 'mid', { elbow_flexor_side: 1, wrist: 2 }, { forearms: 1 },
        { forearms: { wrist_flexors: 1.0, wrist_extensors: 0.0 } }),
    ] },
  { id: 'reverse_wrist_curl', name: 'Reverse wrist curl', aliases: ['palm-down wrist curl'],
    pattern: 'wrist', kind: 'isolation', equipment: ['dumbbell', 'bench'], laterality: 'either',
    setupSeconds: 25, repUnit: 'reps', repRange: [12, 20], restSeconds: 60, loadStepKg: 1, loadBasis: 'per_hand',
    cautions: [], substitutes: ['wrist_roller'],
    intents: [
      intent('default', 'as usual', '', 'shortened', { elbow_flexor_side: 1, wrist: 2 }, { forearms: 1 },
        { forearms: { wrist_flexors: 0.0, wrist_extensors: 1.0 } }),
    ] },
  { id: 'wrist_roller', name: 'Wrist roller', aliases: ['rope-and-bar winding'],
    pattern: 'wrist', kind: 'isolation', equipment: ['wrist_roller'], laterality: 'bilateral',
    setupSeconds: 30, repUnit: 'reps', repRange: [2, 5], restSeconds: 90, loadStepKg: 1.25, loadBasis: 'total',
    cautions: [], substitutes: ['wrist_curl', 'reverse_wrist_curl', 'dead_hang'],
    intents: [
      intent('default', 'as usual', '', 'mid', { elbow_flexor_side: 1, wrist: 2, shoulder: 1 }, { forearms: 1 },
        { forearms: { wrist_flexors: 0.5, wrist_extensors: 0.5 } }),
    ] },
  { id: 'dead_hang', name: 'Dead hang', aliases: ['bar hang'],
    pattern: 'grip', kind: 'isolation', equipment: ['bodyweight', 'pull_up_bar'], laterality: 'bilateral',
    setupSeconds: 15, repUnit: 'seconds', repRange: [20, 60], restSeconds: 90, loadStepKg: 2.5, loadBasis: 'added',
    cautions: ['shoulder_stretch'], substitutes: ['farmers_carry', 'wrist_curl', 'wrist_roller'],
    intents: [
      intent('default', 'as usual', '', 'mid', { elbow_flexor_side: 1, shoulder: 2 }, { forearms: 1 },
        { forearms: { wrist_flexors: 0.9, wrist_extensors: 0.1 } }),
    ] },
] as const satisfies readonly Exercise[]
