import { writeFor } from '../utils/writing'

/** Pages are drawn here as the coach has it written; routes know it by themselves (defineRoute). */
export default defineEventHandler(async event => {
  if (event.path.startsWith('/api/') || event.path.startsWith('/_')) return
  const { user } = await getUserSession(event)
  writeFor(user?.writing)
})
