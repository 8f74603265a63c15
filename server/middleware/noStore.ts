/** What is no page: routes say it themselves, files are the same for everybody, and the sheet is the same for every link. */
const NO_PAGE = /^\/(?:api|_nuxt|_|icons|sheet)|\.[a-z0-9]{2,12}$/

/** Pages about people are kept nowhere: neither in a browser's store nor in a proxy on the way. */
export default defineEventHandler(event => {
  const [path = ''] = event.path.split('?')
  if (!NO_PAGE.test(path)) setHeader(event, 'cache-control', 'no-store')
})
