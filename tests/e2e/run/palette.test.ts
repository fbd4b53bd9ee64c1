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
  await ilka.driver.wait(() => ilka.driver.executeScript('return document.activeElement.hasAttribute("aria-activedescendant")'), 15_000)
  await ilka.keys(Key.ENTER)
}

/** The heading of a card has the cursor. */
const reaches = (title: string) =>
  ilka.driver.wait(
    () => ilka.driver.executeScript(`const e = document.activeElement; return e.closest('h2') !== null && e.innerText.trim() === arguments[0]`, title),
    15_000,
    `${title} has no cursor`,
  )

it('a card is found by another word for it, comes into sight unfolded, and has the cursor', async () => {
  await ilka.open(`/m/${await application.tagOf('Slipway')}`)
  await ilka.sees('Next moves')
  await take('mass', 'Drying')
  await reaches('Drying by mass')
  expect(await ilka.driver.getCurrentUrl()).toMatch(/stage=clean$/)
  await take('ohm', 'Rails off')
  await reaches('Rails with the power off')
})

it('back goes stage by stage, to the machine as it was opened', async () => {
  await ilka.open(`/m/${await application.tagOf('Slipway')}`)
  await ilka.sees('Now in Make safe')
  await ilka.driver.executeScript('document.activeElement.blur()')
  for (const [key, seen] of [
    ['4', 'Viewing Clean'],
    ['6', 'Viewing Prove'],
  ] as const) {
    await ilka.keys(key)
    await ilka.sees(seen)
  }
  for (const seen of ['Viewing Clean', 'Now in Make safe']) {
    await ilka.driver.navigate().back()
    await ilka.sees(seen)
  }
})

it('instruments, places and what is done from everywhere are there too', async () => {
  await ilka.open('/')
  await ilka.sees('Tonight')
  await take('dark', 'Dark')
  await ilka.driver.wait(() => ilka.driver.executeScript(`return document.documentElement.dataset.theme === 'dark'`), 15_000, 'it is not dark')
  await take('peroxide', 'eroxide')
  await ilka.driver.wait(async () => (await ilka.driver.getCurrentUrl()).includes('/tools/cleaning/peroxide'), 15_000, 'the instrument did not open')
  // An instrument may take the cursor to its first field; the bench does not.
  await ilka.open('/')
  await ilka.sees('Tonight')
  await take('sign out', 'Sign out')
  await ilka.sees('Sign-in name')
})
