import { exerciseId } from '#core/base'
import { usualScheme } from '#core/plan/block'
import { ARM_GROUPS, type Group } from '#core/plan/catalogue'
import { gapWords, GROUP_NAMES, MUSCLE_NAMES } from '#core/words'
import { type Coverage, coverage, type CoverageGap } from '#core/count/ledger'
import { rankedChoices } from '#core/design/suggest'
import type { SessionBuilder } from './useSessionBuilder'

export interface CoverageLine {
  readonly name: string
  readonly here: number | null
  readonly rotation: number
  readonly wish: string
  readonly isShort: boolean
}
export interface CoverageGapLine {
  readonly words: string
  readonly group: Group
  readonly fill: { readonly name: string; readonly apply: () => void } | null
}
export interface GroupCoverage {
  readonly group: Group
  readonly name: string
  readonly lines: readonly CoverageLine[]
  readonly gaps: readonly CoverageGapLine[]
}

const FILL_SETS = 2
const percent = (share: number) => `${Math.round(share * 100)}`

/** Heads, lengths and grips of the arm muscles: this session beside the whole rotation and the wishes, with what would fill a gap. */
export function useSessionCoverage(builder: SessionBuilder) {
  const store = usePlanStore()

  function lines(here: Coverage, all: Coverage): readonly CoverageLine[] {
    const isShort = (kind: CoverageGap['kind']) => all.gaps.some(gap => gap.kind === kind)
    const of = (
      name: string,
      share: (of: Coverage) => number,
      wish: string,
      short: boolean,
    ): CoverageLine => ({
      name,
      here: here.directSets > 0 ? share(here) : null,
      rotation: share(all),
      wish,
      isShort: short,
    })
    const heads = all.heads.map(({ muscle, wish }): CoverageLine =>
      of(
        MUSCLE_NAMES[muscle],
        held => held.heads.find(head => head.muscle === muscle)?.share ?? 0,
        `${percent(wish[0])} to ${percent(wish[1])}`,
        all.gaps.some(gap => 'muscle' in gap && gap.muscle === muscle),
      ),
    )
    const isFlexor = all.group === 'biceps'
    return [
      ...heads,
      of('Lengthened', ({ lengths }) => lengths.lengthened, 'from 30', isShort('lengthened_short')),
      of('Mid-range', ({ lengths }) => lengths.mid, '', false),
      of('Shortened', ({ lengths }) => lengths.shortened, 'up to 50', isShort('shortened_much')),
      ...(isFlexor
        ? [
            of('Palms up', ({ grips }) => grips.supinated, '', false),
            of(
              'Palms facing',
              ({ grips }) => grips.neutral,
              'with palms down from 20',
              isShort('neutral_short'),
            ),
            of('Palms down', ({ grips }) => grips.pronated, '', isShort('neutral_short')),
          ]
        : []),
      ...(all.group === 'triceps'
        ? [of('Arm overhead', held => held.overheadShare, 'from 25', isShort('overhead_short'))]
        : []),
    ]
  }

  /** The exercise that speaks most for filling a gap on this day, added with two sets. */
  function fillFor(gap: CoverageGap, group: Group): CoverageGapLine['fill'] {
    const input = store.input
    const context = store.context
    const choice =
      input &&
      rankedChoices(input, group, builder.dayAt()).find(({ reasons }) =>
        reasons.some(reason => reason.kind === 'fills' && reason.gap.kind === gap.kind),
      )
    if (!choice || !context) return null
    return {
      name: choice.exercise.name,
      apply: () => {
        if (
          builder.edit({
            kind: 'add_exercise',
            day: builder.dayAt(),
            ...(builder.session.value && { session: builder.session.value.id }),
            exercise: exerciseId(choice.exercise.id),
            intent: choice.intent,
            scheme: usualScheme(choice.exercise, FILL_SETS, context.method),
          })
        )
          builder.say(`${choice.exercise.name} added: ${FILL_SETS} sets.`)
      },
    }
  }

  return useAfterPaint((): readonly GroupCoverage[] => {
    const [input, view, context] = [store.input, builder.view.value, store.context]
    if (!input || !context) return []
    return ARM_GROUPS.flatMap((group): GroupCoverage[] => {
      const all = coverage(input.ledger, group, context)
      const here = coverage({ work: view ? [view.work] : [] }, group, context)
      if (here.directSets === 0 && all.gaps.length === 0) return []
      const gaps = all.gaps.map((gap): CoverageGapLine => ({
        words: gapWords(gap),
        group,
        fill: fillFor(gap, group),
      }))
      return [{ group, name: GROUP_NAMES[group], lines: lines(here, all), gaps }]
    })
  })
}
