import { SheetAnswer } from '#shared/contracts/sheet'
import { sheet } from '../../services/sheet'
import { defineSheetRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineSheetRoute({
  answer: SheetAnswer,
  handle: ({ reader, event }) => sheet(reader, todayOf(event)),
})
