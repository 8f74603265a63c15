// `npm run bench storm`, through scripts/bench.mjs, which starts the built server on a database of its own.
import { benchStorm } from './bench/storm'

await benchStorm(process.env.BASE_URL ?? '', process.env.DATABASE_URL ?? '')
