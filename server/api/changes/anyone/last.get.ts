import { LastChanges } from '#shared/contracts/changes'
import { lastChanges } from '../../../services/changes'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  answer: LastChanges,
  handle: ({ coach }) => lastChanges(coach, 'anyone'),
})
