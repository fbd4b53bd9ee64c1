/** `npm run screenshots`: one current picture of each main view in docs/screenshots, made from a fresh demo. */
import { writeFileSync } from 'node:fs'
import type { MachineSheet } from '#shared/chapters/index'
import { startStandIn } from '../instruments/meter/stand-in'
import { startApplication } from '../tests/e2e/support/application'
import { Visitor } from '../tests/e2e/support/visitor'

const application = await startApplication()
const visitor = await Visitor.arrivesWithLetters(application.address, 16)
const cookie = await application.cookieOf('ilka')
const tag = (nickname: string) => application.tagOf(nickname)

const size = { wide: [1280, 800], narrow: [390, 844] } as const

/** Opens a place, does there what `first` says, and takes its picture once everything named is seen. */
async function take(
  name: string,
  path: string,
  seen: string,
  { in: shape = 'wide', theme = 'light', first = async () => {} }: { in?: keyof typeof size; theme?: 'light' | 'dark'; first?: () => Promise<void> } = {},
) {
  const [width, height] = size[shape]
  await visitor.size(width, height)
  await visitor.driver.executeScript(`localStorage.setItem('jolly-bench-theme', '${theme}')`)
  await visitor.open(path)
  await first()
  await visitor.sees(seen)
  await shoot(name)
}
async function shoot(name: string) {
  await visitor.driver.executeAsyncScript(
    'document.fonts.ready.then(() => Promise.all([...document.images].map(i => i.decode().catch(() => {})))).then(() => setTimeout(arguments[arguments.length - 1], 400))',
  )
  writeFileSync(`docs/screenshots/${name}.png`, await visitor.driver.takeScreenshot(), 'base64')
}
const scrollTo = (heading: string) => async () => {
  await visitor.sees(heading)
  // The index of a stage names a card before it has come.
  await visitor.driver.executeAsyncScript(
    `const [heading, done] = arguments
     const look = () => {
       const found = [...document.querySelectorAll('h2')].find(h => h.textContent.trim() === heading)
       if (!found) return setTimeout(look, 100)
       found.closest('.card').scrollIntoView()
       window.scrollBy(0, -64)
       done()
     }
     look()`,
    heading,
  )
}

/** A start of the simulated machine: calm on the first rail, then one that goes wrong. */
async function startOf(onTag: string) {
  const standIn = await startStandIn({ port: 0 })
  const settings = async () =>
    (await (await application.ask('/api/settings', { cookie })).json()) as { practice: { version: number }; people: { id: number; name: string }[] }
  const post = (path: string, body: unknown) => application.ask(path, { method: 'POST', body, cookie })
  const { practice, people } = await settings()
  await post('/api/collection/set-meter', { version: practice.version, host: '127.0.0.1', port: standIn.port })
  const { power } = (await (await application.ask(`/api/machines/${onTag}`, { cookie })).json()) as MachineSheet
  const who = (name: string) => people.find(p => p.name.startsWith(name))!.id
  await post(`/api/machines/${onTag}/begin-start`, {
    atProbe: who('Rua'),
    atSwitch: who('Ilka'),
    byMeter: true,
    load: 'loaded',
    currentLimitA: 0.3,
    checked: power.startChecks.map(c => c.code),
  })
  const top = () => visitor.driver.executeScript('scrollTo(0, 0)') as Promise<void>
  await take('first-start', `/m/${onTag}/start`, 'On for 9 s', {
    first: async () => {
      await visitor.press('Count down')
      await visitor.sees('On for')
      standIn.switchOn(true)
      await visitor.sees('kept')
      await top()
    },
  })
  standIn.scenario('shorted')
  await visitor.sees('Off now', 'Still on')
  await visitor.press('It is off')
  await visitor.press('End the start and keep the readings')
  await visitor.sees('Called off')
  await standIn.close()
}

try {
  await visitor.open('/sign-in')
  await visitor.signIn('ilka')
  await take('today', '/', 'Mine', {
    first: async () => {
      for (const name of ['I am here', 'Baraka Otieno', 'Maeve Corrigan']) {
        await visitor.press(name)
        await visitor.sees(`${name === 'I am here' ? 'Ilka Brandvold' : name} until`)
      }
      await visitor.press('Deal out the jobs')
    },
  })
  await take('store', '/store', '24 machines')
  await take('run', '/store?view=run', 'Slipway')
  await take('sheet-arrive', `/m/${await tag('Harbour office')}?stage=arrive`, 'Date codes')
  await take('sheet-look', `/m/${await tag('Schoolroom A')}?stage=look`, 'Assemblies')
  await take('parts', '/parts?side=buy', 'On their way')
  const { photographs } = (await (await application.ask(`/api/machines/${await tag('Schoolroom A')}`, { cookie })).json()) as MachineSheet
  const later = photographs[1]!.id
  await take('corrosion', `/m/${await tag('Schoolroom A')}/photo/${later}`, 'Threshold', {
    first: async () => {
      await visitor.press('Corrosion')
      await visitor.press('Measure it again for below the barrel')
    },
  })
  await startOf(await tag('Radio hut'))
  await take('sheet-make-safe', `/m/${await tag('Chart room')}?stage=make-safe`, 'What would open it')
  await take('sheet-clean', `/m/${await tag('Two-tone')}?stage=clean`, 'Go on', { theme: 'dark', first: scrollTo('Whitening') })
  await take('sheet-prove', `/m/${await tag('Sixty passes')}?stage=prove`, 'back to Main board')
  await take('sheet-home', `/m/${await tag('Weather club')}?stage=home`, 'As found, as released')
  await take('sheet-narrow', `/m/${await tag('Schoolroom A')}?stage=look`, 'Assemblies', { in: 'narrow' })
  await take('swaps', `/m/${await tag('Radio hut')}?stage=mend`, 'Use this for the next test', {
    first: async () => {
      await visitor.show('Swap board: 3')
      await visitor.sees('Try next')
      await visitor.driver.executeScript(
        '[...document.querySelectorAll("summary")].find(s => s.innerText.startsWith("Swap board: 3")).scrollIntoView(); window.scrollBy(0, -110)',
      )
    },
  })
  await take('tool-wall', '/tools', 'Every instrument on its own')
  await take('workshop', '/workshop', 'On the shelf')
  const { passport } = (await (await application.ask(`/api/machines/${await tag('Weather club')}`, { cookie })).json()) as MachineSheet
  await take('passport', passport.path!, 'machine passport')
  // Last: what is typed there is a draft, and would stand in the bar of every other picture.
  const { continuity } = (await (await application.ask(`/api/machines/${await tag('Schoolroom A')}?show=continuity`, { cookie })).json()) as MachineSheet
  await take('probe', `/m/${await tag('Schoolroom A')}/probe/${continuity.sheets[0]!.id}`, 'Reading in Ω')
  await take('book-in', '/book-in', 'Known model.', { first: () => visitor.fill('Model or description', 'Petrel 8S') })
} finally {
  await visitor.leaves()
  await application.stop()
}
