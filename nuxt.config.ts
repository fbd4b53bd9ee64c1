import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { lightIcons } from './scripts/lib/icons.mjs'
import { pieceOf } from './scripts/lib/pieces.mjs'
import { bundleWorkers } from './scripts/lib/workers.mjs'

const room = (name: string) => fileURLToPath(new URL(`./${name}`, import.meta.url))
const icons = room('node_modules/@phosphor-icons/vue/dist/icons')

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
  vite: {
    // Each icon by its own file; see `app/kernel/signs/icons.ts`.
    resolve: { alias: [{ find: /^#phosphor\/(.*)$/, replacement: `${icons}/$1.vue.mjs` }] },
    plugins: [tailwindcss(), lightIcons],
    build: { chunkSizeWarningLimit: 1200 },
    // What every page needs comes in a few files: a sheet of a hundred and fifty small ones is read more slowly than one of twenty.
    $client: { build: { rollupOptions: { output: { manualChunks: pieceOf } } } },
  },
  // Pages are fetched when somebody reaches for them, not all at once: phones in the store have a poor line.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  // The bench is a live application; only the passport has to read well without one.
  routeRules: {
    '/**': {
      ssr: false,
      headers: {
        'x-content-type-options': 'nosniff',
        'x-frame-options': 'DENY',
        // For what is no page; a page gets its own policy from `server/plugins/content-policy.ts`, for the scripts that start it. A worker that
        // reads codes is WebAssembly of our own.
        'content-security-policy':
          "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; img-src 'self' data: blob:; object-src 'none'; base-uri 'self'; frame-ancestors 'none'",
        'referrer-policy': 'same-origin',
        'permissions-policy': 'geolocation=(), microphone=()',
      },
    },
    // They are read, and their one form needs no script.
    '/passport/**': { ssr: true, noScripts: true, headers: { 'x-robots-tag': 'noindex', 'referrer-policy': 'no-referrer' } },
    '/sought': { ssr: true, noScripts: true },
    '/sought/**': { ssr: true, noScripts: true },
  },
  app: {
    head: {
      title: 'Jolly Bench',
      htmlAttrs: { lang: 'en-GB' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1, interactive-widget=resizes-content' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  // Who is signed in comes with the session's own view; a page that the server draws is the same for everybody.
  auth: { loadStrategy: 'none' },
  runtimeConfig: { session: { name: 'jolly-bench', maxAge: 60 * 60 * 24 * 14, password: '', cookie: { sameSite: 'strict', secure: false } } },
  // It runs from its own folder, beside its packages: copying what it needs of them would take longest of all.
  // Packages of hundreds of small files are bundled all the same: reading them one by one is most of a start.
  nitro: {
    externals: { external: ['better-sqlite3', 'sharp', 'piscina'], inline: ['date-fns', '@date-fns', 'culori', 'drizzle-orm', 'uuid'], trace: false },
    compressPublicAssets: { gzip: true, brotli: false },
  },
  hooks: { 'nitro:init': nitro => nitro.hooks.hook('compiled', async () => void (await bundleWorkers(room('.output/workers')))) },
  sourcemap: { server: false, client: false },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true, paths: { '#phosphor/*': [`${icons}/*.vue`] } } } },
})
