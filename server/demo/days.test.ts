import { describe, expect, test } from '@jest/globals'
import { addDays, clientId, isoWeekday, type PlainDate, plainDate } from '#core/base'
import { rotationLedger } from '#core/count/ledger'
import { contextWith, methodById } from '#core/plan/method'
import { GROUPS } from '#core/plan/catalogue'
import { history } from '../services/history'
import { logList } from '../services/log'
import { review } from '../services/review'
import { roster } from '../services/roster'
import { trends } from '../services/trendsPage'
import { TEST_DAY, unitStudio, type UnitStudio, useTestDatabase } from '../testing/database'
import { clockOffsetMs } from '../clock'
import { daysOfRun, drawnDay, GOOD_DAYS } from '../../scripts/setup/days.mjs'
import { demoClients } from './studio'

useTestDatabase()

const DAYS = daysOfRun().map(day => plainDate(day))

async function reviewOf({ coach, client, today }: UnitStudio, name: string) {
  const seen = await review(coach, clientId(client(name).id), 'latest', today)
  if (!seen.ok) throw new Error(JSON.stringify(seen.error))
  return seen.value
}

/** What a plan counts, without its dates. */
function countsOn(today: PlainDate) {
  return demoClients(today).map(({ plan, method, facts }) => {
    const { groups } = rotationLedger(plan.rotation, contextWith(methodById(method), facts))
    return GROUPS.map(group => groups[group].week.counted)
  })
}

describe.each(DAYS)('on %s', today => {
  test('the plans of the demo count what they count on any other day', () => {
    expect(countsOn(today)).toEqual(countsOn(TEST_DAY))
  })

  test('Ines missed yesterday’s Pull: review, roster, history and log say so', async () => {
    const studio = await unitStudio({ today, logsOf: ['Ines'] })
    const { coach, client } = studio
    const yesterday = addDays(today, -1)
    const seen = await reviewOf(studio, 'Ines')
    expect(seen.missed.map(({ name, on }) => [name, on])).toEqual([['Pull', yesterday]])
    expect(seen.replans).toHaveLength(4)
    expect(seen.ahead.map(({ on }) => on)).toContain(today)
    expect(seen.review.adjustments.some(({ change }) => change.kind === 'load')).toBe(true)

    const { clients } = await roster(coach, today)
    const ines = clients.find(({ name }) => name.startsWith('Ines'))
    expect(ines).toMatchObject({ section: 'now' })
    expect(ines?.needs.map(({ headline }) => headline).join(' ')).toMatch(/Pull/)

    const past = await history(coach, client('Ines').id, today)
    const missed = past.ok && past.value.sessions.filter(({ state }) => state === 'missed')
    expect(missed && missed.map(({ on }) => on)).toEqual([yesterday])
    const log = await logList(coach, client('Ines').id, today)
    const noted = log.ok && log.value.sessions.filter(({ state }) => state === 'missed')
    expect(noted && noted.map(({ on }) => on)).toEqual([yesterday])
  })

  test('Joren’s triceps fall, and nothing of his that lies behind was missed', async () => {
    const studio = await unitStudio({ today, logsOf: ['Joren'] })
    const page = await trends(studio.coach, studio.client('Joren').id, today)
    expect(page.ok && page.value.exercises.some(({ trend }) => trend.verdict === 'decline')).toBe(
      true,
    )
    expect((await reviewOf(studio, 'Joren')).missed).toEqual([])
  })

  test('every client is reviewed without a word about the day', async () => {
    const studio = await unitStudio({ today, logsOf: ['Teo', 'Marit', 'Oskar', 'Pia'] })
    for (const name of ['Teo', 'Marit', 'Oskar', 'Pia']) {
      const { review: seen } = await reviewOf(studio, name)
      expect(seen.from <= today && seen.setsDone <= seen.setsDue + 60).toBe(true)
    }
  })
})

describe('the days themselves', () => {
  const days = Object.keys(GOOD_DAYS).map(day => plainDate(day))

  test('there are at least sixteen, with every weekday among them', () => {
    expect(days.length).toBeGreaterThanOrEqual(16)
    expect(new Set(days.map(isoWeekday)).size).toBe(7)
  })

  test('a run plays today and one drawn by its date, the same for the same date', () => {
    expect(daysOfRun({}, '2026-11-28')).toEqual(['2026-11-28', drawnDay('2026-11-28')])
    expect(drawnDay('2026-11-28')).toBe(drawnDay('2026-11-28'))
    const drawn = Array.from({ length: 60 }, (_, at) => drawnDay(addDays(TEST_DAY, at)))
    expect(new Set(drawn).size).toBe(days.length)
    expect(daysOfRun({ DAYS: 'all' })).toEqual(days)
    expect(daysOfRun({ DEMO_TODAY: '2028-02-29' })).toEqual(['2028-02-29'])
  })

  test.each([
    ['nothing named leaves the clock alone', undefined, 0],
    ['the day that it is', '2026-11-28', 0],
    ['tomorrow', '2026-11-29', 1],
    ['a leap day long past', '2024-02-29', -1003],
  ])('%s', (_, named, moved) => {
    const lateInTheEvening = Date.parse('2026-11-28T23:59:00Z')
    expect(clockOffsetMs(named, lateInTheEvening)).toBe(moved * 86_400_000)
  })
})
