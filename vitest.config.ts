import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const room = (name: string) => fileURLToPath(new URL(`./${name}`, import.meta.url))
const seeded = [room('tests/support/seeded.ts')]
const alias = { '#core': room('core'), '#shared': room('shared') }

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
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
          globalSetup: ['tests/e2e/support/before.ts'],
          maxWorkers: 2,
          // Files of one worker share its browsers.
          isolate: false,
        },
      },
    ],
  },
})
