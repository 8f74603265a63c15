import { Done } from '#shared/contracts/history'
import { NameRevisionBody, RevisionParams } from '#shared/contracts/revisions'
import { name } from '../../../../../services/revisions'
import { defineRoute } from '../../../../../utils/defineRoute'

export default defineRoute({
  params: RevisionParams,
  body: NameRevisionBody,
  answer: Done,
  handle: ({ coach, params, body }) => name(coach, params.blockId, params.version, body.name),
})
