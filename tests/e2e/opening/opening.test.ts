import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [rua],
} = atTheBench(['rua'])

it('a machine is opened in writing and put together again, and one screw missing is found out', async () => {
  await rua.open(`/m/${await application.tagOf('Radio hut')}?stage=look`)
  await rua.press('Add a step')
  const undo = 'Add a step'
  await rua.fill('What was undone', 'Lid off', undo)
  await rua.press('Add fixings', undo)
  await rua.fill('Length, mm', '12', undo)
  await rua.fill('What hides here', 'one screw under the label', undo)
  await rua.press('Save step', undo)
  await rua.sees('Opened, step 1: Lid off (4 × 12 mm pan, cross).')

  await rua.fill('What was undone', 'Board out', undo)
  await rua.press('Add fixings', undo)
  await rua.press('+ one more', undo)
  await rua.fill('Length, mm', 'short', undo)
  await rua.press('Save step', undo)
  await rua.sees('“short” is not a number')
  expect(await rua.valueOf('What was undone', undo)).toBe('Board out')
  await rua.fill('Length, mm', '6', undo)
  // The first cell is taken, so the next one offered itself.
  expect(await rua.valueOf('Tray cell', undo)).toBe('B')
  await rua.fill('Connectors and how they sit, one a line', 'Keyboard tail: printed side to the board', undo)
  await rua.press('Save step', undo)
  await rua.sees('9 fixings out, 0 counted back.', '9 of 9 fixings lie in trays: A, B.')

  await rua.press('Reassembly')
  const order = await rua.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(\'ol[aria-label="Reassembly"] > li\')].map(li => li.innerText.replace(/\\s+/g, " ").trim())',
  )
  expect(order.map(line => line.split(':')[1]?.trim().slice(0, 7))).toEqual(['Board o', 'Lid off'])
  await rua.press('Another count in step 2')
  await rua.fill('Back of 5 × 6 mm pan, cross', '4')
  await rua.press('Counted')
  await rua.show('1 of 5 missing: 1 × 6 mm pan, cross.')
  await rua.sees('a loose screw shorts whatever it touches')
  await rua.press('All 4 back in step 1')
  await rua.show('Together again, but the count does not come out even in every step.')
  await rua.sees('8 of 9 fixings went back.')
  // It is the first thing to do about this machine, until it turns up.
  expect(await rua.driver.executeScript<string>('return document.querySelector("aside ol li").innerText')).toContain('1 of 5 missing')
  await rua.sees('to Keep off: 1 of 5 missing: 1 × 6 mm pan, cross.')
  await rua.press('Count again in step 2')
  await rua.fill('Back of 5 × 6 mm pan, cross', '5')
  await rua.press('Counted')
  await rua.sees('Together again, every fixing counted back.')
})

it('the record of a sister is taken over and done step by step', async () => {
  await rua.open(`/m/${await application.tagOf('Car deck')}?stage=look`)
  await rua.sees('Ticket hall 1, of the same model, has been opened before: 3 steps.')
  await rua.press('Take over its record')
  await rua.sees('Opening record of')
  await rua.press('Do this step number 1')
  await rua.press('+ one more', 'Step of the opening')
  await rua.press('Undone, as written here')
  await rua.sees('5 fixings out, 0 counted back.')
})

it('what somebody did before is logged as found, and settled only with a reason', async () => {
  await rua.press('Log an intervention')
  await rua.choose('Kind', 'Lifted leg', 'Log an intervention')
  await rua.fill('Where exactly', 'memory chip 3, pin 8', 'Log an intervention')
  await rua.press('Save')
  await rua.sees('Understand what was done to it before: 1')
  await rua.press('Say what it is at memory chip 3, pin 8')
  await rua.choose('State', 'Understood')
  await rua.press('Save', 'Say what it is')
  await rua.sees('Why: type something here.')
  await rua.fill('Why it was done, or why it was undone', 'To take the chip out of the circuit')
  await rua.press('Save', 'Say what it is')
  await rua.seesNoMore('Understand what was done to it before')
})
