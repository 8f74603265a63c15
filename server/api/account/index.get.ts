import { AccountView } from '#shared/contracts/session'
import { account } from '../../services/account'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({ answer: AccountView, handle: ({ coach }) => account(coach) })
