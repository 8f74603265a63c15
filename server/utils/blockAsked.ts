import { type BlockId, blockId } from '#core/base'
import type { H3Event } from 'h3'
import { z } from 'zod'

/** No block has it: what is no id at all is answered like one that is not there. */
const NOBODYS = blockId('00000000-0000-0000-0000-000000000000')
const Query = z.object({ block: z.uuid().transform(blockId).optional().catch(NOBODYS) })

/** The block that an address names by `?block=`; undefined where it names none, so that today's is meant. */
export const blockAsked = (event: H3Event): BlockId | undefined =>
  Query.parse(getQuery(event)).block
