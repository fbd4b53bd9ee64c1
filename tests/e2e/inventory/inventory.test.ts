import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua, ilka],
} = atTheBench(['rua', 'ilka'])
const inventory = async (who: typeof rua, nickname: string) => who.open(`/m/${await application.tagOf(nickname)}?stage=look&card=Inventory`)

it('an inventory is typed as it is read aloud, and held against what the seller said', async () => {
  await inventory(rua, 'Two-tone')
  await rua.sees('256 KB claimed, and 128 KB of memory counted: 128 KB less.', 'dynamic memory, 64K×1', 'Empty socket, optional')
  await rua.press('List parts')
  await rua.fill('On which assembly', 'Drive', 'List parts')
  await rua.fill('The list', 'U1 8272 socketed\nthe big one\nU2-U3 74LS244\nU4 X9931 64Kx4 2x', 'List parts')
  await rua.sees('4 lines read:', 'It begins with no place. Write the place first, such as U7.', 'floppy disk', '64K×4')
  await rua.press('Save the list', 'List parts')
  await rua.sees('Line 2: It begins with no place.')
  expect(await rua.valueOf('The list', 'List parts')).toContain('U4 X9931')
  await rua.fill('The list', 'U1 8272 socketed\nU2-U3 74LS244\nU4 X9931 64Kx4 2x', 'List parts')
  await rua.press('Save the list', 'List parts')
  await rua.sees('192 KB', '256 KB claimed, and 192 KB of memory counted')
  await rua.press('Change Drive U4')
  await rua.tick('It is there, and nothing uses it', 'Change Drive U4')
  await rua.press('Save', 'Change Drive U4')
  await rua.sees('There, and not used: U4.', '256 KB claimed, and 128 KB of memory counted: 128 KB less.')
  expect(await rua.violations()).toEqual([])
  expect(await application.historyOf('Two-tone')).toContain('4 parts of Drive written down.')
})

it('a sister’s list is looked through on the phone before it counts, and both stand side by side', async () => {
  await ilka.size(390, 844)
  await inventory(ilka, 'Slipway')
  await ilka.sees('Ferry accounts, has an inventory')
  await ilka.press('Take over its list from Ferry accounts')
  await ilka.sees('Main board, to be looked through', 'taken over and not looked at here: not counted.')
  await ilka.press('Change Main board U20')
  await ilka.fill('What its label says', 'spindrift b 1.0', 'Change Main board U20')
  await ilka.press('Save', 'Change Main board U20')
  await ilka.press('As listed Main board U1')
  await ilka.press('All 43 as listed on Main board')
  await ilka.sees('640 KB to read and write')
  await ilka.press('Beside Ferry accounts')
  await ilka.sees('Slipway beside Ferry accounts:', '27128, “spindrift b 1.0”')
  expect(await ilka.driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390)
  expect(await ilka.violations()).toEqual([])
})
