import { EQUIPMENT, GROUPS, JOINTS } from '#core/plan/catalogue'
import { HINDRANCES, MODES, PLAN_SCOPES, SIDE_ORDERS } from '#core/plan/method'
import { BODY_SIDES } from '#core/body/log'
import { PERMITS, SCREENING_ANSWERS, SCREENING_IDS } from '#core/plan/safety'
import { WEIGHT_UNITS } from '#core/plan/scheme'
import { z } from 'zod'
import { ClockContract } from './clock'
import { GearContract } from './gear'
import { MethodIdContract } from './method'
import { PlainDateContract, SideLoadContract } from './plan'

/** Free words of a coach: long enough for a paragraph, short enough to stay one. */
const words = z.string().trim().max(2000)

export const AvailableDayContract = z
  .strictObject({
    weekday: z.int().min(1).max(7),
    minutes: z.int().min(10).max(240),
    start: ClockContract,
  })
  .readonly()

export const ScreeningContract = z
  .strictObject({
    answers: z.partialRecord(z.enum(SCREENING_IDS), z.enum(SCREENING_ANSWERS)).readonly(),
    clearance: z
      .strictObject({
        on: PlainDateContract,
        profession: z.string().trim().min(1).max(100),
        limits: words,
      })
      .readonly()
      .nullable(),
  })
  .readonly()

export const JointNoteContract = z
  .strictObject({
    joint: z.enum(JOINTS),
    side: z.enum(['left', 'right', 'both']),
    provokedBy: words,
    since: words,
  })
  .readonly()

export const ExerciseRuleContract = z
  .strictObject({
    exercise: z.string().min(1).max(60),
    mostKg: z.number().min(0).max(600).nullable(),
    instead: z.string().min(1).max(60).nullable(),
    sides: z
      .strictObject({ weak: z.enum(BODY_SIDES), rule: z.enum(SIDE_ORDERS) })
      .readonly()
      .exactOptional(),
  })
  .readonly()
  .refine(
    ({ mostKg, instead, sides }) => mostKg !== null || instead !== null || sides !== undefined,
    'must have a heaviest load, or what is done in its place',
  )
  .refine(
    ({ exercise, instead }) => exercise !== instead,
    'must name another exercise in its place',
  )

/** Everything a plan starts from, as it is entered once. */
export const ProfileContract = z
  .strictObject({
    name: z.string().trim().min(1).max(100),
    about: z.string().trim().max(200),
    /** Where messages go by mail, where the server sends any. */
    email: z.email().max(200).exactOptional(),
    units: z.enum(WEIGHT_UNITS),
    goal: words,
    weakPoints: words,
    trainingAgeMonths: z.int().min(0).max(1200),
    method: MethodIdContract,
    modes: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly(),
    days: z
      .array(AvailableDayContract)
      .min(1)
      .max(7)
      .readonly()
      .refine(
        days => new Set(days.map(({ weekday }) => weekday)).size === days.length,
        'must name each weekday once',
      ),
    equipment: z.array(z.enum(EQUIPMENT)).readonly(),
    /** What can be loaded where this client trains; the studio's lines where one is left out. */
    gear: GearContract.default({}),
    sensitiveJoints: z.array(z.enum(JOINTS)).readonly(),
    jointNotes: z.array(JointNoteContract).max(20).readonly(),
    slowedBy: z.array(z.enum(HINDRANCES)).readonly(),
    sideLoads: z.array(SideLoadContract).max(20).readonly(),
    hasSafeties: z.boolean(),
    /** What the plan is for; muscles outside it have no floor. */
    scope: z.enum(PLAN_SCOPES).default('whole_body'),
    /** Ways to train that are off until they are allowed here. */
    permits: z.array(z.enum(PERMITS)).readonly().default([]),
    /** Exercises not to be planned, and those to stay, by id. */
    avoid: z.array(z.string().max(60)).max(100).readonly().default([]),
    keep: z.array(z.string().max(60)).max(100).readonly().default([]),
    /** What holds for single exercises of this client: a heaviest load, another in its place. */
    exerciseRules: z.array(ExerciseRuleContract).max(60).readonly().default([]),
    screening: ScreeningContract,
  })
  .readonly()
export type Profile = z.output<typeof ProfileContract>

/** What saving a profile answers, and what a new client is found under. */
export const SavedClient = z.object({ id: z.uuid() })

/** An exercise a client is not to be given any more. */
export const AvoidBody = z.strictObject({ exercise: z.string().min(1).max(60) })

/** How left and right of an exercise are to be done; null leaves it to the plan. */
export const SidesBody = z.strictObject({
  exercise: z.string().min(1).max(60),
  sides: z
    .strictObject({ weak: z.enum(BODY_SIDES), rule: z.enum(SIDE_ORDERS) })
    .readonly()
    .nullable(),
})
export type SidesBody = z.output<typeof SidesBody>

/** The method a client follows from now on. */
export const FollowBody = z.strictObject({ method: MethodIdContract })
export type FollowBody = z.output<typeof FollowBody>

/** A profile as it is wanted, and as it was when the form was opened. */
export const ProfileSave = z.strictObject({ mine: ProfileContract, was: ProfileContract })
