import { ClientParams } from '#shared/contracts/client'
import { Done, MeasurementBody } from '#shared/contracts/history'
import { addMeasurement } from '../../../../services/history'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: ClientParams,
  body: MeasurementBody,
  answer: Done,
  doing: 'measurement',
  handle: ({ coach, params, body, event }) =>
    addMeasurement(coach, params.clientId, body, todayOf(event)),
})
