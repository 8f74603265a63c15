import { ChangesView } from '#shared/contracts/changes'
import { changesFor } from '../../../services/changes'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  answer: ChangesView,
  handle: ({ coach }) => changesFor(coach, 'anyone'),
})
