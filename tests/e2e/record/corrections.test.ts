import { Key } from 'selenium-webdriver'
import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])

it('a coordinator overrules the gate with a reason, and the overrule ends when the facts change', async () => {
  await ilka.open(`/m/${await application.tagOf('Outer bank')}?stage=make-safe`)
  await ilka.sees('The line-filter capacitors are the old ones, not cracked.')
  await ilka.show('How it is judged')
  await ilka.press('Overrule the gate')
  await ilka.choose('New verdict', 'Guarded start')
  await ilka.press('Overrule', 'Overrule the gate')
  await ilka.sees('Reason: type something here.')
  await ilka.fill('Reason', 'Owner’s engineer is here with a limited supply')
  await ilka.press('Overrule', 'Overrule the gate')
  await ilka.sees('Overruled by Ilka Brandvold to', 'Guarded start, overruled')
  await ilka.unfold('Facts for power')
  await ilka.choose('Fan', 'Missing or stuck')
  await ilka.press('Save answers')
  await ilka.sees('Overrule of the gate ended: the facts have changed.')
  await ilka.seesNoMore('Guarded start, overruled')
})

it('another school opens or closes the gate, and says so', async () => {
  await ilka.open(`/m/${await application.tagOf('Outer bank')}?stage=make-safe`)
  await ilka.sees('Do not energise it. The reasons are below.')
  await ilka.show('How it is judged')
  await ilka.press('Use baseline first for this machine')
  await ilka.sees('One attended start with limited current', 'How it is judged: baseline first, for this machine')
  await ilka.press('Go back to the school of the collection')
  await ilka.sees('Do not energise it. The reasons are below.')
})

it('a wrong reading is struck with a reason, stays in sight, and no longer counts', async () => {
  await ilka.open(`/m/${await application.tagOf('Ticket hall 2')}?stage=prove`)
  await ilka.choose('Rail', '+5 V')
  await ilka.fill('Reading in volts', '9')
  await ilka.sees('A regulator may pass its input through.')
  await ilka.press('Save reading')
  // A figure at alarm level is asked about once.
  await ilka.press('Yes, save it as it is')
  await ilka.sees('A rail is out of limits.')
  await ilka.press('Strike: Read +5 V: 9 V under load; out of limits.')
  await ilka.fill('Why it is struck', 'probe on the input')
  await ilka.press('Strike', 'Strike the entry')
  await ilka.sees('Struck by Ilka Brandvold: probe on the input', 'Every rail is within limits.')
})

it('a reading that is no number is refused at its field and kept as typed', async () => {
  await ilka.open(`/m/${await application.tagOf('Ticket hall 2')}?stage=prove`)
  await ilka.fill('Reading in volts', 'five')
  await ilka.press('Save reading')
  await ilka.sees('Reading: “five” is not a number. Type a number in V, such as -5.09.')
  expect(await ilka.valueOf('Reading in volts')).toBe('five')
})

it('works with the keyboard alone: finder, stages, help, menu', async () => {
  const type = (...keys: string[]) =>
    ilka.driver
      .actions()
      .sendKeys(...keys)
      .perform()
  await ilka.open('/')
  await ilka.sees('Next moves')
  await type('/')
  await type('sixty passes')
  await ilka.driver.wait(async () => (await ilka.driver.executeScript('return document.querySelectorAll("[role=option]").length')) === 1, 15_000)
  await type(Key.ARROW_DOWN)
  await ilka.driver.wait(() => ilka.driver.executeScript('return document.activeElement.hasAttribute("aria-activedescendant")'), 15_000)
  await type(Key.ENTER)
  await ilka.sees('Now in Mend')
  await type('6')
  await ilka.sees('Viewing Prove')
  await type('f')
  await ilka.driver.wait(
    () => ilka.driver.executeScript('return document.activeElement.closest("form")?.getAttribute("aria-label") === "Report a fault"'),
    15_000,
  )
  await type('?')
  expect(await ilka.valueOf('Symptom')).toBe('?')
  await ilka.open('/store')
  await ilka.sees('24 machines')
  await type('?')
  await ilka.sees('Keys that work here')
  await type(Key.ESCAPE)
  await ilka.seesNoMore('Keys that work here')
})

it('people and practice: added, changed, and refused where it would not do', async () => {
  await ilka.open('/settings')
  await ilka.fill('Numbering', 'SH')
  await ilka.press('Save practice')
  await ilka.sees('The pattern needs a place for the number. Try SH-{year}-{n:3}.')
  await ilka.press('Add a person')
  await ilka.fill('Name', 'Oskar Lehtinen', 'Add a person')
  await ilka.fill('Sign-in name', 'ilka', 'Add a person')
  await ilka.fill('First password', 'a tide table of 1962')
  await ilka.choose('Role', 'Volunteer', 'Add a person')
  await ilka.press('Add', 'Add a person')
  await ilka.sees('ilka is taken. Choose another.')
  await ilka.fill('Sign-in name', 'oskar', 'Add a person')
  await ilka.press('Add', 'Add a person')
  await ilka.sees('Oskar Lehtinen oskar Volunteer')
  const opened = await application.cookieOf('oskar', 'a tide table of 1962')
  expect((await application.ask('/api/parts', { cookie: opened })).status).toBe(200)
  await ilka.press('Change Oskar Lehtinen')
  await ilka.press('Set a new password')
  await ilka.fill('New password', 'a chart of the outer bank')
  await ilka.press('Set it')
  await ilka.seesNoMore('Ends every session')
  expect((await application.ask('/api/parts', { cookie: opened })).status).toBe(401)
  expect((await application.ask('/api/parts', { cookie: await application.cookieOf('oskar', 'a chart of the outer bank') })).status).toBe(200)
  await ilka.press('Close Oskar Lehtinen')
  await ilka.press('Change Ilka Brandvold')
  await ilka.choose('Role', 'Reader', 'Change Ilka Brandvold')
  await ilka.press('Save', 'Change Ilka Brandvold')
  await ilka.sees('there has to be one active coordinator')
})

it('a result is pinned from the tool wall to a machine', async () => {
  const tag = await application.tagOf('Lamp store')
  await ilka.open('/tools/identify/date-code')
  await ilka.fill('As marked on the part', '8241')
  await ilka.select('To which machine', `${tag} Lamp store`)
  await ilka.press('Pin it')
  await ilka.sees(`Pinned to ${tag}`)
  await ilka.open(`/m/${tag}`)
  await ilka.sees('Date code: Most likely week 41 of 1982.')
})
