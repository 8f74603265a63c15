import { blockId, exerciseId, slotId } from '#core/base'
import { JOINTS } from '#core/plan/catalogue'
import { SET_ROLES, WEIGHT_UNITS } from '#core/plan/scheme'
import { BODY_SIDES, SET_LAPSES } from '#core/body/log'
import { z } from 'zod'
import { ClientFactsContract } from './client'
import { AdjustmentContract } from './decision'
import { MEASUREMENT_KINDS } from '#core/body/measurements'
import { SIDES } from './history'
import { PlainDateContract, PlanContract, SessionContract } from './plan'
import { LogWordContract } from './sheet'
import { SessionTimesContract } from './times'

const instant = z.iso.datetime()
const words = z.string().max(4000)
const when = { at: instant, receivedAt: instant } as const

/** One row per part of a set. */
export const DocumentSet = z.strictObject({
  at: z.int().min(0),
  slot: z.string().max(100).transform(slotId).nullable(),
  exercise: z.string().min(1).max(60).transform(exerciseId),
  intent: z.string().max(60).nullable(),
  set: z.int(),
  stage: z.int(),
  side: z.enum(BODY_SIDES).nullable(),
  role: z.enum(SET_ROLES),
  loadKg: z.number().nullable(),
  reps: z.number().nullable(),
  seconds: z.number().nullable(),
  rir: z.number().nullable(),
  isRirOpen: z.boolean(),
  lapses: z.array(z.enum(SET_LAPSES)).readonly().nullable().exactOptional(),
  unit: z.enum(WEIGHT_UNITS),
  entryId: z.uuid().nullable(),
})

export const DocumentEntry = z.strictObject({
  id: z.uuid(),
  author: z.enum(['client', 'coach', 'import']),
  ...when,
  clockOffSeconds: z.int(),
  word: LogWordContract,
  outcome: z.enum(['taken', 'conflict', 'too_old']),
})

export const DocumentSession = z.strictObject({
  id: z.uuid(),
  blockId: z.uuid().transform(blockId),
  pass: z.int(),
  day: z.int(),
  place: z.int(),
  on: PlainDateContract,
  name: z.string().max(200),
  armSets: z.int(),
  setsPlanned: z.int(),
  prescribed: SessionContract,
  sentAt: instant.nullable(),
  openedAt: instant.nullable(),
  startedAt: instant.nullable(),
  finishedAt: instant.nullable(),
  minutes: z.int().nullable(),
  isRecovered: z.boolean().nullable(),
  recovery: z.int().min(0).max(10).nullable().exactOptional(),
  note: words,
  missedDecision: z.string().max(40).nullable(),
  times: SessionTimesContract.nullable().exactOptional(),
  sets: z.array(DocumentSet),
  entries: z.array(DocumentEntry),
})

/** Everything kept of a client, as one file (docs/formats.md#client-export). Screening answers are there only where they were asked for. */
export const ClientDocument = z.strictObject({
  format: z.literal('tholepin-client'),
  version: z.literal(2),
  profile: z.looseObject({ name: z.string().trim().min(1).max(100) }),
  facts: ClientFactsContract,
  method: z.string().min(1).max(60),
  blocks: z
    .array(
      z.strictObject({
        id: z.uuid().transform(blockId),
        version: z.int().min(1),
        savedAt: instant,
        closedAt: instant.nullable(),
        plan: PlanContract,
      }),
    )
    .max(200),
  sessions: z.array(DocumentSession).max(5000),
  measurements: z.array(
    z.strictObject({
      on: PlainDateContract,
      kind: z.enum(MEASUREMENT_KINDS),
      value: z.number(),
      isPumped: z.boolean().exactOptional(),
    }),
  ),
  pain: z.array(
    z.strictObject({
      joint: z.enum(JOINTS),
      side: z.enum(SIDES),
      score: z.int().min(0).max(10),
      nextMorning: z.int().min(0).max(10).nullable(),
      hasAlarmSign: z.boolean(),
      reportedAt: instant,
    }),
  ),
  clearances: z.array(
    z.strictObject({
      joint: z.enum(JOINTS),
      on: PlainDateContract,
      profession: words,
      limits: words,
      recordedAt: instant,
    }),
  ),
  /** Who decided what when; files from before have none. */
  decisions: z
    .array(
      z.strictObject({
        blockId: z.uuid().transform(blockId),
        pass: z.int(),
        proposal: AdjustmentContract,
        decision: z.enum(['taken', 'refused']),
        reason: words,
        version: z.int().nullable(),
        decidedBy: z.string().max(200),
        decidedAt: instant,
      }),
    )
    .max(5000)
    .default([]),
  messages: z.array(
    z.strictObject({
      kind: z.enum(['link', 'sent', 'pain', 'own']),
      text: words,
      writtenAt: instant,
    }),
  ),
})
export type ClientDocument = z.output<typeof ClientDocument>
