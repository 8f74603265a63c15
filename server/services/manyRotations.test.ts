import { describe, expect, test } from '@jest/globals'
import { addDays, daysBetween, type PlainDate } from '#core/base'
import { expandedBlock } from '#core/design/progress'
import { type BlockPlan, type PlanDocument, trialEnd } from '#core/plan/block'
import { contextWith } from '#core/plan/method'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { send } from './blocks'
import { client } from './clients'
import { plateau } from './manyRotations'
import { review } from './review'
import { roster } from './roster'
import { savePlan } from './savePlan'
import { sheet } from './sheet'

useTestDatabase()

/** What a coach's page saves: the plan with another block. */
async function saved(studio: UnitStudio, who: string, of: (plan: PlanDocument) => BlockPlan) {
  const { block } = valueOf(await client(studio.coach, studio.client(who).id))
  const plan = { ...block!.plan, block: of(block!.plan) }
  valueOf(await savePlan(studio.coach, { blockId: block!.id, version: block!.version, plan }))
}
const seen = async ({ coach, today, client: of }: UnitStudio, who: string) =>
  valueOf(await review(coach, of(who).id, 'latest', today))
const needsOf = async ({ coach, today, client: of }: UnitStudio, who: string) =>
  (await roster(coach, today)).clients.find(({ id }) => id === of(who).id)!.needs

describe('a rising, a flat, a falling and a short log', () => {
  test('each is read rightly on review and roster', async () => {
    const studio = await unitStudio({
      logsOf: ['Sunniva', 'Ines', 'Joren', 'Teo'],
      stories: { Ines: { gain: 0, shortWithinDays: 0 }, Teo: { weeks: 1 } },
    })
    const verdict = async (who: string, group: string) =>
      (await seen(studio, who)).muscleTrends.find(trend => trend.group === group)!.verdict
    expect(await verdict('Sunniva', 'triceps')).toBe('progress')
    expect(await verdict('Ines', 'triceps')).toBe('plateau')
    expect(await verdict('Joren', 'triceps')).toBe('decline')
    expect(await verdict('Teo', 'triceps')).toBe('insufficient')
    const falling = async (who: string) =>
      (await needsOf(studio, who)).filter(({ kind }) => kind === 'falling').length
    expect([
      await falling('Sunniva'),
      await falling('Ines'),
      await falling('Joren'),
      await falling('Teo'),
    ]).toEqual([0, 0, 1, 0])
  })
})

describe('a trial', () => {
  const trialFrom = (from: PlainDate, weeks = 4) => ({
    trials: [{ what: 'Arm day', from, weeks, groups: ['triceps'] as const }],
  })

  test('keeps quiet about strength before its time, on review and roster', async () => {
    const studio = await unitStudio({ logsOf: ['Joren'] })
    const rowOf = async () =>
      (await seen(studio, 'Joren')).review.adjustments.find(
        ({ group, evidence }) => evidence && group === 'triceps',
      )!.row
    expect(['A4', 'A5']).toContain(await rowOf())
    await saved(studio, 'Joren', ({ block = {} }) => ({
      ...block,
      ...trialFrom(addDays(studio.today, -14)),
    }))
    expect(['A4', 'A5']).not.toContain(await rowOf())
    expect((await needsOf(studio, 'Joren')).map(({ kind }) => kind)).not.toContain('falling')
    const [trial] = (await seen(studio, 'Joren')).trials
    expect(trial).toMatchObject({ isOver: false, weeksDone: 2, muscles: [] })
  })

  test('tells what came of it when it is over, and the roster leads there', async () => {
    const studio = await unitStudio({ logsOf: ['Joren'] })
    const from = addDays(studio.today, -29)
    await saved(studio, 'Joren', ({ block = {} }) => ({ ...block, ...trialFrom(from) }))
    const [tried] = (await seen(studio, 'Joren')).trials
    expect(tried!.until).toBe(trialEnd({ from, weeks: 4 }))
    expect(tried!.muscles).toMatchObject([{ group: 'triceps' }])
    expect(tried!.muscles[0]!.during.setsPerWeek).toBeGreaterThan(3)
    expect(await needsOf(studio, 'Joren')).toContainEqual(
      expect.objectContaining({
        headline: 'Trial over: Arm day',
        to: expect.stringContaining('review#trials'),
      }),
    )
  })
})

describe('what is skipped and ways of progress', () => {
  test('a plan without either says nothing of them', async () => {
    const studio = await unitStudio({ logsOf: ['Joren'] })
    expect(await seen(studio, 'Joren')).toMatchObject({ skipped: [], ways: [], trials: [] })
  })

  test('an exercise with a way of its own is read by its own measure', async () => {
    const studio = await unitStudio({ logsOf: ['Joren'] })
    await saved(studio, 'Joren', plan => {
      const [slot] = plan.rotation.days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
      return {
        ...plan.block,
        ways: {
          [slot!.exercise]: {
            kind: 'sets',
            everyWeeks: 1,
            by: 1,
            to: plannedSets(slot!.scheme) + 2,
          },
        },
      }
    })
    const { ways } = await seen(studio, 'Joren')
    expect(ways).toHaveLength(1)
    expect(ways[0]!.sessions).toBeGreaterThan(3)
    expect(ways[0]!.last).toBeGreaterThan(0)
  })
})

describe('a plateau', () => {
  test('tells everything that was looked at, and the first thing to move', async () => {
    const studio = await unitStudio({ logsOf: ['Ines'], stories: { Ines: { gain: 0 } } })
    const { id } = studio.client('Ines')
    const view = valueOf(await plateau(studio.coach, id, 'triceps', studio.today))
    expect(view).toMatchObject({ group: 'triceps', name: studio.client('Ines').name })
    expect(view.plateau.facts).toHaveLength(10)
    const [attendance] = view.plateau.facts
    expect(attendance!.figures[0]).toBeGreaterThan(20)
    const off = view.plateau.facts.filter(({ isOff }) => isOff)
    expect(view.plateau.next).toBe(off[0]?.lever ?? null)
    const { muscleTrends } = await seen(studio, 'Ines')
    const { group: _, ...trend } = muscleTrends.find(({ group }) => group === 'triceps')!
    expect(view.trend).toEqual(trend)
  })

  test('is one’s own clients’', async () => {
    const studio = await unitStudio()
    const other = await stranger()
    const { id } = studio.client('Ines')
    expect(problemOf(await plateau(other, id, 'triceps', studio.today))).toMatchObject({
      kind: 'not-found',
    })
  })
})

describe('what the block makes of an exercise reaches the phone', () => {
  /** The first single exercise of a straight grouping in the next rotation, on the phone and in the coach's block. */
  async function nextTime(studio: UnitStudio, who: string, block: BlockPlan) {
    const { id, blockId } = studio.client(who)
    await saved(studio, who, plan => ({ ...plan.block, ...block }))
    const { block: known, method, facts } = valueOf(await client(studio.coach, id))
    const { plan, version } = known!
    const pass =
      Math.floor(daysBetween(plan.startsOn, studio.today) / plan.rotation.days.length) + 1
    for (const at of [pass - 1, pass])
      valueOf(await send(studio.coach, blockId, { pass: at, version, again: true }))
    const told = expandedBlock(plan, contextWith(method, facts)).passes[pass]!
    const { sessions } = valueOf(
      await sheet({ coach: studio.coach, clientId: id } as never, studio.today),
    )
    return told.sessions.flatMap(({ on, content }) => {
      const phone = sessions.find(({ session }) => session.on === on)?.session
      return sessionSlots(content).flatMap(slot => {
        const sets = phone?.ways[0].sets[slot.id]?.filter(({ role }) => role === 'working')
        return sets ? [{ slot, sets }] : []
      })
    })
  }
  const studioOf = () => unitStudio({ logsOf: ['Joren'] })
  const exercise = 'incline_dumbbell_curl'

  test('a set more: as many on the phone as the block says, and more than the rotation has', async () => {
    const studio = await studioOf()
    const base = studio
      .client('Joren')
      .plan.rotation.days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
      .find(slot => slot.exercise === exercise)!
    const to = plannedSets(base.scheme) + 2
    const all = await nextTime(studio, 'Joren', {
      ways: { [exercise]: { kind: 'sets', everyWeeks: 1, by: 1, to } },
    })
    const own = all.filter(({ slot }) => slot.exercise === exercise)
    expect(own.length).toBeGreaterThan(0)
    for (const { slot, sets } of own)
      expect([plannedSets(slot.scheme), sets.length]).toEqual([to, to])
  })

  test('the last set to failure: the phone asks for it where the block does', async () => {
    const all = await nextTime(await studioOf(), 'Joren', { failure: { fromWeek: 1 } })
    const fails = (slot: (typeof all)[number]['slot']) =>
      JSON.stringify(slot.scheme.runs.at(-1)).includes('"failure"')
    expect(all.filter(({ slot }) => fails(slot)).length).toBeGreaterThan(1)
    for (const { slot, sets } of all)
      expect([
        slot.exercise,
        sets.at(-1)!.parts[0].words.includes('until no rep is possible'),
      ]).toEqual([slot.exercise, fails(slot)])
  })
})
