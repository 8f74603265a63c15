import { expect, test } from '@jest/globals'
import { GROUP_NAMES } from '#core/words'
import { unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { history } from './history'
import { review } from './review'
import { reviewData } from './reviewData'
import { roster } from './roster'
import { trends } from './trendsPage'

useTestDatabase()

test('roster, review, history and trends say the same of a client: her log is read by one function', async () => {
  const studio = await unitStudio({ logsOf: ['Joren', 'Marit'] })
  const { today } = studio
  for (const name of ['Joren', 'Marit']) {
    const { id } = studio.client(name)
    const [list, seen, data, past, page] = await Promise.all([
      roster(studio.coach, today),
      review(studio.coach, id, 'latest', today).then(valueOf),
      reviewData(studio.coach, id, 'latest', today).then(valueOf),
      history(studio.coach, id, today).then(valueOf),
      trends(studio.coach, id, today).then(valueOf),
    ])
    // Exercise by exercise the pages tell one verdict, one slope, one count.
    const told = (
      all: readonly { exercise: string; verdict: string; slope: number; count: number }[],
    ) =>
      new Map(all.map(({ exercise, verdict, slope, count }) => [exercise, [verdict, slope, count]]))
    const ofReview = told(seen.trends)
    expect(told(past.trends)).toEqual(ofReview)
    const ofPage = told(page.exercises.map(({ exercise, trend }) => ({ exercise, ...trend })))
    for (const [exercise, said] of ofReview) expect(ofPage.get(exercise)).toEqual(said)
    // Muscle by muscle the roster tells a fall exactly where the review has one.
    const falling = [...data.question.muscles].filter(([, { verdict }]) => verdict === 'decline')
    const need = list.clients
      .find(client => client.id === id)!
      .needs.find(({ kind }) => kind === 'falling')
    expect(need !== undefined).toBe(falling.length > 0)
    if (need)
      expect(falling.map(([group]) => `${GROUP_NAMES[group]} falling`)).toContain(need.headline)
  }
  const { needs } = (await roster(studio.coach, today)).clients.find(({ name }) =>
    name.startsWith('Joren'),
  )!
  expect(needs.map(({ headline }) => headline)).toContain('Triceps falling')
})
