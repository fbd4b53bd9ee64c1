import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  visitors: [hanneke],
} = atTheBench(['hanneke'])
let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'jolly-bench-lot-'))
})
afterAll(() => rmSync(folder, { recursive: true }))

it('a file with bad rows: columns are mapped, each bad row says why, and the good ones go in only when told', async () => {
  const file = join(folder, 'pilot office.csv')
  // Semicolons, a comma for the decimal sign, quoted quotes, an empty line, and a column nobody wants: as spreadsheets write them.
  writeFileSync(
    file,
    '\uFEFFItem;Manufacturer;Serial No;Weight;Donor;Remarks;Includes;Colour\r\nGannet;Pentreath Micro;G-101;9,5;the pilot office;"worked; then ""stopped""";Mains lead;grey\r\n\r\nPetrel 8;Tarnwick Instruments;P-7;heavy;the pilot office;;;\r\nSextant 16;Oriel & Fyfe;S-9;21;;only a fuse;Keyboard;\r\nLumen;Solvane;L-2;11;the pilot office;;;\r\n',
  )
  await hanneke.open('/store')
  await hanneke.press('Book in a job lot')
  await hanneke.giveFiles('Choose a file', file)
  await hanneke.sees('pilot office.csv: 4 rows.')
  expect(await hanneke.valueOf('Item')).toBe('name')
  expect(await hanneke.valueOf('Donor')).toBe('fromWhom')
  await hanneke.select('Colour', 'Nickname')
  await hanneke.select('Remarks', 'Leave it out')
  await hanneke.select('Remarks', 'Claims')
  await hanneke.select('Colour', 'Leave it out')
  await hanneke.press('Put 4 rows into the table')
  await hanneke.sees('2 machines ready, 2 with something wrong.', 'Weight: “heavy” is not a number.', 'From whom: type something here.')
  await hanneke.offersNoMore('Book in 2 machines')

  // One row is put right, the other is left.
  await hanneke.fill('Weight in kg, row 2', '3')
  await hanneke.sees('3 machines ready, 1 with something wrong.')
  await hanneke.tick('Leave the rows with something wrong in the table, and book in the others')
  await hanneke.press('Book in 3 machines')
  await hanneke.sees('3 machines booked in', 'SH-2026-025', 'Lumen', 'SH-2026-027', '0 machines ready, 1 with something wrong.')
  expect(await hanneke.valueOf('Model or description, row 1')).toBe('Sextant 16')

  await hanneke.open('/m/SH-2026-025?stage=arrive')
  await hanneke.sees('“worked”', '“then "stopped"”', '9.5 kg', 'G-101', 'Sisters in the collection')
})

it('many are typed in one table, with Enter for the next of the same model', async () => {
  // What was left in the table is still there, after another page.
  await hanneke.open('/book-in/lot')
  await hanneke.sees('1 not sent', '0 machines ready, 1 with something wrong.')
  expect(await hanneke.valueOf('Model or description, row 1')).toBe('Sextant 16')
  await hanneke.press('Leave out row 1')
  await hanneke.press('Add a row')
  await hanneke.fill('From whom, all', 'the ferry terminal')
  await hanneke.fill('Model or description, row 1', 'Gannet')
  await hanneke.fill('Serial number, row 1', `T-1${Key.ENTER}T-2${Key.ENTER}T-2`)
  await hanneke.sees('3 machines ready.', 'The serial number T-2 stands in more than one row.')
  // Another spelling of a known model is noticed as in a single booking.
  await hanneke.fill('Model or description, row 3', 'Ganet')
  await hanneke.press('It is a Gannet in row 3')
  await hanneke.fill('Serial number, row 3', 'T-3')
  await hanneke.seesNoMore('stands in more than one row')
  await hanneke.press('Book in 3 machines')
  await hanneke.sees('3 machines booked in')
})

it('the same model under another spelling is noticed, and what is known of it shows at once', async () => {
  await hanneke.open('/book-in')
  await hanneke.fill('Model or description', 'petrel-8s')
  await hanneke.sees('There is a Petrel 8S by Tarnwick Instruments, spelt a little differently.')
  await hanneke.press('It is a Petrel 8S')
  await hanneke.sees('A sister’s battery leaked. Open this one first.', 'The nickel barrel leaks over the clock chip', 'Made 1985 to 1988.')
  expect(await hanneke.valueOf('Weight')).toBe('3')
})

it('a model is added; what does not do is said at its field', async () => {
  await hanneke.open('/models')
  await hanneke.press('Add a model')
  await hanneke.fill('Maker', 'Halgarth')
  await hanneke.fill('Model', 'Spin Drift')
  await hanneke.sees('There is a Spindrift by Halgarth, spelt a little differently.')
  await hanneke.fill('Model', 'Longshore')
  await hanneke.fill('Made from, year', '1991')
  await hanneke.fill('Made to, year', '1989')
  await hanneke.press('Add a rail')
  await hanneke.fill('Rail 1', '+5 V')
  await hanneke.fill('Volts', 'five')
  await hanneke.press('Add the model')
  await hanneke.sees('Type the nominal voltage, such as 5 or -12.')
  await hanneke.fill('Volts', '5')
  await hanneke.press('Add the model')
  await hanneke.sees('Made to: this year lies before the first one.')
  await hanneke.fill('Made to, year', '1993')
  await hanneke.fill('Known faults, one a line', 'Fan clip breaks')
  await hanneke.press('Add the model')
  await hanneke.sees('Halgarth, made 1991 to 1993', 'Fan clip breaks', '5 V nominal')
})
