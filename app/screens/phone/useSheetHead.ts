/** What makes the sheet a web app of its own: its name, its icon, and no trace of its address on the way out. */
export function useSheetHead(): void {
  useHead({
    title: 'Training sheet',
    link: [
      { rel: 'manifest', href: '/sheet.webmanifest' },
      { rel: 'apple-touch-icon', href: '/icons/sheet-192.png' },
    ],
    meta: [
      { name: 'referrer', content: 'no-referrer' },
      { name: 'robots', content: 'noindex' },
      { name: 'theme-color', content: '#F4F0E6' },
      { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
    ],
  })
}
