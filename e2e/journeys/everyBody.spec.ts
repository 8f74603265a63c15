import { accessMatrix, fuzzed } from '../../scripts/hard/doors'
import { serverToday } from '../../server/clock'
import { expect, test } from '../support/test'

const BODIES = 240

test('no wrong asker is let in anywhere, and no body breaks a door or reaches into another studio', async () => {
  test.slow()
  for (const row of await accessMatrix()) expect(row).toMatchObject({ 'answered otherwise': 0 })
  // Other bodies every day; whoever sees one fail draws it again by the day.
  const seed = Number(serverToday().replaceAll('-', ''))
  const [found] = await fuzzed(BODIES, seed)
  expect(found).toMatchObject({
    'answers of 500': 0,
    'pages of 500': 0,
    'tables of others changed': 0,
  })
  expect(found?.taken).toBeGreaterThan(0)
})
