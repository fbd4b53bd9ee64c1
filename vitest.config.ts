import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const room = (name: string) => fileURLToPath(new URL(`./${name}`, import.meta.url))
const seeded = [room('tests/support/seeded.ts')]
const alias = { '#core': room('core'), '#shared': room('shared') }

/** A file that is read as something else, where `npm run mutate` tries whether a test notices. */
const [mutated, by] = process.env.JOLLY_MUTANT?.split('=') ?? []
const mutant = {
  name: 'mutant',
  enforce: 'pre' as const,
  load: (id: string) => (mutated && id.split('?')[0] === mutated ? readFileSync(by!, 'utf8') : undefined),
}

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        plugins: [mutant],
        test: {
          name: 'core',
          include: ['core/**/*.test.ts', 'shared/**/*.test.ts', 'app/**/*.test.ts', 'tests/truth/**/*.test.ts'],
          testTimeout: 60_000,
          isolate: false,
          setupFiles: seeded,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          include: ['server/**/*.test.ts', 'instruments/**/*.test.ts', 'scripts/**/*.test.ts', 'tests/rules/**/*.test.ts'],
          testTimeout: 60_000,
          isolate: false,
          setupFiles: seeded,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'browser',
          include: ['tests/e2e/**/*.test.ts'],
          testTimeout: 180_000,
          hookTimeout: 120_000,
          globalSetup: ['tests/e2e/support/fill-once.ts'],
          maxWorkers: 2,
        },
      },
    ],
  },
})
