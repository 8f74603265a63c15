import { type ClientId, clientId } from '#core/base'
import {
  GROUP_SIZE,
  MOST_CLOSED,
  MOST_COACHES,
  MOST_OUT,
  MOST_STATIONS,
  STATION_KINDS,
  secondsOf,
} from '#core/follow/floor'
import { z } from 'zod'
import { ClockContract } from './clock'
import { GearContract } from './gear'
import { PlainDateContract } from './plan'

/** How many stations there are of each kind; one that is left out is plenty. */
export const StationsContract = z
  .partialRecord(z.enum(STATION_KINDS), z.int().min(0).max(MOST_STATIONS))
  .readonly()

/** A station of which there are fewer for some days. */
export const OutageContract = z
  .strictObject({
    station: z.enum(STATION_KINDS),
    left: z.int().min(0).max(MOST_STATIONS),
    from: PlainDateContract,
    to: PlainDateContract,
  })
  .readonly()
  .refine(({ from, to }) => from <= to, {
    path: ['to'],
    error: 'must not lie before its first day',
  })

/** When a studio is open, who helps on the floor, and closed days. */
export const HouseContract = z
  .strictObject({
    opens: ClockContract.exactOptional(),
    closes: ClockContract.exactOptional(),
    coaches: z.int().min(1).max(MOST_COACHES).exactOptional(),
    closed: z.array(PlainDateContract).max(MOST_CLOSED).readonly().exactOptional(),
    out: z.array(OutageContract).max(MOST_OUT).readonly().exactOptional(),
  })
  .readonly()
  .refine(
    ({ opens, closes }) =>
      opens === undefined || closes === undefined || secondsOf(opens) < secondsOf(closes),
    { path: ['closes'], error: 'must be later than the opening' },
  )

/** What the studio's page saves. */
export const StudioBody = z.strictObject({ stations: StationsContract, house: HouseContract })

const FloorSessionId = z.string().min(1).max(60)

/** A day of the floor: what everybody does, part by part. Units: seconds. */
export const FloorView = z.object({
  on: PlainDateContract,
  /** What the studio can load: the same lines as on Account. */
  gear: GearContract,
  stations: StationsContract,
  house: HouseContract,
  sessions: z.array(
    z.object({
      id: FloorSessionId,
      client: z.uuid().transform((text): ClientId => clientId(text)),
      name: z.string(),
      what: z.string(),
      start: ClockContract,
      /** When it would begin if nothing had been agreed for the day. */
      usual: ClockContract,
      minuteLimit: z.int().nullable(),
      isBegun: z.boolean(),
      parts: z.array(
        z.object({
          before: z.number(),
          seconds: z.number(),
          needs: z.array(z.enum(STATION_KINDS)).readonly(),
          /** Sets that want somebody beside them, from where the part begins. */
          spots: z
            .array(z.object({ at: z.number(), seconds: z.number() }))
            .readonly()
            .exactOptional(),
          /** The exercises done in it. */
          what: z.string(),
        }),
      ),
    }),
  ),
})
export type FloorView = z.output<typeof FloorView>

/** Where everybody is who has begun, what hurts, and what was written. */
export const FloorNow = z.object({
  sessions: z.array(
    z.object({
      id: FloorSessionId,
      done: z.int(),
      of: z.int(),
      /** The set that comes next, in words. */
      next: z.string(),
      lastAt: z.iso.datetime().nullable(),
      /** When the set said last would end by the plan. Units: seconds from the beginning. */
      lastEnds: z.number().nullable(),
    }),
  ),
  pains: z.array(
    z.object({
      id: z.uuid(),
      client: z.uuid(),
      name: z.string(),
      at: z.iso.datetime(),
      words: z.string(),
      /** What the sheet told the client at once. */
      told: z.string(),
    }),
  ),
  /** What clients wrote in today's sessions, the latest first. */
  wrote: z.array(
    z.object({
      id: z.uuid(),
      client: z.uuid(),
      name: z.string(),
      at: z.iso.datetime(),
      text: z.string(),
      /** What the coach wrote to the client last since then; empty where nothing. */
      told: z.string(),
    }),
  ),
})
export type FloorNow = z.output<typeof FloorNow>

/** What the coming days hold for one client, before it happens. */
export const FloorAhead = z.object({
  ahead: z.array(z.object({ on: PlainDateContract, session: FloorSessionId, words: z.string() })),
})
export type FloorAhead = z.output<typeof FloorAhead>

/** A wait of a day for which a way out is looked for. */
export const RemediesBody = z.strictObject({ on: PlainDateContract, session: FloorSessionId })

/** Ways out of a wait, in words. */
export const RemediesView = z.object({
  remedies: z.array(
    z.object({
      /** Names it when it is taken. */
      key: z.string().max(300),
      kind: z.enum(['start', 'turn', 'stand_in']),
      title: z.string(),
      lines: z.array(z.string()),
      /** Whether it can also hold from now on. */
      canStay: z.boolean(),
    }),
  ),
})
export type RemediesView = z.output<typeof RemediesView>

/** Takes a way out: for the day alone, or from now on. */
export const TakeRemedyBody = z.strictObject({
  on: PlainDateContract,
  session: FloorSessionId,
  key: z.string().min(1).max(300),
  isAlways: z.boolean(),
})

/** Another start for the day, whatever waits. */
export const FloorStartBody = z.strictObject({
  on: PlainDateContract,
  session: FloorSessionId,
  start: ClockContract,
})

/** A group of one hour, to be laid side by side; taken as it was shown. */
export const TogetherBody = z.strictObject({
  on: PlainDateContract,
  sessions: z.array(FloorSessionId).min(GROUP_SIZE.least).max(GROUP_SIZE.most),
  isTaken: z.boolean(),
})
/** What would be changed, and what it spares, in words. */
export const TogetherView = z.object({ summary: z.string(), lines: z.array(z.string()) })
export type TogetherView = z.output<typeof TogetherView>

/** What was done, in words. */
export const TakenRemedy = z.object({ did: z.string() })
