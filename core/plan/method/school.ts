import { recordOf } from '../../base'

/**
 * How sets are counted. A school answers what an indirect set is worth, what a long set is worth, and whether effort matters.
 * Source: docs/methods.md#counting.
 */
export interface CountingSchool {
  readonly id: string
  /** `direct` counts credit 1 only, `as_is` every credit for what it is, `whole` every credit from `wholeFrom` up alike. */
  readonly credit: 'direct' | 'as_is' | 'whole'
  readonly wholeFrom: number
  /** Worth of an indirect set under `whole`. */
  readonly wholeIndirect: number
  /** `plain` one per set, `weighted` by effort, reps and stages, `parts` one per work stage that is not joined to the one before. */
  readonly value: 'plain' | 'weighted' | 'parts'
  /** Whether bands look at effective sets, which bend down within a session. */
  readonly sessionCurve: boolean
}

export const COUNTING_SCHOOL_IDS = ['direct_only', 'fractional', 'whole', 'stimulus'] as const
export type CountingSchoolId = (typeof COUNTING_SCHOOL_IDS)[number]

const COMMON = {
  wholeFrom: 0.5,
  wholeIndirect: 1,
  value: 'plain',
  sessionCurve: false,
} as const

/** The schools that come with the program; `fractional` is the default. */
export const COUNTING_SCHOOLS = {
  direct_only: { id: 'direct_only', credit: 'direct', ...COMMON },
  fractional: { id: 'fractional', credit: 'as_is', ...COMMON },
  whole: { id: 'whole', credit: 'whole', ...COMMON },
  stimulus: { id: 'stimulus', credit: 'as_is', ...COMMON, value: 'weighted', sessionCurve: true },
} as const satisfies Record<CountingSchoolId, CountingSchool>

/** What one set of the given credit adds to a group, 0 to 1. */
export function worthOfCredit(school: CountingSchool, credit: number): number {
  if (credit === 1) return 1
  switch (school.credit) {
    case 'direct':
      return 0
    case 'as_is':
      return credit
    case 'whole':
      return credit > 0 && credit >= school.wholeFrom ? school.wholeIndirect : 0
  }
}

const BY_PARTS: Readonly<Record<string, CountingSchool>> = recordOf(COUNTING_SCHOOL_IDS, id => ({
  ...COUNTING_SCHOOLS[id],
  value: 'parts',
}))

/** The school as a method has it: sets that are not weighed go by their parts where it counts long sets so. */
export const schoolOf = ({
  school,
  counts,
}: {
  readonly school: CountingSchool
  readonly counts: { readonly long: 'as_one' | 'by_parts' }
}): CountingSchool =>
  (counts.long === 'by_parts' && school.value === 'plain' && BY_PARTS[school.id]) || school
