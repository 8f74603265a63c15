import type { Group } from '../catalogue'

/** A way of training that must be typed, printed, counted and timed. */
export interface Case {
  readonly id: string
  readonly lines: readonly string[]
  /** The group whose counted sets the case is about. */
  readonly group: Group
  /** Counted sets of the group: direct only, fractional, whole, stimulus. */
  readonly counted: readonly [direct: number, fractional: number, whole: number, stimulus: number]
  /** Whole session with its general warm-up, in seconds. */
  readonly seconds: number
}

const row = (id: string, group: Group, counted: Case['counted'], seconds: number, ...lines: readonly string[]): Case => ({ id, group, counted, seconds, lines })

/** Set structures C1 to C50. */
export const CASES: readonly Case[] = [
  row('C1', 'biceps', [5, 5, 5, 4.75], 805, 'cable_curl 5 x 9'),
  row('C1 range', 'biceps', [4, 4, 4, 3.8], 668, 'cable_curl 4 x 7-9'),
  row('C2', 'biceps', [4, 4, 4, 3.8], 706.5, 'barbell_curl 4 x 14/11/9/7-8; load +4kg a set'),
  row('C2 first and last known', 'biceps', [5, 5, 5, 4.75], 867.5, 'barbell_curl 5 x 16..9; load by feel'),
  row('C2 number of sets open', 'biceps', [4, 4, 4, 3.8], 732, 'barbell_curl 3+ (4) x 16..9'),
  row('C3', 'biceps', [4, 4, 4, 3.8], 678, 'barbell_curl 4 x 9/9/7/7, 30/30/35/35kg'),
  row('C3 opener, then plateau', 'biceps', [4, 4, 4, 3.8], 695, 'cable_curl 1 x 14, then 3 x 9, heavier'),
  row('C4', 'biceps', [7, 7, 7, 6.65], 1014, 'barbell_curl ramp 5 x 6, 40/45/45/50/55kg, then 1 x 9, 57.5kg, then 1 x 7, heavier'),
  row('C4 as many as needed', 'biceps', [5, 5, 5, 4.75], 779, 'barbell_curl ramp 1+ (4) x 6, heavier, if "form holds", then 1 x 9'),
  row('C5', 'biceps', [3, 3, 3, 3], 586.5, 'cable_curl 3 x to failure 11-14'),
  row('C6', 'biceps', [4, 4, 4, 3.65], 728, 'cable_curl 4 x 13, rir 4/2/1/0; load held'),
  row('C7', 'biceps', [3, 3, 3, 2.85], 595.5, 'cable_curl 3 x 9-18; low end tue, high end sat'),
  row('C8', 'biceps', [2, 2, 2, 2], 451, 'cable_curl 2 x to failure'),
  row('C8 left, right, until nothing is left', 'biceps', [1, 1, 1, 1], 348, 'concentration_curl 1 x to failure, alternating sets, starting left'),
  row('C9', 'biceps', [1, 1, 1, 0.95], 321.5, 'cable_curl 1 x 13-16'),
  row('C10', 'biceps', [3, 3, 3, 2.85], 555, 'cable_curl 2-4 (3) x 9'),
  row('C10 rounds', 'biceps', [5, 5, 5, 4.275], 1085, 'circuit: dumbbell_curl 4-6 (5) x 12 & push_up 4-6 (5) x 12'),
  row('C11', 'chest', [4, 4, 4, 1.9], 845, 'bench_press_barbell 3 x 3, 97.5kg, rir 1, then 1 x 2.5 of 3, 97.5kg, at failure'),
  row('C12', 'biceps', [4, 4, 4, 3.8], 680, 'cable_curl 4 x 9; load must not fall'),
  row('C13', 'biceps', [4, 4, 4, 3.8], 707, 'cable_curl 2 x 9, lower 3-4s, then 2 x 9'),
  row('C13 in a word', 'biceps', [3, 3, 3, 2.85], 582, 'cable_curl 3 x 9, slow'),
  row('C14', 'biceps', [3, 3, 3, 2.85], 717, 'cable_curl 3 x 9, tempo x-3-x-2 pause 1s midway dead stop'),
  row('C15', 'biceps', [3, 3, 3, 2.1375], 538.8, 'cable_curl 3 x 12 upper two thirds'),
  row('C15 to a pin', 'chest', [3, 3, 3, 2.85], 726, 'bench_press_barbell 3 x 8 range "down to a pin 15 cm above the chest"'),
  row('C16', 'lats', [3, 3, 3, 2.85], 651, 'chin_up 3 x 8 | until 8 assisted if "fewer than 5 done" lower 6s'),
  row('C17', 'biceps', [3, 3, 3, 2.85], 622.6, 'cambered_bar_curl 3 x 7 lower half | 7 upper half | 7'),
  row('C17 another grip each set', 'biceps', [2, 2, 2, 1.9], 478.4, 'cambered_bar_curl 1 x 7 lower half medium grip | 7 upper half medium grip | 7 medium grip, then 1 x 7 lower half narrow grip | 7 upper half narrow grip | 7 narrow grip'),
  row('C18', 'biceps', [4, 4, 4, 5.8], 862, 'dumbbell_curl 4 x 11 | rest "a short breath" | drop 3kg up to 9 range may shorten'),
  row('C19', 'biceps', [4, 4, 4, 4.3], 737.5, 'cable_curl 4 x 10, last: drop 30% to failure'),
  row('C19 size left open', 'biceps', [4, 4, 4, 4.3], 737.5, 'cable_curl 4 x 10, last: drop to failure'),
  row('C20', 'biceps', [4, 4, 4, 4.8], 900, 'chin_up:biceps 4 x 8, +10kg, last 2: to failure bodyweight'),
  row('C21', 'biceps', [3, 3, 3, 5.25], 759, 'cable_curl 3 x 13 | drop 9 | drop 7'),
  row('C22', 'triceps', [3, 3, 3, 3.65], 904, 'superset: cable_curl 3 x 10, last: drop 20% of first to failure | drop 20% of first to failure & pushdown_rope 3 x 10, last: drop 20% of first to failure | drop 20% of first to failure'),
  row('C23', 'biceps', [1, 1, 1, 2.05], 467.5, 'cable_curl 1 x 7-9 | drop 35% to failure | rest 25s | to failure | rest 20s | to failure'),
  row('C24', 'biceps', [2, 2, 2, 2.3818], 468, 'cable_curl 1 x 11 at failure | rest 20s | until 30; load held'),
  row('C25', 'biceps', [1, 1, 1, 1.45], 338, 'dumbbell_curl 1 x 6 20kg per hand | 11 16kg per hand slow'),
  row('C26', 'elbow_flexors_other', [1, 1, 1, 1.2], 421.5, 'incline_dumbbell_curl 1 x to failure | to failure as dumbbell_curl | to failure as hammer_curl'),
  row('C26 another station', 'triceps', [2, 2, 2, 3.1], 578, 'narrow_push_up 2 x 12 | 15 as band_pushdown'),
  row('C27', 'biceps', [3, 3, 3, 2.85], 831, 'superset: cable_curl 3 x 9-11 | same as stage 1 lower half & pushdown_rope 3 x 9-11 | same as stage 1 lower half'),
  row('C28', 'biceps', [2, 2, 2, 2], 541, 'cable_curl 2 x to failure | to failure middle third | to failure lower third'),
  row('C29', 'biceps', [4, 4, 4, 3.8], 698, 'barbell_curl 4 x 8, last 2: 2-3 momentum lower 3s'),
  row('C30', 'biceps', [3, 3, 3, 3.05], 637, 'incline_dumbbell_curl 3 x 12, last: hold 45s long'),
  row('C31', 'biceps', [2, 3.5, 4, 3.9583], 863, 'superset, between none: incline_dumbbell_curl 2 x 9 | stretch 15s | to failure | stretch 15s | to failure & hammer_curl 2 x 8 | stretch 15s | 8 | stretch 15s | 8'),
  row('C32', 'biceps', [3, 5.25, 6, 4.9875], 728, 'superset, between stretch 20s: cable_curl 3 x 10 & hammer_curl 3 x 10'),
  row('C33', 'biceps', [3, 3, 3, 2.5], 623, 'cable_curl restricted 1 x 30 25% e1rm | rest 40s | 15 | rest 40s | 15 | rest 40s | 15'),
  row('C34', 'elbow_flexors_other', [3, 3, 3, 4.425], 626, 'dumbbell_curl 3 x 6 palms up | 6 palms facing | 6 palms down'),
  row('C35', 'triceps', [3, 3, 3, 2.85], 789, 'superset, after 90s: cable_curl 3 x 12 & pushdown_rope 3 x 12'),
  row('C36', 'biceps', [6, 6, 6, 5.85], 755.5, 'superset, same muscle: incline_dumbbell_curl 3 x 10 & cable_curl 3 x to failure'),
  row('C37', 'forearms', [6, 6, 6, 5.7], 803, 'superset, between "a few breaths": wrist_curl 3 x 15 & reverse_wrist_curl 3 x 15'),
  row('C38', 'delts_rear', [3, 3, 3, 2.85], 783, 'superset: bench_press_dumbbell 3 x 10 & rear_fly_machine 3 x 15'),
  row('C39', 'triceps', [3, 3, 3, 2.85], 940.6, 'superset: cambered_bar_curl 3 x 7 lower half | 7 upper half | 7 & pushdown_single 3 x 13, left then right'),
  row('C40', 'triceps', [3, 3, 3, 2.85], 969, 'alternating, between 75s, after 90s: cable_curl 3 x 12 & pushdown_rope 3 x 12'),
  row('C41', 'triceps', [3, 3, 3, 2.85], 799, 'superset, change-over 25s: cable_curl 3 x 12 & overhead_extension_rope 3 x 12'),
  row('C42', 'triceps', [4, 6, 8, 5.13], 1596, 'circuit, between none, after 100s: cambered_bar_curl 4-5 (4) x 12, slow & pushdown_rope 4-5 (4) x 12 & cambered_bar_curl 4-5 (4) x 8 & lateral_raise_dumbbell 4-5 (4) x 15 & push_up 4-5 (4) x 12'),
  row('C43', 'triceps', [8, 8, 8, 7.6], 1180, 'pushdown_rope 2 x 9 with "rope", then 2 x 9 with "two ropes", then 2 x 9 with "bar", then 2 x 9 with "single handle"'),
  row('C44', 'triceps', [9, 9, 9, 8.7], 996.5, 'superset, same muscle: pushdown_rope 3 x 12 & overhead_extension_rope 3 x 12 & narrow_push_up 3 x to failure'),
  row('C45', 'elbow_flexors_other', [3, 5.25, 6, 4.9875], 1006, 'pulldown_neutral 3 x 10', 'finisher, replaceable: hammer_curl 3 x 12'),
  row('C46', 'biceps', [3, 3, 3, 2.85], 1569, 'prepare 5 min "rowing, easy"', 'prepare 3 min "bands" if "the muscle is cold"', 'warm-up block: band_curl 2 x 20 & band_pushdown 2 x 20', 'cable_curl warm-up 2 x 12, then 3 x 10'),
  row('C47', 'triceps', [4, 6, 8, 5.13], 1101, 'circuit: dumbbell_curl 4 x 13/11/9/7 & pushdown_rope 4 x 13/11/9/7 & push_up 4 x 13/11/9/7'),
  row('C48', 'triceps', [3, 3, 3, 2.85], 969, 'straight, part "extensors": pushdown_rope 3 x 12', 'straight, part "flexors": cable_curl 3 x 12'),
  row('C49', 'biceps', [6, 7.5, 8, 7.125], 1351, 'superset, same muscle: cable_curl 2 x 12 & preacher_curl_bar 2 x 10', 'superset, same muscle: pushdown_rope 2 x 12 & overhead_extension_rope 2 x 12', 'superset, same muscle: hammer_curl 2 x 12 & machine_curl 2 x 12'),
  row('C50', 'calves', [3, 3, 3, 2.85], 909, 'cable_curl 3 x 12', 'straight, turn 1 of 2: calf_raise_standing 3 x 12', 'straight, turn 2 of 2: farmers_carry 3 x 40'),
]
