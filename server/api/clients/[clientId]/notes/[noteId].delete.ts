import { Done } from '#shared/contracts/history'
import { NoteParams } from '#shared/contracts/notes'
import { removeNote } from '../../../../services/notes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: NoteParams,
  answer: Done,
  doing: 'note',
  handle: ({ coach, params }) => removeNote(coach, params.clientId, params.noteId),
})
