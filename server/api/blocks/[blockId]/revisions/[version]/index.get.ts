import { RevisionParams, RevisionView } from '#shared/contracts/revisions'
import { revision } from '../../../../../services/revisions'
import { defineRoute } from '../../../../../utils/defineRoute'

export default defineRoute({
  params: RevisionParams,
  answer: RevisionView,
  handle: ({ coach, params }) => revision(coach, params.blockId, params.version),
})
