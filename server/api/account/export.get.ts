import { z } from 'zod'
import { exportStudio } from '../../services/clientDocument'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  // The parts were parsed when they were written; each client is in the form of docs/formats.md.
  answer: z.looseObject({ format: z.literal('tholepin-studio'), version: z.literal(1) }),
  handle: async ({ coach, event }) => {
    setHeader(event, 'content-disposition', 'attachment; filename="tholepin-studio.json"')
    return exportStudio(coach)
  },
})
