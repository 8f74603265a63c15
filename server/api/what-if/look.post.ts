import { WhatIf, WhatIfView } from '#shared/contracts/whatIf'
import { whatIf } from '../../services/whatIf'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: WhatIf,
  answer: WhatIfView,
  handle: ({ coach, body, event }) => whatIf(coach, body, todayOf(event)),
})
