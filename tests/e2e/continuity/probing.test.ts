import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Key } from 'selenium-webdriver'
import { afterAll, expect, it } from 'vitest'
import type { ProbeSheet } from '#shared/chapters/continuity/index'
import { type StandIn, startStandIn } from '../../../instruments/meter/stand-in'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua, hanneke],
} = atTheBench(['rua', 'hanneke'])

/** Two lines over four parts and three; the first is gone between the second and the third part, a leg of the second wobbles. */
const nets = { D0: ['U1.1', 'U2.1', 'U3.1', 'U4.1'], D1: ['U1.2', 'U2.2', 'U3.2'] }
const table = [
  'net,part,pin,x,y',
  ...Object.entries(nets).flatMap(([net, ends]) => ends.map(e => [net, ...e.split('.'), Number(e[1]) * 20, Number(e.split('.')[1]) * 2.54].join())),
]
const near = ['U1.1', 'U2.1']
let wobbled = false
/** What the meter shows between two pins of it. */
function shows(a: string, b: string, beyond: boolean): string {
  if (a.split('.')[1] !== b.split('.')[1]) return 'OL'
  if (a.endsWith('.2') && [a, b].includes('U1.2') && !beyond) {
    wobbled = true
    return '0.4; OL; 0.6'
  }
  return a.endsWith('.1') && near.includes(a) !== near.includes(b) ? 'OL' : '0.5'
}
const pair = async (who: typeof rua) =>
  (await who.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('section[aria-label="Current check"] p.figure')].map(p => p.textContent.trim())`,
  )) ?? []
/** Whether the reading was taken and the next pair, if there is one, stands there. */
const ready = (who: typeof rua) =>
  who.driver.executeScript<boolean>(
    `const at = document.querySelector('section[aria-label="Current check"]'); return !at || (at.getAttribute('aria-busy') === 'false' && !at.querySelector('input').value)`,
  )
const ticked = (who: typeof rua) =>
  who.driver.executeScript<boolean>(`return document.querySelector('section[aria-label="Current check"] input[type=checkbox]').checked`)

async function modelOf(name: string) {
  const { models } = (await (await application.ask('/api/models', { cookie: await application.cookieOf('rua') })).json()) as {
    models: { id: number; name: string }[]
  }
  return models.find(m => m.name === name)!.id
}

it('a board comes from a file, a zone is probed pair by pair by two people, the break is found and bridged, what wobbled is asked again', async () => {
  const file = join(application.folder, 'lumen-main.csv')
  writeFileSync(file, [...table, 'D9,U9'].join('\n'))
  await rua.open(`/models/${await modelOf('Lumen')}`)
  await rua.press('Add a board')
  await rua.giveFiles('From a file', file)
  await rua.sees('2 nets, 7 pins', 'Line 9: pin is empty.')
  await rua.fill('Issue', 'B', 'Add a board')
  await rua.press('Save board', 'Add a board')
  await rua.sees('Main board, issue B')

  await rua.open(`/m/${await application.tagOf('Two-tone')}?stage=mend`)
  await rua.unfold('Probing and patches')
  await rua.press('Find the board on a photograph')
  await rua.driver.wait(
    () =>
      rua.driver.executeScript<boolean>(
        `return document.querySelector('[role=application] img')?.complete && document.querySelector('[role=application]').clientHeight > 100`,
      ),
    10_000,
  )
  for (const [pin, x, y] of [
    ['U1.1', 0.2, 0.2],
    ['U4.1', 0.8, 0.2],
    ['U1.2', 0.2, 0.3],
  ] as const) {
    await rua.driver.executeScript(
      `const e = document.querySelector('[role=application]'), r = e.getBoundingClientRect(); e.dispatchEvent(new MouseEvent('click', { clientX: r.left + r.width * arguments[0], clientY: r.top + r.height * arguments[1], bubbles: true }))`,
      x,
      y,
    )
    await rua.fill('Pin', pin)
    await rua.press('Add this place')
  }
  await rua.press('Find the board on it')
  await rua.sees('Found on Bezel, half yellow', 'how well it fits is not known')

  await rua.fill('What is probed', 'Under the supply', 'Begin a probe sheet')
  await rua.fill('Parts in the damage', 'U1', 'Begin a probe sheet')
  await rua.press('Plan the checks', 'Begin a probe sheet')
  await rua.sees('Say that you have read this: pins may differ.')
  await rua.tick('I have read this', 'Begin a probe sheet')
  await rua.press('Plan the checks', 'Begin a probe sheet')
  await rua.sees('which is not known to be this machine’s', '0 of 6 checks', 'Bezel, half yellow; how well it fits is not known')
  expect(await rua.violations()).toEqual([])

  const path = new URL(await rua.driver.getCurrentUrl()).pathname
  const asked = (await (await application.ask(`/api${path.replace('/m/', '/machines/')}`, { cookie: await application.cookieOf('rua') })).json()) as ProbeSheet
  const { a: six, b: other } = asked.checks[5]!
  await rua.press('Type in a printed sheet')
  await rua.fill('Number and reading, one a line', `99 0.4\n6 ${shows(six.name, other.name, false).split(';')[0]}`, 'Type in a printed sheet')
  await rua.sees('Line 1: the sheet has no check 99.')
  await rua.press('Save 1 reading', 'Type in a printed sheet')
  await rua.sees('1 of 6 checks')
  expect(await rua.valueOf('Number and reading, one a line')).toBe('99 0.4')

  await hanneke.open(path)
  await hanneke.sees('Reading in Ω')
  expect(await pair(hanneke)).not.toEqual(await pair(rua))
  await hanneke.fill('Reading in Ω', 'nonsense')
  await hanneke.press('Save reading')
  await hanneke.sees('nonsense')
  await hanneke.fill('Reading in Ω', '')

  for (const until = Date.now() + 60_000; Date.now() < until && !(await rua.text()).includes('All checks are answered');)
    for (const who of [hanneke, rua]) {
      const [a, b] = await pair(who)
      if (a && b) {
        await who.fill('Reading in Ω', shows(a, b, await ticked(who)))
        await who.press('Save reading')
        await who.driver.wait(() => ready(who), 10_000)
      } else if (await who.offers('Look again')) await who.press('Look again')
    }
  expect(wobbled).toBe(true)
  await rua.sees('1 whole, 1 broken, 0 in doubt', 'between U2.1 and U3.1')
  await rua.press('Bridge D0')
  await rua.sees('1 wire joins its 2 pieces.')
  await rua.fill('Afterwards, Ω', '0.5', 'Add a fitted wire')
  await rua.press('Save wire', 'Add a fitted wire')
  await rua.sees('2 whole, 0 broken')
  expect((await rua.print()).byteLength).toBeGreaterThan(10_000)
  await rua.press('Back to its sheet')
  await rua.sees('Wires fitted', 'U2.1 – U3.1')
})

let standIn: StandIn | undefined
afterAll(() => standIn?.close())

it('a board with two breaks and a crack is probed with the meter alone: each is found, charts and net functions tell of them', async () => {
  standIn = await startStandIn({ port: 0, scenario: 'board-battery' })
  const cookie = await application.cookieOf('ilka')
  const { practice } = (await (await application.ask('/api/settings', { cookie })).json()) as { practice: { version: number } }
  const set = { version: practice.version, host: '127.0.0.1', port: standIn.port }
  expect((await application.ask('/api/collection/set-meter', { method: 'POST', cookie, body: set })).status).toBe(200)

  const file = join(application.folder, 'practice.csv')
  const lines = Array.from({ length: 4 }, (_, n) => [1, 2, 3].map(u => `L${n},U${u},${n + 1},${u * 20},${n * 2.54}`))
  writeFileSync(file, ['net,part,pin,x,y', ...lines.flat()].join('\n'))
  await rua.open(`/models/${await modelOf('Lumen')}`)
  await rua.press('Add a board')
  await rua.giveFiles('From a file', file)
  await rua.fill('Board', 'Practice board', 'Add a board')
  await rua.press('Save board', 'Add a board')
  await rua.sees('Practice board')
  await rua.press('Open Practice board')
  await rua.press('What the nets do, and where wires must not go')
  await rua.fill('What the nets do, one a line', 'L*: a line of the practice port', 'What the nets do')
  await rua.press('Save notes', 'What the nets do')
  await rua.sees('Saved')

  await rua.open(`/m/${await application.tagOf('Two-tone')}?stage=mend`)
  await rua.unfold('Probing and patches')
  await rua.press('Begin a probe sheet')
  await rua.pick('Board', 'Practice board: 4 nets', 'Begin a probe sheet')
  await rua.fill('What is probed', 'Practice', 'Begin a probe sheet')
  await rua.fill('Parts in the damage', 'U2', 'Begin a probe sheet')
  await rua.tick('I have read this', 'Begin a probe sheet')
  await rua.press('Plan the checks', 'Begin a probe sheet')
  await rua.press('Take it from the meter')
  await rua.sees('1 of')
  // Hands-free, what is joined is taken by itself and what is open is not; a key takes that as it is, as a foot switch would.
  await rua.press('Hands-free')
  const answered = async () => Number(/(\d+) of \d+ checks/.exec(await rua.text())?.[1])
  let [byItself, byKey] = [0, 0]
  for (const until = Date.now() + 60_000; Date.now() < until && !(byItself && byKey) && !(await rua.text()).includes('All checks are answered');) {
    const before = await answered()
    const open = (await rua.text()).includes('Open is expected')
    const went = () => rua.driver.wait(async () => (await answered()) > before, open ? 500 : 6_000).catch(() => false)
    if (await went()) {
      byItself++
      continue
    }
    byKey++
    await rua.keys(Key.PAGE_DOWN)
    await rua.driver.wait(async () => (await answered()) > before, 20_000)
  }
  expect(byItself).toBeGreaterThan(0)
  expect(byKey).toBeGreaterThan(0)
  if (await rua.offers('Hands-free')) await rua.press('Hands-free')
  for (const until = Date.now() + 90_000; Date.now() < until && !(await rua.text()).includes('All checks are answered');) {
    await rua.press('Take it from the meter')
    await rua.driver.wait(async () => (await ready(rua)) && !(await rua.text()).includes('Waiting for a steady reading'), 10_000)
  }
  await rua.sees('1 whole, 3 broken, 0 in doubt', 'a line of the practice port')
  expect(new Set(standIn.faults().flatMap(f => (f.kind === 'short' ? [] : [f.net]))).size).toBe(3)
  await rua.press('Pin charts')
  await rua.sees('U1', 'broken', 'whole')
  expect(await rua.violations()).toEqual([])
  expect((await rua.print()).byteLength).toBeGreaterThan(10_000)
})
