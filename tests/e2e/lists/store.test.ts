import jsQR from 'jsqr'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import { expect, it } from 'vitest'
import type { Page } from '#shared/kernel/answers'
import type { MachineSummary } from '#shared/kernel/machine'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])
const list = async (query: string) =>
  (await (await application.ask(`/api/machines?${query}`, { cookie: await application.cookieOf('petra') })).json()) as Page<MachineSummary>

it('a filter is kept under a name, with how many are in it, and opened again', async () => {
  const { total } = await list('gate=keep-off')
  await ilka.open('/store')
  await ilka.select('Gate', `Keep off (${total})`)
  await ilka.sees(`${total} machines`)
  await ilka.press('Save list')
  await ilka.fill('Name of the list', 'Not to be touched')
  await ilka.press('Save')
  await ilka.sees(`Not to be touched ${total}`)
  await ilka.open('/store')
  await ilka.press(`Not to be touched ${total}`)
  await ilka.driver.wait(async () => (await ilka.driver.getCurrentUrl()).endsWith('/store?gate=keep-off'), 15_000)
  await ilka.sees(`${total} machines`, 'Delete list')
  // The run shows the same machines by their stages.
  await ilka.press('The run')
  await ilka.sees('Make safe', 'Chart room')
  await ilka.press('Delete list')
  await ilka.seesNoMore('Not to be touched')
})

it('says why a machine was found, and narrows by place, age and whoever worked on it', async () => {
  await ilka.open('/store?find=fuse')
  await ilka.sees('Found in', 'fuses')
  await ilka.open('/store')
  await ilka.press('More')
  await ilka.select('Worked on by', 'Teodor Vlasak')
  const { people } = (await (await application.ask('/api/settings', { cookie: await application.cookieOf('petra') })).json()) as {
    people: { id: number; signInName: string }[]
  }
  const { total } = await list(`person=${people.find(p => p.signInName === 'teodor')!.id}`)
  expect(total).toBeGreaterThan(0)
  await ilka.sees(`${total} machine`)
  await ilka.press('Show all')
  await ilka.sees('24 machines')
  expect((await list('olderThan=36000')).total).toBe(0)
  expect((await application.ask('/api/machines?sort=colour', { cookie: await application.cookieOf('petra') })).status).toBe(422)
})

it('several machines are moved and put on the bench together, and get labels that a telephone reads', async () => {
  const { rows } = await list('bench=off')
  const [first, second] = rows
  await ilka.open('/store?bench=off')
  for (const machine of [first!, second!]) await ilka.tick(`Choose ${machine.nickname || machine.name} ${machine.tag}`)
  await ilka.sees('2 machines chosen')
  await ilka.fill('Place for all chosen', 'Loft, shelf 2')
  await ilka.press('Move there')
  await expect.poll(async () => (await list('find=loft')).rows.map(m => m.tag).sort(), { timeout: 15_000 }).toEqual([first!.tag, second!.tag].sort())
  await ilka.press('Put on the bench')
  await expect.poll(async () => (await list('bench=off')).total, { timeout: 15_000 }).toBe(rows.length - 2)
  await ilka.size(1280, 800)
  await ilka.press('Arrival labels')
  await ilka.sees(first!.tag, second!.tag, 'Do not plug in.')
  const code = await ilka.driver.findElement({ css: 'svg[role=img][aria-label^="Code that opens"]' })
  const label = (await code.getAttribute('aria-label'))!
  const { data, info } = await sharp(Buffer.from(await code.takeScreenshot(), 'base64'))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  // A reader of its own, as a telephone has one.
  const read = jsQR(new Uint8ClampedArray(data), info.width, info.height)
  expect(read?.data).toBe(`${application.address}/m/${label.split('/m/')[1]}`)
  expect([first!.tag, second!.tag]).toContain(label.split('/m/')[1])
  expect(await ilka.violations()).toEqual([])
})

it('a machine is known by a picture: chosen on the photograph, it stands on the sheet, in the store and among the pictures of all', async () => {
  const tag = await application.tagOf('Schoolroom B')
  const cookie = await application.cookieOf('ilka')
  const [before] = (await list(`tags=${tag}`)).rows
  expect(before!.portrait).toBeNull()
  const [other] = (await list(`tags=${await application.tagOf('Schoolroom A')}`)).rows
  const body = { hash: other!.portrait, name: 'front.jpg', assemblyId: null, caption: 'Through the shed window' }
  expect((await application.ask(`/api/machines/${tag}/add-photograph`, { method: 'POST', body, cookie, headers: { 'command-id': uuid() } })).status).toBe(200)
  await ilka.open('/store?view=wall')
  await ilka.sees('Schoolroom B', 'No portrait chosen yet')
  await ilka.open(`/m/${tag}?stage=arrive`)
  await ilka.press('Through the shed window')
  await ilka.press('Make it the portrait')
  await ilka.press('Schoolroom B')
  await ilka.sees('Its portrait')
  /** The picture beside its name in the list, once it has come. */
  const seen = () =>
    ilka.driver.executeScript<string>(
      `const face = [...document.querySelectorAll('main li')].find(l => l.innerText.includes('Schoolroom B'))?.querySelector('img')
       return face?.complete && face.naturalWidth > 0 ? face.src : ''`,
    )
  for (const view of ['', '?view=wall']) {
    await ilka.open(`/store${view}`)
    await ilka.sees('Schoolroom B')
    await ilka.driver.wait(async () => (await seen()).includes(other!.portrait!), 15_000, 'its portrait is not seen')
  }
})
