import { describe, expect, test } from '@jest/globals'
import { countedWorkOfDay, derivation, groupTarget, spanLedger } from '../count/ledger'
import { COUNTING_SCHOOL_IDS, COUNTING_SCHOOLS, defaultContext } from '../plan/method'
import { sessionTime } from '../plan/minutes'
import { formatSession, parseSession } from '../plan/shorthand'
import { CASES } from './cases'

const context = defaultContext({ trainingAgeMonths: 50 })
let nextId = 0
function typed(lines: readonly string[]) {
  const result = parseSession(lines.join('\n'), () => `id-${nextId++}`)
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}

describe('every set structure is typed, printed, counted and timed (cases C1 to C50)', () => {
  test.each(CASES.map(each => ({ ...each, name: each.id })))(
    '$name',
    ({ lines, group, counted, seconds }) => {
      const session = typed(lines)
      expect(formatSession(session)).toBe(lines.join('\n'))
      COUNTING_SCHOOL_IDS.forEach((id, at) => {
        const under = { ...context, method: { ...context.method, school: COUNTING_SCHOOLS[id] } }
        const day = { role: 'arms' as const, sessions: [session] }
        const figure = spanLedger(countedWorkOfDay(day, under), under.method.school).groups[group]
          .counted.value
        expect({ school: id, sets: Number(figure.toFixed(4)) }).toEqual({
          school: id,
          sets: counted[at],
        })
        expect(derivation(day, groupTarget(group), under).counted).toBeCloseTo(figure, 9)
      })
      expect(sessionTime(session, context).seconds).toBeCloseTo(seconds, 2)
    },
  )
  test('the fifty are all there', () => {
    const numbers = new Set(CASES.map(({ id }) => Number(/^C(\d+)/.exec(id)?.[1])))
    expect([...numbers].sort((a, b) => a - b)).toEqual(
      Array.from({ length: 50 }, (_, at) => at + 1),
    )
  })
})
