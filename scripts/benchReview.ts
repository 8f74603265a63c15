// `npm run bench review`, through scripts/bench.mjs: the review of a client with two years of logs, and a rehearsal in a worker, both in the built application.
import { benchRehearsal, benchReview } from './bench/review'

const [base, database] = [process.env.BASE_URL ?? '', process.env.DATABASE_URL ?? '']
await benchReview(base, database)
await benchRehearsal(base, database)
