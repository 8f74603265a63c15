import { StationsBody } from '#shared/contracts/floor'
import { saveStations } from '../../services/floor'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: StationsBody,
  answer: StationsBody,
  doing: 'stations',
  handle: ({ coach, body }) => saveStations(coach, body),
})
