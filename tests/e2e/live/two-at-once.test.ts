import { beforeAll, expect, it } from 'vitest'
import type { MachineSheet } from '#shared/chapters/index'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka, baraka],
} = atTheBench(['ilka', 'baraka'])
let sheet: string

beforeAll(async () => {
  sheet = `/m/${await application.tagOf('Quay desk')}`
})

it('one sees what the other does, without reloading', async () => {
  await ilka.open(`${sheet}?stage=mend`)
  await baraka.open(`${sheet}?stage=mend`)
  await baraka.sees('Two keyboard columns dead')
  await ilka.press('Report a fault')
  await ilka.fill('Symptom', 'Cursor does not blink')
  await ilka.choose('Does it stop the machine?', 'Yes')
  await ilka.press('Report')
  await baraka.sees('Cursor does not blink')
  await ilka.seesNoMore('not sent')
})

it('a stale edit is offered both versions, and either can be kept', async () => {
  await ilka.open(`${sheet}?stage=look`)
  await baraka.open(`${sheet}?stage=look`)
  for (const visitor of [ilka, baraka]) await visitor.press('Look at Case')
  await ilka.fill('Note', 'glue taken off')
  await baraka.fill('Note', 'hinge is cracked')
  await ilka.press('Save condition')
  await ilka.sees('Case: grade 1, minor. glue taken off.')
  await baraka.press('Save condition')
  await baraka.sees('Ilka Brandvold changed this', 'glue taken off', 'Nothing of yours is lost')
  expect(await baraka.valueOf('Note', 'Condition of Case')).toBe('hinge is cracked')
  await baraka.press('Keep mine')
  await ilka.sees('hinge is cracked')

  // The other way round: taking theirs fills the form with it, and it can be kept as it is.
  await baraka.press('Look at Case')
  await baraka.fill('Note', 'hinge mended')
  await ilka.press('Look at Case')
  await ilka.fill('Note', 'hinge and feet gone')
  await ilka.press('Save condition')
  await baraka.sees('hinge and feet gone')
  await baraka.press('Save condition')
  await baraka.press('Use theirs')
  expect(await baraka.valueOf('Note', 'Condition of Case')).toBe('hinge and feet gone')
})

it('merges what two people found of different facts, and asks in the words of the form where they differ', async () => {
  for (const visitor of [ilka, baraka]) {
    await visitor.open(`${sheet}?stage=make-safe`)
    await visitor.unfold('Facts for power')
  }
  await ilka.choose('Fan', 'Present and free')
  await baraka.choose('Wiring', 'Something not understood')
  await ilka.press('Save answers')
  await baraka.sees('Fan: present and free')
  await baraka.press('Save answers')
  await ilka.sees('Wiring: something not understood', 'Keep off')
  const entered = async () =>
    ((await (await application.ask(`/api/machines/${sheet.slice(3)}`, { cookie: await application.cookieOf('ilka') })).json()) as MachineSheet).power.entered
  expect(await entered()).toMatchObject({ fan: 'present', wiring: 'doubtful' })

  await baraka.choose('Fan', 'Missing or stuck')
  await baraka.choose('Smoke or smell reported', 'Yes, cause found and cleared')
  await ilka.choose('Fan', 'None by design')
  await ilka.choose('Picture tube', 'Open to touch')
  await ilka.press('Save answers')
  await baraka.sees('Picture tube: open to touch')
  await baraka.press('Save answers')
  await baraka.sees('Ilka Brandvold changed this', 'Fan None by design Missing or stuck')
  await baraka.press('Keep mine')
  await ilka.sees('Fan: missing or stuck')
  // Mine was kept where we differed; what a colleague had added stays.
  expect(await entered()).toMatchObject({ fan: 'missing', pictureTube: 'open', smoke: 'traced' })
  await ilka.seesNoMore('not sent')
})

it('finds its way back after the server was restarted', async () => {
  await ilka.open(sheet)
  await ilka.sees('Quay desk')
  await application.restart()
  await baraka.open(`${sheet}?stage=mend`)
  await baraka.press('Report a fault')
  await baraka.fill('Symptom', 'Fan hums')
  await baraka.choose('Does it stop the machine?', 'Yes')
  await baraka.press('Report')
  await ilka.sees('Fault reported: Fan hums')
})

it('keeps what was typed over another page and a reload, for whoever typed it, until it is sent or thrown away', async () => {
  await ilka.open(`${sheet}?stage=mend`)
  await ilka.press('Report a fault')
  await ilka.fill('Symptom', 'Third line of text flickers')
  await ilka.press('Store')
  await ilka.sees('1 not sent')
  await ilka.open(`${sheet}?stage=mend`)
  await ilka.sees('Unsent draft')
  expect(await ilka.valueOf('Symptom')).toBe('Third line of text flickers')
  await baraka.open(`${sheet}?stage=mend`)
  await baraka.sees('Quay desk')
  expect(await baraka.text()).not.toContain('not sent')
  await ilka.choose('Does it stop the machine?', 'Yes')
  await ilka.press('Report')
  await ilka.sees('Fault reported: Third line of text flickers')
  await ilka.seesNoMore('not sent')
  await ilka.press('Report a fault')
  await ilka.fill('Symptom', 'Nothing much')
  await ilka.sees('1 not sent')
  await ilka.open('/store')
  await ilka.press('1 not sent')
  await ilka.press('Discard Report a fault')
  await ilka.seesNoMore('not sent')
  await ilka.open(`${sheet}?stage=mend`)
  await ilka.press('Report a fault')
  expect(await ilka.valueOf('Symptom')).toBe('')
})
