import type { Equipment, Exercise, Joint } from '../catalogue'

/** One thing about a station or a body that is set before the first rep: what it may be, and what a coach types. */
interface SetUpRow {
  readonly name: string
  readonly example: string
  /** Numbers it may be; none where it is said in words only. */
  readonly numbers?: { readonly least: number; readonly most: number; readonly unit: string }
  readonly words: readonly string[]
}

const notches = { least: 1, most: 40, unit: '' }

/**
 * Everything that can be set up, by the word it is typed with (`bench 30`, `cable low`, `seat 4`). The only list of it:
 * shorthand, forms, sheets and contracts read it.
 */
export const SET_UP = {
  bench: {
    name: 'Bench',
    example: '30',
    numbers: { least: 0, most: 90, unit: '°' },
    words: ['flat', 'decline'],
  },
  cable: {
    name: 'Cable',
    example: 'low, or a notch',
    numbers: notches,
    words: ['low', 'middle', 'high'],
  },
  line: {
    name: 'Line of pull',
    example: 'behind',
    words: ['front', 'behind', 'beside', 'across', 'overhead'],
  },
  ropes: { name: 'Ropes', example: '2', numbers: { least: 1, most: 2, unit: '' }, words: [] },
  steps: {
    name: 'Steps from the stack',
    example: '1',
    numbers: { least: 0, most: 6, unit: '' },
    words: [],
  },
  seat: { name: 'Seat', example: '4', numbers: notches, words: [] },
  pad: { name: 'Pad', example: '2', numbers: notches, words: [] },
  hands: {
    name: 'Between the hands',
    example: '40 cm',
    numbers: { least: 10, most: 150, unit: 'cm' },
    words: ['inside-shoulders', 'shoulder-wide', 'outside-shoulders'],
  },
  stance: {
    name: 'Stance',
    example: 'staggered',
    words: ['narrow', 'hip-wide', 'wide', 'staggered', 'kneeling', 'seated', 'standing', 'braced'],
  },
  feet: {
    name: 'Feet',
    example: 'flat',
    words: ['flat', 'raised', 'forward', 'behind', 'crossed', 'hanging'],
  },
  torso: {
    name: 'Torso',
    example: 'upright',
    words: ['upright', 'leant', 'hinged', 'supported'],
  },
  elbows: {
    name: 'Elbows',
    example: 'tucked, or degrees',
    numbers: { least: 0, most: 90, unit: '°' },
    words: ['tucked', 'flared'],
  },
  stop: {
    name: 'Stop',
    example: 'floor, or 10 cm above it',
    numbers: { least: 0, most: 80, unit: 'cm' },
    words: ['floor', 'pins', 'chest', 'forehead', 'right-angle'],
  },
  help: {
    name: 'Help',
    example: 'band',
    words: ['band', 'partner', 'feet', 'other-hand'],
  },
} as const satisfies Readonly<Record<string, SetUpRow>>

export type SetUpField = keyof typeof SET_UP
export const SET_UP_FIELDS = Object.keys(SET_UP) as readonly SetUpField[]
/** What is set up how; a field that is not named is as usual. */
export type SetUp = Readonly<Partial<Record<SetUpField, number | string>>>

const rowOf = (field: SetUpField): SetUpRow => SET_UP[field]

/** Whether a field may be set to a value. */
export function isSetUpValue(field: SetUpField, value: number | string): boolean {
  const { numbers, words } = rowOf(field)
  if (typeof value === 'string') return words.includes(value)
  return numbers !== undefined && value >= numbers.least && value <= numbers.most
}

/** A value as it is typed, `30`, `30°`, `40 cm`, `low` or `right angle`; undefined where the field cannot be so. */
export function parsedSetUp(field: SetUpField, text: string): number | string | undefined {
  const { numbers } = rowOf(field)
  const typed = text.trim().toLowerCase()
  const bare =
    numbers?.unit && typed.endsWith(numbers.unit) ? typed.slice(0, -numbers.unit.length) : typed
  const plain = bare.trim().replace(/\s+/g, '-')
  const value = plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : plain
  return isSetUpValue(field, value) ? value : undefined
}

/** What a field may be, for whoever typed something else: `Bench: give 0 to 90, or flat, decline.` */
export function setUpChoices(field: SetUpField): string {
  const { name, numbers, words } = rowOf(field)
  const choices = [
    ...(numbers ? [`${numbers.least} to ${numbers.most}`] : []),
    ...(words.length > 0 ? [words.join(', ')] : []),
  ]
  return `${name}: give ${choices.join(', or ')}.`
}

/** `bench 30°, between the hands 40 cm, seat 4`. */
export function setUpText(setUp: SetUp | undefined): string {
  return SET_UP_FIELDS.flatMap(field => {
    const value = setUp?.[field]
    if (value === undefined) return []
    const { name, numbers } = rowOf(field)
    const unit = typeof value === 'number' ? (numbers?.unit ?? '').replace(/^(?=[a-z])/, ' ') : ''
    return [`${name.toLowerCase()} ${value}${unit}`]
  }).join(', ')
}

/** Whether a field has to be set anew: it is named now, and was not so before. */
export function isSetOtherwise(
  field: SetUpField,
  now: SetUp | undefined,
  before: SetUp | undefined,
): boolean {
  return now?.[field] !== undefined && now[field] !== before?.[field]
}

const OF_EQUIPMENT: Readonly<Partial<Record<Equipment, readonly SetUpField[]>>> = {
  bench: ['bench'],
  incline_bench: ['bench'],
  preacher_bench: ['seat', 'pad'],
  cable: ['cable', 'line', 'steps', 'seat'],
  machine: ['seat', 'pad'],
  barbell: ['hands'],
  cambered_bar: ['hands'],
  fixed_bar: ['hands'],
  rail_guided_barbell: ['hands'],
  pull_up_bar: ['hands'],
  dip_bars: ['hands'],
}
/** Movements that end somewhere a coach can name: on the floor, on pins, at a right angle. */
const WITH_STOP = /press|dip|extension|squat|lunge|hinge/

/** What there is to set up for an exercise, by its equipment and movement; in the order of the table. */
export function setUpFieldsOf({ id, equipment, pattern, kind }: Exercise): readonly SetUpField[] {
  const own = new Set<SetUpField>(equipment.flatMap(piece => OF_EQUIPMENT[piece] ?? []))
  const isLying = own.has('bench') && /press/.test(pattern)
  const carriesBody = equipment.includes('bodyweight')
  if (isLying || carriesBody) own.add('feet')
  else if (!own.has('seat') || own.has('cable')) own.add('stance')
  if (/rope/.test(id)) own.add('ropes')
  if (carriesBody && /dip|vertical_pull/.test(pattern)) own.add('help')
  if (WITH_STOP.test(pattern)) own.add('stop')
  if (/press|dip|extension|row|pull/.test(pattern)) own.add('elbows')
  if (kind === 'compound' || pattern === 'raise' || pattern === 'dip') own.add('torso')
  return SET_UP_FIELDS.filter(field => own.has(field))
}

/** How a set-up changes what a joint bears, by field, value and joint; what is not named changes nothing. R. */
const STRESS: Readonly<
  Partial<Record<SetUpField, Readonly<Record<string, Partial<Record<Joint, number>>>>>>
> = {
  torso: {
    hinged: { low_back: 1.15 },
    supported: { low_back: 0.7 },
  },
  elbows: {
    flared: { shoulder: 1.1, elbow_extensor_side: 1.05 },
    tucked: { shoulder: 0.95 },
  },
  stance: {
    braced: { low_back: 0.7 },
    seated: { low_back: 0.85 },
  },
  stop: {
    'right-angle': { shoulder: 0.85 },
    floor: { shoulder: 0.9 },
  },
}

/** Times what a joint bears under a set-up; 1 where nothing is said or nothing changes. */
export function setUpStress(setUp: SetUp | undefined, joint: Joint): number {
  return SET_UP_FIELDS.reduce(
    (factor, field) => factor * (STRESS[field]?.[String(setUp?.[field])]?.[joint] ?? 1),
    1,
  )
}
