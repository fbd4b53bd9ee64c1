/** `npm run dev`: the application with reloading, on the data folder of JOLLY_DATA. */
import { resolve } from 'node:path'
import { installed, root, run, sessionSecret } from './lib/setup.mjs'

await installed()
const dataFolder = resolve(root, process.env.JOLLY_DATA ?? 'data')
process.exit(
  await run('npx', ['nuxt', 'dev', '--host', process.env.HOST ?? '127.0.0.1'], {
    env: { ...process.env, JOLLY_DATA: dataFolder, NUXT_SESSION_PASSWORD: sessionSecret(dataFolder) },
  }),
)
