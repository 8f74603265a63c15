const PREFETCH = /<link[^>]*rel="prefetch"[^>]*>/g

/** A phone fetches nothing ahead: what the shell of the sheet would have it prefetch are a coach's screens. */
export default defineNitroPlugin(nitroApp => {
  nitroApp.hooks.hook('render:html', (html, { event }) => {
    if (event.path === '/sheet' || event.path.startsWith('/sheet/'))
      html.head = html.head.map(part => part.replaceAll(PREFETCH, ''))
  })
})
