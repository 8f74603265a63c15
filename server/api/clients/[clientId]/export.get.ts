import { ClientParams } from '#shared/contracts/client'
import { z } from 'zod'
import { exportClient } from '../../../services/archive'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({ params: ClientParams, answer: z.looseObject({}), handle: async ({ coach, params, event }) => {
  setHeader(event, 'content-disposition', 'attachment; filename="tholepin-client.json"')
  return exportClient(coach, params.clientId)
} })
