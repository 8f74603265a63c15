import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { NoteBody } from '#shared/contracts/notes'
import { addNote } from '../../../../services/notes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: NoteBody,
  answer: Done,
  doing: 'note',
  handle: ({ coach, params, body }) => addNote(coach, params.clientId, body),
})
