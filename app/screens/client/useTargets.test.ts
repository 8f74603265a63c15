import { describe, expect, test } from '@jest/globals'
import { nextTick } from 'vue'
import { planIn, written } from '#core/testing/shorthandPlans'
import type { ClientFacts } from '#core/plan/method'
import { CLIENT_ID, planScreen } from '~/testing/planScreen'

const plan = planIn(
  7,
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
  written('arms', 'cable_curl 4 x 12, rir 1', 'overhead_extension_rope 3 x 12, rir 1'),
)

async function targets(facts: Partial<ClientFacts> = {}, answer: unknown = undefined) {
  const screen = await planScreen(plan, {
    facts,
    answering: () => answer ?? { ok: true, value: { id: CLIENT_ID } },
  })
  const { useTargets } = await import('./useTargets')
  return { ...screen, of: useTargets(CLIENT_ID) }
}
const rowOf = (of: Awaited<ReturnType<typeof targets>>['of'], group: string) =>
  of.rows.value.find(row => row.group === group)!

describe('targets of a client', () => {
  test('with nothing of her own every band is the usual one', async () => {
    const { of } = await targets()
    for (const { band, usual, isOwn } of of.rows.value) {
      expect(band).toEqual(usual)
      expect(isOwn).toBe(false)
    }
    expect(rowOf(of, 'biceps').sets).toBeGreaterThan(3)
  })

  test('a typed number is her own, beside the usual ones; a comma is a point', async () => {
    const { of } = await targets()
    const { usual } = rowOf(of, 'biceps')
    of.form.bands.biceps!.target = '12,5'
    expect(rowOf(of, 'biceps')).toMatchObject({ isOwn: true, usual, band: { target: 12.5 } })
    of.form.bands.biceps!.target = ''
    expect(rowOf(of, 'biceps')).toMatchObject({ isOwn: false, band: usual })
  })

  test('a floor over the target pushes it, so that the band stays in order', async () => {
    const { of } = await targets()
    of.form.bands.triceps!.floor = '30'
    const { band } = rowOf(of, 'triceps')
    expect(band.floor).toBe(30)
    expect(band.target).toBeGreaterThanOrEqual(30)
    expect(band.ceiling).toBeGreaterThanOrEqual(band.target)
  })

  test('a priority changes the usual band at once', async () => {
    const { of } = await targets()
    const before = rowOf(of, 'chest').usual
    of.setMode('chest', 'build')
    expect(rowOf(of, 'chest').mode).toBe('build')
    expect(rowOf(of, 'chest').usual.target).toBeGreaterThan(before.target)
  })

  test('what she has already is in the form', async () => {
    const { of } = await targets({
      bands: { biceps: { floor: 8, target: 11, ceiling: 15 } },
      ratioWish: 1.3,
      jointCeilings: { wrist: { week: 50, session: 18 } },
    })
    expect(of.form.bands.biceps).toEqual({ floor: '8', target: '11', ceiling: '15' })
    expect(of.form.ratioWish).toBe('1.3')
    expect(of.form.jointCeilings.wrist).toEqual({ week: '50', session: '18' })
  })

  test('joints have their usual ceilings and what the rotation puts on them', async () => {
    const { of } = await targets()
    const back = of.jointRows.value.find(({ joint }) => joint === 'elbow_extensor_side')!
    expect(back.usual.week).toBeGreaterThan(back.usual.session)
    expect(back.week).toBeGreaterThan(0)
    expect(back.session).toBeGreaterThan(0)
  })
})

describe('saving them', () => {
  test('sends what was entered as numbers and takes up what the server has', async () => {
    const { of, asked } = await targets()
    of.form.bands.biceps!.floor = '7'
    of.form.frequencyMin.triceps = '3'
    expect(await of.save()).toBe(true)
    const sent = asked.find(({ method }) => method === 'PUT')
    expect(sent?.path).toBe(`/api/clients/${CLIENT_ID}/targets`)
    expect(sent?.body).toMatchObject({
      mine: { frequencyMin: { triceps: 3 }, bands: { biceps: { floor: 7 } } },
      was: { frequencyMin: {}, bands: {} },
    })
    expect(asked.at(-1)).toMatchObject({ method: 'GET', path: `/api/clients/${CLIENT_ID}` })
  })

  test('what is no number is refused at its field before anything is sent', async () => {
    const { of, asked } = await targets()
    of.form.frequencyMin.triceps = 'often'
    await nextTick()
    expect(await of.save()).toBe(false)
    expect(of.complaintAbout('/frequencyMin/triceps', 'Days of triceps')).toMatch(
      /^Days of triceps /,
    )
    expect(asked.every(({ method }) => method === 'GET')).toBe(true)
  })

  test('a server that does not answer is told, and what was entered stays', async () => {
    const { of } = await targets({}, { ok: false, error: { kind: 'unreachable' } })
    of.form.bands.biceps!.floor = '7'
    expect(await of.save()).toBe(false)
    expect(of.complaint.value).toMatch(/server does not answer/)
    expect(of.form.bands.biceps!.floor).toBe('7')
  })
})
