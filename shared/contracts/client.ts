import { PERMITS } from '#core/plan/safety'
import { type BlockId, blockId, type ClientId, clientId, exerciseId } from '#core/base'
import { EQUIPMENT, GROUPS, JOINTS, MUSCLES } from '#core/plan/catalogue'
import { type ClientFacts, HINDRANCES, MODES, PAIN_LEVELS, PLAN_SCOPES } from '#core/plan/method'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { GearContract } from './gear'
import { LibraryContract } from './library'
import { MethodContract } from './method'
import { PhaseContract, PlainDateContract, PlanContract, SideLoadContract } from './plan'
import { AvailableDayContract, ExerciseRuleContract } from './profile'
import { ClientTimesContract } from './times'

const credits = z.partialRecord(z.enum(GROUPS), z.number().min(0).max(1)).readonly()
const band = z
  .strictObject({ floor: z.number().min(0), target: z.number().min(0), ceiling: z.number().min(0) })
  .readonly()

const amounts = <Key extends string>(keys: readonly Key[]) =>
  z.partialRecord(z.enum(keys), z.number().min(0)).readonly()
const CarriedSessionContract = z
  .strictObject({
    on: PlainDateContract,
    place: z.int().min(0),
    impulses: amounts(GROUPS),
    joints: amounts(JOINTS),
  })
  .readonly()

/** What is known of a client and bears on the numbers. */
export const ClientFactsContract = z
  .strictObject({
    trainingAgeMonths: z.int().min(0).max(1200),
    modes: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly(),
    bands: z.partialRecord(z.enum(GROUPS), band).readonly(),
    equipment: z.array(z.enum(EQUIPMENT)).readonly(),
    gear: GearContract.exactOptional(),
    credits: z.record(z.string(), credits).readonly(),
    ratioWish: z.number().min(0.3).max(3).exactOptional(),
    frequencyMin: z.partialRecord(z.enum(GROUPS), z.number().min(0)).readonly().exactOptional(),
    sessionMax: z.partialRecord(z.enum(GROUPS), z.number().min(0)).readonly().exactOptional(),
    headFloors: z.partialRecord(z.enum(MUSCLES), z.number().min(0)).readonly().exactOptional(),
    jointCeilings: z
      .partialRecord(
        z.enum(JOINTS),
        z.strictObject({ week: z.number(), session: z.number() }).readonly(),
      )
      .readonly()
      .exactOptional(),
    avoid: z.array(z.string()).readonly().exactOptional(),
    keep: z.array(z.string()).readonly().exactOptional(),
    joints: z
      .partialRecord(z.enum(JOINTS), z.enum(['normal', 'sensitive']))
      .readonly()
      .exactOptional(),
    pain: z.partialRecord(z.enum(JOINTS), z.enum(PAIN_LEVELS)).readonly().exactOptional(),
    returning: z.partialRecord(z.enum(JOINTS), z.int().min(1).max(5)).readonly().exactOptional(),
    lastPain: z
      .partialRecord(
        z.enum(JOINTS),
        z.strictObject({ on: PlainDateContract, score: z.number().min(0).max(10) }).readonly(),
      )
      .readonly()
      .exactOptional(),
    recoveryPace: z
      .partialRecord(z.enum(GROUPS), z.number().min(0.5).max(2))
      .readonly()
      .exactOptional(),
    paceRecords: z
      .partialRecord(
        z.enum(GROUPS),
        z
          .strictObject({
            by: z.enum(['log', 'coach']),
            on: PlainDateContract,
            was: z.number(),
            since: PlainDateContract.exactOptional(),
          })
          .readonly(),
      )
      .readonly()
      .exactOptional(),
    slowedBy: z.array(z.enum(HINDRANCES)).readonly().exactOptional(),
    sideLoads: z.array(SideLoadContract).max(20).readonly().exactOptional(),
    times: ClientTimesContract.exactOptional(),
    doneExercises: z.array(z.string().max(60)).readonly().exactOptional(),
    provokedBy: z.array(z.string().max(300)).max(20).readonly().exactOptional(),
    hasSafeties: z.boolean().exactOptional(),
    screening: z.enum(['open', 'clear', 'refer']).exactOptional(),
    scope: z.enum(PLAN_SCOPES).exactOptional(),
    permits: z.array(z.enum(PERMITS)).readonly().exactOptional(),
    exerciseRules: z.array(ExerciseRuleContract).readonly().exactOptional(),
    isMinor: z.boolean().exactOptional(),
    days: z.array(AvailableDayContract).max(7).readonly().exactOptional(),
    phase: PhaseContract.exactOptional(),
    carried: z.array(CarriedSessionContract).max(60).readonly().exactOptional(),
  })
  .readonly()

export type _FactsAreCore = Proven<Equal<z.output<typeof ClientFactsContract>, ClientFacts>>

const uuid = <Id>(brand: (text: string) => Id) => z.uuid().transform(brand)

/** Path of everything that belongs to one client. */
export const ClientParams = z.object({ clientId: uuid<ClientId>(clientId) })
/** Path of everything that belongs to one block. */
export const BlockParams = z.object({ blockId: uuid<BlockId>(blockId) })

/** One client with the block that is being planned, and all it is computed with. */
export const ClientView = z.object({
  id: uuid<ClientId>(clientId),
  name: z.string(),
  about: z.string(),
  method: MethodContract,
  /** The preset the method was copied from; null for a preset itself. */
  basedOn: z.string().nullable(),
  facts: ClientFactsContract,
  library: LibraryContract,
  block: z
    .object({
      id: uuid<BlockId>(blockId),
      version: z.int(),
      savedAt: z.iso.datetime(),
      plan: PlanContract,
    })
    .nullable(),
  /** What the block before this one held; null where there was none. */
  before: z
    .object({ title: z.string(), sets: z.record(z.string().transform(exerciseId), z.number()) })
    .readonly()
    .nullable(),
})
export type ClientView = z.output<typeof ClientView>
