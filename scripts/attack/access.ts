import { commandNames, isMachineCommand, may } from '#shared/chapters/index'
import { type Run, send } from './attack'

const readings = [
  '/api/machines',
  '/api/today',
  '/api/settings',
  '/api/sessions',
  '/api/evening',
  '/api/parts',
  '/api/parts/held',
  '/api/parts/due',
  '/api/parts/allocation',
  '/api/parts/to-buy',
  '/api/parts/to-buy.csv',
  '/api/parts/on-the-way',
  '/api/parts/money',
  '/api/parts/money.csv',
  '/api/parts/places',
  '/api/parts/part/0192f0aa-1111-7abc-8def-0123456789ab',
  '/api/sought/offers',
  '/api/parts/1/offers',
  '/api/parts/held.csv',
  '/api/parts/wanted.csv',
  '/api/recap',
  '/api/recap/order',
  '/api/recap/order.csv',
  '/api/recap/1/offers',
  '/api/workshop',
  '/api/meter',
  '/api/printer',
  '/api/backups',
  '/api/store.csv',
  '/api/models',
  '/api/live',
]
const people = { ilka: 'coordinator', rua: 'volunteer', petra: 'reader' } as const

/** Tries every door as everybody, and as nobody: by the table of permissions, with sessions that have ended, from other sites. */
export const access: Run = async ({ app }) => {
  const failures: string[] = []
  let tried = 0
  const tag = await app.tagOf('Two-tone')
  const post = (path: string, body: object, cookie?: string, headers?: Record<string, string>) =>
    send(app, path, { method: 'POST', body: JSON.stringify(body), cookie, headers })
  const expect = (what: string, got: number, wanted: (status: number) => boolean) => {
    tried++
    if (!wanted(got)) failures.push(`${what}: ${got}`)
  }
  const paths = commandNames.map(name => ({ name, path: isMachineCommand(name) ? `/api/machines/${tag}/${name}` : `/api/collection/${name}` }))

  for (const { name, path } of paths) expect(`${name} by nobody`, (await post(path, {})).status, s => s === 401)
  for (const path of readings) expect(`${path} by nobody`, (await send(app, path)).status, s => s === 401)
  for (const [who, role] of Object.entries(people)) {
    const cookie = await app.cookieOf(who)
    // A command nobody may mean: whoever may send it is told what is wrong with it, everybody else that they may not.
    for (const { name, path } of paths)
      expect(`${name} by a ${role}`, (await post(path, { '\u0000': 1, 'version': 'x' }, cookie)).status, s =>
        may(role, name) ? s !== 403 && s !== 401 && s !== 500 : s === 403,
      )
    expect(`offers by a ${role}`, (await send(app, '/api/sought/offers', { cookie })).status, s => (role === 'coordinator' ? s === 200 : s === 403))
    expect(`backups by a ${role}`, (await send(app, '/api/backups', { cookie })).status, s => (role === 'coordinator' ? s === 200 : s === 403))
    expect(`what is kept of others by a ${role}`, (await send(app, '/api/people/1/kept', { cookie })).status, s =>
      role === 'coordinator' ? s === 200 : s === 403,
    )
  }

  // A session that has ended opens nothing, whichever way it ended.
  const ilka = await app.cookieOf('ilka')
  const stands = async (cookie: string) => (await send(app, '/api/today', { cookie })).status === 200
  const settings = async () =>
    JSON.parse((await send(app, '/api/settings', { cookie: ilka })).text) as {
      people: { id: number; version: number; name: string; signInName: string; role: string }[]
    }
  const person = async (signInName: string) => (await settings()).people.find(p => p.signInName === signInName)!
  const ended = async (what: string, end: (cookie: string) => Promise<unknown>, signInName = 'sunniva', password?: string) => {
    const cookie = await app.cookieOf(signInName, password)
    if (!(await stands(cookie))) return void failures.push(`${what}: could not even sign in`)
    const stream = await openStream(app.address, cookie)
    await end(cookie)
    expect(what, (await send(app, '/api/today', { cookie })).status, s => s === 401)
    expect(`${what}: its stream of changes`, (await stream.closed(3000)) ? 1 : 0, s => s === 1)
  }
  const sunniva = await person('sunniva')
  await ended('signed out', cookie => send(app, '/api/session', { method: 'DELETE', cookie }))
  await ended('ended by a coordinator', async () => {
    const { sessions } = JSON.parse((await send(app, '/api/sessions', { cookie: ilka })).text) as { sessions: { uid: string; personId: number }[] }
    for (const { uid } of sessions.filter(s => s.personId === sunniva.id)) await post('/api/collection/end-session', { session: uid }, ilka)
  })
  await ended('a new password', () => post('/api/collection/set-password', { personId: sunniva.id, password: 'another-one-44' }, ilka))
  const change = async (more: object) =>
    post(
      '/api/collection/change-person',
      { personId: sunniva.id, version: (await person('sunniva')).version, name: sunniva.name, role: 'volunteer', active: true, ...more },
      ilka,
    )
  await ended('not active any more', () => change({ active: false }), 'sunniva', 'another-one-44')
  await change({ active: true })
  // Another role keeps the session, and ends the stream that was opened under the old one.
  const cookie = await app.cookieOf('sunniva', 'another-one-44')
  const stream = await openStream(app.address, cookie)
  await change({ role: 'reader' })
  expect('the stream of a role that was changed', (await stream.closed(3000)) ? 1 : 0, s => s === 1)
  expect('a command of the role of before', (await post(`/api/machines/${tag}/ask-question`, { question: 'May I?' }, cookie)).status, s => s === 403)

  // Nothing of what seals a session is told, and what other sites send is not taken for one's own.
  const told =
    (await send(app, '/api/_auth/session', { cookie: ilka })).text +
    (await send(app, '/api/session', { cookie: ilka })).text +
    (await send(app, '/api/settings', { cookie: ilka })).text
  expect('what seals a session, or a hash of a password, in an answer', /scrypt|passwordHash|"seal"/.test(told) ? 1 : 0, s => s === 0)
  const setCookie =
    (await send(app, '/api/session', { method: 'POST', body: JSON.stringify({ signInName: 'petra', password: 'chart-table-16' }) })).headers.get(
      'set-cookie',
    ) ?? ''
  expect('the cookie is for the server alone', /HttpOnly/i.test(setCookie) && /SameSite=Strict/i.test(setCookie) ? 1 : 0, s => s === 1)
  for (const name of ['constructor', '__proto__', 'toString', 'hasOwnProperty']) {
    expect(`a command called ${name}`, (await post(`/api/collection/${name}`, {}, ilka)).status, s => s === 404)
    expect(`an instrument called ${name}`, (await post(`/api/tools/${name}`, {})).status, s => s === 404)
  }
  for (const path of ['/', '/icon.svg', '/settings', '/passport/none', '/sought', '/sought/w1', '/sought/thanks']) {
    const policy = (await send(app, path)).headers.get('content-security-policy') ?? ''
    expect(`the policy of ${path}`, /script-src[^;]*unsafe-inline/.test(policy) || !policy ? 1 : 0, s => s === 0)
  }
  const signInAs = async (signInName: string, password: string) =>
    (
      await fetch(`${app.address}/api/session`, {
        method: 'POST',
        body: JSON.stringify({ signInName, password }),
        headers: { 'content-type': 'application/json' },
      })
    ).headers
      .getSetCookie()
      .map(c => c.split(';')[0]!)
  // Somebody guesses: they are slowed down, and the person whose name it is comes in all the same from elsewhere.
  const guesses = await Promise.all(Array.from({ length: 30 }, () => post('/api/session', { signInName: 'maeve', password: 'guess-guess-guess' })))
  expect('thirty guesses at a password', guesses.filter(g => g.status === 429 || g.status === 503).length, n => n >= 20)
  // Whoever has signed in at a browser before still does, from the same address.
  const device = (await signInAs('baraka', 'slack-water-12')).find(c => c.startsWith('jolly-bench-device='))
  await Promise.all(Array.from({ length: 60 }, (_, n) => post('/api/session', { signInName: `nobody-${n}`, password: 'guess-guess-guess' })))
  expect('a flood of guesses', (await post('/api/session', { signInName: 'baraka', password: 'slack-water-12' })).status, s => s === 429)
  expect('a known browser amid a flood', (await post('/api/session', { signInName: 'baraka', password: 'slack-water-12' }, device)).status, s => s === 200)
  expect('a known browser, another name', (await post('/api/session', { signInName: 'ilka', password: 'lantern-room-7' }, device)).status, s => s === 429)
  return { figures: { 'doors tried': tried, 'commands': commandNames.length }, failures }
}

/** A stream of changes, and whether it is closed within a time. */
async function openStream(address: string, cookie: string) {
  const answer = await fetch(`${address}/api/live`, { headers: { cookie } })
  const reader = answer.body!.getReader()
  const end = (async () => {
    for (;;) if ((await reader.read().catch(() => ({ done: true }))).done) return true
  })()
  return {
    closed: async (ms: number) => {
      const closed = await Promise.race([end, new Promise<false>(late => setTimeout(() => late(false), ms))])
      void reader.cancel().catch(() => {})
      return closed
    },
  }
}
