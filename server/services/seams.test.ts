import { describe, expect, test } from '@jest/globals'
import { addDays, blockId, type BlockId, exerciseId } from '#core/base'
import { applyEdit, type PlanDocument, planEnd } from '#core/plan/block'
import { daySlots } from '#core/plan/rotation'
import { database } from '../db/database'
import { blocksOf } from '../db/queries/blocks'
import { problemOf, stranger, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { send, startNextBlock } from './blocks'
import { savePlan } from './savePlan'
import { moveSeam, seamFixes, takeSeamFix } from './seams'
import { clientSeason } from './season'

useTestDatabase()

/** A client of the demo with two blocks put behind the running one. */
async function threeBlocks(weeks = 6) {
  const { coach, client, today } = await unitStudio()
  const own = client('Joren')
  const put = async (after: BlockId, plan: PlanDocument, title: string) => {
    const { id } = valueOf(
      await startNextBlock(coach, after, {
        version: 1,
        title,
        startsOn: addDays(planEnd(plan), 1),
        weeks,
        from: 'first',
        modes: {},
        isCut: false,
      }),
    )
    return blockId(id)
  }
  const line = () => blocksOf(database(), coach.id, own.id)
  const second = await put(own.blockId, own.plan, 'Ribs')
  const third = await put(second, (await line())[1]!.plan, 'Planking')
  return { coach, own, today, line, second, third }
}

describe('a seam', () => {
  test('moves with every block behind it in one step, and nobody else’s', async () => {
    const { coach, today, line, second } = await threeBlocks()
    const before = await line()
    const days = before[0]!.plan.rotation.days.length
    expect(valueOf(await moveSeam(coach, second, { by: 1 }, today))).toEqual({ moved: 3 })
    const after = await line()
    expect(after.map(({ version }) => version)).toEqual(before.map(({ version }) => version + 1))
    expect(after[0]!.plan.passes).toBe(before[0]!.plan.passes + 1)
    for (const at of [1, 2])
      expect(after[at]!.plan.startsOn).toBe(addDays(before[at]!.plan.startsOn, days))
    expect(problemOf(await moveSeam(await stranger(), second, { by: 1 }, today)).kind).toBe(
      'not-found',
    )
    expect(await line()).toEqual(after)
  })

  test('stays where the client has what would move, and nothing is half moved', async () => {
    const { coach, today, line, second, third } = await threeBlocks()
    valueOf(await send(coach, third, { pass: 0, version: 1, again: false }))
    const before = await line()
    const problem = problemOf(await moveSeam(coach, second, { by: 1 }, today))
    expect(problem.kind === 'invalid' && problem.errors[0]).toMatchObject({
      pointer: '/by',
      detail:
        'Planking: the rotation that would move is on the client’s phone. Take it back first.',
    })
    expect(await line()).toEqual(before)
  })
})

describe('a softer start', () => {
  test('is shown, taken as one step, and then the season has nothing to look at', async () => {
    const { coach, own, today, line, second } = await threeBlocks()
    const [, ribs] = await line()
    const heavy: PlanDocument = {
      ...ribs!.plan,
      block: {
        ...ribs!.plan.block,
        exceptions: [{ kind: 'sets', pass: 0, group: 'triceps', change: 7 }],
      },
    }
    valueOf(await savePlan(coach, { blockId: second, version: 1, plan: heavy }))
    const { offers, version } = valueOf(await seamFixes(coach, second, today))
    expect(offers.map(({ fix }) => fix)).toEqual(['soften'])
    expect(offers[0]!.words).toMatch(/triceps \d+ sets? lower/)
    expect(
      problemOf(await takeSeamFix(coach, second, { fix: 'soften', version: 1 }, today)).kind,
    ).toBe('stale-version')
    expect(valueOf(await takeSeamFix(coach, second, { fix: 'soften', version }, today))).toEqual({
      version: version + 1,
    })
    const { season } = valueOf(await clientSeason(coach, own.id, today))
    const jump = season.seams[0]!.jumps.find(({ group }) => group === 'triceps')!
    expect(jump.after).toBeLessThanOrEqual(jump.before * 1.2 + 1e-9)
    expect(valueOf(await seamFixes(coach, second, today)).offers).toEqual([])
    expect(
      problemOf(await takeSeamFix(coach, second, { fix: 'soften', version: version + 1 }, today)),
    ).toMatchObject({ kind: 'invalid' })
    const other = await stranger()
    expect(problemOf(await seamFixes(other, second, today)).kind).toBe('not-found')
    expect(
      problemOf(await takeSeamFix(other, second, { fix: 'soften', version }, today)).kind,
    ).toBe('not-found')
    // A block that has begun is not softened.
    expect(valueOf(await seamFixes(coach, own.blockId, today)).offers).toEqual([])
  })
})

describe('exercises that leave too early', () => {
  test('are kept on in place of what is new, as one step, with what it does told first', async () => {
    const { coach, own, today, line, second, third } = await threeBlocks(4)
    const [, ribs] = await line()
    const curl = ribs!.plan.rotation.days
      .flatMap(daySlots)
      .find(({ exercise }) => /curl/.test(exercise) && !exercise.startsWith('preacher'))!
    const swapped = applyEdit(
      ribs!.plan,
      {
        kind: 'swap_exercise',
        slot: curl.id,
        exercise: exerciseId('preacher_curl_dumbbell'),
        intent: null,
      },
      () => '',
    )
    if (!swapped.ok) throw new Error(swapped.error.kind)
    valueOf(await savePlan(coach, { blockId: second, version: 1, plan: swapped.value }))
    const early = async () =>
      valueOf(await clientSeason(coach, own.id, today)).season.seams[1]!.early
    expect(await early()).toEqual([{ exercise: 'preacher_curl_dumbbell', weeks: 4 }])

    const { offers, version } = valueOf(await seamFixes(coach, third, today))
    const keep = offers.find(({ fix }) => fix === 'keep')!
    expect(keep.words).toMatch(/^Keep on: Preacher curl/)
    expect(keep.effects[0]).toMatch(/^Preacher curl.* in place of /)
    expect(keep.isEnough).toBe(true)
    valueOf(await takeSeamFix(coach, third, { fix: 'keep', version }, today))
    expect(await early()).toEqual([])
    const after = valueOf(await seamFixes(coach, third, today))
    expect(after.offers.map(({ fix }) => fix)).not.toContain('keep')
  })
})
