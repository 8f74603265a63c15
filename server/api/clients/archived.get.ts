import { success } from '#core/base'
import { ArchiveView } from '#shared/contracts/roster'
import { archive } from '../../services/archive'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: ArchiveView,
  handle: async ({ coach }) => success(await archive(coach)),
})
