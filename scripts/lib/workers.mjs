import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const source = fileURLToPath(new URL('../../server/workers', import.meta.url))

/** Bundles every program that runs in a thread beside the server: one file each, found by its name. @param into a folder */
export function bundleWorkers(into) {
  return build({
    entryPoints: readdirSync(source)
      .filter(name => name.endsWith('.ts') && !name.includes('.test.'))
      .map(name => join(source, name)),
    outdir: into,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    external: ['sharp', 'better-sqlite3', 'highs'],
    // Packages of the older kind ask for their parts by require.
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url)" },
    logLevel: 'error',
  })
}
