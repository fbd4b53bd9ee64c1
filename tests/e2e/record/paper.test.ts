import { PDFDocument } from 'pdf-lib'
import type chrome from 'selenium-webdriver/chrome.js'
import { v7 as uuid } from 'uuid'
import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])

const pages = async () => (await PDFDocument.load(await ilka.print())).getPageCount()

it('a machine has one page for the bench: why it is off, what is next, where its screws lie, its rails to write in', async () => {
  const { rows } = (await (await application.ask('/api/machines?size=100', { cookie: await application.cookieOf('ilka') })).json()) as {
    rows: { tag: string; nickname: string; name: string }[]
  }
  expect(rows.length).toBeGreaterThan(20)
  const longer: string[] = []
  for (const { tag, nickname, name } of rows) {
    await ilka.open(`/m/${tag}/bench`)
    await ilka.sees(nickname || name, 'As it stood when this was printed.', 'Next moves', 'In the trays', 'Rails', 'Notes')
    if ((await pages()) !== 1) longer.push(tag)
  }
  expect(longer).toEqual([])
})

it('stays on one page with whatever is on record, written smaller', async () => {
  const cookie = await application.cookieOf('ilka')
  const tag = await application.tagOf('Back door')
  const long = 'Lift the cover by its rear edge, ease the tail out of its long socket and lay the keyboard on its face beside the machine'
  for (let i = 1; i <= 12; i++) {
    const body = {
      what: `${long} (${i})`,
      fixings: [1, 2, 3].map(tray => ({ count: 4, head: 'countersunk, slotted', lengthMm: 12, tray: `C${tray}` })),
      connectors: [],
      hides: '',
      hazard: 'The tail cracks where it folds, and the clip at the rear breaks when it is pulled',
      photographId: null,
    }
    const answer = await application.ask(`/api/machines/${tag}/record-opening-step`, { method: 'POST', body, cookie, headers: { 'command-id': uuid() } })
    expect(answer.status).toBe(200)
  }
  await ilka.open(`/m/${tag}/bench`)
  await ilka.sees('and 3 more on its sheet', 'Notes')
  expect(await pages()).toBe(1)
})

it('is reached from the sheet, and holds what the sheet holds', async () => {
  await ilka.open(`/m/${await application.tagOf('Slipway')}`)
  await ilka.press('Bench print')
  await ilka.sees('As it stood when this was printed.', '+5 V', '4.75 V to 5.25 V')
})

it('paper is light, whatever the screen is', async () => {
  const body = () => ilka.driver.executeScript<string[]>('const s = getComputedStyle(document.documentElement); return [s.backgroundColor, s.color]')
  const [tools] = [ilka.driver as chrome.Driver]
  await ilka.open(`/m/${await application.tagOf('Slipway')}`)
  await ilka.sees('Next moves')
  await ilka.driver.executeScript('document.documentElement.dataset.theme = "dark"')
  expect(await body()).toEqual(['rgb(15, 25, 27)', 'rgb(231, 239, 234)'])
  await tools.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: 'print' })
  expect(await body()).toEqual(['rgb(255, 255, 255)', 'rgb(0, 0, 0)'])
  await tools.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: '' })
})

it('ten labels of their own size stand on a page, and eleven take two', async () => {
  const { rows } = (await (await application.ask('/api/machines?size=100', { cookie: await application.cookieOf('ilka') })).json()) as {
    rows: { tag: string }[]
  }
  const labels = async (count: number) => {
    await ilka.open(`/labels?tags=${rows.slice(0, count).map(r => r.tag)}`)
    await ilka.sees(rows[count - 1]!.tag)
    return await pages()
  }
  expect(await labels(10)).toBe(1)
  expect(await labels(11)).toBe(2)
  const size = await ilka.driver.executeScript<number[]>(
    'const r = document.querySelector(".label").getBoundingClientRect(); return [r.width, r.height].map(px => Math.round(px / 96 * 25.4))',
  )
  expect(size).toEqual([90, 50])
})
