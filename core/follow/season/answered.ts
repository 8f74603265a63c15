import type { Group } from '../../plan/catalogue'

/** What a muscle had in one block, and where its strength went in it. */
export interface BlockAnswer {
  readonly title: string
  /** Counted sets done in a usual week. Units: sets per 7 days. */
  readonly sets: number
  /** Units: share a week, with its standard error. */
  readonly slope: number
  readonly error: number
  /** Days with an estimate. */
  readonly count: number
}

/** A dose that a muscle answered to, and one it did not. */
export interface Answered {
  readonly group: Group
  /** Whether the dose it did not answer to was more or less. */
  readonly other: 'more' | 'less'
  readonly from: number
  readonly to: number
  /** Sets of the blocks it did not answer to, lowest first. */
  readonly at: readonly number[]
  readonly rise: Mean
  readonly difference: Mean
  readonly blocks: number
}
/** Units: share a week, with its standard error. */
export interface Mean {
  readonly value: number
  readonly error: number
}

/** What a sentence on an answer takes. Source: docs/methods.md#season. */
export const ANSWERED = {
  /** Blocks that say so. */ blocks: 3,
  /** Blocks of them in which it rose. */ risen: 2,
  /** Days with an estimate in each. */ days: 6,
  /** Sets apart, as a share. */ apart: 1.15,
  /** Standard errors above nothing for a rise; one-sided 95 %. */ surely: 1.645,
  /** Of the difference: which blocks are compared is chosen by what they show, so it takes more. */
  differs: 2.326,
} as const

/** The mean of slopes, each by what it weighs. */
function pooled(blocks: readonly BlockAnswer[]): Mean {
  const weight = blocks.reduce((sum, { error }) => sum + 1 / error ** 2, 0)
  const value = blocks.reduce((sum, { slope, error }) => sum + slope / error ** 2, 0) / weight
  return { value, error: Math.sqrt(1 / weight) }
}

const isKnown = ({ count, error, sets }: BlockAnswer) =>
  count >= ANSWERED.days && Number.isFinite(error) && error > 0 && sets > 0
const hasRisen = ({ slope, error }: BlockAnswer) => slope > ANSWERED.surely * error

/**
 * Whether a muscle answered to some doses and not to more, or not to less, as its blocks say.
 *
 * Shape:  null, which is most often, unless at least three blocks say so: it surely rose in two, in every one with sets between
 *         them too, and in those apart it rose surely less.
 * Units:  counted sets per 7 days; slopes as a share a week.
 * Edge:   blocks with fewer than six days of estimates say nothing. Where it never differed, it is said in fewer than 5 of 100.
 * Source: docs/methods.md#season.
 */
export function answeredTo(group: Group, told: readonly BlockAnswer[]): Answered | null {
  const blocks = told.filter(isKnown).sort((a, b) => a.sets - b.sets)
  const risen = blocks.filter(hasRisen)
  const [least, most] = [risen[0], risen.at(-1)]
  if (!least || !most || blocks.length < ANSWERED.blocks || risen.length < ANSWERED.risen)
    return null
  const within = blocks.filter(({ sets }) => least.sets <= sets && sets <= most.sets)
  if (within.length !== risen.length) return null
  const sides = [
    ['more', blocks.filter(({ sets }) => sets >= most.sets * ANSWERED.apart)],
    ['less', blocks.filter(({ sets }) => sets <= least.sets / ANSWERED.apart)],
  ] as const
  const rise = pooled(risen)
  for (const [other, apart] of sides) {
    if (apart.length === 0) continue
    const there = pooled(apart)
    const difference = {
      value: rise.value - there.value,
      error: Math.hypot(rise.error, there.error),
    }
    if (difference.value <= ANSWERED.differs * difference.error) continue
    return {
      group,
      other,
      from: least.sets,
      to: most.sets,
      at: apart.map(({ sets }) => sets),
      rise,
      difference,
      blocks: risen.length + apart.length,
    }
  }
  return null
}
