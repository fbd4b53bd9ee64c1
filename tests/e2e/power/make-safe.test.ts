import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { placesToLook } from '#core/power/battery-home'
import { type StandIn, startStandIn } from '../../../instruments/meter/stand-in'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])
let standIn: StandIn
beforeAll(async () => {
  standIn = await startStandIn({ port: 0 })
})
afterAll(() => standIn.close())
const makeSafe = async (nickname: string) => ilka.open(`/m/${await application.tagOf(nickname)}?stage=make-safe`)

it('a battery is recorded, taken out and replaced, each step judged as it is typed and heard by the gate', async () => {
  await makeSafe('Back door')
  await ilka.unfold('Batteries')
  await ilka.press('Record a battery')
  await ilka.fill('Where it sits', 'under the keyboard')
  await ilka.fill('Cells', '3')
  await ilka.pick('Chemistry', 'Nickel-cadmium')
  await ilka.choose('What was found', 'Leaking')
  await ilka.show('Battery, under the keyboard: it has leaked.')
  await ilka.sees('neutralise with a mild acid')
  await ilka.press('Save', 'Record a battery')
  await ilka.sees('Battery, under the keyboard, nickel-cadmium: leaking, still in.', 'The gate went from Not yet assessed to Keep off')
  // What has leaked is not clean because somebody says so: it goes its way home.
  await ilka.press('Go on with it under the keyboard')
  await ilka.choose('What was found', 'No leak seen')
  await ilka.choose('It is', 'Out')
  await ilka.press('Save', 'Go on with this battery')
  await ilka.sees('State: it has leaked. Take it through the clean-up steps below')
  await ilka.choose('What was found', 'Gone, residue left')
  await ilka.press('Save', 'Go on with this battery')
  await ilka.sees('Next in the clean-up: Neutralise what it left with a mild acid such as white vinegar')
  for (const [step, next] of [
    ['Residue neutralised', 'Next in the clean-up: Rinse with distilled water'],
    ['Rinsed', 'Next in the clean-up: Dry it through'],
    ['Dried', 'Next in the clean-up: Look under everything it may have reached'],
  ] as const) {
    await ilka.press(step)
    await ilka.sees(next)
  }
  await ilka.press('Looked at, nothing left behind')
  await ilka.sees('Not looked at yet: look under the keyboard connector')
  for (const place of placesToLook) await ilka.tick(place)
  await ilka.press('Looked at, nothing left behind')
  await ilka.sees('it has leaked; neutralised, rinsed, dried and looked at.', 'The gate went from Keep off to Not yet assessed')
  await ilka.press('Go on with it under the keyboard')
  await ilka.choose('The circuit', 'It charges')
  await ilka.choose('In its place', 'Coin cell with a blocking diode')
  await ilka.sees('Lithium coin cell must not be charged, and this circuit charges.')
  await ilka.flip('A diode blocks charging')
  await ilka.sees('Behind the diode about 2.5 to 2.8 V a cell are left.')
  await ilka.press('Save', 'Go on with this battery')
  await ilka.sees('In place of the battery, under the keyboard: coin cell with a blocking diode, lithium coin cell behind a diode.')
})

it('the supplies that suit are offered, the others with why they would harm', async () => {
  await makeSafe('Lamp store')
  await ilka.unfold('Supply')
  await ilka.sees('The inlet needs 9 V DC, centre negative, 1 A', 'S-01 Suits')
  await ilka.press('Show the 3 that do not suit, with why')
  await ilka.sees('Plus and minus are the wrong way round.', 'It gives AC, but the machine needs DC.', '12 V is too high.')
  await ilka.offersNoMore('Use S-02')
  await ilka.press('Use S-01')
  await ilka.sees('Runs from this one', 'Runs from supply S-01: 9 V DC, centre negative, 1.5 A, 5.5 × 2.1 mm.')
  await ilka.open('/parts?side=supplies')
  await ilka.press('Add a supply')
  await ilka.fill('Name on its tag', 'S-01')
  await ilka.fill('Volts on the label', 'nine')
  await ilka.press('Add')
  await ilka.sees('Voltage: “nine” is not a number.')
  await ilka.fill('Volts on the label', '9')
  await ilka.press('Add')
  await ilka.sees('Name: S-01 is on another supply already.')
})

it('the brick that came in at the door is known to the inlet, and a slip of the finger is asked back', async () => {
  await ilka.open(`/m/${await application.tagOf('Ferry accounts')}?stage=arrive`)
  await ilka.press('Note something')
  await ilka.fill('What came with it', '9 V AC brick, 1.5 A', 'Note something')
  await ilka.press('Save', 'Note something')
  await ilka.sees('9 V AC brick, 1.5 A')
  await makeSafe('Ferry accounts')
  await ilka.unfold('Supply')
  await ilka.press('Say what its inlet needs')
  await ilka.sees('Filled in from “9 V AC brick, 1.5 A”, which came with it.')
  const form = 'What the inlet needs'
  expect([await ilka.valueOf('Volts of the inlet', form), await ilka.valueOf('Amperes', form)]).toEqual(['9', '1.5'])
  await ilka.fill('Volts of the inlet', '90', form)
  await ilka.sees('90 V into a round inlet? Look at it again. “9 V AC brick, 1.5 A” came with it.')
  await ilka.fill('Volts of the inlet', '9', form)
  await ilka.seesNoMore('Look at it again.')
  await ilka.press('Save', form)
  await ilka.sees('The inlet needs 9 V AC')
})

it('what is connected decides what the gate asks about', async () => {
  await makeSafe('Schoolroom A')
  await ilka.show('How it is judged')
  await ilka.press('Change what is connected')
  await ilka.choose('What is connected', 'Some of it out')
  await ilka.press('Save what is connected')
  await ilka.sees('What is out: name at least one assembly')
  await ilka.choose('What is connected', 'Supply alone')
  await ilka.press('Save what is connected')
  await ilka.sees('What is connected: Supply alone.', 'Supply alone: The supply on the bench with a dummy load')
  expect(
    (
      (await (await application.ask(`/api/machines/${await application.tagOf('Schoolroom A')}`, { cookie: await application.cookieOf('ilka') })).json()) as {
        power: { gate: { findings: { code: string }[] } }
      }
    ).power.gate.findings.map(f => f.code),
  ).toContain('gate.battery.not-connected')
})

it('a logger’s file is read whatever its delimiter, shown, and kept', async () => {
  const file = join(application.folder, 'log.csv')
  writeFileSync(
    file,
    'Zeit;Kuehler;Luft\n' +
      Array.from({ length: 30 }, (_, i) => `00:${String(i).padStart(2, '0')}:00;${(21 + i * 1.5).toFixed(1).replace('.', ',')};20,5`).join('\n'),
  )
  await makeSafe('Harbour office')
  await ilka.unfold('Heat')
  await ilka.press('Import a log')
  await ilka.giveFiles('File of a logger', file)
  await ilka.sees('30 rows, 2 columns of numbers, decimal comma.')
  await ilka.fill('Which', 'the 12 V regulator', 'Import a log')
  await ilka.press('Save log')
  await ilka.sees('30 readings, up to 64.5 °C.', 'Heat sink of a regulator at 64.5 °C: usual.')
})

it('the meter is set up, tried, read into a field, and says in words when it is gone', async () => {
  await ilka.open('/settings')
  await ilka.fill('Host', '127.0.0.1')
  await ilka.fill('Port', String(standIn.port))
  await ilka.press('Save meter')
  await ilka.sees('Answers', 'Jolly Bench Stand-in meter')
  await ilka.select('Try it with', 'Resistance')
  await ilka.press('Read from the meter')
  await ilka.sees('The figure stands still.', 'Ω')
  standIn.switchOn(true)
  await ilka.open(`/m/${await application.tagOf('Radio hut')}?stage=prove`)
  await ilka.press('Read from the meter')
  await ilka.sees('+5 V is within limits: 4.9')
  // Both hands on the probes: each rail is saved as it stands still, what has to be looked at ends it, and what reads like the air is said by a key.
  standIn.scenario('swapped')
  await ilka.press('Hands-free')
  await ilka.sees('Nothing was saved; type the reading if it is right.')
  standIn.scenario('healthy')
  await ilka.press('Hands-free')
  await ilka.sees('Every rail has been read.')
  standIn.switchOn(false)
  await ilka.press('Hands-free')
  // How many are left depends on whether the first was still read in the moment of switching off.
  await ilka.sees('Touch the rail; a figure that stands still is saved.')
  expect(await ilka.text()).toMatch(/[123] left/)
  await ilka.keys(Key.PAGE_DOWN)
  await ilka.sees('Saved all the same; strike it if the probe was elsewhere.')
  await standIn.close()
  await ilka.press('Read from the meter')
  await ilka.sees('Nothing answers as a meter at its address.')
})
