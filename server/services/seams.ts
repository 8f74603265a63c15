import {
  type BlockId,
  blockId as blockIdOf,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { blockState, type PlanDocument } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import { fittedLine } from '#core/design/progress'
import { keptOn, seamMoved, type SeasonLine, softStart } from '#core/follow/season'
import {
  keptOnEffects,
  keptOnWords,
  seamStopWords,
  softStartEffects,
  softStartWords,
} from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import {
  SEAM_FIXES,
  type SeamBody,
  type SeamFix,
  type SeamFixBody,
  type SeamFixesView,
} from '#shared/contracts/season'
import type { z } from 'zod'
import { asOneTransaction, database } from '../db/database'
import { openBlock, sentPasses } from '../db/queries/blockSessions'
import { blocksOf, lockBlocks, savePlanOver } from '../db/queries/blocks'
import { savePlan } from './savePlan'
import { seasonContext } from './season'
import type { Coach } from './signIn'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'block' }
const refused = (pointer: string, detail: string): Problem => ({
  kind: 'invalid',
  errors: [{ pointer, kind: 'custom', detail }],
})

/** A seam moved by one rotation; every block that goes along is saved, or none. */
export async function moveSeam(
  coach: Coach,
  blockId: BlockId,
  { by }: z.output<typeof SeamBody>,
  today: PlainDate,
): Promise<Result<{ moved: number }, Problem>> {
  const owner = await openBlock(database(), coach.id, blockId)
  if (!owner) return failure(NOT_FOUND)
  return asOneTransaction(async db => {
    await lockBlocks(db, coach.id, owner.clientId)
    const line = await blocksOf(db, coach.id, owner.clientId)
    const sent = await sentPasses(db, coach.id, owner.clientId)
    const moved = seamMoved(line, blockId, by, { today, sent })
    if (!moved.ok) return failure(refused('/by', seamStopWords(moved.error)))
    const versions = new Map<string, number>(line.map(({ id, version }) => [id, version]))
    for (const { id, plan } of moved.value)
      await savePlanOver(db, {
        coachId: coach.id,
        blockId: blockIdOf(id),
        version: versions.get(id) ?? 0,
        plan,
      })
    return success({ moved: moved.value.length })
  })
}

type Fixes = Readonly<Partial<Record<SeamFix, Fixed>>>
interface Fixed {
  readonly plan: PlanDocument
  readonly words: string
  readonly effects: readonly string[]
  readonly isEnough: boolean
}

/** What can be done where a block follows another: begun lower where something jumps, exercises kept that leave too early. */
function fixesAt(
  before: SeasonLine,
  own: SeasonLine,
  context: PlanContext,
  earlier: PlanDocument | undefined,
): Fixes {
  const soft = softStart(before, own, context, earlier)
  const keep = keptOn(before, own, context, earlier)
  const nameOf = (exercise: string) => context.catalogue.get(exercise)?.name ?? exercise
  return {
    ...(soft && {
      soften: {
        ...soft,
        words: softStartWords(soft.cuts),
        effects: softStartEffects(soft),
      },
    }),
    ...(keep && {
      keep: {
        ...keep,
        words: keptOnWords(keep.kept, nameOf),
        effects: [...keptOnEffects(keep.kept, nameOf), ...softStartEffects(keep)],
      },
    }),
  }
}

/** What can be done at the seam before a block ahead; nothing where it has begun, or nothing is past a limit. */
async function fixesOf(
  coach: Coach,
  blockId: BlockId,
  today: PlainDate,
): Promise<Result<{ readonly version: number; readonly fixes: Fixes }, Problem>> {
  const db = database()
  const owner = await openBlock(db, coach.id, blockId)
  if (!owner) return failure(NOT_FOUND)
  const [line, context] = await Promise.all([
    blocksOf(db, coach.id, owner.clientId),
    seasonContext(coach, owner.clientId, today),
  ])
  if (!context.ok) return context
  const fitted = fittedLine(line, context.value)
  const at = fitted.findIndex(({ id }) => id === blockId)
  const [before, own] = [fitted[at - 1], fitted[at]]
  if (!own) return failure(NOT_FOUND)
  const isAhead = blockState(own.plan, today) === 'ahead'
  return success({
    version: own.version,
    fixes: before && isAhead ? fixesAt(before, own, context.value, fitted[at - 2]?.plan) : {},
  })
}

/** What can be done at a seam, before it is taken. */
export async function seamFixes(
  coach: Coach,
  blockId: BlockId,
  today: PlainDate,
): Promise<Result<z.input<typeof SeamFixesView>, Problem>> {
  const asked = await fixesOf(coach, blockId, today)
  if (!asked.ok) return asked
  const { version, fixes } = asked.value
  return success({
    version,
    offers: SEAM_FIXES.flatMap(fix => {
      const found = fixes[fix]
      if (!found) return []
      const { words, effects, isEnough } = found
      return [{ fix, words, effects: [...effects], isEnough }]
    }),
  })
}

/** What was mended by hand is a plan, no draft any more. */
const asPlan = ({ draft: _, ...plan }: PlanDocument): PlanDocument => plan

/** Takes a fix into the plan, as one step. */
export async function takeSeamFix(
  coach: Coach,
  blockId: BlockId,
  { version, fix }: z.output<typeof SeamFixBody>,
  today: PlainDate,
): Promise<Result<{ version: number }, Problem>> {
  const asked = await fixesOf(coach, blockId, today)
  if (!asked.ok) return asked
  const found = asked.value.fixes[fix]
  if (!found)
    return failure(
      refused('/fix', 'There is nothing to mend so at this seam any more. Look at it again.'),
    )
  const saved = await savePlan(coach, { blockId, version, plan: asPlan(found.plan) })
  return saved.ok ? success({ version: saved.value.version }) : saved
}
