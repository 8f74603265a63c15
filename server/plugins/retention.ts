import { currentTime } from '../clock'
import { logger, redacted } from '../seen/logger'
import { eraseDue } from '../services/retention'

const [FIRST_MS, EVERY_MS] = [60_000, 3_600_000]

/** What is to be erased by itself is looked for once an hour, by one server of all. */
export default defineNitroPlugin(nitro => {
  const look = () =>
    void eraseDue(currentTime()).catch((error: unknown) =>
      logger.error({ reason: redacted(error) }, 'nothing erased'),
    )
  const first = setTimeout(look, FIRST_MS).unref()
  const every = setInterval(look, EVERY_MS).unref()
  nitro.hooks.hook('close', () => {
    clearTimeout(first)
    clearInterval(every)
  })
})
