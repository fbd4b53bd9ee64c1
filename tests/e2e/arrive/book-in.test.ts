import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  visitors: [baraka],
} = atTheBench(['baraka'])

it('every field says what was wrong, and keeps what was typed', async () => {
  await baraka.open('/book-in')
  await baraka.press('Book in', 'Book in')
  await baraka.sees('Model or description: type something here.', 'How it came: choose one from the list.', 'From whom: type something here.')

  const long = (n: number) => 'x'.repeat(n + 1)
  const wrong: [label: string, typed: string, message: string][] = [
    ['Model or description', long(80), 'Model or description: at most 80 characters'],
    ['Maker', long(80), 'Maker: at most 80 characters'],
    ['Nickname', long(60), 'Nickname: at most 60 characters'],
    ['Serial number', long(60), 'Serial number: at most 60 characters'],
    ['Weight', 'heavy', 'Weight: “heavy” is not a number. Type a number in kg, such as 12.5.'],
    ['Location', long(120), 'Location: at most 120 characters'],
    ['From whom', long(120), 'From whom: at most 120 characters'],
    ['Last powered', 'last year', 'Last powered: write a year, month or day, such as 1998'],
    ['By whom', long(120), 'By whom: at most 120 characters'],
    ['What happened', long(500), 'What happened: at most 500 characters'],
    ['Claims, one a line', long(500), 'Claim: at most 500 characters'],
    ['What came with it, one a line', long(120), 'What came with it: at most 120 characters'],
  ]
  for (const [label, typed] of wrong) await baraka.fill(label, typed)
  await baraka.press('Add a marking')
  await baraka.fill('Marking 1', '8253')
  await baraka.press('Book in', 'Book in')
  for (const [label, typed, message] of wrong) {
    await baraka.sees(message)
    expect(await baraka.valueOf(label)).toBe(typed)
  }
  await baraka.sees('1982 has only 52 weeks')
  expect(await baraka.valueOf('Marking 1')).toBe('8253')

  // A lent machine needs an owner's name; a day that has not come is refused by the server, at the field.
  const right: [string, string][] = [
    ['Model or description', 'Gannet'],
    ['Maker', 'Pentreath Micro'],
    ['Nickname', 'Slipway'],
    ['Serial number', ''],
    ['Weight', '9.5'],
    ['Location', ''],
    ['From whom', 'a ferry captain'],
    ['Last powered', '2999'],
    ['By whom', ''],
    ['What happened', ''],
    ['Claims, one a line', 'untested'],
    ['What came with it, one a line', 'Mains lead'],
    ['Marking 1', '8235'],
  ]
  for (const [label, typed] of right) await baraka.fill(label, typed)
  await baraka.choose('How it came', 'Lent to us')
  await baraka.press('Book in', 'Book in')
  await baraka.sees('needs its owner’s name')
  await baraka.fill('Whose it is', 'the ferry captain')
  await baraka.press('Book in', 'Book in')
  await baraka.sees('that day has not come yet')
  expect(await baraka.valueOf('Nickname')).toBe('Slipway')
  await baraka.fill('Last powered', '2001-07')
  await baraka.press('Book in', 'Book in')
  await baraka.sees('Lent to us, from a ferry captain', 'Sisters in the collection')
})

it('a model typed in another spelling is offered as it is known, with its maker', async () => {
  await baraka.open('/book-in')
  await baraka.fill('Model or description', 'petrel-8')
  await baraka.sees('There is a Petrel 8 by Tarnwick Instruments, spelt a little differently.')
  await baraka.press('It is a Petrel 8')
  expect([await baraka.valueOf('Model or description'), await baraka.valueOf('Maker')]).toEqual(['Petrel 8', 'Tarnwick Instruments'])
  await baraka.seesNoMore('spelt a little differently')
})
