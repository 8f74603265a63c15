import { ClientDocument } from '#shared/contracts/clientDocument'
import { SavedClient } from '#shared/contracts/profile'
import { importClient } from '../../services/clientDocument'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: ClientDocument,
  limitBytes: 20_000_000,
  answer: SavedClient,
  handle: ({ coach, body }) => importClient(coach, body),
})
