import { OpenLinkAnswer, OpenLinkBody } from '#shared/contracts/sheet'
import { openLink } from '../../services/sheetLinks'
import { defineOpenRoute } from '../../utils/defineRoute'
import { addressOf } from '../../utils/address'

export default defineOpenRoute({
  body: OpenLinkBody,
  answer: OpenLinkAnswer,
  handle: ({ event, body }) => openLink(body, addressOf(event)),
})
