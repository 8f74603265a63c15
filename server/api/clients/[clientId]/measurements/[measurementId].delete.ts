import { clientId } from '#core/base'
import { Done, MeasurementParams } from '#shared/contracts/history'
import { removeMeasurement } from '../../../../services/history'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: MeasurementParams,
  answer: Done,
  doing: 'measurement',
  handle: ({ coach, params }) =>
    removeMeasurement(coach, clientId(params.clientId), params.measurementId),
})
