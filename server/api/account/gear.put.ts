import { GearBody } from '#shared/contracts/gear'
import { saveGear } from '../../services/account'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: GearBody,
  answer: GearBody,
  doing: 'gear',
  handle: ({ coach, body }) => saveGear(coach, body),
})
