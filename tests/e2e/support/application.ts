import { spawn } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { people } from '../../../demo/people'
import { answering, run, serve } from '../../../scripts/lib/setup.mjs'

const freePort = () =>
  new Promise<number>(done => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => done(port))
    })
  })

let usual: number | undefined
let inUse = false

export async function fillDemo(folder: string) {
  if ((await run('npx', ['tsx', 'scripts/fill-demo.ts', folder], { stdio: ['ignore', 'ignore', 'inherit'] })) !== 0)
    throw new Error('The demo could not be filled.')
}

/** The built application on a data folder of its own, filled with the demo unless an empty one is wanted. */
/** @param seconds how long its first answer is waited for, where it has much to read first */
/** @param clockSpeed lets its clock run faster, for starts that would be waited for otherwise */
export async function startApplication({
  demo = true,
  clockSpeed = 1,
  folder: given,
  env = {},
  seconds = undefined,
}: { demo?: boolean; clockSpeed?: number; folder?: string; env?: Record<string, string>; seconds?: number } = {}) {
  const folder = given ?? mkdtempSync(join(tmpdir(), 'jolly-bench-e2e-'))
  const { JOLLY_DEMO_TEMPLATE: template } = process.env
  if (given) demo = false
  if (demo && template) cpSync(template, folder, { recursive: true })
  else if (demo) await fillDemo(folder)
  // One port for whoever starts it one after the other: a browser then knows the scripts of the page already.
  const port = inUse ? await freePort() : (usual ??= await freePort())
  const ours = port === usual
  if (ours) inUse = true
  const address = `http://127.0.0.1:${port}`
  let child: ReturnType<typeof spawn>

  async function start() {
    child = serve(folder, { port, host: '127.0.0.1', stdio: ['ignore', 'ignore', 'inherit'], env: { JOLLY_CLOCK_SPEED: String(clockSpeed), ...env } })
    await answering(child, address, seconds)
  }
  const end = (signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM') =>
    new Promise<void>(done => {
      child.once('close', () => done())
      child.kill(signal)
    })
  await start()
  async function cookieOf(signInName: string, password: string = people.find(p => p.signInName === signInName)!.password) {
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      body: JSON.stringify({ signInName, password }),
      headers: { 'content-type': 'application/json' },
    })
    return answer.headers
      .getSetCookie()
      .map(c => c.split(';')[0]!)
      .find(c => c.startsWith('jolly-bench='))!
  }
  let tags: Record<string, string> | undefined
  return {
    address,
    folder,
    cookieOf,
    pid: () => child.pid!,
    /** Ends it without a word, as a power cut does, and starts it again. */
    crash: async () => {
      await end('SIGKILL')
      await start()
    },
    restart: async () => {
      await end()
      await start()
    },
    stop: async () => {
      await end()
      if (ours) inUse = false
      rmSync(folder, { recursive: true })
    },
    /** A request straight to the server, as a program makes it. */
    ask: (
      path: string,
      { method = 'GET', body, cookie, headers = {} }: { method?: string; body?: unknown; cookie?: string; headers?: Record<string, string> } = {},
    ) =>
      fetch(address + path, {
        method,
        body: body === undefined ? undefined : JSON.stringify(body),
        headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...(cookie ? { cookie } : {}), ...headers },
      }),
    /** The history of a demo machine, as the server tells it, in one text. */
    async historyOf(nickname: string): Promise<string> {
      return await (await this.ask(`/api/machines/${await this.tagOf(nickname)}/history`, { cookie: await cookieOf('petra') })).text()
    },
    /** The tag of a demo machine. */
    async tagOf(nickname: string) {
      tags ??= Object.fromEntries(
        (
          (await (await fetch(`${address}/api/machines?size=100`, { headers: { cookie: await cookieOf('petra') } })).json()) as {
            rows: { tag: string; nickname: string }[]
          }
        ).rows.map(m => [m.nickname, m.tag]),
      )
      return tags[nickname]!
    },
  }
}
export type Application = Awaited<ReturnType<typeof startApplication>>
