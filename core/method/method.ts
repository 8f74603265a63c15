/**
 * How sets are counted. A school answers what an indirect set is worth and whether effort matters.
 * Source: docs/methods.md#counting.
 */
export interface CountingSchool {
  readonly id: string
  /** `direct` counts credit 1 only, `as_is` every credit for what it is, `whole` every credit from `wholeFrom` up alike. */
  readonly credit: 'direct' | 'as_is' | 'whole'
  readonly wholeFrom: number
  /** Worth of an indirect set under `whole`. */
  readonly wholeIndirect: number
  /** A set further from failure than this counts nothing. */
  readonly hardMaxRir: number
}

export const COUNTING_SCHOOL_IDS = ['direct_only', 'fractional', 'whole'] as const
export type CountingSchoolId = (typeof COUNTING_SCHOOL_IDS)[number]

const COMMON = { wholeFrom: 0.5, wholeIndirect: 1, hardMaxRir: 5 } as const

/** The schools that come with the program; `fractional` is the default. */
export const COUNTING_SCHOOLS = {
  direct_only: { id: 'direct_only', credit: 'direct', ...COMMON },
  fractional: { id: 'fractional', credit: 'as_is', ...COMMON },
  whole: { id: 'whole', credit: 'whole', ...COMMON },
} as const satisfies Record<CountingSchoolId, CountingSchool>

/** What one set of the given credit adds to a group, 0 to 1. */
export function worthOfCredit(school: CountingSchool, credit: number): number {
  if (credit === 1) return 1
  switch (school.credit) {
    case 'direct': return 0
    case 'as_is': return credit
    case 'whole': return credit > 0 && credit >= school.wholeFrom ? school.wholeIndirect : 0
  }
}

/** Settings on which experienced coaches differ. A client follows one method, adjusted where needed. */
export interface Method {
  readonly id: string
  readonly school: CountingSchool
  /** A day with fewer fractional sets of a group is no exposure. */
  readonly minSetsPerExposure: number
  /** RIR to count with where the plan gives none; shown as assumed. */
  readonly defaultRir: number
  /** Multiplies floor, target and ceiling. */
  readonly bandScale: number
  /** Wanted extensor sets per flexor set. */
  readonly ratioWish: number
}

/** The method of a new client. Source: docs/methods.md#defaults. */
export const STEADY_MIDDLE = {
  id: 'steady-middle', school: COUNTING_SCHOOLS.fractional,
  minSetsPerExposure: 2, defaultRir: 2, bandScale: 1, ratioWish: 1.1,
} as const satisfies Method
