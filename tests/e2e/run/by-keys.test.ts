import { Key } from 'selenium-webdriver'
import { it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [teodor],
} = atTheBench(['teodor'], { clockSpeed: 2 })

/** Goes to a machine by its name in the finder, and to a stage by its figure. */
async function goTo(name: string, stage: string, there: string) {
  await teodor.open('/')
  await teodor.sees('Tonight')
  await teodor.keys('/')
  await teodor.keys(name)
  await teodor.driver.wait(async () => (await teodor.driver.executeScript('return document.querySelectorAll("[role=option]").length')) === 1, 15_000)
  await teodor.keys(Key.ARROW_DOWN)
  await teodor.driver.wait(() => teodor.driver.executeScript('return document.activeElement.hasAttribute("aria-activedescendant")'), 15_000)
  await teodor.keys(Key.ENTER)
  // Today has next moves as well; its keys are not the sheet's.
  await teodor.driver.wait(
    () => teodor.driver.executeScript(`return document.querySelector('h1')?.innerText === arguments[0]`, name),
    15_000,
    `the sheet of ${name} did not open`,
  )
  await teodor.sees('Next moves')
  await teodor.keys(stage)
  await teodor.sees(there)
}

it('the whole of a start goes by keys alone: found, ticked, staffed, read, ended', async () => {
  await goTo('Slipway', '3', 'Before the switch')
  await teodor.tabTo('Prepare the start')
  await teodor.tabTo('At the probe', true)
  await teodor.keys(Key.ENTER)
  await teodor.keys('M')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Maeve Corrigan')
  await teodor.tabTo('Begin the start')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Count down')
  await teodor.tabTo('Count down')
  await teodor.keys(Key.ENTER)
  await teodor.sees('On for')
  for (const [rail, typed] of [
    ['+5 V', '5.02'],
    ['+12 V', '11.9'],
    ['−12 V', '-12.1'],
    ['−5 V', '-5.05'],
  ] as const) {
    if (rail !== '+5 V') {
      await teodor.tabTo(`Probe ${rail}`)
      await teodor.keys(Key.ENTER)
    }
    await teodor.tabTo(`What the meter shows on ${rail}`)
    await teodor.keys(typed, Key.ENTER)
    await teodor.sees(`${rail} is within limits`)
  }
  await teodor.tabTo('Done, switch it off')
  await teodor.keys(Key.ENTER)
  await teodor.tabTo('It is off')
  await teodor.keys(Key.ENTER)
  await teodor.tabTo('End the start and keep the readings')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Every rail was read')
})

it('what got in is recorded, and its next step done, by keys alone', async () => {
  await goTo('Harbour office', '4', 'What got in')
  await teodor.tabTo('What got in')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Something got in')
  await teodor.tabTo('Liquid')
  await teodor.keys(Key.SPACE)
  await teodor.tabTo('Where')
  await teodor.keys('main board', Key.TAB, 'a tide line under the slots', Key.TAB)
  await teodor.tabTo('Save')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Keep off', 'Rinse it with distilled water')
  await teodor.tabTo('Rinsed')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Dry it through, warm and slowly', 'drying')
})

it('a probe sheet is answered by keys alone, and what was said wrongly is asked again', async () => {
  await goTo('Schoolroom A', '5', 'Beside the nickel barrel')
  const at = () =>
    teodor.driver.executeScript<string>(
      `const e = document.querySelector('section[aria-label="Current check"]'); return e?.getAttribute('aria-busy') === 'false' ? e.querySelector('[aria-live]').innerText : ''`,
    )
  await teodor.tabTo('Beside the nickel barrel')
  await teodor.keys(Key.ENTER)
  await teodor.sees('Reading in Ω')
  const first = await at()
  await teodor.tabTo('Reading in Ω')
  await teodor.keys('0.4', Key.ENTER)
  await teodor.driver.wait(async () => ![first, ''].includes(await at()), 15_000, 'the next pair was not asked')
  const second = await at()
  await teodor.keys('j', Key.ENTER)
  await teodor.driver.wait(async () => ![second, ''].includes(await at()), 15_000, 'the pair after it was not asked')
  await teodor.tabTo('Ask again')
  await teodor.keys(Key.ENTER)
  await teodor.driver.wait(async () => (await application.historyOf('Schoolroom A')).includes('To be asked again'), 15_000, 'it is not asked again')
})
