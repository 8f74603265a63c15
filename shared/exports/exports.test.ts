import type { ClientStarts } from '#core/follow/floor'
import { describe, expect, test } from '@jest/globals'
import { blockId, plainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { effortRows, jointRows, planRows, readinessRows, volumeRows } from '#core/exchange/exports'
import { contextWith, STEADY_MIDDLE } from '#core/plan/method'
import { blockVerdict, expandedBlock, usualBlock } from '#core/design/progress'
import { planIn, written } from '#core/testing/shorthandPlans'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { calendarOf } from './calendar'
import { csvOf } from './csv'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const bare: PlanDocument = {
  ...planIn(
    8,
    written('push', 'bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 3 x 12, rir 2'),
    { ...written('rest'), sessions: [] },
    written('arms', 'superset: cable_curl 3 x 12, rir 2 & pushdown_rope 3 x 12, rir 2'),
  ),
  startsOn: plainDate('2026-03-27'),
  passes: 3,
}
const event = {
  id: 'e',
  what: 'Regatta',
  from: plainDate('2026-04-06'),
  to: plainDate('2026-04-06'),
  effect: 'skip' as const,
}
const plan: PlanDocument = { ...bare, block: { ...usualBlock(bare, context), events: [event] } }
const expanded = expandedBlock(plan, context)
const text = (version = 3, of = expanded, starts: Partial<ClientStarts> = {}) =>
  calendarOf({
    blockId: blockId('0b0b0b0b-0000-4000-8000-000000000001'),
    title: 'Planking, the "first"; block, Marit',
    expanded: of,
    context,
    version,
    stamp: new Date('2026-03-01T09:00:00Z'),
    starts: { usual: new Map(), agreed: {}, ...starts },
  })
const eventsOf = (ics: string) =>
  new ICAL.Component(ICAL.parse(ics) as never[])
    .getAllSubcomponents('vevent')
    .map(component => new ICAL.Event(component))

describe('a block as iCalendar, read by another program', () => {
  test('begins when it was agreed for the day, and as usual on the others', () => {
    const usual = new Map([[5, '17:30']])
    const begun = (agreed: ClientStarts['agreed']) =>
      eventsOf(text(3, expanded, { usual, agreed })).map(({ startDate }) => startDate.toString())
    const [before, after] = [begun({}), begun({ [plainDate('2026-03-27')]: '18:05' })]
    expect(before).toContain('2026-03-27T17:30:00')
    expect(after).toEqual(
      before.map(at => (at === '2026-03-27T17:30:00' ? '2026-03-27T18:05:00' : at)),
    )
  })

  const events = eventsOf(text())
  test('one entry for each session on its calendar day, also across the clock change', () => {
    expect(events.map(({ startDate }) => startDate.toString())).toEqual(
      expanded.passes.flatMap(({ sessions }) => sessions.map(({ on }) => on)),
    )
    expect(events.every(({ startDate }) => startDate.isDate)).toBe(true)
  })
  test('at the hour the client begins that weekday, on both sides of the clock change; else the whole day', () => {
    const timed = eventsOf(
      text(3, expanded, {
        usual: new Map([
          [5, '17:30'],
          [7, '17:30'],
        ]),
      }),
    )
    const isTimed = ({ startDate }: (typeof timed)[number]) =>
      [1, 6].includes(startDate.dayOfWeek())
    const known = timed.filter(isTimed)
    expect(known.map(({ startDate }) => startDate.toString().slice(0, 10))).toEqual([
      '2026-03-27',
      '2026-03-29',
      '2026-04-12',
    ])
    for (const { startDate, endDate, summary } of known) {
      expect([startDate.hour, startDate.minute, startDate.zone.tzid]).toEqual([17, 30, 'floating'])
      const minutes = Number(/(\d+) min/.exec(summary)?.[1])
      expect(endDate.subtractDate(startDate).toSeconds()).toBe(minutes * 60)
    }
    const others = timed.filter(event => !isTimed(event))
    expect(others.map(({ startDate }) => startDate.isDate)).toEqual([true, true, true])
  })
  test('lines are folded at 75 octets and what needs it is escaped', () => {
    expect(
      text()
        .split('\r\n')
        .every(line => new TextEncoder().encode(line).length <= 75),
    ).toBe(true)
    expect(events[0]?.description).toContain('1 Bench press, dumbbells: ')
    expect(text()).toMatch(/^NAME:Planking {1,2}the {1,2}first {1,2}block {1,2}Marit\r$/m)
    expect(text()).not.toMatch(/^X-(?!WR)/m)
  })
  test('ids stay over exports, the newer one has the higher sequence, and what is left out is cancelled', () => {
    const later = eventsOf(text(4))
    expect(later.map(({ uid }) => uid)).toEqual(events.map(({ uid }) => uid))
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
    expect(later.every(({ sequence }, at) => sequence > (events[at]?.sequence ?? 0))).toBe(true)
    expect(
      events
        .filter(({ component }) => component.getFirstPropertyValue('status') === 'CANCELLED')
        .map(({ startDate }) => startDate.toString()),
    ).toEqual(['2026-04-06'])
  })
})

describe('a block as tables', () => {
  const rows = planRows(expanded, context)
  const verdict = blockVerdict(expanded, context)
  test('every exercise of every session, and the same figures as the screen', () => {
    const read = Papa.parse<Record<string, string>>(csvOf(rows), {
      header: true,
      skipEmptyLines: true,
    }).data
    expect(read).toHaveLength(rows.length)
    const sets = (date: string) =>
      read.filter(row => row.date === date).reduce((sum, row) => sum + Number(row.sets), 0)
    const [first] = expanded.passes
    expect(sets('2026-03-27')).toBe(
      first?.sessions[0]?.content.groupings.reduce(
        (sum, { slots }) =>
          sum +
          slots.reduce(
            (part, { scheme }) => part + scheme.runs.reduce((own, { count }) => own + count, 0),
            0,
          ),
        0,
      ),
    )
    expect(read.find(row => row.date === '2026-04-06')?.state).toBe('left out')
  })
  test('counted is direct and indirect together', () => {
    for (const { direct, indirect, counted } of volumeRows(verdict))
      expect(Number(counted)).toBeCloseTo(Number(direct) + Number(indirect), 1)
  })
  test('effort, readiness and joints have a row for each pass or exposure', () => {
    expect(effortRows(verdict)).toHaveLength(plan.passes)
    expect(jointRows(verdict).length % plan.passes).toBe(0)
    expect(readinessRows(verdict, ['triceps'])).toHaveLength(verdict.arrivals.triceps.length)
  })
  test('what a spreadsheet would run is disarmed', () =>
    expect(csvOf([{ note: '=1+1' }])).toBe('note\r\n"\'=1+1"\r\n'))
})
