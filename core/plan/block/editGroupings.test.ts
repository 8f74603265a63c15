import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plainDate, sessionId, slotId } from '../../base'
import { orderedText } from '../scheme'
import { GROUPING_KINDS, type Session } from '../session'
import { formatSession, parseGrouping } from '../shorthand'
import { planArbitrary } from '../../testing/arbitraries'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import { applyEdit, applyEdits, datesOfDay, type PlanDocument, type PlanEdit, sessionOn } from '.'

const CURL = 'cable_curl 3 x 12, rir 2'
const PUSH = 'pushdown_rope 3 x 12, rir 2'
const WRIST = 'wrist_curl 2 x 15'
const plan = planIn(7, written('arms', CURL, PUSH, WRIST), written('upper', 'machine_row 3 x 10'))
const ids = (of: PlanDocument) =>
  of.rotation.days.flatMap(day =>
    day.sessions.flatMap(session =>
      session.groupings.flatMap(grouping => grouping.slots.map(({ id }) => id)),
    ),
  )
const [curl, push, wrist, row] = ids(plan)
const shown = (of: PlanDocument) => formatSession(of.rotation.days[0]?.sessions[0] as Session)
function after(...edits: readonly PlanEdit[]): PlanDocument {
  const edited = applyEdits(plan, edits, idsInARow())
  if (!edited.ok) throw new Error(JSON.stringify(edited.error))
  return edited.value
}
const refused = (edit: PlanEdit, of = plan) => {
  const edited = applyEdit(of, edit, idsInARow())
  return edited.ok ? undefined : edited.error.kind
}
if (!curl || !push || !wrist || !row) throw new Error('the plan has four exercises')

describe('done together', () => {
  test('two exercises become a pair where the first of them stood', () => {
    expect(shown(after({ kind: 'pair', slot: wrist, with: curl, as: 'superset' }))).toBe(
      `superset: ${CURL} & ${WRIST}\n${PUSH}`,
    )
    expect(
      shown(
        after(
          { kind: 'pair', slot: curl, with: push, as: 'alternating' },
          { kind: 'pair', slot: curl, with: wrist, as: 'circuit' },
        ),
      ),
    ).toBe(`circuit: ${CURL} & ${PUSH} & ${WRIST}`)
  })
  test('one is taken out again, or all are put apart', () => {
    const three = [
      { kind: 'pair', slot: curl, with: push, as: 'superset' },
      { kind: 'pair', slot: curl, with: wrist, as: 'superset' },
    ] as const
    expect(shown(after(...three, { kind: 'take_out', slot: push }))).toBe(
      `superset: ${CURL} & ${WRIST}\n${PUSH}`,
    )
    expect(shown(after(...three, { kind: 'ungroup', slot: push }))).toBe(
      `${CURL}\n${PUSH}\n${WRIST}`,
    )
  })
  test('partners change places, groupings move', () => {
    const pair = { kind: 'pair', slot: curl, with: push, as: 'superset' } as const
    expect(shown(after(pair, { kind: 'move_partner', slot: push, by: -1 }))).toBe(
      `superset: ${PUSH} & ${CURL}\n${WRIST}`,
    )
    expect(after(pair, { kind: 'move_partner', slot: curl, by: -1 }).rotation).toEqual(
      after(pair).rotation,
    )
    expect(shown(after(pair, { kind: 'move_grouping', slot: wrist, to: { before: push } }))).toBe(
      `${WRIST}\nsuperset: ${CURL} & ${PUSH}`,
    )
  })
  test.each([
    [
      'an exercise with itself',
      { kind: 'pair', slot: curl, with: curl, as: 'superset' },
      'with_itself',
    ],
    [
      'exercises of two days',
      { kind: 'pair', slot: curl, with: row, as: 'superset' },
      'other_session',
    ],
    [
      'a single exercise as a circuit',
      { kind: 'convert', slot: curl, to: 'circuit' },
      'needs_partner',
    ],
    ['taking out what stands alone', { kind: 'take_out', slot: curl }, 'needs_partner'],
    [
      'an exercise that is gone',
      { kind: 'pair', slot: slotId('gone'), with: curl, as: 'superset' },
      'no_such_slot',
    ],
  ] as const)('%s is refused', (_, edit, problem) => expect(refused(edit)).toBe(problem))

  test('conversion there and back keeps every datum', () => {
    const full = parseGrouping(
      `superset, part "extensors", between 20s, after 100s, afterwards 180s, change-over 25s, same muscle: ${CURL} & ${PUSH}`,
      idsInARow(),
    )
    if (!full.ok) throw new Error('reads')
    const start = after(
      { kind: 'pair', slot: curl, with: push, as: 'superset' },
      { kind: 'set_grouping', slot: curl, grouping: full.value },
    )
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...GROUPING_KINDS), { maxLength: 6 }), kinds => {
        const there = applyEdits(
          start,
          [...kinds, 'superset' as const].map(to => ({ kind: 'convert', slot: curl, to })),
          idsInARow(),
        )
        expect(there).toEqual({ ok: true, value: start })
      }),
    )
  })
})

describe('what is typed in place of a grouping', () => {
  const typed = (text: string) => {
    const parsed = parseGrouping(text, idsInARow())
    if (!parsed.ok) throw new Error('reads')
    return parsed.value
  }
  test('the exercises that are still there stay who they are', () => {
    const held = after(
      { kind: 'hold', slots: [curl], isHeld: true },
      { kind: 'pair', slot: curl, with: push, as: 'superset' },
    )
    const edited = applyEdit(
      held,
      {
        kind: 'set_grouping',
        slot: curl,
        grouping: typed('superset: pushdown_rope 2 x 15 & cable_curl 4 x 8 & hammer_curl 2 x 12'),
      },
      idsInARow(),
    )
    const slots = edited.ok
      ? (edited.value.rotation.days[0]?.sessions[0]?.groupings[0]?.slots ?? [])
      : []
    expect(slots.map(({ id, isHeld }) => [id, isHeld])).toEqual([
      [push, undefined],
      [curl, true],
      [expect.anything(), undefined],
    ])
  })
  test('more sets than a session holds are refused', () => {
    expect(
      refused({ kind: 'set_grouping', slot: curl, grouping: typed('cable_curl 21 x 10') }),
    ).toBe('too_many_sets')
  })
  test('notes, purposes and settings change one thing each', () => {
    expect(shown(after({ kind: 'set_note', slot: wrist, note: ' over the bench ' }))).toContain(
      'wrist_curl note "over the bench" 2 x 15',
    )
    expect(
      shown(
        after(
          { kind: 'set_note', slot: wrist, note: 'x' },
          { kind: 'set_note', slot: wrist, note: ' ' },
        ),
      ),
    ).toBe(shown(plan))
    expect(
      shown(
        after({
          kind: 'tune_grouping',
          slot: wrist,
          change: { placement: 'finisher', restAfterGrouping: { kind: 'seconds', seconds: 120 } },
        }),
      ),
    ).toContain('finisher, afterwards 120s: wrist_curl')
    expect(
      after(
        { kind: 'tune_grouping', slot: wrist, change: { changeOverSeconds: 20 } },
        { kind: 'tune_grouping', slot: wrist, change: { changeOverSeconds: null } },
      ),
    ).toEqual(plan)
    expect(shown(after({ kind: 'set_purpose', slot: row, intent: null }))).toBe(shown(plan))
  })
})

describe('whole sessions', () => {
  const other = written('arms', 'hammer_curl 2 x 12').sessions[0] as Session
  test('one takes the place of another, comes as a second one, and goes', () => {
    const first = plan.rotation.days[0]?.sessions[0]?.id as Session['id']
    expect(shown(after({ kind: 'put_session', day: 0, session: first, content: other }))).toBe(
      'hammer_curl 2 x 12',
    )
    const two = after({ kind: 'put_session', day: 0, session: null, content: other })
    expect(two.rotation.days[0]?.sessions).toHaveLength(2)
    expect(refused({ kind: 'put_session', day: 0, session: null, content: other }, two)).toBe(
      'day_full',
    )
    expect(refused({ kind: 'put_session', day: 3, session: null, content: other })).toBe('rest_day')
    expect(
      refused({ kind: 'put_session', day: 0, session: sessionId('gone'), content: other }),
    ).toBe('no_such_session')
    expect(
      after({ kind: 'remove_session', day: 0, session: first }).rotation.days[0]?.sessions,
    ).toEqual([])
  })
  test('a session holds forty groupings', () => {
    const full = planIn(7, written('arms', ...Array.from({ length: 40 }, () => CURL)))
    expect(
      refused(
        {
          kind: 'add_exercise',
          day: 0,
          exercise: full.rotation.days[0]?.sessions[0]?.groupings[0]?.slots[0].exercise as never,
          intent: null,
          scheme: { runs: [] },
        },
        full,
      ),
    ).toBe('session_full')
  })
})

describe('one date, and versions at hand', () => {
  const session = plan.rotation.days[0]?.sessions[0] as Session
  const short: Session = { ...session, groupings: session.groupings.slice(0, 1) }
  const on = plainDate('2026-04-10')
  test("a date has its own session, the others the plan's", () => {
    const planned = after({
      kind: 'put_one_off',
      oneOff: { on, session: session.id, reason: 'short', content: short },
    })
    expect(sessionOn(planned, session, on)).toEqual(short)
    expect(sessionOn(planned, session, plainDate('2026-04-17'))).toBe(session)
    expect(planned.rotation).toBe(plan.rotation)
    expect(
      applyEdit(planned, { kind: 'drop_one_off', session: session.id, on }, idsInARow()),
    ).toEqual({ ok: true, value: plan })
  })
  test('a version is kept under its name once', () => {
    const keep = (content: Session) =>
      ({
        kind: 'put_variant',
        variant: { session: session.id, name: '30 minutes', content },
      }) as const
    const kept = after(keep(session), keep(short))
    expect(kept.variants).toEqual([{ session: session.id, name: '30 minutes', content: short }])
    expect(
      applyEdit(
        kept,
        { kind: 'drop_variant', session: session.id, name: '30 minutes' },
        idsInARow(),
      ),
    ).toEqual({ ok: true, value: plan })
  })
  test('the dates of a day follow the rotation', () =>
    expect(datesOfDay({ ...plan, startsOn: plainDate('2026-04-03'), passes: 3 }, 1)).toEqual([
      '2026-04-04',
      '2026-04-11',
      '2026-04-18',
    ]))
})

test('pairing neighbours and putting them apart again leaves every exercise as it was', () => {
  fc.assert(
    fc.property(planArbitrary, any => {
      const first = any.rotation.days
        .flatMap(day => day.sessions)
        .find(({ groupings }) => groupings.length > 1)
      const [a, b] = first?.groupings.map(({ slots }) => slots[0]) ?? []
      if (!a || !b || a.id === b.id) return
      const newId = idsInARow()
      const paired = applyEdits(
        any,
        [
          { kind: 'pair', slot: a.id, with: b.id, as: 'superset' },
          { kind: 'ungroup', slot: a.id },
        ],
        newId,
      )
      if (!paired.ok) return
      const slots = (of: PlanDocument) =>
        orderedText(
          of.rotation.days.flatMap(day =>
            day.sessions.flatMap(session => session.groupings.flatMap(grouping => grouping.slots)),
          ),
        )
      expect(slots(paired.value)).toBe(slots(any))
    }),
  )
})
