import type { CheckId } from '../checkTable'
import type { SlotId } from '../../../base'
import { GROUPS, ELBOW_JOINTS } from '../../../plan/catalogue'
import { jointRamp } from '../../../body/joints'
import { trainingAge } from '../../../plan/method'
import { type Arrival, fatigueSources } from '../../../body/recovery'
import type { FoundBy, Rule } from '../finding'
import { type CheckInput, strictly } from '../input'

/* How days follow each other: recovery, quiet days for joints, rest days, places that contradict each other. */

const place = ({ day, session, group }: Arrival) => ({ day, session, group })

/** A shortfall of up to so many points is within what anybody can tell; the board's thread still shows it. */
const SPEAKS_FROM = 5

const notRecovered: Rule = {
  id: 'not-recovered',
  reason: 'The muscle comes to the day with less than its work asks for.',
  tunedBy: 'recovery.required',
  find: input =>
    GROUPS.flatMap(group =>
      input.recovery.arrivals[group]
        .filter(
          ({ readiness, required, role }) =>
            required - readiness > SPEAKS_FROM && role !== 'indirect',
        )
        .map((arrival): FoundBy => {
          const [source] = fatigueSources(input.recovery, arrival, input.context)
          const direct =
            input.sessions
              .find(({ day, session }) => day === arrival.day && session === arrival.session)
              ?.slots.filter(({ intent }) => intent.credits[group] === 1) ?? []
          const last = direct.at(-1)
          const isLarge = arrival.thread === 'frayed'
          return {
            place: place(arrival),
            figures: {
              group,
              readiness: arrival.readiness,
              required: arrival.required,
              hours: arrival.hoursSince,
              from: (source?.day ?? arrival.fromDay) + 1,
              toReady: arrival.hoursToReady,
            },
            ...(isLarge &&
              last && {
                fix:
                  input.context.method.recovery.onShortfall === 'cut_set'
                    ? [{ kind: 'cut_sets' as const, slot: last.slot.id, count: 1 }]
                    : laterDay(arrival, last.slot.id, last.sets, input),
              }),
          }
        }),
    ),
}

/** Sets moved to the nearest later training day; where there is none, the day changes places with the quietest rest day. */
function laterDay(arrival: Arrival, slot: SlotId, sets: number, { plan }: CheckInput) {
  const { days } = plan.rotation
  for (let ahead = 1; ahead < days.length; ahead++) {
    const to = (arrival.day + ahead) % days.length
    const day = days[to]
    if (
      day &&
      day.role !== 'rest' &&
      day.role !== 'open' &&
      day.sessions.length > 0 &&
      to !== arrival.fromDay
    )
      return [{ kind: 'move_sets' as const, toDay: to, moves: [{ slot, count: sets }] }]
  }
  const rest = quietestRestDay(arrival, { plan })
  return rest === undefined ? [] : [{ kind: 'swap_days' as const, day: arrival.day, with: rest }]
}

/** The rest day furthest from the exposure before, counted both ways round the rotation. */
function quietestRestDay(
  arrival: Arrival,
  {
    plan: {
      rotation: { days },
    },
  }: Pick<CheckInput, 'plan'>,
): number | undefined {
  const distance = (day: number) => {
    const since = (day - arrival.fromDay + days.length) % days.length
    return Math.min(since, days.length - since)
  }
  const rests = days.flatMap((day, at) => (day.role === 'rest' ? [at] : []))
  return rests.length === 0
    ? undefined
    : rests.reduce((best, day) => (distance(day) > distance(best) ? day : best))
}

const NEXT_DAY_HOURS = 36
const LARGE_IMPULSE = 5

function beforeArms(id: CheckId, group: 'triceps' | 'biceps', reason: string): Rule {
  return {
    id,
    reason,
    tunedBy: 'recovery.required',
    find: input =>
      input.recovery.arrivals[group].flatMap((arrival): readonly FoundBy[] => {
        const { days } = input.plan.rotation
        if (
          days[arrival.day]?.role !== 'arms' ||
          arrival.hoursSince >= NEXT_DAY_HOURS ||
          arrival.thread === 'whole'
        )
          return []
        const before = input.recovery.sessions.find(({ day }) => day === arrival.fromDay)
        const impulse = before?.impulses.get(group) ?? 0
        if (impulse < LARGE_IMPULSE || days[arrival.fromDay]?.role === 'arms') return []
        const rest = quietestRestDay(arrival, input)
        return [
          {
            place: place(arrival),
            figures: { group, hours: arrival.hoursSince, impulse, from: arrival.fromDay + 1 },
            ...(rest !== undefined && {
              fix: [{ kind: 'swap_days' as const, day: arrival.day, with: rest }],
            }),
          },
        ]
      }),
  }
}

const PRESS_READY = 80

const armsThenPress: Rule = {
  id: 'arms-then-press',
  reason: 'Tired triceps shorten presses, so the chest gets less.',
  find: input =>
    input.recovery.arrivals.triceps.flatMap((arrival): readonly FoundBy[] => {
      const session = input.sessions.find(
        ({ day, session: at }) => day === arrival.day && at === arrival.session,
      )
      const lead = session?.slots.find(
        ({ intent, exercise }) => intent.credits.chest === 1 && exercise.kind === 'compound',
      )
      const cameFromArms = input.plan.rotation.days[arrival.fromDay]?.role === 'arms'
      return lead && cameFromArms && arrival.readiness < PRESS_READY
        ? [
            {
              place: { ...place(arrival), slot: lead.slot.id },
              figures: {
                exercise: lead.exercise.name,
                readiness: arrival.readiness,
                hours: arrival.hoursSince,
              },
            },
          ]
        : []
    }),
}

const CLOSE_HOURS = 48
const HIGH_SHARE = 0.6
const STORE_SHARE = 0.5

const elbowNoQuietDay: Rule = {
  id: 'elbow-no-quiet-day',
  reason:
    'Tendons answer more slowly than muscles: hard elbow sessions want two days between them.',
  tunedBy: 'checks.strictness',
  find: input =>
    ELBOW_JOINTS.flatMap((joint): readonly FoundBy[] => {
      const { sessions, ceiling } = input.joints[joint]
      const period = input.plan.rotation.days.length * 24
      const high = sessions.filter(
        ({ load }) => load > strictly(input.context, HIGH_SHARE) * ceiling.session,
      )
      const close = high.flatMap((session, at) => {
        const before = high[(at - 1 + high.length) % high.length]
        const hours =
          before && before !== session ? (session.hour - before.hour + period) % period : period
        return before && hours < CLOSE_HOURS
          ? [
              {
                place: { day: session.day, session: session.session, joint },
                figures: { joint, hours, load: session.load, before: before.load, kind: 'close' },
              },
            ]
          : []
      })
      const full = sessions.find(({ store }) => store > STORE_SHARE * ceiling.week)
      return close.length > 0 || !full
        ? close
        : [
            {
              place: { day: full.day, session: full.session, joint },
              figures: {
                joint,
                store: full.store,
                limit: STORE_SHARE * ceiling.week,
                kind: 'store',
              },
            },
          ]
    }),
}

const jointCeiling: Rule = {
  id: 'joint-ceiling',
  reason: 'A joint has a weekly ceiling, after training age and setting.',
  tunedBy: 'joints.setting',
  find: input =>
    Object.values(input.joints)
      .filter(({ weekLoad, ceiling }) => weekLoad > ceiling.week + 1e-9)
      .map(({ joint, weekLoad, ceiling }): FoundBy => ({
        place: { joint },
        figures: { joint, load: weekLoad, ceiling: ceiling.week },
      })),
}

const jointRampCheck: Rule = {
  id: 'joint-ramp',
  reason: 'Joints complain of sudden rises more than of much work.',
  find: input =>
    Object.values(input.joints).flatMap(({ joint, weekLoad }): readonly FoundBy[] => {
      const verdict = jointRamp(weekLoad, input.jointHistory[joint] ?? [])
      if (verdict.kind === 'no_history' || verdict.kind === 'steady') return []
      return [
        {
          place: { joint },
          severity: verdict.kind === 'rising' ? 'info' : 'caution',
          figures: { joint, ramp: verdict.ramp, surplus: verdict.surplus },
        },
      ]
    }),
}

const DAYS_IN_A_ROW = { new: 4, mid: 5, adv: 5 } as const

const noRestDay: Rule = {
  id: 'no-rest-day',
  reason: 'A day without training now and then keeps the rest of the plan honest.',
  tunedBy: 'checks.strictness',
  find: input => {
    const trains = input.plan.rotation.days.map(({ sessions }) => sessions.length > 0)
    const most = strictly(
      input.context,
      DAYS_IN_A_ROW[trainingAge(input.context.client.trainingAgeMonths)],
      'count',
    )
    let longest = trains.every(Boolean) ? Infinity : 0
    let row = 0
    for (const isTraining of [...trains, ...trains]) {
      row = isTraining ? row + 1 : 0
      if (longest !== Infinity) longest = Math.max(longest, row)
    }
    return longest > most
      ? [{ place: {}, figures: { days: Math.min(longest, trains.length), most } }]
      : []
  },
}

const gapRule: Rule = {
  id: 'gap-rule-broken',
  reason: 'The plan says never so many days between sessions, and the places say otherwise.',
  find: ({ plan: { rotation } }) => {
    const { maxGapDays, days } = rotation
    const training = days.flatMap(({ sessions }, at) => (sessions.length > 0 ? [at] : []))
    if (maxGapDays === undefined || training.length === 0) return []
    const gaps = training.map(
      (day, at) => (training[at + 1] ?? (training[0] ?? 0) + days.length) - day,
    )
    const longest = Math.max(...gaps)
    return longest > maxGapDays
      ? [
          {
            place: { day: training[gaps.indexOf(longest)] ?? 0 },
            figures: { days: longest, most: maxGapDays },
          },
        ]
      : []
  },
}

const openDay: Rule = {
  id: 'open-day',
  reason: 'A day that nobody has spoken for counts as nothing until somebody does.',
  find: ({ plan: { rotation } }) =>
    rotation.days.flatMap((day, at) =>
      day.role === 'open' ? [{ place: { day: at }, figures: { day: at + 1 } }] : [],
    ),
}

const placesAssumed: Rule = {
  id: 'places-assumed',
  reason: 'Without fixed places, gaps and readiness rest on evenly spread days.',
  find: ({ plan: { rotation } }) =>
    rotation.kind === 'places' ? [] : [{ place: {}, figures: { kind: rotation.kind } }],
}

const WORKING_WEEKS = { normal: 8, sensitive: 6 } as const

const deloadMissing: Rule = {
  id: 'deload-missing',
  reason: 'After so many working weeks many clients profit from an easier one.',
  tunedBy: 'deload.mode',
  find: ({ plan, context }) => {
    const weeks = (plan.passes * plan.rotation.days.length) / 7
    const isSensitive = Object.values(context.client.joints ?? {}).includes('sensitive')
    const most = WORKING_WEEKS[isSensitive ? 'sensitive' : 'normal']
    return context.method.deload.mode !== 'none' && weeks > most + 1e-9
      ? [{ place: {}, figures: { weeks, most } }]
      : []
  },
}

export const ROTATION: readonly Rule[] = [
  notRecovered,
  beforeArms(
    'press-then-arms',
    'triceps',
    'Triceps that have helped many presses come tired to the arm day.',
  ),
  beforeArms(
    'pull-then-arms',
    'biceps',
    'Biceps that have helped many pulls come tired to the arm day.',
  ),
  armsThenPress,
  elbowNoQuietDay,
  jointCeiling,
  jointRampCheck,
  noRestDay,
  gapRule,
  openDay,
  placesAssumed,
  deloadMissing,
]
