import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [petra],
} = atTheBench(['petra'])

/** What the scripts of the open page weigh as they were sent, in kilobytes: each once, for what was fetched ahead is not sent again when it is run. */
const scriptsKb = async () =>
  (await petra.driver.executeScript<number>(
    `const sent = new Map(performance.getEntriesByType('resource').filter(e => e.name.endsWith('.js')).map(e => [e.name, e.encodedBodySize]))
     return [...sent.values()].reduce((sum, size) => sum + size, 0)`,
  )) / 1000

it('the first view brings what it needs and no more: no contracts, no charts', async () => {
  await petra.open('/')
  await petra.sees('Tonight')
  expect(await scriptsKb()).toBeLessThan(200)
})

it('a sheet in its usual state stays below a budget of its own', async () => {
  await petra.open(`/m/${await application.tagOf('Schoolroom A')}`)
  await petra.sees('Next moves')
  expect(await scriptsKb()).toBeLessThan(400)
})

it('a passport is read without a single script', async () => {
  const tag = await application.tagOf('Weather club')
  const sheet = (await (await application.ask(`/api/machines/${tag}?show=home`, { cookie: await application.cookieOf('petra') })).json()) as {
    passport: { path: string }
  }
  const html = await (await application.ask(sheet.passport.path)).text()
  expect(html).toContain('machine passport')
  expect(html).not.toMatch(/<script(?! type="application\/json")|modulepreload/)
})
