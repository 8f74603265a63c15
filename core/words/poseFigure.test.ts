import { describe, expect, test } from '@jest/globals'
import { BUILT_IN_CATALOGUE, poseOf } from '../plan/catalogue'
import { drawnPose, exerciseFigure } from '.'

const all = [...BUILT_IN_CATALOGUE.values()]
const within = (value: number, low: number, high: number) => value >= low && value <= high

test.each(all.map(exercise => [exercise.id, exercise] as const))(
  '%s has a start and an end that stand in the picture, side by side',
  (_, exercise) => {
    const drawn = exerciseFigure(exercise)!
    const { box, start, end } = drawn
    for (const { limbs, head } of [start, end])
      for (const { x, y } of [...limbs.flatMap(({ points }) => points), head]) {
        expect(within(x, box.x, box.x + box.width)).toBe(true)
        expect(within(y, box.y, box.y + box.height)).toBe(true)
      }
    const right = Math.max(...start.limbs.flatMap(({ points }) => points.map(({ x }) => x)))
    const left = Math.min(...end.limbs.flatMap(({ points }) => points.map(({ x }) => x)))
    expect(left).toBeGreaterThan(right)
  },
)

describe('the angles are a body’s', () => {
  const bounds = {
    torso: [-95, 100],
    shoulder: [-65, 180],
    elbow: [0, 150],
    wrist: [-60, 70],
    hip: [-15, 125],
    knee: [0, 135],
    ankle: [-20, 50],
  } as const
  test.each(all.map(exercise => [exercise.id, exercise] as const))('of %s', (_, exercise) => {
    const pose = poseOf(exercise)!
    for (const angles of [pose.start, pose.end])
      for (const [joint, value] of Object.entries(angles)) {
        const [low, high] = bounds[joint as keyof typeof bounds]
        expect([joint, within(value, low, high)]).toEqual([joint, true])
      }
  })
})

describe('what moves', () => {
  const handOf = (id: string) => {
    const { start, end } = drawnPose(poseOf({ id, pattern: '' })!)
    return { start: start.hands[0]!, end: end.hands[0]! }
  }
  test.each([
    ['dumbbell_curl', 'up'],
    ['overhead_press_dumbbell', 'up'],
    ['lateral_raise_dumbbell', 'up'],
    ['pushdown_rope', 'down'],
    ['pulldown_wide', 'down'],
    ['bench_press_barbell', 'up'],
    ['overhead_extension_dumbbell', 'up'],
  ] as const)('in %s the hand goes %s', (id, way) => {
    const { start, end } = handOf(id)
    expect(Math.sign(start.y - end.y)).toBe(way === 'up' ? 1 : -1)
  })

  test.each(['chin_up', 'dip', 'push_up'])('in %s the hands stay and the body moves', id => {
    const drawn = drawnPose(poseOf({ id, pattern: '' })!)
    expect(drawn.start.hands[0]!.y).toBeCloseTo(drawn.end.hands[0]!.y, 6)
    expect(Math.abs(drawn.start.head.y - drawn.end.head.y)).toBeGreaterThan(1)
  })

  test('an exercise of a coach’s own is drawn as its kind; a kind nobody knows is not', () => {
    const own = exerciseFigure({ id: 'own-wall-curl', pattern: 'curl' })
    expect(own).toEqual(exerciseFigure({ id: 'dumbbell_curl', pattern: 'curl' }))
    expect(exerciseFigure({ id: 'own-other', pattern: 'juggling' })).toBeUndefined()
  })
})
