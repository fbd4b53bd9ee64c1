import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka, maeve],
} = atTheBench(['ilka', 'maeve'])

it('a lent machine may not be spent on beyond what its owner agreed to, and says so while the amount is typed', async () => {
  await maeve.open(`/m/${await application.tagOf('Outer bank')}?stage=arrive`)
  await maeve.sees('Consent of its owner', '€120.00', 'anything that is soldered')
  await maeve.press('Spend on it')
  await maeve.fill('What for', 'two line-filter capacitors')
  await maeve.fill('Amount in EUR', '81,60')
  await maeve.sees('That is more than the owner approved: €120.00.')
  await maeve.press('Save expense')
  await maeve.sees('€38.50 was spent before; with €81.60 it would be €120.10.', 'Write to the owner, and record the answer.')
  expect(await maeve.valueOf('What for')).toBe('two line-filter capacitors')
  await maeve.fill('Amount in EUR', '81,50')
  await maeve.sees('€0.00 is left of what the owner approved.')
  await maeve.press('Save expense')
  await maeve.sees('Spent €81.50: two line-filter capacitors.')
})

it('its path asks its owner, a letter carries the questions, and the answer is waited for', async () => {
  const tag = await application.tagOf('Outer bank')
  await ilka.open(`/m/${tag}?stage=look`)
  await ilka.sees('What would change the order', 'Conserve as found is best supported.')
  await ilka.press('Choose its path')
  await ilka.choose('Path', 'Run again')
  await ilka.fill('Reason', 'Visitors ask to see it running')
  await ilka.press('Choose it', 'Choose its path')
  await ilka.sees('Run again: its owner has to agree first.')
  await ilka.choose('Path', 'Conserve as found')
  await ilka.press('Choose it', 'Choose its path')
  await ilka.sees('Path chosen: conserve as found. Visitors ask to see it running.')

  await ilka.press('Write to its owner')
  await ilka.fill('Questions, one a line', 'May we show it running once a year?')
  await ilka.fill('E-mail address', 'the secretary')
  await ilka.press('Write the letter')
  await ilka.sees('write it as somebody@example.org')
  await ilka.fill('E-mail address', 'secretary@keepers.example')
  await ilka.press('Write the letter')
  await ilka.sees(
    'Dear the lighthouse keepers’ trust,',
    'May we show it running once a year?',
    '€120.00 has been spent; you agreed to €120.00',
    'Download as email',
  )
  expect((await ilka.print()).subarray(0, 5).toString()).toBe('%PDF-')
  const href = await ilka.driver.executeScript<string>('return document.querySelector(\'a[href$="/message"]\').getAttribute("href")')
  const message = await application.ask(href, { cookie: await application.cookieOf('maeve') })
  expect(message.headers.get('content-type')).toContain('message/rfc822')
  expect(await message.text()).toContain('To: =?UTF-8')
  expect((await application.ask(href)).status).toBe(401)
})

it('a volunteer neither agrees for the owner nor writes to them', async () => {
  const tag = await application.tagOf('Outer bank')
  await maeve.open(`/m/${tag}?stage=look`)
  await maeve.sees('Letters to its owner')
  for (const words of ['Write to its owner', 'Choose its path']) expect(await maeve.offers(words)).toBe(false)
  const cookie = await application.cookieOf('maeve')
  for (const name of ['record-consent', 'write-to-owner', 'choose-path'])
    expect((await application.ask(`/api/machines/${tag}/${name}`, { method: 'POST', body: {}, cookie })).status).toBe(403)
})
