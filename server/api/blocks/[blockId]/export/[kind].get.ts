import { ExportParams } from '#shared/contracts/block'
import { z } from 'zod'
import { exportBlock } from '../../../../services/exports'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ExportParams,
  answer: z.string(),
  handle: async ({ coach, params, event }) => {
    const file = await exportBlock(coach, params.blockId, params.kind)
    if (!file.ok) return file
    setHeader(event, 'content-type', file.value.type)
    setHeader(event, 'content-disposition', `attachment; filename="${file.value.name}"`)
    return { ok: true, value: file.value.text }
  },
})
