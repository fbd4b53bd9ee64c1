import { join } from 'node:path'
import Database from 'better-sqlite3'
import { expect, it } from 'vitest'
import { stages } from '#core/kernel/stages'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka, rua],
} = atTheBench(['ilka', 'rua'])

/** Runs wherever it is taken for markup, or for a script. */
const hostile = (n: number) => `<img src=x onerror="window.ran=${n}">"'</script><script>window.ran=${n}</script>`
const short = (n: number) => `<svg onload=ran=${n}>`

it('a hostile name is shown as it was typed, and runs on no page', async () => {
  const cookie = await application.cookieOf('ilka')
  const post = async <T>(path: string, body: object) => {
    const answer = await application.ask(path, { method: 'POST', body, cookie })
    expect(answer.status, `${path} ${await answer.clone().text()}`).toBe(200)
    return ((await answer.json()) as { result: T }).result
  }
  await post('/api/collection/add-person', { name: hostile(1).slice(0, 80), signInName: 'mallory', password: 'harbour light 3', role: 'coordinator' })
  const { modelId } = await post<{ modelId: number }>('/api/collection/add-model', {
    name: short(2),
    maker: hostile(3).slice(0, 80),
    about: hostile(4),
    variants: [short(21)],
    usualKit: [short(22)],
    assemblies: [short(23)],
    knownFaults: [hostile(24)],
    rails: [{ name: short(5), nominalV: 5, point: hostile(6).slice(0, 80) }],
  })
  const { tag } = await post<{ tag: string }>('/api/collection/book-in', {
    name: short(2),
    maker: hostile(3).slice(0, 80),
    modelId,
    nickname: short(7),
    serial: short(8),
    acquired: 'given',
    fromWhom: hostile(9),
    owner: hostile(10),
    place: hostile(11),
    claims: [hostile(12)],
    accessories: [hostile(13)],
    dateCodes: [
      { part: short(14), code: `8235 ${short(15)}` },
      { part: 'IC2', code: '8301' },
    ],
  })
  const on = (command: string, body: object) => post(`/api/machines/${tag}/${command}`, body)
  await on('ask-question', { question: hostile(16) })
  await on('report-fault', { symptom: hostile(17), firstSeen: '', stopsMachine: true, conditions: hostile(18) })
  await on('add-assembly', { name: short(19) })
  await on('need-part', { name: hostile(20), quantity: 1, stops: true }).catch(() => undefined)
  await on('switch-passport', { on: true })
  const { passport } = (await (await application.ask(`/api/machines/${tag}`, { cookie })).json()) as { passport: { path: string } }

  const pages = ['/', '/store', '/parts', '/workshop', '/models', `/models/${modelId}`, '/settings', '/evening', `/labels?tags=${tag}`, passport.path]
  for (const path of [...pages, ...stages.map(stage => `/m/${tag}?stage=${stage}`), `/m/${tag}/label`]) {
    await ilka.open(path)
    await ilka.driver.wait(
      () => ilka.driver.executeScript<boolean>('return document.body.innerText.length > 150 && !document.body.innerText.includes("Fetching…")'),
      15_000,
      path,
    )
    // A pointer that passes over everything there is.
    await ilka.driver.executeScript(`for (const e of document.querySelectorAll('main *, canvas, svg')) {
      const r = e.getBoundingClientRect()
      for (const kind of ['mouseover', 'mousemove', 'pointermove'])
        e.dispatchEvent(new MouseEvent(kind, { bubbles: true, clientX: r.left + r.width / 2, clientY: r.top + r.height / 2 }))
    }`)
    expect(await ilka.driver.executeScript('return window.ran ?? null'), path).toBeNull()
    expect(await ilka.driver.executeScript('return document.querySelectorAll("img[onerror], svg[onload]").length'), path).toBe(0)
  }
  await ilka.open(`/m/${tag}?stage=arrive`)
  await ilka.sees(hostile(12))

  // The page of a passport is drawn once for all; each answer has a word of its own, and none shows what has changed since.
  const look = async () => {
    const answer = await application.ask(passport.path, { cookie })
    const nonce = /'nonce-([^']+)'/.exec(answer.headers.get('content-security-policy') ?? '')![1]!
    return { nonce, html: await answer.text() }
  }
  const [one, two] = [await look(), await look()]
  expect(two.nonce).not.toBe(one.nonce)
  expect(two.html.replaceAll(two.nonce, one.nonce)).toBe(one.html)
  expect(two.html).not.toContain(one.nonce)
  for (const otherwise of [`${passport.path}/`, `${passport.path}?again=1`, passport.path.replace('/passport/', '/passport//')]) {
    const answer = await fetch(application.address + otherwise, { redirect: 'manual' })
    expect([answer.status, answer.headers.get('location')], otherwise).toEqual([302, passport.path])
  }
  await on('report-fault', { symptom: 'A fault of just now', firstSeen: '', stopsMachine: false, conditions: '' })
  expect((await look()).html).toContain('A fault of just now')
})

it('a session that is ended elsewhere ends on the page at once, and what was typed is there after signing in again', async () => {
  const tag = await application.tagOf('Two-tone')
  await rua.open(`/m/${tag}?stage=mend`)
  await rua.sees('Two-tone')
  await ilka.open('/settings')
  await ilka.sees('Signed in', 'Rua Tamihana')
  await ilka.press('End it for Rua Tamihana, on a program', 'Signed in')
  await rua.sees('Demo: come in as')
  expect(new URL(await rua.driver.getCurrentUrl()).searchParams.get('then')).toContain(`/m/${tag}`)
  await rua.fill('Sign-in name', 'rua')
  await rua.fill('Password', 'north-cardinal-8')
  await rua.press('Sign in', 'Sign in')
  await rua.sees('Two-tone')

  await ilka.press('Make a backup now')
  await ilka.sees('The last one:', 'opened and checked')
  // One that is cancelled counts for nothing.
  const there = async () => /(One is|\d+ are) there/.exec(await ilka.text())?.[0]
  const before = await there()
  const client = new Database(join(application.folder, 'jolly-bench.sqlite'))
  client.exec('CREATE TABLE ballast AS SELECT zeroblob(300000000) AS x')
  await ilka.press('Make a backup now')
  await ilka.press('Cancel this backup')
  await ilka.sees('Make a backup now')
  expect(await there()).toBe(before)
  client.exec('DROP TABLE ballast')
  client.close()
  await ilka.press('Change Sunniva Aasen', 'People')
  await ilka.press('Remove this person')
  await ilka.fill('Their name', 'Sunniva', 'Remove this person')
  await ilka.press('Remove', 'Remove this person')
  await ilka.sees('type Sunniva Aasen')
  await ilka.fill('Their name', 'Sunniva Aasen', 'Remove this person')
  await ilka.press('Remove', 'Remove this person')
  await ilka.sees('Somebody who left')
  await ilka.seesNoMore('Sunniva Aasen')
})
