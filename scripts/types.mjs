/**
 * `npm run types`: the core alone, without a browser or Node in it; the server with everything that is tested or run beside it; then the pages.
 * The compiler that runs natively takes a third of the time for the same findings; pages are read by the one that knows their components.
 */
import { run } from './lib/setup.mjs'

const native = ['node_modules/typescript-native/bin/tsc', '--checkers', '1', '-p']
const inOrder = [
  ['npx', 'nuxt', 'prepare', '--logLevel=silent'],
  ['node', ...native, 'core'],
  ['node', ...native, 'tsconfig.tools.json'],
  ['npx', 'vue-tsc', '-p', 'tsconfig.app.json', '--noEmit'],
]
// Each is heard to its end: what is wrong in one place says nothing of the others.
const codes = []
for (const [program, ...args] of inOrder) codes.push(await run(program, args))
process.exit(codes.every(code => code === 0) ? 0 : 1)
