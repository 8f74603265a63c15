import { beforeEach, describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '#core/base'
import { planIn, written } from '#core/testing/shorthandPlans'
import { provideGlobally } from '~/testing/framework'
import { planScreen, TODAY } from '~/testing/planScreen'

const rest = { ...written('rest'), sessions: [] }
const today = plainDate(TODAY)
const plan = {
  ...planIn(4, written('arms', 'cable_curl 3 x 12, rir 1'), ...[rest, rest, rest]),
  startsOn: addDays(today, -4),
  passes: 4,
}
let screen: Awaited<ReturnType<typeof planScreen>>
let of: ReturnType<typeof import('./useDrawnEvents').useDrawnEvents>
beforeEach(async () => {
  screen = await planScreen(plan, {})
  const { useIssuedStore } = await import('~/stores/issued')
  provideGlobally({ useIssuedStore })
  const { useDrawnEvents } = await import('./useDrawnEvents')
  of = useDrawnEvents()
})
const events = () => screen.store.plan!.block?.events ?? []
const entered = () => of.form.value!.entered

describe('days marked on the calendar', () => {
  test('by keys: from today on, moved, stretched, and no day before the other', () => {
    of.begin()
    expect(of.span.value).toEqual({ from: today, to: today })
    of.moveBy(7)
    of.stretchBy(2)
    expect(of.span.value).toEqual({ from: addDays(today, 7), to: addDays(today, 9) })
    of.stretchBy(-4)
    expect(of.span.value).toEqual({ from: addDays(today, 5), to: addDays(today, 7) })
    of.close()
    expect(of.span.value).toBeNull()
    of.write()
    expect(of.form.value).toBeNull()
  })

  test('by mouse: from where it is pressed to where it is let go', () => {
    of.press(addDays(today, 3))
    of.stretchTo(addDays(today, 1))
    of.write()
    expect(entered()).toMatchObject({ from: addDays(today, 1), to: addDays(today, 3), what: '' })
  })
})

describe('an event drawn', () => {
  test('says what it does, is put in, changed in its place, and taken out, each as one step of undo', () => {
    of.press(today)
    of.write()
    expect(of.put(entered())).toMatch(/^Event: say what it is/)
    expect(of.effects(entered())[0]).toMatch(/^Left out: Arms on /)
    expect(of.put({ ...entered(), what: ' Regatta ' })).toBeUndefined()
    const [put] = events()
    expect(put).toMatchObject({ what: 'Regatta', from: today, to: today, effect: 'skip' })
    of.close()

    of.open(put!.id)
    expect(of.form.value!.id).toBe(put!.id)
    const changed = { ...entered(), effect: 'short' as const, minutes: 25.4 }
    expect(of.put({ ...changed, minutes: 3 }, put!.id)).toMatch(/^Event: say how many minutes/)
    expect(of.put(changed, put!.id)).toBeUndefined()
    expect(events()).toEqual([{ ...put, effect: 'short', minutes: 25 }])
    screen.store.undo()
    expect(events()).toEqual([put])

    of.drop(put!.id)
    expect(events()).toEqual([])
    of.close()
    of.open(put!.id)
    expect(of.form.value).toBeNull()
  })

  test('with days the wrong way round says so and tells no effect', () => {
    of.press(today)
    of.write()
    const turned = { ...entered(), what: 'Regatta', to: addDays(today, -1) }
    expect(of.put(turned)).toMatch(/^Event: its last day lies before its first/)
    expect(of.effects(turned)).toEqual([])
  })
})
