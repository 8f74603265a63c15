// `npm run bench logging`, through scripts/bench.mjs, which starts the built server on a database of its own.
import { benchLogging } from './bench/logging'

await benchLogging(process.env.BASE_URL ?? '', process.env.DATABASE_URL ?? '')
