import { DraftAnswer, DraftBody } from '#shared/contracts/block'
import { BlockParams } from '#shared/contracts/client'
import { decideDraft } from '../../../services/drafts'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  body: DraftBody,
  answer: DraftAnswer,
  doing: 'draft_terms',
  handle: ({ coach, params, body }) => decideDraft(coach, params.blockId, body),
})
