import { ensureDebianPackages } from './debian.mjs'
import { dataHome } from './paths.mjs'
import { privatePostgres } from './postgres.mjs'

/** Runs work on the database of `npm start`, for its owner: the one that is named, else the private one, which is left as it was found. */
export async function ownDatabase(work) {
  const given = process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL
  if (given) return work(given)
  await ensureDebianPackages(['postgresql'])
  const postgres = await privatePostgres(dataHome('start'), { keepIfRunning: true })
  try {
    return await work(postgres.url('tholepin'))
  } finally {
    await postgres.stop()
  }
}
