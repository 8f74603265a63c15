import { beforeEach, expect, test } from '@jest/globals'
import { formatScheme } from '#core/plan/shorthand'
import { planIn, written } from '#core/testing/shorthandPlans'
import { logged, straight } from '#core/testing/loads'
import { exposuresByExercise } from '#core/body/log'
import { daySlots } from '#core/plan/rotation'
import { planScreen } from '~/testing/planScreen'

const plan = planIn(
  7,
  written('arms', 'cambered_bar_curl 3 x 8-12, rir 2', 'pushdown_rope 3 x 12, 20kg stack'),
  written('upper', 'cambered_bar_curl 2 x 8-12, rir 2', 'band_curl 2 x 15'),
)
const exposures = [
  ...exposuresByExercise(logged('barbell_curl', '2026-03-01', straight(30, [10, 10], 2))),
]

let screen: Awaited<ReturnType<typeof planScreen>>
let of: ReturnType<typeof import('./useStartingLoads').useStartingLoads>
async function begun(bodyKg: number | null, log = exposures): Promise<void> {
  screen = await planScreen(plan, {
    answering: ({ path }) => ({
      ok: true,
      value: path.endsWith('/loads')
        ? { unit: 'kg', bodyKg, exposures: log, lastPlanned: [] }
        : { sent: [] },
    }),
  })
  const { useStartingLoads } = await import('./useStartingLoads')
  const { useLoadsStore } = await import('~/stores/loads')
  await useLoadsStore().load()
  of = useStartingLoads()
}
beforeEach(() => begun(null))
const loadsOf = (exercise: string) =>
  screen.store
    .plan!.rotation.days.flatMap(daySlots)
    .filter(slot => slot.exercise === exercise)
    .map(({ scheme }) => formatScheme(scheme))

test('exercises without a load are listed once, with what is known of one like it', () =>
  expect(of.rows.value).toMatchObject([
    {
      exercise: 'cambered_bar_curl',
      suggested: '22.5',
      known: '22.5\u00a0kg, within 20\u00a0%, from Barbell curl',
    },
  ]))

test('a suggestion taken stands in every session, as one step of undo', () => {
  of.take('cambered_bar_curl')
  expect(loadsOf('cambered_bar_curl')).toEqual([
    '3 x 8-12, 22.5kg, rir 2',
    '2 x 8-12, 22.5kg, rir 2',
  ])
  expect(of.rows.value).toEqual([])
  screen.store.undo()
  expect(loadsOf('cambered_bar_curl')).toEqual(['3 x 8-12, rir 2', '2 x 8-12, rir 2'])
})

test('a weight of one’s own is taken; what is none is refused by name', () => {
  of.typed.cambered_bar_curl = 'much'
  of.take('cambered_bar_curl')
  expect(of.message.value).toBe('Cambered-bar curl: give a weight above 0.')
  of.typed.cambered_bar_curl = '17,5'
  of.take('cambered_bar_curl')
  expect(loadsOf('cambered_bar_curl')[0]).toContain('17.5kg')
})

test('where nothing like it was logged the body’s weight speaks, and says so', async () => {
  await begun(80, [])
  expect(of.rows.value[0]).toMatchObject({
    suggested: '12.5',
    known: '12.5\u00a0kg, within 40\u00a0%, from body weight alone',
  })
  await begun(null, [])
  expect(of.rows.value[0]).toMatchObject({
    suggested: '',
    known: expect.stringMatching(/the phone$/),
  })
})
