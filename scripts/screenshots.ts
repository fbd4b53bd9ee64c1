/** `npm run screenshots`: one current picture of each main view in docs/screenshots, made from a fresh demo. */
import { writeFileSync } from 'node:fs'
import { startApplication } from '../tests/e2e/support/application'
import { Visitor } from '../tests/e2e/support/visitor'

const wide = [1280, 800] as const
const narrow = [390, 844] as const

const application = await startApplication()
const visitor = await Visitor.arrives(application.address)
const cookie = await application.cookieOf('ilka')
const tag = (nickname: string) => application.tagOf(nickname)

async function take(name: string, path: string, seen: string, [width, height]: readonly [number, number] = wide, theme = 'light') {
  await visitor.size(width, height)
  await visitor.driver.executeScript(`localStorage.setItem('jolly-bench-theme', '${theme}')`)
  await visitor.open(path)
  await visitor.sees(seen)
  await visitor.driver.executeAsyncScript('document.fonts.ready.then(() => arguments[arguments.length - 1]())')
  writeFileSync(`docs/screenshots/${name}.png`, await visitor.driver.takeScreenshot(), 'base64')
}

try {
  await visitor.open('/sign-in')
  await take('sign-in', '/sign-in', 'Demo: come in as')
  await visitor.signIn('ilka')
  await take('today', '/', 'Next moves')
  await take('store', '/store', '23 machines')
  await take('book-in', '/book-in', 'What it is')
  await take('sheet-arrive', `/m/${await tag('Harbour office')}?stage=arrive`, 'Date codes')
  await take('tool-dating', '/tools/identify/dating', 'Made between')
  await take('sheet-look', `/m/${await tag('Schoolroom A')}?stage=look`, 'Assemblies')
  await take('sheet-make-safe', `/m/${await tag('Chart room')}?stage=make-safe`, 'What would open it')
  await take('sheet-prove', `/m/${await tag('Harbour office')}?stage=prove`, 'Take a reading')
  await take('sheet-prove-dark', `/m/${await tag('Harbour office')}?stage=prove`, 'Take a reading', wide, 'dark')
  await take('sheet-narrow', `/m/${await tag('Harbour office')}?stage=prove`, 'Take a reading', narrow)
  await take('parts', '/parts', 'A start depends on them')
  await take('tool-wall', '/tools', 'Every instrument on its own')
  await take('tool-date-code', '/tools/identify/date-code', 'Readings')
  await take('settings', '/settings', 'People')
  await take('label', `/m/${await tag('Weather club')}/label`, 'Replaced and repaired')
  const { passport } = await (await application.ask(`/api/machines/${await tag('Weather club')}`, { cookie })).json() as { passport: { path: string } }
  await take('passport', passport.path, 'machine passport')
}
finally {
  await visitor.leaves()
  await application.stop()
}
