import { join } from 'node:path'
import { Key } from 'selenium-webdriver'
import type chrome from 'selenium-webdriver/chrome.js'
import sharp from 'sharp'
import { beforeAll, expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua],
} = atTheBench(['rua'])

beforeAll(() => rua.size(390, 844))

it('a reading, a fault and a photograph are kept in three presses each', async () => {
  await rua.open(`/m/${await application.tagOf('Harbour office')}`)
  await rua.press('Reading')
  await rua.fill('Reading in volts', '12.02', 'Reading')
  await rua.sees('+12 V is within limits')
  await rua.press('Save reading', 'Reading')
  await rua.sees('Saved')
  await rua.press('Close')

  await rua.press('Fault')
  await rua.fill('Symptom', 'Hums when warm')
  await rua.choose('Does it stop the machine?', 'Yes')
  await rua.press('Report')
  await rua.seesNoMore('Report')

  const file = join(application.folder, 'now.jpg')
  await sharp({ create: { width: 640, height: 480, channels: 3, background: '#6b7f5a' } })
    .jpeg()
    .toFile(file)
  await rua.press('Photograph')
  await rua.giveFiles('Take one now', file)
  await rua.sees('Saved', 'Damage on it? Press the place.')
  // One sheet from the camera to the mark: the place by a press, or by keys as here; what it is; saved.
  await rua.tabTo('now.jpg. Drawing: arrows move the cross, Enter sets a point, Backspace takes one back, f finishes, Escape leaves.')
  await rua.keys(Key.ARROW_LEFT, Key.ENTER)
  await rua.sees('What is it?')
  await rua.choose('Kind', 'Rust')
  await rua.choose('Severity', 'Clear')
  await rua.press('Save mark')
  await rua.sees('Saved. Press the next place, or close.', 'Rust, clear.')
  await rua.press('Close')

  await rua.press('Temperature')
  await rua.fill('In °C', '62')
  await rua.sees('62.0 °C: usual')
  await rua.press('Save temperature')
  await rua.sees('Saved')
  await rua.press('Close')
  const history = await application.historyOf('Harbour office')
  for (const kept of ['12.02 V', 'Hums when warm', 'now.jpg', '62.0 °C']) expect(history).toContain(kept)
})

it('a fault is written with what others of the model had beside it; what is found opens', async () => {
  await rua.open(`/m/${await application.tagOf('Schoolroom B')}`)
  await rua.press('Fault')
  await rua.sees('Known about this model')
  await rua.press('Close')
  await rua.press('Find')
  await rua.fill('Find a machine', 'Slipway')
  await rua.sees('Spindrift')
  await rua.press('Close')
})

const network = (offline: boolean) =>
  (rua.driver as chrome.Driver).sendDevToolsCommand('Network.emulateNetworkConditions', { offline, latency: 0, downloadThroughput: -1, uploadThroughput: -1 })

it('what is said while the network is away waits in the browser, over a reload, and goes once when it is back', async () => {
  await (rua.driver as chrome.Driver).sendDevToolsCommand('Network.enable', {})
  await rua.open(`/m/${await application.tagOf('Slipway')}`)
  await rua.press('Fault')
  await rua.fill('Symptom', 'Clicks once, then nothing')
  await rua.choose('Does it stop the machine?', 'Yes')
  await network(true)
  await rua.press('Report')
  await rua.sees('Not sent yet', '1 waiting')
  expect(await rua.valueOf('Symptom')).toBe('')
  await rua.press('Close')
  await rua.press('Photograph')
  await rua.giveFiles('Take one now', join(application.folder, 'now.jpg'))
  await rua.sees('Later: Not sent yet', '2 waiting')
  await rua.press('Close')
  // The sheet that was fetched stays in sight, and says since when it is.
  await rua.sees('Next moves')
  await network(false)
  await rua.open('/store')
  await rua.driver.wait(async () => (await application.historyOf('Slipway')).includes('now.jpg'), 45_000, 'the photograph did not arrive')
  expect((await application.historyOf('Slipway')).match(/Clicks once, then nothing/g)).toHaveLength(1)
  await rua.seesNoMore('waiting')
})

it('a reading waits too; what may not wait stays where it was typed', async () => {
  await rua.open(`/m/${await application.tagOf('Slipway')}?stage=mend`)
  await rua.press('Reading')
  await rua.fill('Reading in volts', '5.07', 'Reading')
  await network(true)
  await rua.press('Save reading', 'Reading')
  await rua.sees('1 waiting')
  await rua.press('Close')
  await network(false)
  await rua.driver.wait(async () => (await application.historyOf('Slipway')).includes('5.07 V'), 45_000, 'the reading did not arrive')
  await rua.seesNoMore('1 waiting')
  await rua.open('/book-in')
  await rua.fill('Model or description', 'a box with lamps')
  await rua.choose('How it came', 'Given')
  await rua.fill('From whom', 'the harbour pilot')
  await network(true)
  await rua.press('Book in', 'Book in')
  await rua.sees('cannot be reached')
  expect(await rua.valueOf('Model or description')).toBe('a box with lamps')
  await network(false)
})

it('a browser that can keep nothing says so while something waits in the page alone', async () => {
  const tools = rua.driver as chrome.Driver
  const { identifier } = (await tools.sendAndGetDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
    source: `IDBObjectStore.prototype.put = () => { throw new DOMException('The disk is full.', 'QuotaExceededError') }`,
  })) as unknown as { identifier: string }
  await rua.open(`/m/${await application.tagOf('Slipway')}`)
  await rua.press('Fault')
  await rua.fill('Symptom', 'Two keys stick')
  await rua.choose('Does it stop the machine?', 'No')
  await network(true)
  await rua.press('Report')
  await rua.sees('This browser cannot keep what waits.')
  await network(false)
  await rua.seesNoMore('This browser cannot keep what waits.')
  expect(await application.historyOf('Slipway')).toContain('Two keys stick')
  await tools.sendDevToolsCommand('Page.removeScriptToEvaluateOnNewDocument', { identifier })
})

it('one card of a stage is tall, the others say in a line what came of them, and open by a press', async () => {
  await rua.open(`/m/${await application.tagOf('Harbour office')}?stage=prove`)
  await rua.sees('Soak', 'Not signed off')
  const tall = () => rua.driver.executeScript<string[]>(`return [...document.querySelectorAll('.stage h2 [aria-expanded=true]')].map(h => h.innerText.trim())`)
  const first = await tall()
  expect(first).toHaveLength(1)
  await rua.press('Sign-off', 'Sign-off')
  await rua.sees('What was tested')
  expect(await tall()).toEqual([...first, 'Sign-off'])
})
