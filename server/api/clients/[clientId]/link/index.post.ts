import { ClientParams } from '#shared/contracts/client'
import { NewLinkAnswer, NewLinkBody } from '#shared/contracts/sheet'
import { makeLink } from '../../../../services/sheetLinks'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: NewLinkBody,
  answer: NewLinkAnswer,
  handle: ({ coach, params, body }) => makeLink(coach, params.clientId, body),
})
