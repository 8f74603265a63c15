import { ExportParams } from '#shared/contracts/block'
import { z } from 'zod'
import { exportBlock } from '../../../../services/exports'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: ExportParams,
  answer: z.union([z.string(), z.instanceof(Buffer)]),
  handle: async ({ coach, params, event }) => {
    const file = await exportBlock(coach, params.blockId, params.kind, todayOf(event))
    if (!file.ok) return file
    setHeader(event, 'content-type', file.value.type)
    setHeader(event, 'content-disposition', `attachment; filename="${file.value.name}"`)
    return { ok: true, value: file.value.text }
  },
})
