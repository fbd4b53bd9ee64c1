import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])
const mend = async (nickname: string) => ilka.open(`/m/${await application.tagOf(nickname)}?stage=mend`)
const found = async (name: string) => {
  await ilka.open('/parts?side=held')
  await ilka.fill('Find', name)
}

it('a borrowed membrane is looked at, fitted where it is wanted, and given back; then it is wanted again', async () => {
  await ilka.open('/')
  await ilka.sees('Loans and orders', 'Membrane for the Gannet', 'was due')
  await found('Gannet membrane')
  await ilka.sees('Arrived, not looked at; in Box B; belongs to Varnsund Pilot Office')
  await ilka.press('Move Gannet membrane')
  await ilka.press('Move', 'Move Gannet membrane')
  await ilka.sees('What was looked at or tested: say it in a few words.')
  await ilka.fill('What was looked at or tested', 'tails and pitch as the old one', 'Move Gannet membrane')
  await ilka.pick('How it is', 'New', 'Move Gannet membrane')
  await ilka.press('Move', 'Move Gannet membrane')
  await ilka.sees('On the shelf; in Box B')
  // Whoever works by keys is left where they were.
  expect(await ilka.driver.executeScript('return document.activeElement.innerText')).toContain('Move')
  await mend('Quay desk')
  await ilka.press('What is at hand for Membrane for the Gannet')
  await ilka.sees('Not known', 'It goes by the same name; what it is like is not stated of both.')
  await ilka.press('Set aside Gannet membrane')
  await ilka.sees('Gannet membrane set aside, Box B')
  await ilka.press('Fitted Gannet membrane')
  await ilka.sees('On record in it', 'Fitted; new; belongs to Varnsund Pilot Office')
  expect(await ilka.violations()).toEqual([])
  await found('Gannet membrane')
  await ilka.press('Move Gannet membrane')
  await ilka.choose('Where to', 'Given back', 'Move Gannet membrane')
  await ilka.press('Move', 'Move Gannet membrane')
  await ilka.sees('Nothing held is so called, or there.')
  await mend('Quay desk')
  await ilka.sees('What is at hand for Membrane for the Gannet')
  expect(await application.historyOf('Quay desk')).toContain('before, now gone back; new')
})

it('what is given out brings most to life, is accepted line by line, and what should be bought is one press', async () => {
  await ilka.open('/parts?side=give')
  await ilka.sees('can be started by it: Lifeboat house', 'Ferry accounts', 'Their owners are asked first: Outer bank')
  expect(await ilka.violations()).toEqual([])
  await ilka.press('What brings most for its money?')
  await ilka.sees('One purchase:', 'Video card for the Spindrift, of which nobody knows the price; it starts Ferry accounts')
  await ilka.press('Set aside 1 line')
  await ilka.seesNoMore('Set aside 1 line')
  await mend('Lifeboat house')
  await ilka.sees('Line-filter capacitor, class X2, 470n set aside, Drawer 5')
  await ilka.press('Back on the shelf Line-filter capacitor, class X2, 470n')
  await ilka.sees('What is at hand for Line-filter capacitor, class X2, 470 nF')
})

it('a donor lists what it can give, and what is lent comes back tested', async () => {
  await mend('Store room')
  await ilka.sees('On record in it', 'Gannet main board')
  await ilka.press('A part that it can give')
  await ilka.fill('Part', 'Gannet loudspeaker', 'Put a part on record')
  await ilka.press('Put on record', 'Put a part on record')
  await ilka.press('Take out Gannet loudspeaker')
  await ilka.sees('still in SH-2026-005 before, now on the shelf')
  await found('Gannet loudspeaker')
  await ilka.sees('On the shelf')
  await found('Petrel modulator')
  await ilka.sees('Lent out, Varnsund Pilot Office')
  await ilka.press('Move Petrel modulator')
  await ilka.fill('What was looked at or tested', 'a picture again', 'Move Petrel modulator')
  await ilka.press('Move', 'Move Petrel modulator')
  await ilka.sees('On the shelf')
  await ilka.press('Its way Petrel modulator')
  await ilka.sees('Lent out: Varnsund Pilot Office. A steady picture on channel 36', 'On the shelf. a picture again')
})
