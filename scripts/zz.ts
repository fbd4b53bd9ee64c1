import { mkdirSync, writeFileSync } from 'node:fs'
process.env.JOLLY_DEMO_TEMPLATE = '/tmp/demo31'
process.env.JOLLY_BROWSERS = '/tmp/zzb'
mkdirSync('/tmp/zzb', { recursive: true })
mkdirSync('/tmp/s', { recursive: true })
import { startApplication } from '../tests/e2e/support/application'
import { Visitor } from '../tests/e2e/support/visitor'
const app = await startApplication({ demo: true })
const v = await Visitor.arrivesWithLetters(app.address, 16)
await v.comesIn(await app.cookieOf('ilka'))
const shot = async (n: string) => {
  await new Promise(r => setTimeout(r, 500))
  writeFileSync(`/tmp/s/${n}.png`, Buffer.from(await v.driver.takeScreenshot(), 'base64'))
}
await v.size(1280, 1000)
await v.open(`/m/${await app.tagOf('Lamp store')}?stage=mend&card=Capacitors`)
await v.sees('known of its model')
await shot('cap1')
await v.press('Take over what is known')
await v.sees('C5')
await v.press('List capacitors')
await v.press('Places off a known board', 'List capacitors')
await v.sees('8 places')
await v.press('Put them into the list', 'List capacitors')
await shot('cap2')
await v.size(390, 844)
await shot('cap3')
await v.size(1280, 800)
await v.open('/parts?side=money')
await v.sees('Of it for parts')
await shot('money')
await v.open('/parts?side=give')
await v.sees('Who gets what')
await v.sees('What should be bought')
await shot('give')
await app.stop()
process.exit()
