import { success } from '#core/base'
import { LibraryView } from '#shared/contracts/library'
import { library } from '../../services/library'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: LibraryView,
  handle: async ({ coach }) => success(await library(coach)),
})
