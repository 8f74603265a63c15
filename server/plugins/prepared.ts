import { preparedBy } from '../db/prepared'
import { logger, redacted } from '../seen/logger'

/** A server that is told who owns the database migrates it; until then it is not ready. Where that fails it ends. */
export default defineNitroPlugin(() => {
  const { DATABASE_OWNER_URL: owner, DATABASE_URL: app } = process.env
  if (!owner) return
  preparedBy(owner, app).then(
    () => logger.info('migrated'),
    (error: unknown) => {
      logger.fatal({ reason: redacted(error) }, 'not migrated')
      process.exit(1)
    },
  )
})
