import { RetentionView } from '#shared/contracts/retention'
import { retention } from '../../services/retention'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({ answer: RetentionView, handle: ({ coach }) => retention(coach) })
