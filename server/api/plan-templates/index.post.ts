import { KeepPlanBody, KeptTemplate } from '#shared/contracts/planTemplate'
import { keepPlan } from '../../services/planTemplates'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: KeepPlanBody,
  answer: KeptTemplate,
  doing: 'plan_template',
  handle: ({ coach, body, event }) => keepPlan(coach, body, todayOf(event)),
})
