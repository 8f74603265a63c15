import { exerciseId, groupingId, sessionId, slotId } from '../../base'
import { requireExercise } from '../catalogue'
import type { Method, PlanContext } from '../method'
import type { DayRole, RotationDay } from '../rotation'
import type { Grouping, Placement, Slot } from '../session'
import { armPlacementFit, daysInOrder } from './armOrder'
import { usualScheme } from './newScheme'

/** One exercise a template wants: `id` or `id:purpose`, and its sets. */
interface Want {
  readonly exercise: string
  readonly sets: number
}
interface Part {
  readonly kind: 'straight' | 'pair' | 'finisher'
  readonly wants: readonly Want[]
}
interface TemplateDay {
  readonly role: DayRole
  readonly minutes: number
  readonly parts: readonly Part[]
}

/** A rotation to begin with, and why it is as it is. */
export interface RotationTemplate {
  readonly id: string
  readonly name: string
  readonly suits: string
  readonly reasons: readonly string[]
  readonly days: readonly TemplateDay[]
}

const want = (text: string): Want => {
  const [exercise = '', sets = '3'] = text.split(' ')
  return { exercise, sets: Number(sets) }
}
/** `exercise sets` each on its own. */
const plain = (...lines: readonly string[]): readonly Part[] =>
  lines.map(line => ({ kind: 'straight', wants: [want(line)] }))
const pair = (...lines: readonly string[]): Part => ({ kind: 'pair', wants: lines.map(want) })
const finisher = (...lines: readonly string[]): Part => ({
  kind: 'finisher',
  wants: lines.map(want),
})
const day = (
  role: DayRole,
  minutes: number,
  ...parts: readonly (Part | readonly Part[])[]
): TemplateDay => ({
  role,
  minutes,
  parts: parts.flatMap(part => ('kind' in part ? [part] : part)),
})
const rest: TemplateDay = { role: 'rest', minutes: 0, parts: [] }

const PUSH = plain('incline_press_dumbbell 3', 'machine_chest_press 3', 'lateral_raise_cable 3')
const PULL = plain('pulldown_neutral 3', 'seated_cable_row 3', 'rear_fly_machine 2')
const LEGS = plain(
  'machine_squat 3',
  'romanian_deadlift 3',
  'leg_curl_seated 2',
  'calf_raise_standing 3',
  'cable_crunch 2',
)
const UPPER = plain(
  'bench_press_dumbbell 3',
  'pulldown_neutral 3',
  'overhead_press_dumbbell 2',
  'machine_row 3',
)
const ARM_PAIRS = [
  pair('cable_curl 3', 'overhead_extension_rope 3'),
  pair('preacher_curl_bar 3', 'pushdown_rope 3'),
  pair('hammer_curl 2', 'pushdown_bar 2'),
]

/** Rotations a coach can start from. Sets are for steady-middle and are fitted to the client's method when filled. */
export const ROTATION_TEMPLATES: readonly RotationTemplate[] = [
  {
    id: 'split-twice-finishers',
    name: 'Push, pull, legs twice, arms as finishers',
    suits: '7 days, six sessions',
    reasons: [
      'Every arm muscle twice in a week, right after the compounds that warm it up.',
      'No day is lost to arms alone.',
    ],
    days: [
      day('push', 60, PUSH, finisher('pushdown_rope 3')),
      day('pull', 60, PULL, finisher('incline_dumbbell_curl 3')),
      day('legs', 60, LEGS),
      day(
        'push',
        60,
        plain('bench_press_dumbbell 3', 'overhead_press_dumbbell 3', 'lateral_raise_dumbbell 3'),
        finisher('overhead_extension_rope 3', 'pushdown_bar 2'),
      ),
      day(
        'pull',
        60,
        plain('pulldown_supinated 3', 'machine_row 3', 'face_pull 2'),
        finisher('cable_curl 3', 'hammer_curl 2'),
      ),
      day('legs', 60, LEGS),
      rest,
    ],
  },
  {
    id: 'eight-day-arm-day',
    name: 'Eight days, rest after each pair, own arm day',
    suits: '8 days, five sessions',
    reasons: [
      'Two days apart, arms come to their own day recovered.',
      'Eight days drift against the week; the calendar view shows how.',
    ],
    days: [
      day('push', 60, PUSH, plain('pushdown_bar 3')),
      day('pull', 60, PULL, plain('incline_dumbbell_curl 3')),
      rest,
      day('legs', 60, LEGS),
      rest,
      day('arms', 60, ...ARM_PAIRS, plain('reverse_curl 2')),
      day('upper', 60, UPPER),
      rest,
    ],
  },
  {
    id: 'upper-lower-arms',
    name: 'Upper, lower and an arm day',
    suits: '7 days, four sessions',
    reasons: [
      'Arms twice: a little on upper days, most on a day of their own.',
      'Two rest days stand around the arm day.',
    ],
    days: [
      day('upper', 60, UPPER, plain('pushdown_rope 2', 'cable_curl 2')),
      day('lower', 60, LEGS),
      rest,
      day('arms', 50, ...ARM_PAIRS),
      rest,
      day(
        'upper',
        60,
        plain(
          'incline_press_dumbbell 3',
          'machine_row 3',
          'pulldown_supinated 3',
          'lateral_raise_dumbbell 3',
        ),
        plain('hammer_curl 2'),
      ),
      rest,
    ],
  },
  {
    id: 'pull-push-arms-legs',
    name: 'Pull, push, arms, legs',
    suits: '7 days, four sessions',
    reasons: [
      'Pull before push: curls on the arm day come two days after rows.',
      'The arm day leads, legs give the arms two days off.',
    ],
    days: [
      day('pull', 60, PULL, plain('hammer_curl 2')),
      day('push', 60, PUSH, plain('pushdown_rope 2')),
      rest,
      day('arms', 60, ...ARM_PAIRS),
      day('legs', 60, LEGS),
      rest,
      rest,
    ],
  },
  {
    id: 'five-day',
    name: 'Five days, two on, one off',
    suits: '5 days, three sessions',
    reasons: [
      'Each muscle every five days, whatever the weekday: for shifts.',
      'Short rotation, many exposures.',
    ],
    days: [
      day('push', 60, PUSH, plain('overhead_extension_rope 3', 'pushdown_bar 2')),
      day('pull', 60, PULL, plain('cable_curl 3', 'hammer_curl 2')),
      rest,
      day('legs', 55, LEGS, finisher('preacher_curl_bar 2', 'pushdown_rope 2')),
      rest,
    ],
  },
  {
    id: 'back-first',
    name: 'Back first, for beginners',
    suits: '7 days, three sessions',
    reasons: [
      'Pulling first teaches the shoulder; curls come in last and light.',
      'Three full-body days are enough for a first year.',
    ],
    days: [
      day(
        'full',
        55,
        plain('pulldown_neutral 3', 'machine_chest_press 3', 'leg_press 3'),
        finisher('machine_curl 2', 'pushdown_rope 2'),
      ),
      rest,
      day(
        'full',
        55,
        plain('machine_row 3', 'machine_overhead_press 2', 'leg_curl_seated 3'),
        finisher('cable_curl 2', 'pushdown_bar 2'),
      ),
      rest,
      day(
        'full',
        55,
        plain('pulldown_supinated 3', 'push_up 3', 'leg_press:glutes 2', 'plank 2'),
        finisher('hammer_curl 2', 'overhead_extension_rope 2'),
      ),
      rest,
      rest,
    ],
  },
  {
    id: 'four-day',
    name: 'Four days: upper, lower, twice',
    suits: '7 days, four sessions',
    reasons: ['The plainest way to two exposures of everything.', 'Arms finish each upper day.'],
    days: [
      day('upper', 60, UPPER, finisher('cable_curl 3', 'pushdown_rope 3')),
      day('lower', 60, LEGS),
      rest,
      day(
        'upper',
        60,
        plain(
          'incline_press_dumbbell 3',
          'chest_supported_row 3',
          'pulldown_supinated 2',
          'lateral_raise_cable 3',
        ),
        finisher('incline_dumbbell_curl 3', 'overhead_extension_rope 3'),
      ),
      day(
        'lower',
        60,
        plain('leg_press 3', 'leg_curl_seated 3', 'calf_raise_press 3', 'cable_crunch 2'),
      ),
      rest,
      rest,
    ],
  },
  {
    id: 'six-day-arms-twice',
    name: 'Six days with two arm days',
    suits: '8 days, six sessions',
    reasons: [
      'For blocks in which arms come first: one arm day heavy, one for the long end.',
      'Everything else is kept, not built.',
    ],
    days: [
      day('push', 55, PUSH),
      day(
        'arms',
        50,
        pair('cambered_bar_curl 3', 'lying_extension_cambered 3'),
        pair('hammer_curl 3', 'pushdown_bar 3'),
      ),
      day('legs', 55, LEGS),
      rest,
      day('pull', 55, PULL),
      day(
        'arms',
        50,
        pair('incline_dumbbell_curl 3', 'overhead_extension_rope 3'),
        plain('reverse_curl 2'),
      ),
      day('upper', 50, UPPER),
      rest,
    ],
  },
  {
    id: 'nine-day-five',
    name: 'Nine days, five trained',
    suits: '9 days, five sessions',
    reasons: [
      'Rest at fixed places of a list longer than a week.',
      'Much time between hard days: for older or busy clients.',
    ],
    days: [
      day('push', 60, PUSH, plain('pushdown_bar 3')),
      rest,
      day('pull', 60, PULL, plain('cable_curl 3')),
      rest,
      day('legs', 60, LEGS),
      rest,
      day('arms', 60, ...ARM_PAIRS),
      day('upper', 60, UPPER),
      rest,
    ],
  },
  {
    id: 'loop-twice-and-one',
    name: 'Two-day loop three times, one day over',
    suits: '7 days, six sessions',
    reasons: [
      'Push and pull by turns, three of each in a week.',
      'The day left over is said: rest.',
    ],
    days: [
      day(
        'push',
        45,
        plain('incline_press_dumbbell 3', 'lateral_raise_cable 2', 'pushdown_rope 2'),
      ),
      day('pull', 45, plain('pulldown_neutral 3', 'rear_fly_machine 2', 'cable_curl 2')),
      day('push', 45, plain('machine_chest_press 3', 'overhead_extension_rope 2', 'leg_press 3')),
      day('pull', 45, plain('seated_cable_row 3', 'incline_dumbbell_curl 2', 'leg_curl_seated 3')),
      day('push', 45, plain('overhead_press_dumbbell 3', 'pushdown_bar 2', 'calf_raise_press 3')),
      day('pull', 45, plain('pulldown_supinated 3', 'hammer_curl 2', 'cable_crunch 2')),
      rest,
    ],
  },
  {
    id: 'lifting-and-conditioning',
    name: 'Three lifting days, two for conditioning',
    suits: '7 days, three sessions and two of conditioning',
    reasons: [
      'Conditioning stands on the calendar and counts as context, not as sets.',
      'Arms as pairs at the end of each lifting day.',
    ],
    days: [
      day('upper', 60, UPPER, finisher('cable_curl 3', 'pushdown_rope 3')),
      day('conditioning', 40),
      day('lower', 60, LEGS),
      day('conditioning', 40),
      day(
        'upper',
        60,
        plain('incline_press_dumbbell 3', 'machine_row 3', 'pulldown_supinated 2'),
        finisher('hammer_curl 3', 'overhead_extension_rope 3'),
      ),
      rest,
      rest,
    ],
  },
  {
    id: 'five-on-arms-last',
    name: 'Five days on, arms last',
    suits: '7 days, five sessions',
    reasons: [
      'One region a day, arms with the whole weekend to recover.',
      'Accessories on push and pull keep a second exposure.',
    ],
    days: [
      day('push', 60, PUSH, plain('pushdown_rope 2')),
      day('pull', 60, PULL, plain('hammer_curl 2')),
      day('legs', 60, LEGS),
      day(
        'upper',
        50,
        plain('overhead_press_dumbbell 3', 'lateral_raise_cable 3', 'rear_fly_machine 3'),
      ),
      day('arms', 60, ...ARM_PAIRS, plain('wrist_curl 2')),
      rest,
      rest,
    ],
  },
  {
    id: 'home-dumbbells',
    name: 'Three days at home',
    suits: '7 days, three sessions, dumbbells and a bench',
    reasons: [
      'Every exercise is possible with dumbbells and a bench.',
      'Forty minutes, pairs save time.',
    ],
    days: [
      day(
        'upper',
        40,
        plain('bench_press_dumbbell 3', 'dumbbell_row 3'),
        pair('dumbbell_curl 3', 'overhead_extension_dumbbell 3'),
      ),
      rest,
      day(
        'lower',
        40,
        plain('split_squat_rear_foot 3', 'shrug_dumbbell 2', 'lateral_raise_dumbbell 2', 'plank 2'),
      ),
      rest,
      day(
        'upper',
        40,
        plain('incline_press_dumbbell 3', 'chest_supported_row 3'),
        pair('hammer_curl 3', 'lying_extension_dumbbell 3'),
      ),
      rest,
      rest,
    ],
  },
]

/** Sets of one exercise that the built-in templates are written for. */
export const TEMPLATE_SETS = 3.5

/** The middle of the sets a method has of one exercise. */
export const usualSets = ({
  dose: {
    setsPerExercise: [low, high],
  },
}: Method): number => (low + high) / 2

/** Sets as a method does them: as many for its usual as there are for those it was written for. */
export const fittedSets = (sets: number, method: Method, writtenFor = TEMPLATE_SETS): number =>
  Math.max(1, Math.round((sets * usualSets(method)) / writtenFor))

/**
 * The days a template wants, in a method's sets, pairs and order; what a client cannot do of it is not asked here.
 *
 * Edge: arm pairs follow the method: side by side, in turn, or one after the other.
 */
export function templateDays(
  template: RotationTemplate,
  context: PlanContext,
  newId: () => string,
): readonly RotationDay[] {
  const { catalogue, method } = context
  const slotOf = ({ exercise: text, sets }: Want): Slot => {
    const [id = '', intent = null] = text.split(':')
    const exercise = requireExercise(catalogue, id)
    const scheme = usualScheme(exercise, fittedSets(sets, method), method)
    return { id: slotId(newId()), exercise: exerciseId(id), intent, scheme }
  }
  const days = template.days.map(({ role, minutes, parts }): RotationDay => {
    if (role === 'rest') return { role, sessions: [] }
    const groupings = parts.flatMap(part =>
      groupingsOf(part, part.wants.map(slotOf), context, newId),
    )
    return { role, minuteLimit: minutes, sessions: [{ id: sessionId(newId()), groupings }] }
  })
  return daysInOrder(days, context)
}

/** The templates in the order a method would look at them: those first that have arm work where it has it. */
export const templatesFor = (method: Method): readonly RotationTemplate[] =>
  [...ROTATION_TEMPLATES].sort(
    (a, b) => armPlacementFit(b.days, method) - armPlacementFit(a.days, method),
  )

function groupingsOf(
  { kind }: Part,
  slots: readonly Slot[],
  { method }: PlanContext,
  newId: () => string,
): readonly Grouping[] {
  const placement: Placement = kind === 'finisher' ? 'finisher' : 'main'
  const [first, ...others] = slots
  if (!first) return []
  const isTogether = kind !== 'straight' && others.length > 0 && method.pairing.mode !== 'straight'
  if (isTogether)
    return [
      {
        id: groupingId(newId()),
        kind: method.pairing.mode === 'superset' ? 'superset' : 'alternating',
        placement,
        slots: [first, ...others],
      },
    ]
  return slots.map(slot => ({
    id: groupingId(newId()),
    kind: 'straight',
    placement,
    slots: [slot],
  }))
}
