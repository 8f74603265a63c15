import tailwindcss from '@tailwindcss/vite'
import { fileURLToPath } from 'node:url'

const core = fileURLToPath(new URL('./core', import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-04-01',
  modules: ['@pinia/nuxt', '@vueuse/nuxt', 'nuxt-auth-utils', 'nuxt-security', '@nuxt/eslint'],
  alias: { '#core': core },
  css: ['~/assets/main.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  imports: { dirs: ['stores'] },
  telemetry: false,
  devtools: { enabled: false },
  // Nothing is inlined: the content policy takes fonts and pictures from this site only.
  vite: { plugins: [tailwindcss()], build: { assetsInlineLimit: 0 } },
  typescript: { strict: true, tsConfig: { compilerOptions: { exactOptionalPropertyTypes: true, noUncheckedIndexedAccess: true } } },
  app: { head: { htmlAttrs: { lang: 'en' }, title: 'Tholepin', meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }] } },
  eslint: { config: { standalone: true, stylistic: false } },
  // Pages let in what says it may be embedded; a worker's script has to say so of itself.
  routeRules: { '/_nuxt/**': { headers: { 'cross-origin-embedder-policy': 'require-corp', 'cross-origin-resource-policy': 'same-origin' } } },
  runtimeConfig: {
    session: { name: 'tholepin-session', maxAge: 60 * 60 * 24 * 14, password: '', cookie: { secure: true, sameSite: 'lax' } },
  },
  security: {
    // Sizes and rates are checked where a request is read (server/utils), so that every refusal has the same shape.
    requestSizeLimiter: false,
    rateLimiter: false,
    corsHandler: false,
    // Reads bodies before the routes do; pages escape what they show.
    xssValidator: false,
    headers: {
      crossOriginEmbedderPolicy: 'require-corp',
      contentSecurityPolicy: {
        'base-uri': ["'none'"],
        'default-src': ["'self'"],
        'font-src': ["'self'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        'img-src': ["'self'", 'data:'],
        'object-src': ["'none'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'", "'strict-dynamic'"],
        // Proposals are drawn in a worker of this site.
        'worker-src': ["'self'"],
        'script-src-attr': ["'none'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        // The application is also served over plain HTTP on loopback.
        'upgrade-insecure-requests': false,
      },
      strictTransportSecurity: false,
    },
  },
})
