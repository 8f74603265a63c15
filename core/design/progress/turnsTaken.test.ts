import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '../../base'
import { type Alternation, type PlanDocument, slotTaken, withTurn } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { formatDoneAs, formatScheme, parseDoneAs } from '../../plan/shorthand'
import { sessionSlots } from '../../plan/session'
import { idsInARow } from '../../testing/notation'
import { turnName } from '../../words'
import { planIn, written } from '../../testing/shorthandPlans'
import { expandedBlock, nextBlock } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const plan: PlanDocument = {
  ...planIn(7, written('arms', 'cable_curl 3 x 10 40kg bench 30, rir 2')),
  startsOn: plainDate('2026-03-02'),
  passes: 4,
}
const slot = plan.rotation.days[0]!.sessions[0]!.groupings[0]!.slots[0]
const turn = (more: Partial<Alternation>): Alternation => ({
  slot: slot.id,
  exercise: slot.exercise,
  intent: slot.intent,
  by: 'exposure',
  ...more,
})
const shown = (alternations: readonly Alternation[]) =>
  expandedBlock({ ...plan, block: { alternations } }, context).passes.map(({ sessions }) => {
    const [own] = sessionSlots(sessions[0]!.content)
    return `${own!.exercise} ${formatScheme(own!.scheme)}`
  })
const own = `${slot.exercise} ${formatScheme(slot.scheme)}`

describe('an exercise that takes its turn', () => {
  test('never takes the weight or the set-up of the one it stands in for', () => {
    const other = shown([turn({ exercise: exerciseId('preacher_curl_bar') })])
    expect([other[0], other[2]]).toEqual([own, own])
    expect(other[1]).toBe('preacher_curl_bar 3 x 10, rir 2')
    expect(other[3]).toBe(other[1])
  })
})

describe('the same exercise held or set up otherwise', () => {
  const held = (text: string) => {
    const read = parseDoneAs(text)
    if (!read.ok) throw new Error(JSON.stringify(read.error))
    return read.value
  }
  test('takes its turn with its weight to be found anew, and credits given to the place', () => {
    const credited = { ...slot, credits: { biceps: 1 } }
    const as = held('palms facing hands 40')
    expect(slotTaken(credited, turn({ as }))).toMatchObject({ credits: { biceps: 1 } })
    const rows = shown([turn({ as }), turn({ as: held('bench 60') })])
    expect(rows).toEqual([
      own,
      expect.stringMatching(/^cable_curl 3 x 10 .*palms facing/),
      expect.stringMatching(/^cable_curl 3 x 10 .*bench 60/),
      own,
    ])
    expect(rows[1]).toMatch(/bench 30.*hands 40|hands 40.*bench 30/)
    expect(rows[1]).not.toMatch(/kg/)
  })

  test('stands once: the same way again is refused, another way is not', () => {
    const first = withTurn([], turn({ as: held('palms facing') }))!
    expect(withTurn(first, turn({ as: held('palms facing') }))).toBeUndefined()
    expect(withTurn(first, turn({ as: held('wide grip') }))).toHaveLength(2)
  })

  test('is typed and told in the same words', () => {
    for (const text of [
      'palms facing',
      'palms down wide grip',
      'bench 45',
      'with "rope" cable low',
    ]) {
      const as = held(text)
      expect(held(formatDoneAs(as))).toEqual(as)
    }
    expect(turnName(turn({ as: held('palms facing') }), context.catalogue)).toMatch(
      /, palms facing$/,
    )
  })

  test.each(['20kg', 'rir 1', 'slow', 'bench 200', 'sideways'])('cannot be %s', text => {
    expect(parseDoneAs(text).ok).toBe(false)
  })

  const next = (alternations: readonly Alternation[], from: 'first' | 'last') =>
    nextBlock({ ...plan, block: { alternations } }, context, {
      title: 'Next',
      startsOn: plainDate('2026-04-06'),
      weeks: 4,
      from,
      newId: idsInARow(),
    })
  test.each(['first', 'last'] as const)(
    'stays a turn of its own in the next block, begun as the %s rotation',
    from => {
      const after = next([turn({ as: held('palms facing') })], from)
      expect(after.block?.alternations).toMatchObject([
        { exercise: 'cable_curl', as: held('palms facing') },
      ])
      const [first, second] = expandedBlock(after, context).passes.map(({ sessions }) =>
        formatScheme(sessionSlots(sessions[0]!.content)[0]!.scheme),
      )
      expect(first).not.toMatch(/palms facing/)
      expect(second).toMatch(/palms facing/)
    },
  )

  test('another exercise that stands in the last rotation keeps how it is held, and the first comes back without', () => {
    const other = turn({ exercise: exerciseId('preacher_curl_bar'), as: held('wide grip') })
    const after = next([other], 'last')
    const [slotNow] = after.rotation.days[0]!.sessions.flatMap(sessionSlots)
    expect(slotNow!.exercise).toBe('preacher_curl_bar')
    expect(formatScheme(slotNow!.scheme)).toMatch(/wide grip/)
    expect(after.block?.alternations).toEqual([
      { slot: slotNow!.id, exercise: 'cable_curl', intent: slot.intent, by: 'exposure' },
    ])
  })
})
