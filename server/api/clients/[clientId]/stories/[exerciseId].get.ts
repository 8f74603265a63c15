import { StoryAnswer, StoryParams } from '#shared/contracts/story'
import { story } from '../../../../services/story'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: StoryParams,
  answer: StoryAnswer,
  handle: ({ coach, params, event }) =>
    story(coach, params.clientId, params.exerciseId, todayOf(event)),
})
