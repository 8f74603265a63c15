import { expect, test } from '@jest/globals'
import { DatabaseAway } from './away'
import { gathered } from './gathered'

const soon = () => new Promise(resolve => setTimeout(resolve, 2))

/** Doubles numbers, noting each round; odd kinds of numbers are another kind, and 13 cannot be doubled. */
function doubling() {
  const rounds: (readonly number[])[] = []
  const doubled = gathered(
    (value: number) => value % 2,
    async (round, kind) => {
      rounds.push(round)
      await soon()
      if (round.includes(13)) throw new Error('unlucky')
      expect(round.every(value => value % 2 === kind)).toBe(true)
      return round.map(value => 2 * value)
    },
  )
  return { rounds, doubled }
}

/** Some ask, and while their round is under way others do. */
async function inTwoGoes(
  doubled: (value: number) => Promise<number>,
  first: number[],
  then: number[],
) {
  const early = first.map(doubled)
  await new Promise(resolve => setImmediate(resolve))
  return Promise.allSettled([...early, ...then.map(doubled)])
}
const values = (all: readonly PromiseSettledResult<number>[]) =>
  all.map(one => (one.status === 'fulfilled' ? one.value : 'failed'))

test('those of one instant are one round; those who come meanwhile are the next, in their order', async () => {
  const { rounds, doubled } = doubling()
  expect(values(await inTwoGoes(doubled, [2, 4], [6, 8, 10]))).toEqual([4, 8, 12, 16, 20])
  expect(rounds).toEqual([
    [2, 4],
    [6, 8, 10],
  ])
  expect(await doubled(12)).toBe(24)
  expect(rounds.at(-1)).toEqual([12])
})

test('kinds do not wait for each other', async () => {
  const { rounds, doubled } = doubling()
  expect(values(await inTwoGoes(doubled, [2, 1], [4, 3]))).toEqual([4, 2, 8, 6])
  expect(rounds).toEqual([[2], [1], [4], [3]])
})

test('what fails in a round fails alone, and the next round goes on', async () => {
  const { rounds, doubled } = doubling()
  expect(values(await inTwoGoes(doubled, [3, 13, 5], [7]))).toEqual([6, 'failed', 10, 14])
  expect(rounds).toEqual([[3, 13, 5], [3], [13], [5], [7]])
})

test('where the database is away nobody is tried again', async () => {
  let tried = 0
  const asked = gathered(
    (_: number) => 'one',
    async () => {
      tried += 1
      await soon()
      throw new DatabaseAway()
    },
  )
  const all = await Promise.allSettled([1, 2, 3].map(asked))
  expect(all.map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected'])
  expect(tried).toBe(1)
})
