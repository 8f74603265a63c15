import { describe, expect, test } from '@jest/globals'
import { addDays, blockId } from '#core/base'
import { applyEdit, planEnd, type PlanDocument } from '#core/plan/block'
import { daySlots } from '#core/plan/rotation'
import { problemOf, stranger, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { send, startNextBlock } from './blocks'
import { client } from './clients'
import { decideDraft, planFromDraft } from './drafts'
import { savePlan } from './savePlan'
import { clientSeason } from './season'

useTestDatabase()

const exercisesOf = ({ rotation }: PlanDocument) =>
  rotation.days.flatMap(daySlots).map(({ exercise }) => exercise as string)

/** A client of the demo with two drafts behind the running block. */
async function drafted() {
  const { coach, client: of, today } = await unitStudio()
  const own = of('Joren')
  const shown = async (block: string) =>
    valueOf(await client(coach, own.id, { block: blockId(block), today })).block!
  const put = async (after: string, title: string) => {
    const { plan, version } = await shown(after)
    const { id } = valueOf(
      await startNextBlock(coach, blockId(after), {
        version,
        title,
        startsOn: addDays(planEnd(plan), 1),
        weeks: 6,
        from: 'first',
        modes: {},
        isCut: false,
        isDraft: true,
      }),
    )
    return blockId(id)
  }
  const first = await put(own.blockId, 'Ribs')
  const second = await put(first, 'Planking')
  return { coach, own, today, first, second, shown }
}

describe('drafts', () => {
  test('show the exercises of the block before, on every page, after it was changed', async () => {
    const { coach, own, today, first, second, shown } = await drafted()
    const running = await shown(own.blockId)
    const gone = running.plan.rotation.days.flatMap(daySlots)[0]!
    const edited = applyEdit(running.plan, { kind: 'remove_exercise', slot: gone.id }, () => 'x')
    if (!edited.ok) throw new Error(edited.error.kind)
    valueOf(
      await savePlan(coach, {
        blockId: own.blockId,
        version: running.version,
        plan: edited.value,
      }),
    )
    const wanted = exercisesOf(edited.value)
    expect(exercisesOf((await shown(first)).plan)).toEqual(wanted)
    expect(exercisesOf((await shown(second)).plan)).toEqual(wanted)
    // The season says the same of each as its own page.
    const { season } = valueOf(await clientSeason(coach, own.id, today))
    expect(season.blocks.map(({ draft }) => draft !== null)).toEqual([false, true, true])
    expect(season.seams.map(({ kept, fresh }) => [kept.length, fresh])).toEqual([
      [new Set(wanted).size, []],
      [new Set(wanted).size, []],
    ])
    // Made a plan, it stays as it was then.
    valueOf(await planFromDraft(coach, second, { version: 1 }))
    valueOf(
      await savePlan(coach, {
        blockId: own.blockId,
        version: running.version + 1,
        plan: running.plan,
      }),
    )
    expect((await shown(second)).plan.draft).toBeUndefined()
    expect(exercisesOf((await shown(second)).plan)).toEqual(wanted)
    expect(exercisesOf((await shown(first)).plan)).toEqual(exercisesOf(running.plan))
  })

  test('keep what is decided of them, and are not sent before they are plans', async () => {
    const { coach, first, shown } = await drafted()
    const decided = {
      version: 1,
      modes: { biceps: 'maintain' as const },
      ends: { triceps: 16 },
      baseWeeks: 2,
    }
    expect(valueOf(await decideDraft(coach, first, decided))).toMatchObject({ version: 2 })
    expect((await shown(first)).plan).toMatchObject({
      emphasis: { biceps: 'maintain' },
      draft: { ends: { triceps: 16 }, baseWeeks: 2 },
      block: { base: { weeks: 2 }, ramps: { triceps: { end: 16 } } },
    })
    const refused = problemOf(await send(coach, first, { pass: 0, version: 2, again: false }))
    expect(JSON.stringify(refused)).toContain('Ribs is a draft. Make it a plan first: on Season, M')
    valueOf(await planFromDraft(coach, first, { version: 2 }))
    expect((await shown(first)).plan.block?.ramps?.triceps?.end).toBe(16)
    valueOf(await send(coach, first, { pass: 0, version: 3, again: false }))
  })

  test('are nobody else’s, and a plan or an older version is refused', async () => {
    const { coach, own, first } = await drafted()
    const decided = { version: 1, modes: {}, ends: {}, baseWeeks: null }
    expect(problemOf(await decideDraft(await stranger(), first, decided)).kind).toBe('not-found')
    expect(problemOf(await planFromDraft(await stranger(), first, decided)).kind).toBe('not-found')
    expect(JSON.stringify(problemOf(await decideDraft(coach, own.blockId, decided)))).toContain(
      'is a plan already',
    )
    valueOf(await decideDraft(coach, first, decided))
    expect(problemOf(await planFromDraft(coach, first, { version: 1 })).kind).toBe('stale-version')
  })
})
