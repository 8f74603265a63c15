import { describe, expect, test } from '@jest/globals'
import { KEEP_ALL, RETENTION_CHOICES, type RetentionView } from '#shared/contracts/retention'
import { dueWords, RETENTION_LINES } from './retentionWords'

const view = (
  rules: Partial<RetentionView['retention']>,
  due: Partial<RetentionView['due']> = {},
): RetentionView => ({
  retention: { ...KEEP_ALL, ...rules },
  from: '2026-04-03T09:00:00.000Z',
  due: { clients: [], messages: 0, revisions: 0, ...due },
})

describe('rules in words', () => {
  test.each([
    ['nothing chosen', view({}), 'Nothing is erased by itself.'],
    [
      'nothing old enough',
      view({ messageMonths: 12 }),
      /^Followed from .*3.* on\. Nothing is old enough today\.$/,
    ],
    [
      'one of each',
      view({ archivedMonths: 6 }, { clients: ['Joren'], messages: 1, revisions: 1 }),
      /erases Joren, 1 message, 1 earlier version\.$/,
    ],
    [
      'many',
      view({ archivedMonths: 6 }, { clients: ['A', 'B', 'C', 'D', 'E', 'F', 'G'], messages: 12 }),
      /erases A, B, C, D, E, 2 more clients, 12 messages\.$/,
    ],
  ] as const)('%s', (_, shown, words) => {
    if (typeof words === 'string') expect(dueWords(shown)).toBe(words)
    else expect(dueWords(shown)).toMatch(words)
  })

  test('each choice of each rule has words of its own', () => {
    for (const { name, words } of RETENTION_LINES) {
      const told = RETENTION_CHOICES[name].map(choice => words(choice))
      expect(new Set(told).size).toBe(told.length)
    }
    expect(RETENTION_LINES[0]?.words(12)).toBe('Erased after a year')
    expect(RETENTION_LINES[0]?.words(24)).toBe('Erased after 2 years')
  })
})
