const YEAR_SECONDS = 365 * 24 * 3600

/** Where cookies are kept to TLS, browsers are told to come by nothing else. */
export default defineEventHandler(event => {
  const { cookie } = useRuntimeConfig(event).session
  if (String(cookie?.secure ?? true) !== 'false')
    setHeader(event, 'strict-transport-security', `max-age=${YEAR_SECONDS}`)
})
