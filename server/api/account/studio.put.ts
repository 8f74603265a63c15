import { StudioBody } from '#shared/contracts/floor'
import { saveStudio } from '../../services/floor'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: StudioBody,
  answer: StudioBody,
  doing: 'stations',
  handle: ({ coach, body }) => saveStudio(coach, body),
})
