import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua],
} = atTheBench(['rua'])

it('a part is wanted with what hangs on it, lived without once something else does, and found', async () => {
  const mend = `/m/${await application.tagOf('Harbour office')}?stage=mend`
  await rua.open(mend)
  await rua.press('Add a part')
  await rua.fill('Part', 'Sound chip', 'Add a part')
  await rua.choose('What it stops', 'One function', 'Add a part')
  await rua.press('Add to the list', 'Add a part')
  await rua.sees('Which function: say it in a word, such as sound.')
  await rua.fill('Which function', 'Sound', 'Add a part')
  await rua.fill('For which place', 'main board, IC7', 'Add a part')
  await rua.pick('Who looks for it', 'Rua Tamihana', 'Add a part')
  await rua.press('Add to the list', 'Add a part')
  await rua.sees('Without it there is no sound', 'For main board, IC7; Rua Tamihana looks for it')
  await rua.press('Change Sound chip')
  await rua.choose('What it stops', 'A start', 'Change what is wanted')
  await rua.press('Save', 'Change what is wanted')
  await rua.sees('Cannot be started without it')
  await rua.open('/parts')
  await rua.sees('A start depends on them', 'Sound chip', 'For main board, IC7', 'Rua Tamihana')
  await rua.open(mend)
  await rua.sees('Find Sound chip')
  await rua.press('Change Sound chip')
  await rua.fill('Until then', 'a socket left empty', 'Change what is wanted')
  await rua.press('Save', 'Change what is wanted')
  await rua.sees('Cannot be started without it; until then: a socket left empty')
  // What was just saved can be undone in a line at the bottom, which lies over whatever is there.
  await rua.driver.executeScript('window.scrollTo(0, 0)')
  expect(await rua.violations()).toEqual([])
  expect(await application.historyOf('Harbour office')).toContain('until then: a socket left empty')
})
