import { currentTime } from '../clock'
import { deliverMails } from '../mail/deliver'
import { mailSetUp } from '../mail/transport'
import { logger, redacted } from '../seen/logger'

const EVERY_MS = 5000

/** Where a mail server is set up, messages go out by it; one round ends before the next begins. */
export default defineNitroPlugin(nitro => {
  const mail = mailSetUp(process.env)
  if (!mail) return
  let isUnderWay = false
  const every = setInterval(() => {
    if (isUnderWay) return
    isUnderWay = true
    deliverMails(mail, currentTime())
      .catch((error: unknown) => logger.error({ reason: redacted(error) }, 'no mail sent'))
      .finally(() => (isUnderWay = false))
  }, EVERY_MS).unref()
  nitro.hooks.hook('close', () => clearInterval(every))
})
