import { beforeAll, describe, expect, it } from 'vitest'
import { people } from '../../../demo/people'
import { isMachineCommand } from '#shared/chapters/index'
import { startApplication } from '../support/application'
import { atTheBench } from '../support/bench'
import { Visitor } from '../support/visitor'

const {
  application,
  visitors: [visitor],
} = atTheBench([null])
let tag: string
let baraka: string
let petra: string

beforeAll(async () => {
  ;[baraka, petra] = await Promise.all([application.cookieOf('baraka'), application.cookieOf('petra')])
  tag = await application.tagOf('Chart room')
})

const pathOf = (name: string) => (isMachineCommand(name) ? `/api/machines/${tag}/${name}` : `/api/collection/${name}`)

describe('by direct request', () => {
  it('what is answered nowhere is told as JSON, inherited names are no commands, and a password is the same however it is composed', async () => {
    const told = async (path: string, method = 'GET', cookie?: string) => {
      const answer = await application.ask(path, { method, cookie, ...(method === 'POST' ? { body: {} } : {}) })
      return [answer.status, ((await answer.json()) as { error: { code: string } }).error.code]
    }
    expect(await told('/api/nonsense')).toEqual([404, 'not-found'])
    for (const method of ['PATCH', 'DELETE', 'POST']) expect(await told('/api/machines', method)).toEqual([405, 'wrong-method'])
    for (const name of ['constructor', '__proto__', 'toString']) expect(await told(`/api/collection/${name}`, 'POST', baraka)).toEqual([404, 'not-found'])
    const ilka = await application.cookieOf('ilka')
    const body = { name: 'Zoë', signInName: 'zoe', password: 'Zoe\u0308 am Hafen', role: 'reader' }
    expect((await application.ask('/api/collection/add-person', { method: 'POST', body, cookie: ilka })).status).toBe(200)
    expect(await application.cookieOf('zoe', 'Zo\u00eb am Hafen')).toContain('jolly-bench=')
  })

  it('the meter and a running start are for those who work at the bench', async () => {
    for (const path of ['/api/meter/read', '/api/meter/simulation', `/api/machines/${tag}/start`]) {
      expect((await application.ask(path, { method: 'POST', body: {} })).status, path).toBe(401)
      expect((await application.ask(path, { method: 'POST', body: {}, cookie: petra })).status, path).toBe(403)
    }
    const nonsense = await application.ask(`/api/machines/${tag}/start`, { method: 'POST', body: { do: 'jump' }, cookie: baraka })
    expect(nonsense.status).toBe(422)
    const none = await application.ask(`/api/machines/${tag}/start`, { method: 'POST', body: { do: 'is-off' }, cookie: baraka })
    expect([none.status, ((await none.json()) as { error: { message: string } }).error.message]).toEqual([409, 'No start of this machine is running.'])
  })

  it('a command sent twice under one id is carried out once, and answered alike', async () => {
    const send = (id: string, what = 'a lead') =>
      application.ask(pathOf('note-accessory'), { method: 'POST', body: { name: what }, cookie: baraka, headers: { 'command-id': id } })
    const id = '0190d3a5-7f00-7c11-8a00-000000000001'
    expect([(await send(id)).status, (await send(id)).status]).toEqual([200, 200])
    const { accessories } = (await (await application.ask(`/api/machines/${tag}?show=arrive`, { cookie: baraka })).json()) as {
      accessories: { name: string }[]
    }
    expect(accessories.filter(a => a.name === 'a lead')).toHaveLength(1)
    expect((await send('no id at all')).status).toBe(422)
  })

  it('a request that another site made is refused', async () => {
    const body = { onBench: false }
    for (const headers of [{ 'sec-fetch-site': 'cross-site' }, { origin: 'http://elsewhere.example' }] as Record<string, string>[]) {
      expect((await application.ask(pathOf('put-on-bench'), { method: 'POST', body, cookie: baraka, headers })).status).toBe(403)
    }
  })

  it('guessing a password is slowed, and an unknown name is answered like a wrong password', async () => {
    const attempt = async (signInName: string) => {
      const answer = await application.ask('/api/session', { method: 'POST', body: { signInName, password: 'not the one' } })
      return { status: answer.status, message: ((await answer.json()) as { error: { message: string } }).error.message }
    }
    expect(await attempt('nobody')).toEqual(await attempt('rua'))
    for (let i = 0; i < 5; i++) await attempt('rua')
    expect((await attempt('rua')).status).toBe(429)
  })

  it('instruments answer anybody, and refuse bad input at its field', async () => {
    const { tools } = (await (await application.ask('/api/tools')).json()) as { tools: { id: string; example: unknown }[] }
    expect(tools.map(t => t.id)).toEqual(expect.arrayContaining(['identify/date-code', 'power/rails', 'safety/gate']))
    for (const { id, example } of tools) {
      const answer = await application.ask(`/api/tools/${id}`, { method: 'POST', body: example })
      expect([answer.status, Object.keys((await answer.json()) as object)], id).toEqual([200, ['result']])
    }
    const refused = await application.ask('/api/tools/power/rails', { method: 'POST', body: { rails: [{ name: '+5 V', nominalV: 0, readings: [] }] } })
    expect([refused.status, await refused.json()]).toMatchObject([422, { error: { code: 'bad-input', field: 'rails.0.nominalV' } }])
    const tooLarge = await application.ask('/api/tools/identify/date-code', { method: 'POST', body: { code: 'x'.repeat(1_100_000) } })
    expect(tooLarge.status).toBe(413)
    expect(await (await application.ask('/api/health')).json()).toMatchObject({ ok: true })
  })
})

describe('in the interface', () => {
  it('a signed-out visitor gets to the sign-in page and to the tool wall, no further', async () => {
    await visitor.open(`/m/${tag}`)
    await visitor.sees('Demo: come in as')
    await visitor.open('/tools/identify/date-code')
    await visitor.fill('As marked on the part', '8253')
    await visitor.sees('1982 has only 52 weeks')
    expect(await visitor.text()).not.toContain('Pin the result')
  })

  it('a volunteer is not offered what only coordinators may do', async () => {
    await visitor.signIn('baraka')
    await visitor.open(`/m/${tag}?stage=make-safe`)
    await visitor.sees('Facts for power')
    expect(await visitor.offers('Overrule the gate')).toBe(false)
    await visitor.open(`/m/${tag}?stage=home`)
    await visitor.sees('A coordinator makes this choice.', 'A coordinator can switch it on.')
    await visitor.open('/settings')
    await visitor.sees('Practice')
    expect(await visitor.offers('Add a person')).toBe(false)
  })

  it('a reader sees the sheet and no form', async () => {
    await visitor.press('Baraka Otieno')
    await visitor.press('Sign out')
    await visitor.sees('Demo: come in as')
    await visitor.signIn('petra')
    await visitor.open(`/m/${tag}?stage=mend`)
    await visitor.sees('Faults')
    expect(await visitor.driver.executeScript('return document.querySelectorAll("main form").length')).toBe(0)
  })
})

describe('one’s own account', () => {
  it('a password is changed by whoever knows the present one, stays signed in here and ends elsewhere', async () => {
    const elsewhere = await application.cookieOf('petra')
    await visitor.press('Petra Lindqvist')
    await visitor.press('Your name and password')
    await visitor.press('Change your password')
    await visitor.fill('Current password', 'not the one')
    await visitor.fill('New password', 'by the harbour wall')
    await visitor.press('Change')
    await visitor.sees('this is not it')
    expect(await visitor.valueOf('New password')).toBe('by the harbour wall')
    await visitor.fill('Current password', people.find(p => p.signInName === 'petra')!.password)
    await visitor.press('Change')
    await visitor.seesNoMore('Current password')
    expect((await application.ask('/api/settings', { cookie: elsewhere })).status).toBe(401)
    await visitor.fill('Name', 'Petra L.', 'Your name')
    await visitor.press('Save name')
    await visitor.press('Petra L.')
    await visitor.press('Sign out')
    await visitor.sees('Demo: come in as')
    await visitor.fill('Sign-in name', 'petra')
    await visitor.fill('Password', 'by the harbour wall')
    await visitor.press('Sign in', 'Sign in')
    await visitor.seesNoMore('Demo: come in as')
    await visitor.sees('Petra L.')
  })
})

it('an empty folder asks for its first coordinator, once', async () => {
  const fresh = await startApplication({ demo: false })
  const first = await Visitor.arrives(fresh.address)
  try {
    await first.open('/')
    await first.sees('An empty bench')
    await first.fill('Name of the collection', 'Harbour light')
    await first.fill('Your name', 'Ines Moreau')
    await first.fill('Sign-in name', 'ines')
    await first.fill('Password', 'short')
    await first.press('Set up the bench')
    await first.sees('at least ten characters')
    await first.fill('Password', 'a long enough one')
    await first.press('Set up the bench')
    await first.sees('Book in the first one')
    const again = { collection: 'x', name: 'x', signInName: 'x', password: 'another long one' }
    expect((await fresh.ask('/api/first-start', { method: 'POST', body: again })).status).toBe(409)
    expect(await (await fresh.ask('/api/session')).json()).toMatchObject({ demoSignIns: [] })
  } finally {
    await first.leaves()
    await fresh.stop()
  }
})
