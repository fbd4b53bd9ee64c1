import { gzipSync } from 'node:zlib'
import { startApplication } from '../../tests/e2e/support/application'
import { Visitor } from '../../tests/e2e/support/visitor'
import { row } from './row'

/** What a browser fetches before Today can be used, and how long that takes on this machine. */
export async function benchFirstView() {
  console.log('\nFirst view, with an empty cache')
  const application = await startApplication()
  const visitor = await Visitor.arrives(application.address)
  try {
    await visitor.comesIn(await application.cookieOf('ilka'))
    row('', 'scripts', 'raw', 'gzipped', 'readable after')
    for (const path of ['/', '/store', `/m/${await application.tagOf('Slipway')}`]) {
      const driver = visitor.driver as typeof visitor.driver & { sendDevToolsCommand: (name: string, args?: object) => Promise<void> }
      await driver.sendDevToolsCommand('Network.clearBrowserCache')
      await visitor.open(path)
      await visitor.sees('On the bench')
      await visitor.driver.wait(() => visitor.driver.executeScript("return document.querySelectorAll('main li, main .card').length > 2"), 15_000)
      const [ms, scripts] = await visitor.driver.executeScript<[number, string[]]>(
        "return [performance.now(), performance.getEntriesByType('resource').filter(r => r.name.endsWith('.js')).map(r => r.name)]",
      )
      const bodies = await Promise.all([...new Set(scripts)].map(async url => Buffer.from(await (await fetch(url)).arrayBuffer())))
      const raw = bodies.reduce((sum, b) => sum + b.length, 0)
      const gzipped = bodies.reduce((sum, b) => sum + gzipSync(b).length, 0)
      row(path.replace(/M-.*/, '…'), String(bodies.length), `${Math.round(raw / 1000)} kB`, `${Math.round(gzipped / 1000)} kB`, `${Math.round(ms)} ms`)
    }
  } finally {
    await visitor.leaves()
    await application.stop()
  }
}
