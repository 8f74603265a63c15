import { currentTime } from '../clock'

/** The moment of a request by the server's clock, for pages that are drawn here: it can be another day. */
export default defineEventHandler(event => {
  event.context.now = currentTime()
})
