import { success } from '#core/base'
import { RosterView } from '#shared/contracts/client'
import { roster } from '../services/clients'
import { defineRoute } from '../utils/defineRoute'

export default defineRoute({ answer: RosterView, handle: async ({ coach }) => success(await roster(coach)) })
