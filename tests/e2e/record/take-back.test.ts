import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])

it('an act of one press is undone by the next', async () => {
  await ilka.open(`/m/${await application.tagOf('Slipway')}`)
  await ilka.press('Take off the bench')
  await ilka.mayUndo('Taken off the bench.')
  await ilka.press('Undo')
  await ilka.sees('Undone.')
  // The key does the same.
  await ilka.press('Take off the bench')
  await ilka.mayUndo('Taken off the bench.')
  await ilka.driver.executeScript('document.activeElement.blur()')
  await ilka.keys('u')
  await ilka.sees('Undone.')
  await ilka.press('Take off the bench')
})

it('what was wanted is wanted again when it was settled by a press too many', async () => {
  await ilka.open(`/m/${await application.tagOf('Slipway')}?stage=mend`)
  await ilka.press('Add a part')
  await ilka.fill('Part', 'Rubber foot', 'Add a part')
  await ilka.press('Add to the list')
  await ilka.press('Found and fitted', 'Parts wanted')
  await ilka.mayUndo('Found and fitted.')
  await ilka.press('Undo')
  await ilka.sees('Undone.')
  await ilka.press('No longer needed', 'Parts wanted')
  await ilka.mayUndo('No longer needed.')
})

it('a reading that was typed wrongly is struck beside where it was saved, and stays in the history as struck', async () => {
  await ilka.size(390, 844)
  await ilka.open(`/m/${await application.tagOf('Harbour office')}`)
  await ilka.press('Reading')
  await ilka.fill('Reading in volts', '11.47', 'Reading')
  await ilka.press('Save reading', 'Reading')
  await ilka.mayUndo('11.47 V')
  await ilka.press('Undo')
  await ilka.sees('Undone.')
  expect(await application.historyOf('Harbour office')).toContain('Taken back at once')
})
