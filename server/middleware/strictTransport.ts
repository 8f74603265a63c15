const YEAR_SECONDS = 365 * 24 * 3600

const { cookie } = useRuntimeConfig().session
const isKeptToTls = String(cookie?.secure ?? true) !== 'false'

/** Where cookies are kept to TLS, browsers are told to come by nothing else. */
export default defineEventHandler(event => {
  if (isKeptToTls) setHeader(event, 'strict-transport-security', `max-age=${YEAR_SECONDS}`)
})
