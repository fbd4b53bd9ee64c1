import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { StartFrame } from '#shared/chapters/starts/index'
import type { MachineSheet } from '#shared/chapters/index'
import { type StandIn, startStandIn } from '../../../instruments/meter/stand-in'
import { atTheBench } from '../support/bench'
import type { Visitor } from '../support/visitor'
import { watchStart } from '../support/watchers'

const {
  application,
  visitors: [teodor, rua],
} = atTheBench(['teodor', 'rua'], { clockSpeed: 2 })
let standIn: StandIn
let ilka: string

/** A request as the coordinator makes it. */
const asIlka = (path: string, body?: unknown) => application.ask(path, { method: body === undefined ? 'GET' : 'POST', body, cookie: ilka })
const settings = async () => (await (await asIlka('/api/settings')).json()) as { practice: { version: number }; people: { id: number; signInName: string }[] }

beforeAll(async () => {
  standIn = await startStandIn({ port: 0 })
  ilka = await application.cookieOf('ilka')
  const { status } = await asIlka('/api/collection/set-meter', { version: (await settings()).practice.version, host: '127.0.0.1', port: standIn.port })
  expect(status).toBe(200)
})
afterAll(() => standIn.close())

/** Ticks everything that has to be seen to, one line after the other. */
async function tickAll(visitor: Visitor) {
  await visitor.sees('Before the switch')
  for (;;) {
    const left = await visitor.driver.executeScript<string | null>(
      'return [...document.querySelectorAll("fieldset input[type=checkbox]")].find(c => c.value && !c.checked)?.id ?? null',
    )
    if (!left) return
    await visitor.driver.executeScript('document.getElementById(arguments[0]).click()', left)
  }
}
/**
 * Counts down, with the simulated machine switched on before zero: what is measured by then belongs to no start, and on a busy machine
 * the browser would hear of zero too late for a hand at the switch.
 */
async function countDown(visitor: Visitor) {
  await visitor.press((await visitor.offers('Count down')) ? 'Count down' : 'Count down again')
  standIn.switchOn(true)
}
const kept = (count: number) =>
  teodor.driver.wait(async () => ((await teodor.text()).match(/ V kept/g) ?? []).length >= count, 15_000, `${count} rails were not kept`)

it('a strict machine is brought to its first start, each rail read by the meter, and the gate opens', async () => {
  standIn.scenario('healthy')
  await teodor.open(`/m/${await application.tagOf('Slipway')}?stage=make-safe`)
  await teodor.sees('No old line-filter capacitor is left.', 'The rails have not been read yet.')
  await teodor.press('Begin the start')
  await teodor.sees('At the probe: choose somebody.')
  await teodor.pick('At the probe', 'Maeve Corrigan')
  await teodor.press('Begin the start')
  await teodor.sees('Not ticked yet: Dust is out, and nothing loose is left inside.')
  await tickAll(teodor)
  await teodor.press('Begin the start')
  await teodor.sees('Meter: answers', 'drive plug, red', '4.75 V to 5.25 V expected')
  await countDown(teodor)
  await teodor.sees('On for')
  await kept(1)
  for (const [i, rail] of ['+12 V', '−12 V', '−5 V'].entries()) {
    await teodor.press(`Probe ${rail}`)
    await kept(i + 2)
  }
  await teodor.press('Done, switch it off')
  await teodor.sees('Teodor Vlasak: switch it off.')
  standIn.switchOn(false)
  await teodor.press('It is off')
  await teodor.press('End the start and keep the readings')
  await teodor.sees('Clear to run', 'Every rail was read', 'Start ended after')
})

it('a baseline machine is started with typed readings, and stays guarded for its old capacitors', async () => {
  const tag = await application.tagOf('Outer bank')
  await teodor.open(`/m/${tag}?stage=make-safe`)
  await teodor.unfold('First start')
  await teodor.sees('What would open it is listed at the top of this stage.')
  expect((await asIlka(`/api/machines/${tag}/choose-school`, { school: 'baseline-first' })).status).toBe(200)
  await teodor.sees('The line-filter capacitors were looked at just now: none cracked, none bulging.')
  await tickAll(teodor)
  await teodor.choose('Readings', 'Typed')
  await teodor.pick('At the probe', 'Rua Tamihana')
  await teodor.press('Begin the start')
  await teodor.press('Count down')
  for (const [rail, typed] of [
    ['+5 V', '5,03'],
    ['+15 V', '14.9'],
    ['−15 V', '−15.1'],
  ] as const) {
    if (rail !== '+5 V') await teodor.press(`Probe ${rail}`)
    await teodor.fill(`What the meter shows on ${rail}`, 'a lot')
    await teodor.press('Take it')
    await teodor.sees('“a lot” is not a number')
    await teodor.fill(`What the meter shows on ${rail}`, typed)
    await teodor.press('Take it')
    await teodor.sees(`${rail} is within limits`)
  }
  await teodor.press('Done, switch it off')
  await teodor.press('It is off')
  await teodor.press('End the start and keep the readings')
  await teodor.sees('Every rail was read', 'The line-filter capacitors are the old ones, not cracked.')
  expect(((await (await asIlka(`/api/machines/${tag}`)).json()) as MachineSheet).power.inForce).toBe('guarded-start')
})

it('a volunteer without the skill sees who could, and is not let to the switch', async () => {
  await rua.open(`/m/${await application.tagOf('Slipway')}?stage=make-safe`)
  await rua.unfold('First start')
  await rua.press('Prepare the start')
  await rua.sees('It takes mains: at the switch stands somebody with the skill. Here: Ilka Brandvold, Baraka Otieno, Teodor Vlasak.')
  await rua.pick('At the probe', 'Maeve Corrigan')
  await rua.pick('At the switch', 'Rua Tamihana, without mains')
  await tickAll(rua)
  await rua.press('Begin the start')
  await rua.sees('At the switch: Rua Tamihana has not been granted the skill “Mains”.')
  await rua.open(`/m/${await application.tagOf('Lifeboat house')}?stage=make-safe`)
  await rua.choose('Line-filter capacitors', 'Replaced')
  await rua.press('Save answers')
  await rua.sees('To say “Line-filter capacitors: replaced” takes the skill “Mains”. Here:')
})

it('a start that goes wrong is stopped with the right words, for whoever watches too', async () => {
  const tag = await application.tagOf('Radio hut')
  await rua.open(`/m/${tag}?stage=make-safe`)
  await tickAll(rua)
  await rua.press('Begin the start')
  await rua.sees('At the probe: choose somebody.')
  await rua.pick('At the probe', 'Maeve Corrigan')
  await rua.press('Begin the start')
  await rua.sees('memory, pin 9 (ground pin 16)')
  await teodor.open(`/m/${tag}/start`)
  const goesWrong = async (go: () => unknown, ...words: string[]) => {
    standIn.scenario('healthy')
    await rua.sees('Meter: answers')
    await countDown(rua)
    await teodor.sees('On for')
    await go()
    await teodor.sees('Off now', ...words)
    await rua.sees('Off now', ...words)
    expect(await teodor.violations(), words[0]).toEqual([])
    standIn.switchOn(false)
    await rua.press('It is off')
    await rua.sees('Called off:')
  }
  await goesWrong(() => standIn.scenario('shorted'), '+5 V is missing')
  expect(await rua.violations()).toEqual([])
  await goesWrong(() => standIn.scenario('swapped'), '+5 V carries the voltage of +12 V')
  await goesWrong(() => standIn.scenario('garbled'), 'The meter: nonsense. Nobody sees the rail.')
  // Somebody smells something: one key, whatever has the focus.
  await goesWrong(() => {
    standIn.scenario('healthy')
    return rua.driver.actions().sendKeys(Key.ESCAPE).perform()
  }, 'Somebody said off')
  // The cable is pulled while everything is calm.
  await goesWrong(() => standIn.unplug(), 'The meter: lost. Nobody sees the rail.')
  await rua.press('End the start and keep the readings')
  await rua.show('Earlier starts')
  await rua.sees('Called off', 'in 5 runs', 'Run 5', 'The meter: lost. Nobody sees the rail.')
  // A rail that carried 12 V instead of 5 is an alarm, until somebody says what it was.
  await rua.sees('Keep off', '+5 V has carried')
})

it('twenty who watch one start see every reading of it, and its end', async () => {
  const tag = await application.tagOf('Slipway')
  standIn.scenario('healthy')
  const { people } = await settings()
  const idOf = (name: string) => people.find(p => p.signInName === name)!.id
  const sheet = (await (await asIlka(`/api/machines/${tag}`)).json()) as MachineSheet
  const begun = await asIlka(`/api/machines/${tag}/begin-start`, {
    atProbe: idOf('rua'),
    atSwitch: idOf('ilka'),
    byMeter: true,
    load: 'loaded',
    currentLimitA: null,
    checked: sheet.power.startChecks.map(c => c.code),
  })
  expect(begun.status).toBe(200)
  const seen: StartFrame[][] = Array.from({ length: 20 }, () => [])
  const stops = await Promise.all(seen.map(frames => watchStart(application.address, ilka, tag, frame => void frames.push(frame))))
  const all = (what: (frames: StartFrame[]) => boolean) => expect.poll(() => seen.filter(what).length, { timeout: 20_000 }).toBe(20)
  const tell = (what: object) => asIlka(`/api/machines/${tag}/start`, what)
  await all(frames => frames.at(-1)?.meter === 'ready')
  await tell({ do: 'count-down' })
  standIn.switchOn(true)
  await all(frames => frames.at(-1)?.phase === 'on')
  await all(frames => (frames.at(-1)?.kept['+5 V'] ?? 0) > 4.5)
  await tell({ do: 'is-off' })
  standIn.switchOn(false)
  await asIlka(`/api/machines/${tag}/end-start`, {})
  await all(frames => frames.at(-1)?.ended === true)
  const values = seen.map(frames => JSON.stringify(frames.filter(f => !f.first).flatMap(f => f.fresh.map(s => s.value))))
  expect(new Set(values).size).toBe(1)
  expect(JSON.parse(values[0]!)).not.toHaveLength(0)
  stops.forEach(stop => stop())
})

it('smoke that somebody noticed outweighs rails that read well, keeps both runs, and is the first move on the sheet', async () => {
  const tag = await application.tagOf('Slipway')
  standIn.scenario('healthy')
  await teodor.open(`/m/${tag}?stage=make-safe`)
  await teodor.unfold('First start')
  await teodor.press('Prepare the start')
  await tickAll(teodor)
  await teodor.pick('At the probe', 'Rua Tamihana')
  await teodor.press('Begin the start')
  await teodor.sees('Meter: answers')
  await countDown(teodor)
  await teodor.sees('On for')
  // The hand goes to the switch first; what it was is said after.
  await teodor.driver.actions().sendKeys(Key.ESCAPE).perform()
  await teodor.sees('Off now', 'Was something noticed?')
  await teodor.press('Smoke')
  standIn.switchOn(false)
  await teodor.press('It is off')
  await teodor.sees('Called off: Smoke was noticed.')
  await countDown(teodor)
  await teodor.sees('+5 V', 'V kept')
  await teodor.press('Done, switch it off')
  standIn.switchOn(false)
  await teodor.press('It is off')
  await teodor.sees('Kept with the start: 1 run before this one.')
  await teodor.press('End the start and keep the readings')
  await teodor.show('Earlier starts')
  await teodor.sees('Hazard present: smoke reported.', 'Run 1', 'Smoke was noticed.')
  await teodor.show('Smoke reported')
  await teodor.sees('Noticed: “Smoke in a start on')
  expect(await teodor.driver.executeScript<string>('return document.querySelector("aside ol li").innerText')).toContain('Find what smoked')
  await teodor.open(`/m/${tag}?stage=mend`)
  await teodor.sees('Smoke was noticed at a start on')
})
