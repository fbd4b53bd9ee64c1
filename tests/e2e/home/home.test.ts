import { execFile } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import jsqr from 'jsqr'
import sharp from 'sharp'
import { expect, it } from 'vitest'
import { startPrinter } from '../../../instruments/printer/stand-in'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])
const home = async (nickname: string) => ilka.open(`/m/${await application.tagOf(nickname)}?stage=home`)

it('its life is judged before it is chosen, its hours are counted against its limits, and what went into store is a claim', async () => {
  await home('Weather club')
  await ilka.sees('Its sign-off is for demonstration alone.', 'it is signed off for 2 h a day', 'As found, as released')
  await ilka.press('Choose Hands-on')
  await ilka.sees('Hands-on: not yet.')
  await ilka.fill('Minutes', '35', 'Add a run')
  await ilka.fill('What happened', 'The tape squealed', 'Add a run')
  await ilka.flip('Something went wrong: report it as a fault', 'Add a run')
  await ilka.press('Save', 'Add a run')
  await ilka.sees('5.3 h', 'The tape squealed', 'It is not signed off.')
  await ilka.unfold('Originals kept')
  await ilka.press('Modulator, original is no longer kept')
  await ilka.fill('What became of it', 'Fitted again')
  await ilka.press('Save', 'No longer kept')
  await ilka.sees('Fitted again')
  await ilka.driver.executeScript('window.scrollTo(0, 0)')
  expect(await ilka.violations()).toEqual([])

  await home('Ticket hall 1')
  await ilka.press('Choose Store')
  await ilka.sees('Due to be tested again')
  await ilka.open(`/m/${await application.tagOf('Ticket hall 1')}?stage=arrive`)
  await ilka.sees('Worked when it was stored')
})

it('the closing letter lies in the outbox, and the label inside reads back to the passport', async () => {
  await home('Pilot roster')
  await ilka.press('Write the closing letter')
  await ilka.fill('Opening sentence', 'It runs again.', 'Write the closing letter')
  await ilka.press('Write the letter')
  await ilka.sees('Dear the pilots’ association', 'It runs again.', 'Crimp of the inlet wire, in Bag 3 of its box', 'does not say that the machine is safe')
  await ilka.size(1280, 800)
  await ilka.open(`/m/${await application.tagOf('Weather club')}/label`)
  await ilka.sees('Replaced and repaired')
  const code = await ilka.driver.executeScript<{ x: number; y: number; width: number; height: number }>(
    `const e = document.querySelector('svg[aria-label^="Code that opens"]'); e.scrollIntoView(); const r = e.getBoundingClientRect(); return { x: r.x, y: r.y, width: r.width, height: r.height }`,
  )
  const shot = sharp(Buffer.from(await ilka.driver.takeScreenshot(), 'base64')).extract({
    left: Math.floor(code.x),
    top: Math.floor(code.y),
    width: Math.ceil(code.width),
    height: Math.ceil(code.height),
  })
  const { data, info } = await shot.resize(448).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  const opened = jsqr(new Uint8ClampedArray(data), info.width, info.height)?.data ?? ''
  expect(opened).toContain(`${application.address}/passport/`)
  expect((await fetch(opened)).status).toBe(200)
})

it('a label waits for the printer with its state in words, and is printed once that is well', async () => {
  const printer = await startPrinter({ port: 0, folder: join(application.folder, 'printed'), scenario: 'out-of-paper' })
  try {
    await ilka.open('/settings')
    await ilka.fill('Address', 'printer', 'Label printer')
    await ilka.press('Save printer')
    await ilka.sees('Address: write it as ipp://')
    await ilka.fill('Address', printer.uri, 'Label printer')
    await ilka.press('Save printer')
    await ilka.sees('The printer is waiting: out of paper.')
    const tag = await application.tagOf('Weather club')
    await ilka.open(`/m/${tag}/label`)
    await ilka.press('Send to the label printer')
    await ilka.sees('The printer is waiting: out of paper. It stays in the queue.')
    printer.becomes('ready')
    await ilka.sees('Printed.')
    expect(readFileSync(printer.jobs[0]!.file).subarray(0, 5).toString()).toBe('%PDF-')
  } finally {
    await printer.stop()
  }
})

it('the record is taken out as a file and checked without the house; one changed byte is refused', async () => {
  await home('Weather club')
  await ilka.sees('The record as a file')
  const href = await ilka.driver.executeScript<string>(`return [...document.querySelectorAll('a')].find(a => a.innerText.includes('Download the record')).href`)
  expect((await fetch(href)).status).toBe(401)
  const bytes = Buffer.from(await (await fetch(href, { headers: { cookie: await application.cookieOf('ilka') } })).arrayBuffer())
  const file = join(application.folder, 'record.zip')
  const verify = () =>
    promisify(execFile)('npm', ['run', '--silent', 'verify', '--', file]).then(
      ({ stdout }) => ({ code: 0, says: stdout }),
      (error: { code: number; stdout: string; stderr: string }) => ({ code: error.code, says: error.stdout + error.stderr }),
    )
  writeFileSync(file, bytes)
  expect(await verify()).toMatchObject({ code: 0, says: expect.stringContaining('private matters left out') as string })
  // Somewhere in a photograph, which is stored as it is.
  bytes[Math.floor(bytes.length / 2)]! ^= 1
  writeFileSync(file, bytes)
  const changed = await verify()
  expect([changed.code > 0, changed.says]).toEqual([true, expect.stringMatching(/changed|cannot be unpacked/) as string])
  const schema = (await (await fetch(`${application.address}/api/passport/schema`)).json()) as { properties: object }
  expect(Object.keys(schema.properties)).toContain('faults')
})

it('what a fault turned out to be is proposed as a bulletin, accepted, and looked for on a sister', async () => {
  const models = (await (await application.ask('/api/models', { cookie: await application.cookieOf('ilka') })).json()) as {
    models?: { id: number; name: string }[]
  }
  const list = Array.isArray(models) ? (models as { id: number; name: string }[]) : models.models!
  await ilka.open(`/models/${list.find(m => m.name === 'Spindrift')!.id}`)
  await ilka.sees('The secondary filter capacitors dry out', 'Test sheet')
  await ilka.open(`/m/${await application.tagOf('Ferry accounts')}?stage=mend`)
  await ilka.sees('What others of this model had', 'Look for what others of this model had: The secondary filter capacitors dry out')
  await ilka.fill('What was found here', 'No ripple, 12 mV', 'Looked for: The secondary filter capacitors dry out')
  await ilka.press('Save finding')
  await ilka.seesNoMore('Look for what others of this model had: The secondary')
})
