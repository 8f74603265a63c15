import { DraftAnswer, DraftMadeBody } from '#shared/contracts/block'
import { BlockParams } from '#shared/contracts/client'
import { planFromDraft } from '../../../services/drafts'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  body: DraftMadeBody,
  answer: DraftAnswer,
  doing: 'draft_made',
  handle: ({ coach, params, body }) => planFromDraft(coach, params.blockId, body),
})
