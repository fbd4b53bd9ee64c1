import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'

const room = (name: string) => fileURLToPath(new URL(`./${name}`, import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // A build has a folder of its own, so that types can be checked meanwhile.
  buildDir: process.env.JOLLY_BUILD_DIR ?? '.nuxt',
  devtools: { enabled: false },
  telemetry: false,
  modules: ['@pinia/nuxt', 'nuxt-auth-utils'],
  alias: { '#core': room('core') },
  css: ['~/assets/theme.css'],
  // Components and composables are imported by name; their folder says which chapter they belong to.
  components: ['~/kernel', '~/chapters', '~/tools'].map(path => ({ path, pathPrefix: false, extensions: ['vue'] })),
  imports: {
    dirs: ['kernel/bench', 'kernel/sheet', 'kernel/frame', 'kernel/queries', 'kernel/commands', 'kernel/forms', 'kernel/format', 'chapters/**/composables'],
  },
  vite: { plugins: [tailwindcss()], build: { chunkSizeWarningLimit: 1200 } },
  // Pages are fetched when somebody reaches for them, not all at once: phones in the store have a poor line.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  // The bench is a live application; only the passport has to read well without one.
  routeRules: {
    '/**': {
      ssr: false,
      headers: {
        'x-content-type-options': 'nosniff',
        'x-frame-options': 'DENY',
        // Nuxt starts its pages with small scripts of its own in the page; nothing is loaded from elsewhere.
        'content-security-policy':
          "default-src 'self'; script-src 'self' 'unsafe-inline'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'",
        'referrer-policy': 'same-origin',
        'permissions-policy': 'geolocation=(), microphone=()',
      },
    },
    '/passport/**': { ssr: true, headers: { 'x-robots-tag': 'noindex', 'referrer-policy': 'no-referrer' } },
  },
  app: {
    head: {
      title: 'Jolly Bench',
      htmlAttrs: { lang: 'en-GB' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1, interactive-widget=resizes-content' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  runtimeConfig: { session: { name: 'jolly-bench', maxAge: 60 * 60 * 24 * 14, password: '', cookie: { sameSite: 'strict', secure: false } } },
  // It runs from its own folder, beside its packages: copying what it needs of them would take longest of all.
  nitro: { externals: { external: ['better-sqlite3', 'sharp'], trace: false }, compressPublicAssets: { gzip: true, brotli: false } },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
})
