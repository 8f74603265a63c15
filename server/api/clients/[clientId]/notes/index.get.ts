import { ClientParams } from '#shared/contracts/client'
import { NotesView } from '#shared/contracts/notes'
import { clientNotes } from '../../../../services/notes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: NotesView,
  handle: ({ coach, params }) => clientNotes(coach, params.clientId),
})
