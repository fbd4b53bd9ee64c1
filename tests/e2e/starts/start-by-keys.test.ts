import { Key } from 'selenium-webdriver'
import { it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  visitors: [teodor],
} = atTheBench(['teodor'], { clockSpeed: 2 })

it('the whole of a start goes by keys alone: found, ticked, staffed, read, ended', async () => {
  await teodor.open('/')
  await teodor.sees('Tonight')
  await teodor.keys('/')
  await teodor.keys('Slipway')
  await teodor.driver.wait(async () => (await teodor.driver.executeScript('return document.querySelectorAll("[role=option]").length')) === 1, 15_000)
  await teodor.keys(Key.ARROW_DOWN)
  await teodor.driver.wait(() => teodor.driver.executeScript('return document.activeElement.hasAttribute("aria-activedescendant")'), 15_000)
  await teodor.keys(Key.ENTER)
  await teodor.sees('What would open it')
  await teodor.keys('3')
  await teodor.sees('Before the switch')
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
