import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { PaceBody } from '#shared/contracts/review'
import { decidePace } from '../../../services/pace'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  body: PaceBody,
  answer: Done,
  doing: 'recovery',
  handle: ({ coach, params, body, event }) =>
    decidePace(coach, params.clientId, body, todayOf(event)),
})
