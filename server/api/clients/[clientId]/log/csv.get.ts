import { ClientParams } from '#shared/contracts/client'
import { z } from 'zod'
import { exportLog } from '../../../../services/logImport'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: z.string(),
  handle: async ({ coach, params, event }) => {
    const file = await exportLog(coach, params.clientId)
    if (!file.ok) return file
    setHeader(event, 'content-type', file.value.type)
    setHeader(event, 'content-disposition', `attachment; filename="${file.value.name}"`)
    return { ok: true, value: file.value.text }
  },
})
