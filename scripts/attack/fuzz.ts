import { commandNames, isMachineCommand } from '#shared/chapters/index'
import { tools } from '#shared/tools/index'
import { type Run, pick, send } from './attack'

const odd: unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  -1e308,
  0.1,
  '',
  ' ',
  '\u0000',
  '__proto__',
  'constructor',
  '<script>alert(1)</script>',
  '../../etc/passwd',
  '%00',
  'x'.repeat(70_000),
  [],
  {},
  [[[[[]]]]],
  { __proto__: null, toString: 1 },
  { length: 1e9 },
  ['a', 1, null],
  '2026-13-45',
  'NaN',
  'Infinity',
  '٣',
  '\ud800',
]
const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD', 'OPTIONS'] as const
const parts = ['api', 'machines', 'collection', 'tools', 'files', 'passport', 'models', 'boards', 'letters', 'lots', 'evenings', 'people', 'history', 'probe', 'archive',
  'live', 'session', 'sessions', 'backups', 'health', 'settings', '__proto__', 'constructor', 'toString', '..', '%2e%2e', '%00', '-1', '0', '1', '999999999999', "'", 'ü', '_auth', '_nuxt', 'thumb', 'kept'] // prettier-ignore

/** Sends what nobody who means well would send; whatever it is, it is answered with a reason, and nothing of ours breaks. */
export const fuzz: Run = async ({ app, random, seconds }) => {
  const cookies = [undefined, await app.cookieOf('ilka'), await app.cookieOf('rua'), await app.cookieOf('petra'), 'jolly-bench=nonsense']
  const tag = await app.tagOf('Two-tone')
  const failures: string[] = []
  const statuses: Record<string, number> = {}
  let [sent, slowestMs] = [0, 0]

  const mangled = (value: unknown): unknown => {
    if (random() < 0.25) return pick(random, odd)
    if (Array.isArray(value)) return value.map(one => (random() < 0.3 ? mangled(one) : one))
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries([
        ...Object.entries(value)
          .filter(() => random() < 0.95)
          .map(([key, one]) => [key, random() < 0.4 ? mangled(one) : one]),
        ...(random() < 0.1 ? [[pick(random, ['__proto__', 'constructor', 'version', 'id', 'x']), pick(random, odd)]] : []),
      ]) as unknown
    return random() < 0.5 ? pick(random, odd) : value
  }
  const guess = (): Record<string, unknown> =>
    Object.fromEntries(
      ['name', 'version', 'faultId', 'says', 'note', 'question', 'at', 'kind', 'id', 'parts', 'tag', 'title']
        .filter(() => random() < 0.5)
        .map(key => [key, pick(random, [...odd, 1, 2, tag])]),
    )
  function one(): { method: string; path: string; body?: string } {
    const kind = random()
    if (kind < 0.3) {
      const tool = pick(random, tools)
      return { method: 'POST', path: `/api/tools/${tool.id}`, body: JSON.stringify(mangled(tool.example)) }
    }
    if (kind < 0.65) {
      const name = pick(random, commandNames)
      return {
        method: 'POST',
        path: isMachineCommand(name) ? `/api/machines/${tag}/${name}` : `/api/collection/${name}`,
        body: JSON.stringify(mangled(guess())),
      }
    }
    const path = `/${random() < 0.9 ? 'api/' : ''}${Array.from({ length: 1 + Math.floor(random() * 4) }, () => pick(random, parts)).join('/')}`
    const query =
      random() < 0.4
        ? `?${pick(random, ['find', 'show', 'page', 'size', 'before', 'sort', 'gate', 'start', 'whole'])}=${encodeURIComponent(
            String(JSON.stringify(pick(random, odd)))
              .replaceAll(/[\ud800-\udfff]/g, '')
              .slice(0, 3000),
          )}`
        : ''
    const method = pick(random, methods)
    return {
      method,
      path: path + query,
      body: method === 'GET' || method === 'HEAD' ? undefined : pick(random, ['', '{', '[]', 'null', '"x"', JSON.stringify(guess()), '\u0000']),
    }
  }

  for (const until = Date.now() + seconds * 1000; Date.now() < until;)
    await Promise.all(
      Array.from({ length: 8 }, async () => {
        const { method, path, body } = one()
        // An open stream of changes has no end to wait for.
        if (path.startsWith('/api/live')) return
        const { status, text, headers, ms } = await send(app, path, {
          method,
          body,
          cookie: pick(random, cookies),
          headers: random() < 0.1 ? { 'command-id': String(random()) } : {},
        })
        sent++
        statuses[status] = (statuses[status] ?? 0) + 1
        slowestMs = Math.max(slowestMs, ms)
        const what = `${method} ${path.slice(0, 80)} ${(body ?? '').slice(0, 200)}`
        if (status === 0 || status === 500) failures.push(`${what}: ${status} ${text.slice(0, 160)}`)
        else if (
          status >= 400 &&
          new URL(path, app.address).pathname.startsWith('/api/') &&
          method !== 'HEAD' &&
          !headers.get('content-type')?.includes('json')
        )
          failures.push(`${what}: ${status} and no JSON`)
      }),
    )
  if ((await send(app, '/api/health')).status !== 200) failures.push('it does not answer any more')
  return {
    figures: { 'requests': sent, 'slowest, ms': Math.round(slowestMs), ...Object.fromEntries(Object.entries(statuses).map(([s, n]) => [`answered ${s}`, n])) },
    failures: failures.slice(0, 30),
  }
}
