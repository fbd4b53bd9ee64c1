import { writeFileSync } from 'node:fs'
import { startApplication } from '../tests/e2e/support/application'
import { Visitor } from '../tests/e2e/support/visitor'
process.env.JOLLY_DEMO_TEMPLATE = '/tmp/demo'
const app = await startApplication()
const v = await Visitor.arrives(app.address)
const shot = async (name: string) => {
  await new Promise(r => setTimeout(r, 700))
  writeFileSync(`/tmp/shot-${name}.png`, Buffer.from(await v.driver.takeScreenshot(), 'base64'))
}
try {
  await v.comesIn(await app.cookieOf('ilka'))
  await v.size(1280, 800)
  await v.open(`/m/${await app.tagOf('Slipway')}?stage=home`)
  await v.sees('Line of time', 'Came')
  await v.driver.executeScript(
    `const a=[...document.querySelectorAll('nav[aria-label="On the bench"] a')].find(a=>a.innerText.includes('Harbour')) ; a?.dispatchEvent(new MouseEvent('mouseenter'))`,
  )
  await shot('home')
  await v.open('/workshop')
  await v.press('Book a place')
  await shot('workshop')
  await v.open(`/m/${await app.tagOf('Outer bank')}?stage=home`)
  await v.sees('Line of time', 'Came')
  await v.size(390, 844)
  await shot('home-phone')
} catch (e) {
  console.error(e)
} finally {
  await app.stop()
  process.exit()
}
