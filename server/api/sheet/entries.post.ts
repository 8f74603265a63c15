import { success } from '#core/base'
import { EntriesAnswer, EntriesBody } from '#shared/contracts/sheet'
import { takeEntries } from '../../services/logEntries'
import { defineSheetRoute } from '../../utils/defineRoute'

export default defineSheetRoute({
  body: EntriesBody,
  answer: EntriesAnswer,
  handle: async ({ reader, body }) =>
    success(await takeEntries({ ...reader, author: 'client' }, body)),
})
