import { describe, expect, it } from 'vitest'
import { sayings } from '../../tests/support/sayings'
import { sayingsAgain } from '../../tests/support/sayings-again'
import { sayingsThird } from '../../tests/support/sayings-third'
import { readForHazards } from './free-text'

const heard = (text: string) => readForHazards(text).map(h => h.kind as string)

// When they were first read, before anything was learned from them: 95 of 95 in the first list, which is by whoever wrote the reader, just before;
// 21 of 55 in the second; 43 of 58 in the third, after the second had been learned from. Of what is new, one in four will be missed.
describe.each([
  ['first', sayings],
  ['second', sayingsAgain],
  ['third', sayingsThird],
] as const)('sayings, the %s list', (_, list) => {
  it('is heard as a careful colleague would hear it, but for some', () => {
    const wanted = list.flatMap(([says, ...kinds]) => kinds.map(kind => ({ says, kind })))
    const missed = wanted.filter(({ says, kind }) => !heard(says).includes(kind)).map(({ says, kind }) => `${kind}: ${says}`)
    const quiet = list.filter(([, ...kinds]) => !kinds.length)
    const wrongly = quiet.filter(([says]) => heard(says).length).map(([says]) => `${heard(says).join()}: ${says}`)
    expect(missed.length / wanted.length, missed.join('\n')).toBeLessThan(0.1)
    expect(wrongly.length / quiet.length, wrongly.join('\n')).toBeLessThan(0.1)
  })
})

it('a denial reaches as far as its clause, a question and an instruction say nothing has happened', () => {
  expect(heard('No smoke, but it got wet')).toEqual(['liquid'])
  expect(heard('It was not the fuse: the battery has leaked')).toEqual(['battery'])
  expect(heard('Has it ever smoked?')).toEqual([])
  expect(heard('Why did it smoke?')).toEqual(['smoke'])
  expect(heard('If it smokes, switch it off')).toEqual([])
  expect(heard('The fan was replaced')).toEqual([])
  expect(readForHazards('He says it smoked. Then it rained in.')).toEqual([
    { kind: 'smoke', sentence: 'He says it smoked.', words: 'smoked', hearsay: true },
    { kind: 'liquid', sentence: 'Then it rained in.', words: 'rained', hearsay: false },
  ])
})

it('reads the longest text that can be typed, and what is no text', () => {
  const long = ['fan '.repeat(50_000), `${'c1 '.repeat(9000)}leak`, 'a'.repeat(100_000), '\u202e\u0000!?!?', 'not '.repeat(9000)]
  expect(long.map(text => readForHazards(text).length).every(n => n <= 2)).toBe(true)
})
