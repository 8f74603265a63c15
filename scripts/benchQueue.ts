// `npm run bench queue`, through scripts/bench.mjs, which starts the built server on a database of its own.
import { benchQueue } from './bench/queue'

await benchQueue(process.env.BASE_URL ?? '', process.env.DATABASE_URL ?? '')
