/** `npm run types`: the application by itself, which takes longest, beside everything else. */
import { run } from './lib/setup.mjs'

const inOrder = async (...commands) => {
  for (const [program, ...args] of commands) if ((await run('npx', [program, ...args])) !== 0) return false
  return true
}
await run('npx', ['nuxt', 'prepare', '--logLevel=silent'])
const [app, rest] = await Promise.all([
  inOrder(['vue-tsc', '-p', '.nuxt/tsconfig.app.json', '--noEmit']),
  // The server with everything that is tested or run beside it: one program, for both rest on the same files.
  inOrder(['tsc', '-p', 'core'], ['tsc', '-p', 'tsconfig.tools.json']),
])
process.exit(app && rest ? 0 : 1)
