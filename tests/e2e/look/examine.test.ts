import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { By, Key, Origin } from 'selenium-webdriver'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [sunniva, baraka],
} = atTheBench(['sunniva', 'baraka'])
let folder: string
let tag: string

/** A steel plate, 1200 by 800, with a rusty patch of 300 by 200: 6.25 % of it. */
const plate = { width: 1200, height: 800 }
const rusty = { left: 450, top: 300, width: 300, height: 200 }

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jolly-bench-examine-'))
  const patch = await sharp({
    create: { width: rusty.width, height: rusty.height, channels: 3, background: '#8a4826', noise: { type: 'gaussian', mean: 0, sigma: 5 } },
  })
    .composite([
      { input: Buffer.from(`<svg width="${rusty.width}" height="${rusty.height}"><rect width="100%" height="100%" fill="#8a4826" opacity="0.85"/></svg>`) },
    ])
    .png()
    .toBuffer()
  writeFileSync(
    join(folder, 'plate.jpg'),
    await sharp({ create: { ...plate, channels: 3, background: '#9a9da0' } })
      .composite([{ input: patch, left: rusty.left, top: rusty.top }])
      .jpeg({ quality: 85 })
      .toBuffer(),
  )
  writeFileSync(join(folder, 'torn.jpg'), Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 74, 70, 73, 70]))
  writeFileSync(join(folder, 'notes.png'), 'these are no pixels')
  tag = await application.tagOf('Ferry accounts')
})
afterAll(() => rmSync(folder, { recursive: true }))

const table = () => sunniva.driver.findElement(By.css('[role=application]'))
/** Presses places on the photograph, in its own pixels, while it is shown whole. */
async function pressOnPhotograph(...places: [x: number, y: number][]) {
  const frame = await table()
  const { width, height } = await frame.getRect()
  const zoom = Math.min(width / plate.width, height / plate.height)
  for (const [x, y] of places)
    await sunniva.driver
      .actions()
      .move({ origin: frame as unknown as Origin, x: Math.round((x - plate.width / 2) * zoom), y: Math.round((y - plate.height / 2) * zoom) })
      .click()
      .perform()
}

it('photographs are added, and a broken one is refused alone with what would do', async () => {
  await sunniva.open(`/m/${tag}?stage=look`)
  await sunniva.giveFiles('Add photographs', join(folder, 'torn.jpg'), join(folder, 'plate.jpg'), join(folder, 'notes.png'))
  await sunniva.sees('plate.jpg Saved', 'may be cut off', 'This is no JPEG, PNG or WebP picture, whatever its name says.')
  expect(await sunniva.offers('Try again torn.jpg')).toBe(true)
  await sunniva.driver.wait(
    () => sunniva.driver.executeScript('const i = document.querySelector("main img[src*=thumb]"); return i && i.complete && i.naturalWidth > 0'),
    10_000,
  )
})

it('a scale is set by keyboard, and damage is outlined with the mouse: it has its square millimetres', async () => {
  await sunniva.press('plate.jpg')
  await sunniva.press('Scale')
  await sunniva.press('Set two points')
  // From the middle 60 px to the right and set; then 480 px to the left: 480 px are 120 mm.
  await (
    await table()
  ).sendKeys(Key.chord(Key.SHIFT, Key.ARROW_RIGHT), Key.ENTER, ...Array.from({ length: 8 }, () => Key.chord(Key.SHIFT, Key.ARROW_LEFT)), Key.ENTER)
  await sunniva.fill('Distance in mm', 'a hand')
  await sunniva.sees('“a hand” is not a number')
  await sunniva.fill('Distance in mm', '120')
  await sunniva.sees('one pixel is 0.25 mm')
  await sunniva.press('Save scale')
  await sunniva.sees('The photograph has a scale')

  await sunniva.press('Marks')
  await sunniva.press('Outline')
  await pressOnPhotograph([450, 300], [750, 300], [750, 500], [450, 500])
  await sunniva.sees('4 points set')
  await sunniva.press('Finish')
  await sunniva.press('Save mark')
  await sunniva.sees('Kind: choose one from the list.')
  await sunniva.choose('Kind', 'Rust')
  await sunniva.choose('Severity', 'Clear')
  await sunniva.fill('Where, in words', 'inside of the bottom')
  await sunniva.press('Save mark', 'Save mark')
  // 300 by 200 px at a quarter of a millimetre are 3750 mm²; the mouse meets a point to a pixel of the screen.
  await sunniva.sees('inside of the bottom, about 37')
  const extent = /about (\d+) mm²/.exec(await sunniva.text())
  expect(Math.abs(Number(extent![1]) - 3750)).toBeLessThan(120)
  // What the mark implies is offered as a check to do, and a second browser sees it come.
  await baraka.open(`/m/${tag}?stage=look`)
  await baraka.sees('Checks called for by the damage', 'Look at the screws and standoffs around it')
})

it('corrosion is measured in the page, kept with its inputs, and measured again', async () => {
  await sunniva.press('Corrosion')
  await sunniva.press('Touch corrosion')
  await pressOnPhotograph([500, 350], [600, 400], [700, 450])
  await sunniva.press('Enough corrosion')
  await sunniva.press('Touch sound surface')
  await pressOnPhotograph([100, 100], [1100, 700], [600, 700])
  await sunniva.press('Enough sound surface')
  await sunniva.press('Measure')
  await sunniva.sees('ISO 10289', 'Save measurement')
  await sunniva.press('Save measurement')
  await sunniva.sees('What was measured: type something here.')
  await sunniva.fill('What was measured', 'bottom plate')
  await sunniva.press('Save measurement', 'Save measurement')
  // What was just saved is told beside it first.
  const row = async () => /bottom plate (\d+\.\d) % ± (\d\.\d)/.exec(await sunniva.text())
  await sunniva.driver.wait(row, 15_000, 'the measurement is not listed')
  const measured = await row()
  expect(Math.abs(Number(measured![1]) - 6.25)).toBeLessThanOrEqual(1.5)
  await sunniva.press('Measure it again for bottom plate')
  await sunniva.sees('3. A few spots of sound surface 3 spots')
  await sunniva.open(`/m/${tag}?stage=look`)
  await sunniva.sees(`Corrosion measured, bottom plate: ${measured![1]} %`)
})

it('two photographs stand beside each other, or under one divider', async () => {
  await sunniva.open(`/m/${await application.tagOf('Schoolroom A')}?stage=look`)
  await sunniva.press('Board as found')
  await sunniva.select('Compare with', 'Main board: Board a week later')
  await sunniva.sees('Compare two photographs', 'Right')
  await sunniva.press('Sliding divider')
  await sunniva.sees('Left of the divider: Board as found')
  const shown = () => sunniva.driver.executeScript<string>('return document.querySelectorAll("figure img")[1].style.clipPath')
  expect(await shown()).toBe('inset(0px 50% 0px 0px)')
  await sunniva.driver.findElement(By.css('input[type=range]')).sendKeys(Key.HOME)
  await sunniva.driver.wait(async () => (await shown()) === 'inset(0px 100% 0px 0px)', 5000)
})
