import { clientId } from '#core/base'
import { MOST_STATIONS, STATION_KINDS } from '#core/follow/floor'
import { z } from 'zod'

/** How many stations there are of each kind; one that is left out is plenty. */
export const StationsContract = z
  .partialRecord(z.enum(STATION_KINDS), z.int().min(0).max(MOST_STATIONS))
  .readonly()
export const StationsBody = z.strictObject({ stations: StationsContract })

/** What those who train today do, part by part. Units: seconds. */
export const FloorView = z.object({
  stations: StationsContract,
  sessions: z.array(
    z.object({
      id: z.uuid().transform(clientId),
      parts: z.array(
        z.object({
          before: z.number(),
          seconds: z.number(),
          needs: z.array(z.enum(STATION_KINDS)).readonly(),
        }),
      ),
    }),
  ),
})
export type FloorView = z.output<typeof FloorView>
