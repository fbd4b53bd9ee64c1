import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua, hanneke],
} = atTheBench(['rua', 'hanneke'])
const clean = async (who: typeof rua, nickname: string) => {
  await who.open(`/m/${await application.tagOf(nickname)}?stage=clean`)
  await who.unfold('Tanks, ovens and lamps')
}
const form = 'Book a place'
async function fillIn(who: typeof rua, what: string) {
  await who.pick('Where', 'Drying oven, 64 l, 30 to 70 °C', form)
  await who.fill('What goes in', what, form)
  await who.fill('Room, l', '34', form)
  await who.fill('Not warmer than, °C', '40', form)
}

it('two who want one oven: the first has it, the second is told as it is typed, and takes the next time it is free', async () => {
  await clean(rua, 'Harbour office')
  await fillIn(rua, 'Keyboard')
  await rua.sees('It fits beside Main board, held at 40 °C at most.')
  await clean(hanneke, 'Slipway')
  await fillIn(hanneke, 'Case')
  await hanneke.sees('It fits beside Main board')
  await rua.press('Book it', form)
  await rua.sees('Keyboard', 'Drying oven, at most 40 °C', 'Keep off')
  // What the first took is heard at once on the page of the second.
  await hanneke.sees('No room: 0 l of 64 l is left, and it takes 34 l.')
  await hanneke.press('Book it', form)
  await hanneke.sees('Drying oven is taken then. It would fit from')
  await hanneke.driver.executeScript(`[...document.querySelectorAll('form button')].find(b => b.textContent.trim().startsWith('Take it from')).click()`)
  await hanneke.sees('It fits')
  await hanneke.press('Book it', form)
  await hanneke.seesNoMore('It fits')
  await rua.press('It is out Keyboard')
  await rua.open('/workshop')
  await rua.sees('Slipway: Case')
  expect(await rua.violations()).toEqual([])
  await rua.press('Book a place')
  const machine = await application.tagOf('Outer bank')
  await rua.select('For which machine', `${machine} Outer bank`)
  await fillIn(rua, 'Lid')
  await rua.fill('Hours', '2', form)
  await rua.fill('From', '1 Dec 2027 09:00', form)
  await rua.press('Book it', form)
  await rua.sees('Outer bank: Lid')
})

it('a step takes what it used from the shelf, and what runs low stands among what is wanted', async () => {
  await clean(rua, 'Lifeboat house')
  await rua.unfold('Plan')
  await rua.select('It used up', 'White vinegar: 850 ml')
  await rua.fill('How many ml', '900')
  await rua.press('Take it from the shelf')
  await rua.sees('the shelf has 850 ml of White vinegar')
  await rua.fill('How many ml', '400')
  await rua.press('Take it from the shelf')
  await rua.sees('Uses 400 ml of White vinegar.')
  await rua.driver.executeScript(`[...document.querySelectorAll('button')].find(b => /^Done/.test(b.textContent.trim())).click()`)
  await rua.seesNoMore('Uses 400 ml')
  await rua.open('/parts')
  await rua.sees('For the shelf', '450 ml left')
})
