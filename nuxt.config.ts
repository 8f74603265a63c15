import tailwindcss from '@tailwindcss/vite'
import { cpSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const migrations = fileURLToPath(new URL('./server/db/migrations', import.meta.url))
const core = fileURLToPath(new URL('./core', import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-04-01',
  modules: [
    '@pinia/nuxt',
    '@vueuse/nuxt',
    'nuxt-auth-utils',
    'nuxt-security',
    '@vite-pwa/nuxt',
    '@nuxt/eslint',
  ],
  alias: { '#core': core },
  css: ['~/assets/main.css'],
  components: ['screens', 'shell', 'ui'].map(folder => ({
    path: `~/${folder}`,
    pathPrefix: false,
  })),
  imports: { dirs: ['stores', 'screens/**', 'shell', 'ui'] },
  telemetry: false,
  hooks: {
    // What is built migrates its database by itself: it takes the migrations along.
    'nitro:init': nitro => {
      nitro.hooks.hook('compiled', ({ options }) =>
        cpSync(migrations, join(options.output.serverDir, 'migrations'), { recursive: true }),
      )
    },
  },
  // Other pages' scripts are fetched ahead by the document itself when the browser is idle; links run them only on the way there.
  experimental: {
    defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } },
  },
  // Shown while the one page that is not drawn by the server comes: the sheet.
  spaLoadingTemplate: 'spa-loading-template.html',
  devtools: { enabled: false },
  // Nothing is inlined: the content policy takes fonts and pictures from this site only.
  vite: {
    plugins: [tailwindcss()],
    build: {
      assetsInlineLimit: 0,
      // The core is pure: a page that takes one function of it does not need the rest.
      rollupOptions: { treeshake: { moduleSideEffects: id => !id.startsWith(`${core}/`) } },
    },
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { exactOptionalPropertyTypes: true, noUncheckedIndexedAccess: true },
    },
  },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Tholepin',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
    },
  },
  eslint: { config: { standalone: true, stylistic: false } },
  // Pages let in what says it may be embedded; a worker's script has to say so of itself.
  routeRules: {
    // A client's sheet lives on the phone; the page is the same for every link and can be kept.
    '/sheet': { ssr: false },
    '/sheet/**': { ssr: false },
    // So does a group's on the coach's tablet.
    '/together': { ssr: false },
    '/_nuxt/**': {
      headers: {
        'cross-origin-embedder-policy': 'require-corp',
        'cross-origin-resource-policy': 'same-origin',
      },
    },
  },
  pwa: {
    strategies: 'injectManifest',
    srcDir: 'service-worker',
    filename: 'sheetWorker.ts',
    registerType: 'autoUpdate',
    injectRegister: false,
    client: { registerPlugin: false },
    // Nothing is fetched ahead: what the sheet's own page has loaded is what it keeps.
    injectManifest: { injectionPoint: undefined as never },
    manifestFilename: 'sheet.webmanifest',
    manifest: {
      id: '/sheet',
      start_url: '/sheet',
      scope: '/sheet',
      name: 'Training sheet',
      short_name: 'Sheet',
      description: 'Today’s session, set by set, with or without reception.',
      lang: 'en',
      display: 'standalone',
      orientation: 'portrait',
      background_color: '#F4F0E6',
      theme_color: '#F4F0E6',
      icons: [
        { src: '/icons/sheet-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icons/sheet-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icons/sheet-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
    },
  },
  runtimeConfig: {
    session: {
      name: 'tholepin-session',
      maxAge: 60 * 60 * 24 * 14,
      password: '',
      cookie: { secure: true, sameSite: 'lax' },
    },
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
