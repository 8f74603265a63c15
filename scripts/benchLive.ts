// `npm run bench live`, through scripts/bench.mjs, which starts the built server on a database of its own.
import { benchLive } from './bench/live'

await benchLive(process.env.BASE_URL ?? '', process.env.DATABASE_URL ?? '')
