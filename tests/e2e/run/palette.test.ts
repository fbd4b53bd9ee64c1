import { Key } from 'selenium-webdriver'
import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])

/** Types into the finder and takes the first that it offers, once that is what is meant. */
async function take(typed: string, first: string) {
  await ilka.driver.executeScript('document.activeElement.blur()')
  await ilka.keys('/')
  await ilka.keys(typed)
  const offered = () => ilka.driver.executeScript<string>(`return document.querySelector('[role=option]')?.innerText ?? ''`)
  await ilka.driver.wait(async () => (await offered()).includes(first), 15_000, `${first} was not offered`)
  await ilka.keys(Key.ARROW_DOWN)
  await ilka.driver.wait(() => ilka.driver.executeScript('return document.activeElement.hasAttribute("aria-activedescendant")'), 15_000)
  await ilka.keys(Key.ENTER)
}

it('a card is found by another word for it, comes into sight unfolded, and has the cursor', async () => {
  await ilka.open(`/m/${await application.tagOf('Slipway')}`)
  await ilka.sees('Next moves')
  await take('weigh', 'Drying')
  await ilka.driver.wait(
    () => ilka.driver.executeScript(`return document.activeElement.innerText?.includes('Drying by mass')`),
    15_000,
    'its heading has no cursor',
  )
  expect(await ilka.driver.getCurrentUrl()).toContain('stage=clean')
  await take('short', 'Rails off')
  await ilka.driver.wait(
    () => ilka.driver.executeScript(`return document.activeElement.innerText?.includes('Rails with the power off')`),
    15_000,
    'its heading has no cursor',
  )
})

it('instruments, places and what is done from everywhere are there too', async () => {
  await ilka.open('/')
  await ilka.sees('Tonight')
  await take('dark', 'Dark')
  await ilka.driver.wait(() => ilka.driver.executeScript(`return document.documentElement.dataset.theme === 'dark'`), 15_000, 'it is not dark')
  await take('peroxide', 'eroxide')
  await ilka.driver.wait(async () => (await ilka.driver.getCurrentUrl()).includes('/tools/cleaning/peroxide'), 15_000, 'the instrument did not open')
  await take('sign out', 'Sign out')
  await ilka.sees('Sign-in name')
})
