import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { type BlockEvent, EVENT_EFFECTS, type PlanDocument, planEnd } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { planIn, written } from '../../testing/shorthandPlans'
import { eventEffectLines } from '../../words'
import { eventEffects, expandedBlock, type SentSession, withEvent, withoutEvent } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const rest = { ...written('rest'), sessions: [] }
const plan: PlanDocument = {
  ...planIn(
    4,
    written('push', 'bench_press_dumbbell 3 x 8, rir 2'),
    rest,
    written('pull', 'pulldown_neutral 3 x 10, rir 2'),
    rest,
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 4,
}
const question = { context, today: plan.startsOn, sent: [] as readonly SentSession[] }
const sessionsOf = (of: PlanDocument) =>
  expandedBlock(of, context).passes.flatMap(one => one.sessions)
const events = fc
  .record({
    at: fc.integer({ min: 0, max: 12 }),
    days: fc.integer({ min: 0, max: 5 }),
    effect: fc.constantFrom(...EVENT_EFFECTS),
  })
  .map(({ at, days, effect }): BlockEvent => {
    const from = addDays(plan.startsOn, at)
    return { id: 'a', what: 'Regatta', from, to: addDays(from, days), effect, minutes: 20 }
  })

describe('what an event does to a block', () => {
  test('is what the block shows once it is in', () => {
    fc.assert(
      fc.property(events, event => {
        const { touched, later, endsOn } = eventEffects(plan, event, question)
        const after = withEvent(plan, event)
        const on = touched.map(session => session.on)
        expect(endsOn).toBe(planEnd(after))
        expect(addDays(planEnd(plan), later)).toBe(endsOn)
        const marked = sessionsOf(after).filter(session => session.event)
        if (event.effect === 'shift') {
          const dates = sessionsOf(after).map(session => session.on)
          expect(dates.some(date => event.from <= date && date <= event.to)).toBe(false)
        } else {
          expect(later).toBe(0)
          expect(marked.map(session => session.on)).toEqual(on)
          expect(marked.every(({ isSkipped }) => isSkipped === (event.effect === 'skip'))).toBe(
            true,
          )
        }
      }),
    )
  })

  test('is the same for an event that is changed as for one put in anew, and gone once it is out', () => {
    fc.assert(
      fc.property(events, events, (before, after) => {
        const held = withEvent(plan, before)
        expect(eventEffects(held, after, question)).toEqual(eventEffects(plan, after, question))
        expect(withEvent(held, after)).toEqual(withEvent(plan, after))
        expect(withoutEvent(held, 'a')).toEqual({ ...plan, block: {} })
      }),
    )
  })

  const worded = (event: Partial<BlockEvent>, more: Partial<typeof question> = {}) =>
    eventEffectLines(
      eventEffects(
        plan,
        { id: 'a', what: 'x', from: plan.startsOn, to: plan.startsOn, effect: 'skip', ...event },
        { ...question, ...more },
      ),
    )
  test('is told line by line', () => {
    expect(worded({})).toEqual(['Left out: Push on Mon 2 Mar.'])
    expect(worded({ from: addDays(plan.startsOn, 1), to: addDays(plan.startsOn, 1) })).toEqual([
      'No session is left on these days: nothing changes.',
    ])
    expect(worded({ effect: 'shift', to: addDays(plan.startsOn, 2) })).toEqual([
      'Goes to later days, with everything after it: Push on Mon 2 Mar, Pull on Wed 4 Mar.',
      'The block ends 3 days later, on Fri 20 Mar.',
    ])
    expect(worded({ effect: 'short', minutes: 20 })).toEqual(['Shortened: Push on Mon 2 Mar.'])
  })
  test('says what was sent, and leaves what is done as it is', () => {
    const [first] = sessionsOf(plan)
    const { pass, day, place, on, name, content } = first!
    const sent = { pass, day, place, on, name, content, isOpened: true, setsDone: 0 }
    expect(worded({}, { sent: [{ ...sent, isDone: false }] })).toEqual([
      'Left out: Push on Mon 2 Mar.',
      'Some of it was sent: send it again for the client to see it.',
    ])
    expect(worded({}, { sent: [{ ...sent, isDone: true }] })).toEqual([
      'No session is left on these days: nothing changes.',
    ])
  })
})
