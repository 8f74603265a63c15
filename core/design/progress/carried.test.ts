import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { type PlanDocument, planEnd } from '../../plan/block'
import { GROUPS, JOINTS } from '../../plan/catalogue'
import { contextWith, type PlanContext, STEADY_MIDDLE } from '../../plan/method'
import { planArbitrary } from '../../testing/arbitraries'
import { blockVerdict, sessionsCarried, type ExpandedBlock, expandedBlock } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const withCarried = (before: PlanDocument, after: PlanDocument): PlanContext => ({
  ...context,
  client: { ...context.client, carried: sessionsCarried(before, after, context) },
})
const begun = (plan: PlanDocument, startsOn: string, passes: number): PlanDocument => ({
  ...plan,
  startsOn: plainDate(startsOn),
  passes,
})
const START = '2026-03-02'
/** A block of one rotation, and another begun so many days after its end. */
const twoBlocks = fc
  .tuple(planArbitrary, planArbitrary, fc.nat(4))
  .map(([one, other, gap]): [PlanDocument, PlanDocument] => {
    const before = begun({ ...one, block: undefined as never }, START, 1)
    const { block: _, ...bare } = before
    const { block: _own, ...after } = begun(other, addDays(planEnd(before), 1 + gap), 2)
    return [bare, after]
  })

describe('what a block before leaves', () => {
  test('is what one stretch of both would come to, session by session and joint by joint', () => {
    fc.assert(
      fc.property(
        twoBlocks.filter(([before]) => before.rotation.days.length <= 14),
        ([before, after]) => {
          const [was, is] = [expandedBlock(before, context), expandedBlock(after, context)]
          const passes = [...was.passes, ...is.passes].map((pass, at) => ({
            ...pass,
            at,
            sessions: pass.sessions.map(session => ({ ...session, pass: at })),
          }))
          const together: ExpandedBlock = { passes, from: was.from, to: is.to }
          const [plain, carried] = [
            blockVerdict(together, context),
            blockVerdict(is, withCarried(before, after)),
          ]
          const readiness = (verdict: typeof plain, first: number) =>
            GROUPS.flatMap(group =>
              verdict.arrivals[group]
                .filter(({ pass }) => pass >= first)
                .map(arrival => arrival.readiness),
            )
          const weeks = (verdict: typeof plain, first: number) =>
            verdict.passes
              .filter(({ pass }) => pass.at >= first)
              .flatMap(({ joints }) => JOINTS.map(joint => joints[joint].week))
          for (const told of [readiness, weeks]) {
            const [found, wanted] = [told(carried, 0), told(plain, was.passes.length)]
            expect(found).toHaveLength(wanted.length)
            // What is older than two weeks is left out: less than a twentieth of a per cent.
            found.forEach((value, at) => expect(Math.abs(value - wanted[at]!)).toBeLessThan(0.05))
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  test('nobody comes readier than rested, and after two weeks nothing is left', () => {
    fc.assert(
      fc.property(twoBlocks, ([before, after]) => {
        const [alone, carried] = [context, withCarried(before, after)].map(own =>
          blockVerdict(expandedBlock(after, context), own),
        )
        for (const group of GROUPS)
          carried!.arrivals[group].forEach(({ readiness }, at) =>
            expect(readiness).toBeLessThanOrEqual(
              alone!.arrivals[group][at]!.readiness + Number.EPSILON,
            ),
          )
        // Blocks of older times may lie over one another: what is done from then on is not carried in.
        const early = { ...after, startsOn: addDays(before.startsOn, 1) }
        for (const { on } of sessionsCarried(before, early, context))
          expect(on < early.startsOn).toBe(true)
        const late = { ...after, startsOn: addDays(planEnd(before), 15) }
        expect(sessionsCarried(before, late, context)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })
})
