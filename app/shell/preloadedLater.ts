/** Long enough that what a page shows first is there and can be worked with. */
const LATER_MS = 2500

/** Fetches components that are only opened on demand, once the page itself has had its turn. */
export function preloadedLater(...names: Parameters<typeof preloadComponents>[0][]): void {
  onNuxtReady(() => setTimeout(() => names.forEach(name => void preloadComponents(name)), LATER_MS))
}
