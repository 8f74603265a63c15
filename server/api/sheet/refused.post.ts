import { Done } from '#shared/contracts/history'
import { RefusedBody } from '#shared/contracts/sheet'
import { keepRefused } from '../../services/logEntries'
import { defineSheetRoute } from '../../utils/defineRoute'

export default defineSheetRoute({
  body: RefusedBody,
  answer: Done,
  handle: ({ reader, body }) => keepRefused(reader, body),
})
