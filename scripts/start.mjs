/** `npm start`: the built application on its data folder. PORT, HOST and JOLLY_DATA by environment. */
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { endTogether, portFree, root, serve } from './lib/setup.mjs'

if (!existsSync('.output/server/index.mjs')) {
  console.error('Nothing is built yet. Run: npm install && npm run build')
  process.exit(1)
}
const port = process.env.PORT || 3000
const host = process.env.HOST ?? '127.0.0.1'
await portFree(port, host)
endTogether(serve(resolve(root, process.env.JOLLY_DATA ?? 'data'), { port, host }))
