import { beforeEach, describe, expect, test } from '@jest/globals'
import { planIn, written } from '#core/testing/shorthandPlans'
import { planScreen } from '~/testing/planScreen'

const plan = planIn(
  7,
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
  written('arms', 'cable_curl 4 x 12, rir 1'),
)

async function editor() {
  const { store } = await planScreen(plan)
  const { useRotationEditor } = await import('./useRotationEditor')
  return { store, of: useRotationEditor() }
}
let store: Awaited<ReturnType<typeof editor>>['store']
let of: Awaited<ReturnType<typeof editor>>['of']
beforeEach(async () => void ({ store, of } = await editor()))
const day = (at: number) => of.days.value[at]!

describe('the days of a rotation', () => {
  test('are listed with their role, limit and sets', () => {
    expect(of.days.value).toHaveLength(7)
    expect(day(0)).toMatchObject({ at: 0, role: 'push', sets: 7, sessions: 1 })
    expect(day(3)).toMatchObject({ sets: 0, sessions: 0 })
  })

  test('get another name and limit, as one step of undo', () => {
    of.setDay(0, { label: 'Chest', minutes: 50 })
    expect(day(0)).toMatchObject({ label: 'Chest', minutes: 50, role: 'push' })
    of.setDay(0, { minutes: null })
    expect(day(0).minutes).toBeUndefined()
    store.undo()
    store.undo()
    expect(store.plan).toEqual(plan)
  })

  test.each([4, 481, 30.5, Number.NaN])(
    'a limit of %d minutes is refused, the old one stays',
    minutes => {
      of.setDay(0, { minutes: 50 })
      of.setDay(0, { minutes })
      expect(of.complaint.value).toMatch(/^Minutes of day 1 must be a whole number from \d+ to \d+/)
      expect(day(0).minutes).toBe(50)
    },
  )

  test('a day with sets is no rest day, and says why', () => {
    of.setDay(0, { role: 'rest' })
    expect(of.complaint.value).not.toBe('')
    expect(day(0).role).toBe('push')
  })

  test('a day that is not there is left alone', () => {
    of.setDay(99, { role: 'pull' })
    expect(store.plan).toEqual(plan)
  })
})

describe('length and anchor', () => {
  test('more days are added at the end, and an eight-day rotation floats', () => {
    of.setLength(8)
    expect(of.days.value).toHaveLength(8)
    expect([of.canBeOnWeekdays.value, of.isOnWeekdays.value]).toEqual([false, false])
  })

  test('days with sets are not cut off without a word', () => {
    of.setLength(1)
    expect(of.complaint.value).not.toBe('')
    expect(of.days.value).toHaveLength(7)
  })

  test('seven days may stand on weekdays, and float again', () => {
    of.setAnchor('weekday')
    expect(of.isOnWeekdays.value).toBe(true)
    of.setAnchor('floating')
    expect(of.isOnWeekdays.value).toBe(false)
  })
})

describe('templates', () => {
  test('each says what it comes to for this client', async () => {
    const { useTemplates } = await import('./useTemplates')
    const { offered } = useTemplates()
    expect(offered.value.length).toBeGreaterThan(4)
    for (const { flexors, triceps, reasons } of offered.value) {
      expect(flexors).toBeGreaterThan(0)
      expect(triceps).toBeGreaterThan(0)
      expect(reasons).toMatch(/ min · every exercise| inside/)
    }
  })

  test('put in, its days stand in the place of those that were there, as one step of undo', async () => {
    const { useTemplates } = await import('./useTemplates')
    const { offered, use } = useTemplates()
    expect(use(offered.value[0]!).ok).toBe(true)
    expect(of.days.value.map(({ sessions }) => sessions === 0)).toEqual(
      offered.value[0]!.days.map(({ isRest }) => isRest),
    )
    store.undo()
    expect(store.plan).toEqual(plan)
  })
})
