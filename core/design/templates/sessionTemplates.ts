/** A session to begin with, and why it is as it is. Written as shorthand for steady-middle; fitted when it is put in. */
export interface SessionTemplate {
  readonly id: string
  readonly name: string
  readonly suits: string
  readonly reasons: readonly string[]
  /** Whether sets follow the method; where the number is the idea, they stay. */
  readonly scales: boolean
  readonly lines: readonly string[]
}

/** Sessions a coach can put on a day. */
export const SESSION_TEMPLATES: readonly SessionTemplate[] = [
  {
    id: 'antagonist-pairs',
    name: 'Arm day in three pairs',
    suits: '45 minutes, cable and dumbbells',
    scales: true,
    reasons: [
      'Flexors rest while extensors work: a third of the time is saved at the same sets.',
      'Overhead work comes while the triceps are fresh, after two light sets of its own.',
    ],
    lines: [
      'superset, between 15s, after 75s: cable_curl 3 x 10-12, rir 2 & overhead_extension_rope warm-up 2 x 12 60% usual, then 3 x 10-12, rir 2',
      'superset, between 15s, after 75s: incline_dumbbell_curl 3 x 10-12, rir 2 & pushdown_rope 3 x 12-15, rir 2',
      'superset, between 15s, after 75s: hammer_curl 2 x 10-12, rir 1 & pushdown_single 2 x 12-15, rir 1, left then right',
    ],
  },
  {
    id: 'finisher-circuit',
    name: 'Finisher circuit after back or chest',
    suits: '12 minutes at the end of another session',
    scales: true,
    reasons: [
      'Pulls and presses have warmed the elbows; nothing heavy is asked of them any more.',
      'Three stations, one rest after the round.',
    ],
    lines: [
      'finisher circuit, between none, after 90s: cable_curl 3 x 12-15, rir 1 & pushdown_rope 3 x 12-15, rir 1 & reverse_curl 3 x 12-15, rir 2',
    ],
  },
  {
    id: 'low-volume-failure',
    name: 'Few sets, to failure',
    suits: '35 minutes, for those who like it short and hard',
    scales: false,
    reasons: [
      'One working set of each, taken to failure on machines and cables where that is safe.',
      'Long rests; the number of sets is the idea and does not grow with the method.',
    ],
    lines: [
      'machine_curl warm-up 2 x 8 60% usual, then 1 x 8-12, at failure, then 1 x 12-15, at failure, rest 150s',
      'machine_triceps_extension warm-up 2 x 8 60% usual, then 1 x 8-12, at failure, then 1 x 12-15, at failure, rest 150s',
      'hammer_curl 1 x 10-12, at failure, rest 120s',
      'overhead_extension_rope 1 x 12-15, at failure, rest 120s',
    ],
  },
  {
    id: 'primer-then-heavy',
    name: 'Primer first, then heavy',
    suits: '50 minutes, for elbows that need a long start',
    scales: true,
    reasons: [
      'Two light squeezing sets fill the muscle and warm the joint; they hardly count.',
      'The heavier curl and extension come while that lasts.',
    ],
    lines: [
      'superset, between 15s, after 60s: cable_curl_high primer 2 x 18-20, rir 4 & pushdown_rope primer 2 x 18-20, rir 4',
      'alternating, between 75s, after 75s: cambered_bar_curl 3 x 7-9, rir 2 & narrow_grip_bench_press 3 x 7-9, rir 2',
      'superset, between 15s, after 75s: incline_dumbbell_curl 2 x 10-12, rir 2 & overhead_extension_cable_single 2 x 10-12, rir 2, left then right',
    ],
  },
  {
    id: 'stretch-focused',
    name: 'Long muscle lengths',
    suits: '45 minutes, elbows without complaints',
    scales: true,
    reasons: [
      'Every exercise is hardest where the muscle is long.',
      'The first sets are lighter; holds come on the last set only.',
    ],
    lines: [
      'incline_dumbbell_curl warm-up 2 x 10 50% usual, then 3 x 10-12, rir 2, rest 90s, last: hold 20s long',
      'overhead_extension_rope warm-up 2 x 12 50% usual, then 3 x 12-15, rir 2, rest 90s, last: hold 20s long',
      'cable_curl_behind_body 2 x 12-15, rir 2, left then right',
      'cross_cable_extension 2 x 12-15, rir 2',
    ],
  },
  {
    id: 'triceps-priority',
    name: 'Triceps first',
    suits: '50 minutes, extensors behind the flexors',
    scales: true,
    reasons: [
      'Twice as many extensor sets, all of them before the curls.',
      'Three angles: pressing, arm at the side, arm overhead.',
    ],
    lines: [
      'pushdown_rope warm-up 2 x 15 50% usual, then 3 x 10-12, rir 2, rest 90s',
      'narrow_grip_bench_press 3 x 7-9, rir 2, rest 120s',
      'overhead_extension_rope 3 x 12-15, rir 2, rest 90s',
      'superset, between 15s, after 75s: cable_curl 3 x 10-12, rir 2 & kickback_cable 2 x 15-20, rir 1, left then right',
    ],
  },
  {
    id: 'flexor-priority',
    name: 'Biceps and brachialis first',
    suits: '50 minutes, flexors behind the extensors',
    scales: true,
    reasons: [
      'Palms up while fresh, then palms facing and down for brachialis and brachioradialis.',
      'Three sets keep the triceps.',
    ],
    lines: [
      'incline_dumbbell_curl warm-up 2 x 10 50% usual, then 3 x 8-10, rir 2, rest 90s',
      'preacher_curl_bar 3 x 10-12, rir 2, rest 90s',
      'hammer_curl 3 x 8-12, rir 2, rest 90s',
      'superset, between 15s, after 75s: reverse_curl 2 x 12-15, rir 2 & pushdown_rope 3 x 12-15, rir 2',
    ],
  },
  {
    id: 'beginner-after-back',
    name: 'Beginner, after back work',
    suits: '15 minutes at the end of a pull day',
    scales: false,
    reasons: [
      'Rows and pulldowns have trained the biceps already: four direct sets are enough.',
      'Machines and cables are learned quickly, two reps stay in reserve.',
    ],
    lines: [
      'finisher: machine_curl 2 x 10-15, rir 3, rest 90s',
      'finisher superset, between 20s, after 90s: hammer_curl 2 x 10-15, rir 3 & pushdown_rope 2 x 12-15, rir 3',
    ],
  },
  {
    id: 'dumbbell-only',
    name: 'Dumbbells only',
    suits: '40 minutes, at home or on the way',
    scales: true,
    reasons: [
      'One pair of dumbbells and a bench, no change of station inside a pair.',
      'One arm at a time where the pair would be too light.',
    ],
    lines: [
      'superset, between 15s, after 75s: dumbbell_curl 3 x 8-12, rir 2 & lying_extension_dumbbell 3 x 10-12, rir 2',
      'superset, between 15s, after 75s: hammer_curl 3 x 10-12, rir 2 & overhead_extension_dumbbell 3 x 10-15, rir 2',
      'concentration_curl 2 x 12-15, rir 1, left then right',
    ],
  },
  {
    id: 'elbow-friendly',
    name: 'Kind to the elbows',
    suits: '40 minutes, sore or sensitive elbows',
    scales: false,
    reasons: [
      'Ropes, cables and machines with little stress on both sides of the elbow.',
      'Higher reps, three in reserve, nothing overhead or lying.',
    ],
    lines: [
      'pushdown_rope warm-up 2 x 20 40% usual, then 3 x 15-20, rir 3, rest 75s',
      'rope_hammer_curl warm-up 1 x 15 50% usual, then 3 x 12-15, rir 3, rest 75s',
      'superset, between 20s, after 75s: kickback_cable 2 x 15-20, rir 3, left then right & band_curl 2 x 15-20, rir 3',
    ],
  },
]
