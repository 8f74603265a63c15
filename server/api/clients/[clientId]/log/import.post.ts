import { ClientParams } from '#shared/contracts/client'
import { ImportLogAnswer, ImportLogBody } from '#shared/contracts/log'
import { importLog } from '../../../../services/logImport'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: ImportLogBody,
  answer: ImportLogAnswer,
  doing: 'import',
  handle: ({ coach, params, body }) => importLog(coach, params.clientId, body),
})
