const WORKER = '/sheetWorker.js'
/** What the page has loaded, and so needs again without reception. */
const OWN_PARTS = /\/_nuxt\/|\/icons\//

/** Installs what keeps a page on the phone or tablet: after the first visit it opens and works without reception. */
export async function installSheetWorker(scope: '/sheet' | '/together' = '/sheet'): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  await navigator.serviceWorker.register(WORKER, { scope }).catch(() => undefined)
  const { active } = await navigator.serviceWorker.ready
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter(name => new URL(name).origin === location.origin && OWN_PARTS.test(name))
  active?.postMessage({ kind: 'keep', page: location.pathname, parts: [...new Set(parts)] })
}
