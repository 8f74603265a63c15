import { trustOf } from '../utils/address'

/** A variable that cannot be read is told at the start, not with the first request. */
export default defineNitroPlugin(() => {
  trustOf(process.env.TRUSTED_PROXY)
})
