import { type Angles, type Pose, poseOf, type Posture } from '../plan/catalogue'

/** A point in the picture: right and down, in units of about a hand's breadth. */
export interface Point {
  readonly x: number
  readonly y: number
}
/** One position of the body as it is drawn. */
export interface Figure {
  readonly head: Point & { readonly r: number }
  /** Limbs as lines: torso, legs, then the arms, which move. */
  readonly limbs: readonly { readonly points: readonly Point[]; readonly isArm: boolean }[]
  /** Where the load is held. */
  readonly hands: readonly Point[]
}
/** Start and end of a movement side by side with what they rest on, and the box around them. */
export interface Drawn {
  readonly start: Figure
  readonly end: Figure
  readonly supports: readonly (readonly [Point, Point])[]
  readonly box: {
    readonly x: number
    readonly y: number
    readonly width: number
    readonly height: number
  }
}

/** Lengths of the parts of a body. Source: docs/methods.md#figures. */
const LENGTH = {
  torso: 5.2,
  neck: 1.5,
  head: 1.15,
  arm: 3,
  forearm: 2.6,
  hand: 0.9,
  thigh: 4.2,
  shin: 4.1,
  foot: 1.4,
} as const

/** What a posture is where a movement says nothing. */
const POSTURES: Readonly<Record<Posture, Required<Angles>>> = {
  standing: { torso: 0, shoulder: 0, elbow: 0, wrist: 0, hip: 0, knee: 0, ankle: 0 },
  seated: { torso: 0, shoulder: 0, elbow: 0, wrist: 0, hip: 90, knee: 90, ankle: 0 },
  lying: { torso: -90, shoulder: 90, elbow: 0, wrist: 0, hip: 45, knee: 90, ankle: 0 },
  incline: { torso: -45, shoulder: 0, elbow: 0, wrist: 0, hip: 55, knee: 80, ankle: 0 },
  chest_on_pad: { torso: 40, shoulder: 40, elbow: 0, wrist: 0, hip: 60, knee: 70, ankle: 0 },
  kneeling: { torso: 0, shoulder: 0, elbow: 0, wrist: 0, hip: 0, knee: 90, ankle: 0 },
  bent_over: { torso: 65, shoulder: 65, elbow: 0, wrist: 0, hip: 75, knee: 20, ankle: 0 },
  hanging: { torso: 0, shoulder: 178, elbow: 0, wrist: 0, hip: 0, knee: 15, ankle: 0 },
  supported: { torso: 5, shoulder: 0, elbow: 0, wrist: 0, hip: 0, knee: 40, ankle: 0 },
  floor: { torso: 65, shoulder: 80, elbow: 0, wrist: 0, hip: 0, knee: 0, ankle: 0 },
}

const turned = ({ x, y }: Point, degrees: number): Point => {
  const angle = (degrees * Math.PI) / 180
  return {
    x: x * Math.cos(angle) - y * Math.sin(angle),
    y: x * Math.sin(angle) + y * Math.cos(angle),
  }
}
const along = (from: Point, direction: Point, length: number): Point => ({
  x: from.x + direction.x * length,
  y: from.y + direction.y * length,
})

/** The skeleton with the pelvis at the origin; y goes up. */
function skeleton(angles: Required<Angles>, view: Pose['view']) {
  const pelvis: Point = { x: 0, y: 0 }
  const down = turned({ x: 0, y: -1 }, -angles.torso)
  const up: Point = { x: -down.x, y: -down.y }
  const shoulder = along(pelvis, up, LENGTH.torso)
  const head = along(shoulder, up, LENGTH.neck)
  const thigh = turned(down, angles.hip)
  const knee = along(pelvis, thigh, LENGTH.thigh)
  const shin = turned(thigh, -angles.knee)
  const ankle = along(knee, shin, LENGTH.shin)
  const toes = along(ankle, turned(shin, 90 - angles.ankle), LENGTH.foot)
  const arm = (side: 1 | -1) => {
    const upper = turned(down, side * angles.shoulder)
    const elbow = along(shoulder, upper, LENGTH.arm)
    const lower = turned(upper, side * angles.elbow)
    const wrist = along(elbow, lower, LENGTH.forearm)
    const hand = along(wrist, turned(lower, side * angles.wrist), LENGTH.hand)
    return [shoulder, elbow, wrist, hand] as const
  }
  return {
    head,
    torso: [pelvis, shoulder] as const,
    leg: [pelvis, knee, ankle, toes] as const,
    arms: view === 'front' ? [arm(1), arm(-1)] : [arm(1)],
  }
}
type Skeleton = ReturnType<typeof skeleton>

const pointsOf = ({ head, torso, leg, arms }: Skeleton): readonly Point[] => [
  { x: head.x, y: head.y + LENGTH.head },
  { x: head.x - LENGTH.head, y: head.y },
  { x: head.x + LENGTH.head, y: head.y },
  ...torso,
  ...leg,
  ...arms.flat(),
]

function figure({ head, torso, leg, arms }: Skeleton, place: (point: Point) => Point): Figure {
  return {
    head: { ...place(head), r: LENGTH.head },
    limbs: [
      { points: torso.map(place), isArm: false },
      { points: leg.map(place), isArm: false },
      ...arms.map(points => ({ points: points.map(place), isArm: true })),
    ],
    hands: arms.map(([, , , hand]) => place(hand)),
  }
}

/** Between the two positions, and around both. */
const GAP = 2.5
const EDGE = 1
const SUPPORTED: readonly Posture[] = ['seated', 'lying', 'incline', 'chest_on_pad']

const handOf = ({ arms }: Skeleton): Point => arms[0]?.[3] ?? { x: 0, y: 0 }

/** What stays where it is in both positions. */
function anchorOf(body: Skeleton, { fixed, posture }: Pose): Point {
  if (fixed === 'hands') return handOf(body)
  return posture === 'standing' ? body.leg[2] : { x: 0, y: 0 }
}

const flat = (at: Point, left: number, right: number, down: number) =>
  [
    { x: at.x - left, y: at.y + down },
    { x: at.x + right, y: at.y + down },
  ] as const

/** The bar, seat or bench a body rests on. */
function supportsOf(
  body: Skeleton,
  { fixed, posture }: Pose,
  place: (point: Point) => Point,
): Drawn['supports'] {
  if (fixed === 'hands') return [flat(place(handOf(body)), 1.6, 1.6, 0)]
  if (!SUPPORTED.includes(posture)) return []
  const [pelvis, shoulder] = [place(body.torso[0]), place(body.torso[1])]
  if (posture === 'seated') return [flat(pelvis, 1.4, 1.8, 0.5)]
  return [
    [
      { x: pelvis.x, y: pelvis.y + 0.6 },
      { x: shoulder.x, y: shoulder.y + 0.6 },
    ],
  ]
}

const left = (points: readonly Point[]) => Math.min(...points.map(({ x }) => x))
const right = (points: readonly Point[]) => Math.max(...points.map(({ x }) => x))

/** The start and the end of a movement from its joint angles, beside each other on one ground. */
export function drawnPose(pose: Pose): Drawn {
  const bodyOf = (angles: Angles) => skeleton({ ...POSTURES[pose.posture], ...angles }, pose.view)
  const placeOf =
    (body: Skeleton, across: number) =>
    ({ x, y }: Point): Point => ({
      x: x - anchorOf(body, pose).x + across,
      y: anchorOf(body, pose).y - y,
    })
  const [first, last] = [bodyOf(pose.start), bodyOf(pose.end)]
  const firstPlace = placeOf(first, 0)
  const shift =
    right(pointsOf(first).map(firstPlace)) - left(pointsOf(last).map(placeOf(last, 0))) + GAP
  const lastPlace = placeOf(last, shift)
  const all = [...pointsOf(first).map(firstPlace), ...pointsOf(last).map(lastPlace)]
  const ys = all.map(({ y }) => y)
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)]
  return {
    start: figure(first, firstPlace),
    end: figure(last, lastPlace),
    supports: [...supportsOf(first, pose, firstPlace), ...supportsOf(last, pose, lastPlace)],
    box: {
      x: left(all) - EDGE,
      y: top - EDGE,
      width: right(all) - left(all) + 2 * EDGE,
      height: bottom - top + 2 * EDGE,
    },
  }
}

/** Start and end of an exercise as it is drawn; undefined for a kind of movement without drawing. */
export function exerciseFigure(exercise: {
  readonly id: string
  readonly pattern: string
}): Drawn | undefined {
  const pose = poseOf(exercise)
  return pose && drawnPose(pose)
}
