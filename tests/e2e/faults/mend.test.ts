import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Key } from 'selenium-webdriver'
import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [joaquim],
} = atTheBench(['joaquim'])

/** Presses what is in a test, then how it came out; what already stands for it is left. */
async function trial(inside: string[], outside: string[], outcome: string) {
  for (const [names, wanted] of [
    [outside, 'false'],
    [inside, 'true'],
  ] as const)
    for (const name of names)
      await joaquim.driver.executeScript(
        `const b = [...document.querySelectorAll('[aria-label="Parts"] button')].find(e => e.innerText.trim().startsWith(arguments[0])); if (b.getAttribute('aria-pressed') !== arguments[1]) b.click()`,
        name,
        wanted,
      )
  await joaquim.press(outcome)
}

it('a fault with two dead chips: a theory falls to equipment that is known good, swaps find both, and its cause is offered on a sister', async () => {
  await joaquim.open(`/m/${await application.tagOf('Schoolroom C')}?stage=mend`)
  await joaquim.fill('Symptom', 'Nothing on the screen', 'Report a fault')
  await joaquim.show('Words it is found again by')
  await joaquim.press('no picture')
  await joaquim.choose('Does it stop the machine?', 'Yes')
  await joaquim.press('Report')
  await joaquim.sees('Stops the machine')
  await joaquim.driver.executeScript('window.scrollTo(0, 0)')
  expect(await joaquim.violations()).toEqual([])

  await joaquim.press('Add a theory')
  for (const [label, words] of [
    ['It may be', 'The set is off its channel'],
    ['Why', 'It was so before'],
    ['What would refute it', 'Another set shows nothing either'],
  ])
    await joaquim.fill(label!, words!, 'Add a theory')
  await joaquim.press('Save theory')
  await joaquim.press('Judge it: The set is off its channel')
  await joaquim.fill('What shows it', 'A second set is dark too')
  await joaquim.press('Save judgement')
  await joaquim.sees('Check the checker')
  await joaquim.tick('The equipment used in that test is known to be good')
  await joaquim.press('Save judgement')
  await joaquim.sees('Refuted: A second set is dark too')

  await joaquim.show('Swap board')
  await joaquim.sees('Begin with the parts of this machine')
  for (const [name, kind, place, good] of [
    ['Board', 'Main board', '', false],
    ['Old video', 'Custom chip', 'video', false],
    ['Good video', 'Custom chip', 'video', true],
    ['Old ROM', 'ROM', 'rom', false],
    ['Good ROM', 'ROM', 'rom', true],
  ] as const) {
    await joaquim.fill('Part', name, 'Add a part to the board')
    await joaquim.select('It is a', kind)
    await joaquim.fill('Replaces', place, 'Add a part to the board')
    if (good) await joaquim.tick('Known good', 'Add a part to the board')
    await joaquim.press('Add part')
    await joaquim.driver.wait(() => joaquim.offers(`Remove ${name} from the board`), 10_000)
  }
  await trial(['Board', 'Old video', 'Old ROM'], [], 'It fails')
  await joaquim.sees('explanations are left')
  await trial(['Good video', 'Old ROM'], [], 'It fails')
  await joaquim.sees('Swap board: 2 tests')
  await trial(['Old video', 'Good ROM'], [], 'It fails')
  await joaquim.sees('Swap board: 3 tests')
  await trial(['Good video', 'Good ROM'], [], 'It works')
  // One run in which it worked says little of what fails now and then.
  await joaquim.sees('the likeliest is Old video and Old ROM', 'What worked is not dead; that it never fails is not shown by one run.')
  for (const tests of [5, 6]) {
    await joaquim.press('Use this for the next test')
    await joaquim.press('It works')
    await joaquim.sees(`Swap board: ${tests} tests`)
  }
  await joaquim.sees('Most likely: Old video and Old ROM.', 'Hardly a single part explains all of it.')

  await joaquim.press('Add a repair')
  await joaquim.fill('What was done', 'Both from the shelf', 'Add a repair')
  await joaquim.fill('What it was', 'Video chip and ROM dead', 'Add a repair')
  await joaquim.flip('It closed the fault', 'Add a repair')
  await joaquim.press('Save repair')
  await joaquim.sees('It was: Video chip and ROM dead')

  await joaquim.open(`/m/${await application.tagOf('Schoolroom B')}?stage=mend`)
  await joaquim.fill('Symptom', 'Dark', 'Report a fault')
  await joaquim.show('Words it is found again by')
  await joaquim.press('no picture')
  await joaquim.choose('Does it stop the machine?', 'Yes')
  await joaquim.press('Report')
  await joaquim.sees('Video chip and ROM dead', 'right 1 of 1 times')
})

it('the board on the tool wall tells two drives from one controller', async () => {
  await joaquim.open('/tools/diagnosis/swap')
  await joaquim.sees('4 explanations are left; the likeliest is Controller.', 'put in Controller of a sister for Controller.')
  await joaquim.press('Use this for the next test')
  await joaquim.press('It works')
  await joaquim.sees('As it stands on the bench: run it 3 times more.')
  await joaquim.press('Use this for the next test')
  await joaquim.press('It works')
  await joaquim.sees('Most likely: Controller.')
  await joaquim.press('Remove test 4')
  await joaquim.press('Remove test 3')
  await joaquim.sees('4 explanations are left')
})

it('dead columns are found on the drawn keyboard, a failing address is told its chip, an address is turned, and the ladder says what is next', async () => {
  await joaquim.open('/tools/diagnosis/keyboard-matrix')
  await joaquim.sees('Faults that explain it', 'Line C3: high.', 'Line C4 as a whole', 'The electronics answer')
  await joaquim.press('D: fails')
  await joaquim.press('D: sticks')
  await joaquim.press('D: untested')
  await joaquim.sees('Line C4 is gone beyond D.')
  await joaquim.press('Listen to a real keyboard')
  await joaquim.keys('f', Key.ESCAPE)
  await joaquim.sees('Heard: F')

  await joaquim.open('/tools/diagnosis/memory-fault')
  await joaquim.sees('IC14 in bank-1, bit 3, stuck at 1.')
  await joaquim.fill('Address, expected, read', '4000 55 5D\n8000 55 5D')
  await joaquim.sees('Bit 3 fails in 2 banks: its data line or its buffer.')
  await joaquim.fill('Address, expected, read', '4000 55 155')
  await joaquim.sees('has more than 8 bits')

  await joaquim.open('/tools/diagnosis/address-map')
  await joaquim.sees('4,088 KB', 'input and output', '3FFF70')
  await joaquim.fill('An address', '9')
  await joaquim.sees('is no octal number')

  await joaquim.open('/tools/signals/capture')
  await joaquim.sees('Code is being executed.', 'toggles, regularly')
  await joaquim.select('Or made up, for practice', 'two data lines joined')
  await joaquim.sees('D2 and D3 change in step.')
  const file = join(application.folder, 'broken.vcd')
  writeFileSync(file, `$var wire 1 ! D0 $end $enddefinitions $end\n#0\n0!\nrubbish\n#900\n1!`)
  await joaquim.giveFiles('From a file', file)
  await joaquim.sees('Line 4:', 'Too few changes to say whether code is being executed.')

  await joaquim.open('/tools/diagnosis/ladder')
  await joaquim.sees('Next: clock.')
  for (const one of ['Every rail is in order, under load', 'Well-formed characters in random places', 'A key is answered']) await joaquim.press(one)
  await joaquim.sees('Next: rails.')
  await joaquim.driver.executeScript('window.scrollTo(0, 0)')
  expect(await joaquim.violations()).toEqual([])
})

it('instruments at a fault know its model, their verdict is kept, and a capture is seen again', async () => {
  await joaquim.open(`/m/${await application.tagOf('Quay desk')}?stage=mend`)
  await joaquim.sees('Keyboard matrix: The electronics answer')
  await joaquim.show('Ladder, keyboard, memory, captures')
  await joaquim.select('Instrument', 'Keyboard matrix')
  for (const key of ['4', 'R', 'F', 'V']) {
    await joaquim.press(`${key}: untested`)
    await joaquim.press(`${key}: works`)
  }
  await joaquim.sees('Line C4 as a whole')
  await joaquim.fill('Columns with their keys, from the connector on', 'C1: 1\nC2')
  await joaquim.sees('Line 2: the column, a colon, then its keys')
  await joaquim.fill('Columns with their keys, from the connector on', 'C1: 1 Q\nC2: 2 W')
  await joaquim.press('Save this map with the model')
  await joaquim.seesNoMore('Save this map with the model')
  await joaquim.press('Save as an attempt')
  await joaquim.sees('keyboard', 'No key is said to fail yet.')

  await joaquim.open(`/m/${await application.tagOf('Radio hut')}?stage=mend`)
  await joaquim.press('A start that did not come')
  await joaquim.sees('Code is being executed', '/RESET is active')
})

it('a soak is tallied by presses, goes on after a reload and a restart, and is decided as it runs', async () => {
  await joaquim.open('/tools/retest/soak')
  await joaquim.sees('299', 'Go on: 179 clean passes are left.')
  await joaquim.press('It failed')
  await joaquim.sees('Not cured.')

  const path = `/m/${await application.tagOf('Schoolroom C')}?stage=prove`
  await joaquim.open(path)
  await joaquim.unfold('Soak')
  await joaquim.press('Begin a soak')
  for (const [label, words] of [
    ['What runs', 'Memory test, cover on'],
    ['Failures before', '1'],
    ['Passes before', '1'],
  ])
    await joaquim.fill(label!, words!, 'Begin a soak')
  await joaquim.press('Start')
  await joaquim.sees('what always fails needs no soak')
  await joaquim.fill('Passes before', '20', 'Begin a soak')
  await joaquim.press('Start')
  await joaquim.sees('380 clean passes are wanted.', 'Soak not finished: Memory test, cover on.')
  await joaquim.press('It passed')
  await joaquim.sees('Go on: 379 clean passes are left.')
  // Pressed beside what was meant, and taken back at once.
  await joaquim.press('It failed')
  await joaquim.mayUndo('A failed pass counted.')
  await joaquim.sees('Not cured.')
  await joaquim.press('Undo')
  await joaquim.sees('Undone.', 'Go on: 379 clean passes are left.')
  await application.restart()
  await joaquim.open(path)
  await joaquim.sees('Go on: 379 clean passes are left.')
  await joaquim.press('Add many passes')
  await joaquim.fill('Passes', '379', 'Add many passes')
  await joaquim.press('Add')
  await joaquim.sees('Believable as cured, at 95 %.', 'Soak passed: Memory test, cover on.')
  await joaquim.press('It failed')
  await joaquim.sees('Not cured.', 'Soak failed: Memory test, cover on.')
  await joaquim.driver.executeScript('window.scrollTo(0, 0)')
  expect(await joaquim.violations()).toEqual([])
})
