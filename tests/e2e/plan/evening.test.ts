import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import type { EveningView } from '#shared/chapters/plan/index'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka, maeve, baraka],
} = atTheBench(['ilka', 'maeve', 'baraka'])
const evening = async () => (await (await application.ask('/api/evening', { cookie: await application.cookieOf('petra') })).json()) as EveningView

it('an evening is dealt out to three people, handed on, done, printed and told', async () => {
  await Promise.all([ilka, maeve, baraka].map(visitor => visitor.open('/')))
  await maeve.press('I am here')
  await ilka.sees('Maeve Corrigan until')
  await ilka.press('I am here')
  await ilka.press('Baraka Otieno')
  await ilka.sees('Baraka Otieno until')
  await ilka.press('Deal out the jobs')
  await Promise.all([ilka, maeve, baraka].map(visitor => visitor.sees('Mine', '0 of')))
  const { jobs, people, left } = await evening()
  expect(people).toHaveLength(3)
  for (const { id } of people) expect(jobs.filter(j => j.hands.some(h => h.id === id)).length).toBeGreaterThan(1)
  expect(left.every(l => l.why)).toBe(true)
  // A start takes two at once.
  expect(jobs.filter(j => j.pair).every(j => j.hands.length === 2)).toBe(true)

  const mine = jobs.find(j => !j.finds && j.hands.length === 1 && j.hands[0]!.name === 'Maeve Corrigan')!
  await maeve.press(`Start ${mine.says}`, 'My jobs')
  await baraka.open(`/m/${mine.tag}`)
  await baraka.sees(`Maeve Corrigan has in hand: ${mine.says}`)
  await maeve.press(`Hand on ${mine.says}`, 'My jobs')
  await maeve.press('Hand it on')
  await maeve.sees('For the next person: type something here.')
  await maeve.fill('For the next person', 'The lid is off, screws in tray B')
  await maeve.press('Hand it on')
  await baraka.open('/')
  await baraka.sees('Handed on, nobody’s yet', 'The lid is off, screws in tray B')
  await baraka.press(`Start ${mine.says}`, 'Handed on')
  await baraka.press(`Done ${mine.says}`, 'My jobs')
  await ilka.sees('1 of', 'done in')
  // What is done to find something out asks what was found.
  const sought = jobs.find(j => j.finds && j.id !== mine.id)!
  const finder = { 'Ilka Brandvold': ilka, 'Maeve Corrigan': maeve, 'Baraka Otieno': baraka }[sought.hands[0]!.name]!
  await finder.press(`Start ${sought.says}`, 'My jobs')
  await finder.press(`Done ${sought.says}`, 'My jobs')
  await finder.fill('What was found', 'The screws are of three lengths')
  await finder.press('Save, and it is done')
  await ilka.sees('2 of')
  expect(await application.historyOf(sought.nickname)).toContain('The screws are of three lengths')

  await ilka.press('Sheet to print')
  await ilka.sees('Maeve Corrigan', 'Look again before power.')
  expect((await ilka.print()).subarray(0, 5).toString()).toBe('%PDF-')
  await ilka.open('/')
  await ilka.press('How it went')
  await ilka.sees('Maeve Corrigan, Ilka Brandvold and Baraka Otieno were here.', '(Baraka Otieno)', 'The lid is off, screws in tray B')
  await ilka.fill('E-mail address', 'friends')
  await ilka.press('Save to outbox')
  await ilka.sees('E-mail address: such as friends@museum.example')
  await ilka.fill('E-mail address', 'friends@museum.example')
  await ilka.press('Save to outbox')
  await ilka.sees('friends@museum.example', 'in the outbox')
  const outbox = join(application.folder, 'outbox')
  const letters = readdirSync(outbox).map(file => readFileSync(join(outbox, file), 'utf8'))
  expect(letters.some(letter => letter.includes('To: friends@museum.example') && letter.includes('were here'))).toBe(true)
})

it('whoever goes home hands on first; what is dealt is read by axe without a word', async () => {
  const { jobs } = await evening()
  const next = jobs.find(j => j.state === 'dealt' && j.hands.some(h => h.name === 'Maeve Corrigan'))!
  await maeve.open('/')
  await maeve.press(`Start ${next.says}`, 'My jobs')
  await maeve.sees('for 0 of')
  await maeve.press('Maeve Corrigan goes home')
  await maeve.sees('Maeve Corrigan still has something in hand', next.says)
  await maeve.press(`Done ${next.says}`, 'My jobs')
  if (next.finds) await maeve.press('Nothing beyond what is on record')
  await maeve.press('Maeve Corrigan goes home')
  await maeve.sees('I am here')
  expect(await ilka.violations()).toEqual([])
  await ilka.open('/')
  await ilka.sees('came or went since it was dealt')
  expect(await ilka.violations()).toEqual([])
})
