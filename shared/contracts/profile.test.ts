import { describe, expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import { SCREENING_IDS } from '#core/plan/safety'
import { demoClients } from '../../server/demo/studio'
import { ClientFactsContract } from './client'
import { type Profile, ProfileContract } from './profile'
import { factsOf } from './profileFacts'

const [client] = demoClients(plainDate('2026-04-01'))
const profile = client?.profile as Profile
const pointer = (changed: object) =>
  ProfileContract.safeParse({ ...profile, ...changed }).error?.issues.map(({ path }) =>
    path.join('/'),
  )

describe('profiles', () => {
  test('what the demo studio was asked is a profile, and what follows bears on the numbers', () => {
    expect(ProfileContract.parse(profile)).toEqual(profile)
    expect(ClientFactsContract.parse(factsOf(profile))).toEqual(factsOf(profile))
  })
  test.each([
    ['an empty name', { name: ' ' }, 'name'],
    ['a 30-hour day', { days: [{ weekday: 1, minutes: 1800, start: '17:30' }] }, 'days/0/minutes'],
    [
      'a time that is none',
      { days: [{ weekday: 1, minutes: 60, start: '24:10' }] },
      'days/0/start',
    ],
    [
      'the same weekday twice',
      { days: [1, 1].map(weekday => ({ weekday, minutes: 60, start: '17:30' })) },
      'days',
    ],
    ['a joint nobody has', { sensitiveJoints: ['tail'] }, 'sensitiveJoints/0'],
    ['a field nobody knows', { colour: 'red' }, ''],
    ['fractional months', { trainingAgeMonths: 2.5 }, 'trainingAgeMonths'],
    ['a note of 5,000 characters', { weakPoints: 'x'.repeat(5000) }, 'weakPoints'],
  ])('%s is refused at its field', (_, changed, expected) =>
    expect(pointer(changed)).toEqual([expected]),
  )
  test('emoji, right-to-left text and markup are words like others', () =>
    expect(pointer({ goal: '💪 أكبر <b>arms</b>' })).toBeUndefined())
})

describe('what follows from a profile', () => {
  const answers = Object.fromEntries(SCREENING_IDS.map(id => [id, 'no' as const]))
  test('screening, age and joints', () => {
    const told = factsOf({
      ...profile,
      sensitiveJoints: ['wrist'],
      screening: { answers: { ...answers, s2: 'yes', s10: 'yes' }, clearance: null },
    })
    expect(told).toMatchObject({
      screening: 'refer',
      isMinor: true,
      joints: { wrist: 'sensitive' },
    })
  })
  test('bands, credits and pace that were set elsewhere stay; pain follows from reports', () => {
    const before = {
      ...factsOf(profile),
      bands: { biceps: { floor: 1, target: 2, ceiling: 3 } },
      credits: { hammer_curl: { biceps: 1 } },
      pain: { wrist: 'hold' as const },
      ratioWish: 1.3,
      recoveryPace: { triceps: 1.2 },
    }
    expect(factsOf(profile, before)).toMatchObject({
      bands: before.bands,
      credits: before.credits,
      ratioWish: 1.3,
      recoveryPace: before.recoveryPace,
    })
    expect(factsOf(profile, before)).not.toHaveProperty('pain')
  })
})
