import { recordOf } from '#core/base'
import {
  CAUTIONS,
  type CautionId,
  type CreditChanges,
  EQUIPMENT,
  type Exercise,
  GROUPS,
  type HeadShares,
  type Intent,
  JOINTS,
  type Library,
  MUSCLES,
  OWN_EXERCISE_PREFIX,
  PATTERNS,
} from '#core/plan/catalogue'
import { z } from 'zod'
import type { Equal, Proven } from './equal'

const name = z.string().trim().min(1).max(80)
const seconds = z.int().min(0).max(900)

/** Share of a set that each group gets. */
export const CreditsContract = z.partialRecord(z.enum(GROUPS), z.number().min(0).max(1)).readonly()

const headShares = z
  .partialRecord(
    z.enum(GROUPS),
    z.partialRecord(z.enum(MUSCLES), z.number().min(0).max(1)).readonly(),
  )
  .readonly() satisfies z.ZodType<HeadShares>
const stress = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)])
const jointStress = z
  .strictObject(
    // An exercise kept from before a joint was known does not load it.
    recordOf(JOINTS, () => stress.default(0)),
  )
  .readonly()

const intent = z
  .strictObject({
    id: z.string().min(1).max(40),
    name: z.string().trim().min(1).max(80),
    how: z.string().trim().max(500),
    credits: CreditsContract,
    headShares,
    lengthBias: z.enum(['lengthened', 'mid', 'shortened']),
    jointStress,
  })
  .readonly() satisfies z.ZodType<Intent>

/** An exercise that a coach has added. It trains something directly, or it would count for nothing. */
export const OwnExerciseContract = z
  .strictObject({
    id: z.string().startsWith(OWN_EXERCISE_PREFIX).max(60),
    name,
    aliases: z.array(name).max(10).readonly(),
    pattern: z.enum(PATTERNS),
    kind: z.enum(['compound', 'isolation']),
    equipment: z.array(z.enum(EQUIPMENT)).max(10).readonly(),
    laterality: z.enum(['bilateral', 'unilateral', 'either']),
    setupSeconds: seconds,
    repUnit: z.enum(['reps', 'seconds']),
    repRange: z
      .tuple([z.int().min(1).max(300), z.int().min(1).max(300)])
      .readonly()
      .refine(([low, high]) => low <= high, 'must give the lower number of reps first'),
    restSeconds: seconds,
    loadStepKg: z.number().min(0).max(50),
    loadBasis: z.enum(['total', 'per_hand', 'stack', 'added', 'counterweight', 'band', 'angle']),
    cautions: z.array(z.enum(Object.keys(CAUTIONS) as [CautionId, ...CautionId[]])).readonly(),
    substitutes: z.array(z.string().max(60)).max(10).readonly(),
    intents: z.tuple([intent], intent).readonly(),
  })
  .readonly()
  .superRefine((exercise, context) => {
    if (!exercise.intents.some(({ credits }) => Object.values(credits).includes(1))) {
      context.addIssue({
        code: 'custom',
        path: ['intents', 0, 'credits'],
        message: 'must train one muscle directly: give one group the credit 1',
      })
    }
  })

export type _ExerciseIsCore = Proven<Equal<z.output<typeof OwnExerciseContract>, Exercise>>

/** Changed credits by credit key. */
export const CreditChangesContract = z
  .record(z.string().max(120), CreditsContract)
  .readonly() satisfies z.ZodType<CreditChanges>

/** What a coach has added to the built-in exercises, and changed about them. */
export const LibraryContract = z
  .strictObject({
    exercises: z.array(OwnExerciseContract).readonly(),
    credits: CreditChangesContract,
  })
  .readonly() satisfies z.ZodType<Library>

/** What every screen that names exercises needs: the coach's own additions. */
export const LibraryView = z.object({
  library: LibraryContract,
  /** Exercises no longer offered; plans that used them still know them. */
  retired: z.array(z.string()),
})
export type LibraryView = z.output<typeof LibraryView>

/** Every client who is not archived, with what counts otherwise for that one. */
export const ClientCreditsView = z.object({
  clients: z.array(z.object({ id: z.uuid(), name: z.string(), credits: CreditChangesContract })),
})
export type ClientCreditsView = z.output<typeof ClientCreditsView>

export const ExerciseParams = z.object({ exerciseId: z.string().regex(/^[a-z0-9_-]{1,60}$/) })

/** Changed credits of one exercise: of one purpose or of all, for everyone or for one client; null brings the usual ones back. */
export const ChangeCreditsBody = z.strictObject({
  intent: z.string().max(40).nullable(),
  client: z.uuid().nullable(),
  credits: CreditsContract.nullable(),
})
export type ChangeCredits = z.output<typeof ChangeCreditsBody>

/** What a change would do, or has done, to the weekly sets of the coach's clients. */
export const CreditEffectsView = z.object({
  effects: z.array(
    z.object({
      group: z.enum(GROUPS),
      clients: z.int(),
      least: z.number(),
      most: z.number(),
      isMixed: z.boolean(),
    }),
  ),
})

/** What adding an exercise takes: everything but the id. */
export const NewExerciseBody = z
  .looseObject({})
  .transform((body): unknown => ({ ...body, id: `${OWN_EXERCISE_PREFIX}new` }))
  .pipe(OwnExerciseContract)
export const SavedExercise = z.object({ id: z.string() })
