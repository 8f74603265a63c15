import { TakenWhatIf, TakeWhatIfBody } from '#shared/contracts/whatIf'
import { takeWhatIf } from '../../services/whatIf'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: TakeWhatIfBody,
  answer: TakenWhatIf,
  doing: 'what_if',
  handle: ({ coach, body, event }) => takeWhatIf(coach, body, todayOf(event)),
})
