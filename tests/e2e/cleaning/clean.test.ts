import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { By, until } from 'selenium-webdriver'
import sharp from 'sharp'
import { expect, it } from 'vitest'
import { looksAfter } from '#core/cleaning/contamination'
import type { MachineSheet } from '#shared/chapters/index'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua],
} = atTheBench(['rua'])
const clean = async (nickname: string) => rua.open(`/m/${await application.tagOf(nickname)}?stage=clean`)
const gate = async () => {
  const { gate } = (await (
    await application.ask(`/api/machines/${await application.tagOf('Harbour office')}`, { cookie: await application.cookieOf('ilka') })
  ).json()) as { gate: { inForce: string } }
  return gate.inForce
}

it('what got in goes out step by step, and the gate opens at the last and no earlier', async () => {
  await clean('Harbour office')
  expect(await gate()).toBe('guarded-start')
  await rua.unfold('What got in')
  await rua.choose('What', 'Liquid', 'Something got in')
  await rua.fill('Where', 'main board', 'Something got in')
  await rua.fill('What was seen', 'A tide line under the slots', 'Something got in')
  await rua.press('Save', 'Something got in')
  await rua.sees('Keep off', 'Rinse it with distilled water')
  await rua.fill('Then it dries for, hours', '', 'Next step')
  await rua.press('Rinsed', 'Next step')
  await rua.sees('Dry it through, warm and slowly')
  await rua.press('Dried', 'Next step')
  await rua.sees('Look again under everything it may have reached')
  await rua.press('Looked at again: gone', 'Next step')
  await rua.sees('Not looked at yet')
  expect(await gate()).toBe('keep-off')
  for (const place of looksAfter('liquid')) await rua.tick(place, 'Next step')
  await rua.press('Looked at again: gone', 'Next step')
  await rua.sees('Guarded start')
  expect(await gate()).toBe('guarded-start')
})

it('a plan is made from what a part is, a bath that would spoil it is refused, and what a step wets keeps the machine off', async () => {
  await clean('Harbour office')
  await rua.unfold('Parts and what is on them')
  await rua.press('Say what it is Main board')
  await rua.tick('Speaker', 'What it is made of')
  await rua.tick('Alkali residue', 'What it is made of')
  await rua.choose('Does it work today', 'Does not work')
  await rua.press('Save', 'What it is made of')
  await rua.press('Make the plan')
  await rua.sees('Neutralise with a mild acid: main board', 'then 6 h to dry')
  await rua.press('Add a step')
  await rua.pick('Method', 'Ultrasonic bath', 'Add a step')
  await rua.pick('Against', 'Grease', 'Add a step')
  await rua.press('Add', 'Add a step')
  await rua.sees('Ultrasonic bath: never here. Speaker: It soaks up water and keeps it')
  await rua.press('Something broke')
  await rua.fill('What broke', 'Clip of the card guide', 'Something broke')
  await rua.fill('How it happened', 'Brittle, it came off with the card', 'Something broke')
  await rua.press('Save', 'Something broke')
  await rua.seesNoMore('How it happened')
  await rua.press('Done; it dries for 6 h')
  await rua.sees('Keep off', 'Main board drying after: neutralise with a mild acid')
  // Taken back at once, its wait goes with it; the history keeps both.
  await rua.mayUndo('Step done.')
  await rua.press('Undo')
  await rua.sees('Undone.')
  expect(await application.historyOf('Harbour office')).toContain('Its wait is taken back')
  await rua.press('Done; it dries for 6 h')
  await rua.sees('Keep off', 'Main board drying after: neutralise with a mild acid')
  await rua.open('/parts')
  await rua.sees('Clip of the card guide')
})

it('a yellowed part is followed over four colours to stop, and then no exposure is offered', async () => {
  await clean('Back door')
  await rua.unfold('Whitening')
  const form = 'Follow a part'
  await rua.fill('Part', 'Space bar', form)
  const type = async (values: string[], within: string) => {
    for (const [i, label] of ['L*', 'a*', 'b*'].entries()) await rua.fill(label, values[i]!, within)
  }
  await type(['72', '2', '24'], 'Colour now')
  await type(['84', '-0.5', '5'], 'A part that never yellowed')
  await rua.press('Follow', form)
  await rua.sees('Allowed before it is measured again; 0 h so far')
  for (const [hours, b, says] of [
    ['4', '15', '3 of 3'],
    ['4', '10', 'measure'],
    ['4', '5.6', 'Stop now: it is done'],
  ] as const) {
    await rua.press('Expose it')
    await rua.fill('Hours', hours, 'Expose it')
    await rua.press('Save exposure', 'Expose it')
    await rua.sees('Measure')
    await rua.press('Measure its colour')
    await type(['80', '0', b], 'Colour now')
    await rua.press('Save colour', 'Measure its colour')
    await rua.sees(says === '3 of 3' ? 'Δb*' : says)
  }
  await rua.offersNoMore('Expose it')
  await rua.fill('How it ended', 'Matches', 'End treatment')
  await rua.press('End treatment', 'End treatment')
  // With an error of one in each colour nobody can say more.
  await rua.sees('Too close to call')
})

it('a colour is taken from a photograph against the neutral on it, and a neutral that is none is refused', async () => {
  const file = join(application.folder, 'bezel.png')
  const block = async (background: string) =>
    await sharp({ create: { width: 300, height: 300, channels: 3, background } })
      .png()
      .toBuffer()
  // Left a grey of L* 49.5 in full light, right the yellowed part; both as sRGB has them.
  await sharp({ create: { width: 640, height: 320, channels: 3, background: '#0a0a0a' } })
    .composite([
      { input: await block('#767676'), left: 10, top: 10 },
      { input: await block('#c8b88c'), left: 330, top: 10 },
    ])
    .png()
    .toFile(file)
  await clean('Two-tone')
  await rua.press('Measure its colour')
  await rua.show('From a photograph')
  await rua.giveFiles('Choose a picture', file)
  const drag = async (target: string, [x0, x1]: [number, number]) => {
    await rua.press(target)
    const frame = await rua.driver.wait(until.elementLocated(By.css('[role=application]')), 15_000)
    await rua.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', frame)
    const { width, height } = await frame.getRect()
    const at = (x: number, y: number) => ({ origin: frame, x: Math.round((x - 0.5) * width), y: Math.round((y - 0.5) * height) })
    await rua.driver.actions().move(at(x0, 0.2)).press().move(at(x1, 0.8)).release().perform()
    await rua.sees(`${target.replace(' ✓', '')} ✓`)
  }
  await drag('the neutral', [0.05, 0.4])
  await drag('the part', [0.6, 0.9])
  await rua.press('Measure the part')
  await rua.sees('Good to about')
  // Source: culori; #c8b88c is L* 75.1, b* 24.5 for D65, and #767676 L* 49.6 where the card is said to have 49.5.
  expect(Math.abs(Number(await rua.valueOf('L*', 'Colour now')) - 75.1)).toBeLessThan(0.5)
  expect(Math.abs(Number(await rua.valueOf('b*', 'Colour now')) - 24.5)).toBeLessThan(0.5)
  await drag('the neutral ✓', [0.487, 0.513])
  await rua.press('Measure the part')
  await rua.sees('The neutral patch is too dark to be measured.')
})

it('keycaps come back by their count, the missing one is wanted; bare copper is sealed; days in the sun come from a table; a stain stays', async () => {
  await clean('Harbour office')
  await rua.unfold('Small parts')
  await rua.fill('What', 'Keycaps', 'Count parts out')
  await rua.fill('How many', '73', 'Count parts out')
  await rua.press('Save', 'Count parts out')
  await rua.fill('How many are back', '72', 'Count back in')
  await rua.fill('Where the rest are', 'Went down the sink', 'Count back in')
  await rua.choose('The missing ones', 'The missing ones are wanted', 'Count back in')
  await rua.press('Save count', 'Count back in')
  await rua.sees('72 of 73 × Keycaps back')
  await rua.unfold('Bare copper')
  await rua.fill('Where', 'beside the battery', 'Add bare copper')
  await rua.press('Save', 'Add bare copper')
  await rua.sees('Seal bare copper: beside the battery')
  await rua.choose('With what', 'Plain lacquer', 'Seal it')
  await rua.press('Save', 'Seal it')
  await rua.sees('Pads: clear them first')
  await rua.tick('The pads are free', 'Seal it')
  await rua.press('Save', 'Seal it')
  await rua.sees('Keep off', 'Lacquer hardening: beside the battery')
  await rua.open('/parts')
  await rua.sees('Keycaps')

  const day = (ago: number) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10)
  const table = join(application.folder, 'sun.csv')
  writeFileSync(table, `date;hours\n${day(1)};3,5\nyesterday;2\n`)
  await clean('Two-tone')
  await rua.press('Days in the sun, from a table')
  await rua.giveFiles('Table as CSV', table)
  await rua.sees('1 day with sun', 'Line 3: “yesterday” is no day')
  await rua.press('Save this day')
  await rua.sees('17.5 h so far')

  await rua.open(`/m/${await application.tagOf('Two-tone')}?stage=look`)
  await rua.press('Leave as patina lower half')
  await rua.fill('Why it is left', 'Its years in the sun of the chart room', 'Leave as patina')
  await rua.press('Save', 'Leave as patina')
  await rua.sees('Stays as patina. Its years in the sun')
})

it('what was weighed an hour ago is kept as of then, and before another weighing it is refused with what was typed', async () => {
  /** As the collection's clock showed it, some hours ago. */
  const shown = (hours: number) =>
    new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/Dublin', dateStyle: 'medium', timeStyle: 'short' })
      .format(Date.now() - hours * 3_600_000)
      .replace(',', '')
  await clean('Lifeboat house')
  await rua.unfold('Drying by mass')
  await rua.fill('Mass in g', '792.1', 'Weigh it')
  await rua.press('Weighed earlier')
  await rua.fill('Weighed at', shown(72), 'Weigh it')
  await rua.press('Save weighing')
  await rua.sees('Weighed at: a later weighing is on record already.')
  expect(await rua.valueOf('Mass in g', 'Weigh it')).toBe('792.1')
  await rua.fill('Weighed at', shown(1), 'Weigh it')
  await rua.press('Save weighing')
  await rua.sees('5 weighings since')
  const { cleaning } = (await (
    await application.ask(`/api/machines/${await application.tagOf('Lifeboat house')}`, { cookie: await application.cookieOf('ilka') })
  ).json()) as MachineSheet
  const minutesAgo = (Date.now() - Date.parse(cleaning.dryings[0]!.weighings.at(-1)!.at)) / 60_000
  expect(Math.round(minutesAgo / 5) * 5).toBe(60)
})
