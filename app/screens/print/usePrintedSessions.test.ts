import { expect, test } from '@jest/globals'
import { planIn, written } from '#core/testing/shorthandPlans'
import { planScreen } from '~/testing/planScreen'

const plan = planIn(
  7,
  written('arms', 'concentration_curl 2 x 10, starting right', 'barbell_curl 2 x 8-12, 30kg'),
)

async function linesWith(rule: 'first' | 'match' | null) {
  await planScreen(plan, {
    facts: {
      exerciseRules: ['concentration_curl', 'barbell_curl'].map(exercise => ({
        exercise,
        mostKg: null,
        instead: null,
        ...(rule && { sides: { weak: 'left', rule } }),
      })),
    },
  })
  const { usePrintedSessions } = await import('./usePrintedSessions')
  const [sheet] = usePrintedSessions(() => ({ day: 0, session: 0, on: null })).value
  return sheet!.groups.flatMap(({ exercises }) => exercises.map(({ lines }) => lines.join(' | ')))
}

test('the client’s rule about left and right stands on paper, and in place of the plan’s own side', async () => {
  const [oneArm, bar] = await linesWith('match')
  expect(oneArm).toMatch(/\| The left begins, the right stops at its reps$/)
  expect(oneArm).not.toContain('start right')
  expect(bar).not.toContain('begins')
  expect((await linesWith('first'))[0]).toMatch(/\| The left begins$/)
})

test('without a rule the plan says which side begins', async () =>
  expect((await linesWith(null))[0]).toContain('start right'))
