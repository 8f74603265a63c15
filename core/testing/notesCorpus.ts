/*
 * Plans as coaches jot them down, in many habits, and what a colleague would read in them. Written for this program.
 * A note stands before `=>`; behind it one line for each exercise in the order of the text: its id and its sets in
 * shorthand, `-` where no reps are given. A name that leaves open what is meant begins with `?` and is to be asked.
 */
const CORPUS = String.raw`
Mon push: bench 4x8, cgbp 3x10, pushdown 3x12-15 drop last
=>
bench_press_barbell 4 x 8
narrow_grip_bench_press 3 x 10
pushdown_bar 3 x 12-15, last: drop 20% to failure
---
Push
- Bench press 4x8 @ 80kg, rest 2-3 min
- Incline DB press 3 x 10
- Lateral raises 3x15
- Rope pushdowns 3x12 RIR 1
=>
bench_press_barbell 4 x 8, 80kg, rest 120-180s
incline_press_dumbbell 3 x 10
lateral_raise_dumbbell 3 x 15
pushdown_rope 3 x 12, rir 1
---
Pull day
1) Pull-ups 3xAMRAP
2) Barbell row 4x6-8 @RPE8
3) Hammer curls 12/10/8
4) Face pulls 3x20
=>
pull_up 3 x to failure
barbell_row 4 x 6-8, rir 2
hammer_curl 3 x 12/10/8
face_pull 3 x 20
---
UPPER A
bench: 3 sets of 8
seated cable row: 3 sets of 10
DB shoulder press: 3 sets of 10
SZ curl: 3 sets of 12
skullcrushers: 3 sets of 12
=>
bench_press_barbell 3 x 8
seated_cable_row 3 x 10
overhead_press_dumbbell 3 x 10
cambered_bar_curl 3 x 12
lying_extension_cambered 3 x 12
---
arms
A1 barbell curl 3x10
A2 skull crushers 3x10
B1 incline curl 3x12
B2 rope overhead extension 3x12
C hammer curl 2x15
=>
barbell_curl 3 x 10
lying_extension_cambered 3 x 10
incline_dumbbell_curl 3 x 12
overhead_extension_rope 3 x 12
hammer_curl 2 x 15
---
3x10 bench
3x12 lat pulldown
3x15 lateral raise
2x20 face pull
=>
bench_press_barbell 3 x 10
pulldown_wide 3 x 12
lateral_raise_dumbbell 3 x 15
face_pull 2 x 20
---
Tuesday: Pull
Chins 4 x 6-10
One arm DB row 3 x 10 each side
Preacher curls 3 x 8-12
Reverse curls 2 x 15
=>
chin_up 4 x 6-10
dumbbell_row 3 x 10, left then right
preacher_curl_bar 3 x 8-12
reverse_curl 2 x 15
---
Day 1 - Push
OHP 5x5 60kg
Dips 3x8 +10kg
Cable fly 3x15
Tricep pushdown 4x12
Day 2 - Pull
Deadlift 3x5 140kg
Chest supported row 3x10
Cable curl 4x12
=>
overhead_press_barbell 5 x 5, 60kg
dip 3 x 8, +10kg
cable_fly 3 x 15
pushdown_bar 4 x 12
deadlift 3 x 5, 140kg
chest_supported_row 3 x 10
cable_curl 4 x 12
---
Montag Druck: Bankdrücken 4x8, KH Schulterdrücken 3x10, Dips 3x12
Mittwoch Zug: Latzug 3x10, SZ-Curls 3 Sätze à 12 Wdh
=>
bench_press_barbell 4 x 8
overhead_press_dumbbell 3 x 10
dip 3 x 12
pulldown_wide 3 x 10
cambered_bar_curl 3 x 12
---
Lundi: développé couché 4x8, élévations latérales 3x15
Jeudi: tractions 4x6, curl marteau 3x12
=>
bench_press_barbell 4 x 8
lateral_raise_dumbbell 3 x 15
pull_up 4 x 6
hammer_curl 3 x 12
---
Lunes: press banca 4x8, fondos 3x10
Jueves: dominadas 4x8, curl martillo 3x12
=>
bench_press_barbell 4 x 8
dip 3 x 10
pull_up 4 x 8
hammer_curl 3 x 12
---
push: bench 4x8-10 @ rir 2, incline db 3x10, laterals 4x15, pushdowns 4x12
pull: pulldowns 4x10, cable row 3x10, sz curls 3x10, hammers 3x12
legs: squat 4x6, rdl 3x8, leg press 3x12, standing calf raises 4x12
=>
bench_press_barbell 4 x 8-10, rir 2
incline_press_dumbbell 3 x 10
lateral_raise_dumbbell 4 x 15
pushdown_bar 4 x 12
pulldown_wide 4 x 10
seated_cable_row 3 x 10
cambered_bar_curl 3 x 10
hammer_curl 3 x 12
squat_barbell 4 x 6
romanian_deadlift 3 x 8
leg_press 3 x 12
calf_raise_standing 4 x 12
---
* Bench Press – 4 × 8–10
* Machine Chest Press – 3 × 12
* Overhead Rope Extension – 3 × 12–15
=>
bench_press_barbell 4 x 8-10
machine_chest_press 3 x 12
overhead_extension_rope 3 x 12-15
---
Bench 80kg 4x8
Pushdown 30 kg 3x12
Lying triceps extension 25kg 3x10
=>
bench_press_barbell 4 x 8, 80kg
pushdown_bar 3 x 12, 30kg
lying_extension_cambered 3 x 10, 25kg
---
Bench press 4 sets x 8 reps
Incline dumbbell press 3 sets x 10 reps
Cable curl 3 sets x 12 reps
=>
bench_press_barbell 4 x 8
incline_press_dumbbell 3 x 10
cable_curl 3 x 12
---
Arm day (45 min)
superset: barbell curl 3x10 + pushdown 3x10
superset: incline db curl 3x12 + overhead rope extension 3x12
finisher: hammer curl 2x20
=>
barbell_curl 3 x 10
pushdown_bar 3 x 10
incline_dumbbell_curl 3 x 12
overhead_extension_rope 3 x 12
hammer_curl 2 x 20
---
barbell curl 3x8 superset with skullcrusher 3x8
cable curl 3x12 ss rope pushdown 3x12
=>
barbell_curl 3 x 8
lying_extension_cambered 3 x 8
cable_curl 3 x 12
pushdown_rope 3 x 12
---
SZ curl 3x21s
Pushdown 3x15
=>
cambered_bar_curl 3 x 7 lower half | 7 upper half | 7
pushdown_bar 3 x 15
---
Bench 5x5 @ 85kg, rest 3 min
Row (barbell) 5x5 @ 70kg, rest 2 min
=>
bench_press_barbell 5 x 5, 85kg, rest 180s
? 5 x 5, 70kg, rest 120s
---
Pull ups: 4 sets to failure
Rope hammer curl: 3 sets 12-15
Concentration curl: 2 sets 12 per arm
=>
pull_up 4 x to failure
rope_hammer_curl 3 x 12-15
concentration_curl 2 x 12, left then right
---
W1-4
Mon: bench 4x8
Thu: cgbp 4x8
=>
bench_press_barbell 4 x 8
narrow_grip_bench_press 4 x 8
---
Week 1
Upper
Bench 3x8
Pulldown 3x10
Week 2
Upper
Bench 4x8
Pulldown 4x10
=>
bench_press_barbell 3 x 8
pulldown_wide 3 x 10
---
Upper
curls 3x12
rows 4x8
flyes 3x15
lateral raise 3x15
=>
? 3 x 12
? 4 x 8
? 3 x 15
lateral_raise_dumbbell 3 x 15
---
Squat 3x5
Bench 3x5
Deadlift 1x5
=>
squat_barbell 3 x 5
bench_press_barbell 3 x 5
deadlift 1 x 5
---
Wed - Arms
DB curl 3x10 (slow negatives)
Kickbacks 3x15 (squeeze at the top)
Spider curls 3x12
=>
dumbbell_curl 3 x 10
kickback_dumbbell 3 x 15
chest_supported_curl 3 x 12
---
close-grip bench 3x6-8, rpe 8
weighted dips 3x8, rpe 9
overhead db extension 3x12, rpe 9
=>
narrow_grip_bench_press 3 x 6-8, rir 2
dip 3 x 8, rir 1
overhead_extension_dumbbell 3 x 12, rir 1
---
Bench press, 4 sets, 8-10 reps, 2 RIR, 2 min rest
Barbell curl, 3 sets, 10-12 reps, 1 RIR, 90 s rest
=>
bench_press_barbell 4 x 8-10, rir 2, rest 120s
barbell_curl 3 x 10-12, rir 1, rest 90s
---
Push A: flat bench 4x6 / incline db press 3x10 / pec deck 3x12 / rope pushdown 3x15
=>
bench_press_barbell 4 x 6
incline_press_dumbbell 3 x 10
machine_fly 3 x 12
pushdown_rope 3 x 15
---
Bench 4x8; Row machine 4x10; Preacher curl 3x12; Pushdown 3x12
=>
bench_press_barbell 4 x 8
machine_row 4 x 10
preacher_curl_bar 3 x 12
pushdown_bar 3 x 12
---
bench 3*8
pulldown 3*10
cable curl 3*12
=>
bench_press_barbell 3 x 8
pulldown_wide 3 x 10
cable_curl 3 x 12
---
## Session 1
**Bench press** 4x8
**Seated row** 4x10
## Session 2
**Overhead press** 4x6
**Lat pulldown** 4x10
=>
bench_press_barbell 4 x 8
seated_cable_row 4 x 10
overhead_press_barbell 4 x 6
pulldown_wide 4 x 10
---
Fri legs: hip thrust 4x10, leg extension 3x15, lying leg curl 3x12, seated calf raise 4x15, plank 3x45s
=>
hip_thrust 4 x 10
leg_extension 3 x 15
leg_curl_lying 3 x 12
calf_raise_seated 4 x 15
plank 3 x hold 45s midway
---
Push (heavy)
Bench 12, 10, 8, 6
Skullcrushers 15, 12, 10
=>
bench_press_barbell 4 x 12/10/8/6
lying_extension_cambered 3 x 15/12/10
---
Bench 3x10/8/6 60/65/70kg
Barbell curl 3x12/10/8 25/27.5/30kg
=>
bench_press_barbell 3 x 10/8/6, 60/65/70kg
barbell_curl 3 x 12/10/8, 25/27.5/30kg
---
Cable curl 3x12, tempo 3-0-1-0
Pushdown 3x12 tempo 3010
=>
cable_curl 3 x 12, tempo 3-0-1-0
pushdown_bar 3 x 12, tempo 3-0-1-0
---
bench 2-3x8
rope pushdown 2-3x12
=>
bench_press_barbell 2-3 (2) x 8
pushdown_rope 2-3 (2) x 12
---
Pull
Pull up bodyweight 4x8
Barbell row 135lb 4x8
SZ bar curl 55 lbs 3x10
=>
pull_up 4 x 8, bodyweight
barbell_row 4 x 8, 135lb
cambered_bar_curl 3 x 10, 55lb
---
push
bench 4x8 62,5kg
dips 3x10 + 7,5 kg
=>
bench_press_barbell 4 x 8, 62.5kg
dip 3 x 10, +7.5kg
---
Upper/Lower
Mon upper: bench 4x8, bb row 4x8, dumbell curl 3x12, tricep rope pushdown 3x12
Tue lower: squats 4x8, leg curl seated 3x12
Thu upper: incline bench 4x8, lat pulldown 4x10, hammer curl 3x12, oh rope ext 3x12
Fri lower: deadlifts 3x5, leg press 3x12
=>
bench_press_barbell 4 x 8
barbell_row 4 x 8
dumbbell_curl 3 x 12
pushdown_rope 3 x 12
squat_barbell 4 x 8
leg_curl_seated 3 x 12
incline_press_barbell 4 x 8
pulldown_wide 4 x 10
hammer_curl 3 x 12
overhead_extension_rope 3 x 12
deadlift 3 x 5
leg_press 3 x 12
---
Warm-up: face pull 2x20
Bench 4x8
Cable fly 3x15
=>
face_pull 2 x 20
bench_press_barbell 4 x 8
cable_fly 3 x 15
---
Chest & triceps: bench 4x8, incline db press 3x10, cable fly 3x12, skull crusher 3x10, pushdown 3x12
Back & biceps: pull-ups 4x8, seated cable row 3x10, sz-bar curl 3x10, hammer curl 3x12
=>
bench_press_barbell 4 x 8
incline_press_dumbbell 3 x 10
cable_fly 3 x 12
lying_extension_cambered 3 x 10
pushdown_bar 3 x 12
pull_up 4 x 8
seated_cable_row 3 x 10
cambered_bar_curl 3 x 10
hammer_curl 3 x 12
---
day1 bench 4x8, cable curl 3x12
day2 rest
day3 ohp 4x6, pushdown 3x12
=>
bench_press_barbell 4 x 8
cable_curl 3 x 12
overhead_press_barbell 4 x 6
pushdown_bar 3 x 12
---
Bench press 4x8 last set to failure
Cable curl 3x10 last set drop
=>
bench_press_barbell 3 x 8, then 1 x to failure
cable_curl 3 x 10, last: drop 20% to failure
---
biceps: barbell curl 4x8, preacher curl 3x10, cable curl 2x15
triceps: cgbp 4x8, skulls 3x10, rope pushdown 2x15
=>
barbell_curl 4 x 8
preacher_curl_bar 3 x 10
cable_curl 2 x 15
narrow_grip_bench_press 4 x 8
lying_extension_cambered 3 x 10
pushdown_rope 2 x 15
---
Bankdrücken 3 x 8-10, Pause 2 min
Rudern am Kabel 3 x 10, Pause 90 s
Trizepsdrücken am Seil 3 x 12
Hammercurls 3 x 12
=>
bench_press_barbell 3 x 8-10, rest 120s
seated_cable_row 3 x 10, rest 90s
pushdown_rope 3 x 12
hammer_curl 3 x 12
---
Mandag: benkpress 4x8, nedtrekk 3x10
Torsdag: markløft 3x5, hammer curl 3x12
=>
bench_press_barbell 4 x 8
? 3 x 10
deadlift 3 x 5
hammer_curl 3 x 12
---
Push 1: Bench 3 sets, Incline DB press 3 sets, Pushdown 4 sets
=>
bench_press_barbell -
incline_press_dumbbell -
pushdown_bar -
---
10 reps x 3 sets bench
12 reps x 3 sets cable curl
=>
bench_press_barbell 3 x 10
cable_curl 3 x 12
---
[ ] Bench 4x8
[ ] Pulldown 4x10
[x] Hammer curl 3x12
=>
bench_press_barbell 4 x 8
pulldown_wide 4 x 10
hammer_curl 3 x 12
---
Bench @8 3x6
Squat @7.5 3x5
=>
bench_press_barbell 3 x 6, rir 2
squat_barbell 3 x 5, rir 3
---
a) cambered bar curl 3x10 b) rope pushdown 3x10
=>
cambered_bar_curl 3 x 10
pushdown_rope 3 x 10
---
Pull: neutral grip pull-ups 4x6-8, 1 arm row 3x10, incline curl 3x10, rear delt fly machine 3x15
=>
neutral_chin_up 4 x 6-8
dumbbell_row 3 x 10
incline_dumbbell_curl 3 x 10
rear_fly_machine 3 x 15
---
French press 3x10
Bench press 4x8
Wall curl 3x12
=>
? 3 x 10
bench_press_barbell 4 x 8
? 3 x 12
---
bench press 4 x 8, 1-2 RIR
sz curl 3 x 10, 0-1 RIR
=>
bench_press_barbell 4 x 8, rir 2
cambered_bar_curl 3 x 10, rir 1
---
Bench press.....4x8
Cable curl.....3x12
Pushdown.....3x12
=>
bench_press_barbell 4 x 8
cable_curl 3 x 12
pushdown_bar 3 x 12
---
Bench press | 4x8 | 2 min rest
Lat pulldown | 3x10 | 90 s rest
=>
bench_press_barbell 4 x 8, rest 120s
pulldown_wide 3 x 10, rest 90s
---
Bench	4x8	80kg
Cable curl	3x12	25kg
=>
bench_press_barbell 4 x 8, 80kg
cable_curl 3 x 12, 25kg
---
Full body x3
squat 3x8
bench 3x8
bent over row 3x8
curl 2x12
=>
squat_barbell 3 x 8
bench_press_barbell 3 x 8
barbell_row 3 x 8
? 2 x 12
---
Push session, tuesday
Machine shoulder press 3x10
DB bench press 3x10
Single arm pushdown 3x12 each arm
Cable lateral raise 3x15/side
=>
machine_overhead_press 3 x 10
bench_press_dumbbell 3 x 10
pushdown_single 3 x 12, left then right
lateral_raise_cable 3 x 15, left then right
---
Monday
Bench 4x8 (pause on chest)
Close grip pushups 2xmax
Tuesday
off
Wednesday
Chin ups 3x8
Reverse grip pushdown 3x15
=>
bench_press_barbell 4 x 8
narrow_push_up 2 x to failure
chin_up 3 x 8
pushdown_reverse_grip 3 x 15
---
Lats/bis: straight arm pulldown 3x15, underhand pulldown 3x10, machine preacher curl 3x12, cross body hammer curl 3x12
=>
straight_arm_pulldown 3 x 15
pulldown_supinated 3 x 10
machine_curl 3 x 12
cross_body_hammer_curl 3 x 12
---
Upper body 50min
1. Bench - 4x8 - rest 120s
2. Row, cable - 4x10 - rest 90s
3. Curl, barbell - 3x10 - rest 60s
=>
bench_press_barbell 4 x 8, rest 120s
seated_cable_row 4 x 10, rest 90s
barbell_curl 3 x 10, rest 60s
`

export interface CorpusNote {
  readonly text: string
  /** Exercises in the order of the text; `exercise` undefined is to be asked, `scheme` undefined is not said. */
  readonly lines: readonly {
    readonly exercise: string | undefined
    readonly scheme: string | undefined
  }[]
}

export const NOTES_CORPUS: readonly CorpusNote[] = CORPUS.trim()
  .split('\n---\n')
  .map(note => {
    const [text = '', expected = ''] = note.split('\n=>\n')
    return {
      text,
      lines: expected.split('\n').map(line => {
        const [exercise = '', ...scheme] = line.split(' ')
        return {
          exercise: exercise === '?' ? undefined : exercise,
          scheme: scheme.join(' ') === '-' ? undefined : scheme.join(' '),
        }
      }),
    }
  })
