import { describe, expect, it } from 'vitest'
import { readDateCode } from './date-code'
import { dateMachine } from './dating'
import { lookAlikes } from './look-alike'

const many = (...codes: string[]) => codes.map(code => ({ code }))
const found = (...of: Parameters<typeof dateMachine>) => Object.fromEntries(dateMachine(...of).findings.map(f => [f.code, f]))

// Common practice, no source: up to two in sockets more than a year younger were changed; what is soldered in decides, with a warning where years lie between.
describe('the youngest parts of a machine', () => {
  const old = many('8012', '8015', '8020')
  const late = (codes: string[], socketed = false) => codes.map((code, i) => ({ code, place: `IC${i + 1}`, socketed }))
  it('that stand apart are named by their number and their places', () => {
    const says = (codes: string[]) => found({ codes: [...old, ...late(codes)] })['dating.lone-youngest']?.says
    expect(says(['8522'])).toBe('8522 on IC1 stands apart, years after the others, and decides the date.')
    expect(says(['8522', '8523'])).toBe('8522 on IC1 and 8523 on IC2 stand apart, years after the others, and decide the date.')
    expect(says(['8118'])).toBeUndefined()
    expect(found({ codes: [...old, ...many('8522')] })['dating.lone-youngest']!.says).toMatch(/^8522 stands/)
  })
  it('that sit in sockets are left out, one or two of them, and say so', () => {
    const left = (codes: string[]) => dateMachine({ codes: [...old, ...late(codes, true)] }).leftOut.map(l => l.why)
    expect(left(['8522'])).toEqual(['In a socket, and more than a year younger than every other part: changed later.'])
    expect(left(['8522', '8523'])).toEqual(
      Array.from({ length: 2 }, () => 'In a socket, and more than a year younger than every other part but one: changed later.'),
    )
    expect(left(['8522', '8523', '8524'])).toEqual([])
    expect(found({ codes: [...old, ...late(['8522', '8523', '8524'], true)] })['dating.two-dates']!.says).toBe(
      'The parts tell two dates: 3 up to week 20 of 1980, and 3 from week 22 of 1985 on.',
    )
  })
})

describe('bounds', () => {
  const bound = (more: object) => ({ why: 'the board says so', ...more })
  it('that contradict each other are told with both their reasons, and one alone dates nothing', () => {
    const both = found({ codes: [], bounds: [bound({ notBefore: '1983-01-02', why: 'its label' }), bound({ notAfter: '1983-01-01', why: 'an invoice' })] })
    expect(both['dating.bounds-contradict']!.because).toEqual(['Not before 2 Jan 1983: its label.', 'Not after 1 Jan 1983: an invoice.'])
    expect(found({ codes: [], bounds: [bound({ notBefore: '1983-01-01' }), bound({ notAfter: '1983-01-01' })] })['dating.made']).toBeDefined()
    expect(found({ codes: [], bounds: [bound({ notBefore: '1983-01-01' })] })['dating.open']).toBeDefined()
    expect(found({ codes: [], bounds: [bound({ notAfter: '1983-01-01' })] })['dating.open']).toBeDefined()
  })
  it('of one kind alone are taken; none, or the wrong way round, are not', () => {
    expect(() => dateMachine({ codes: [], bounds: [bound({})] })).toThrow('needs a day')
    expect(() => dateMachine({ codes: [], bounds: [bound({ notBefore: '1983-01-02', notAfter: '1983-01-01' })] })).toThrow('ends before it begins')
    expect(() => dateMachine({ codes: [], bounds: [bound({ notBefore: '1983-01-01', notAfter: '1983-01-01' })] })).not.toThrow()
    expect(() => dateMachine({ codes: [], bounds: [bound({ notBefore: '1983-13-01' })] })).toThrow('Write a day')
    expect(() => dateMachine({ codes: [], bounds: [bound({ notAfter: 'May 1983' })] })).toThrow('Write a day')
  })
  it('leave weeks in stock from none to two years', () => {
    for (const lag of [0, 104]) expect(() => dateMachine({ codes: many('8235'), assemblyLagWeeks: lag })).not.toThrow()
    for (const lag of [-1, 105, NaN]) expect(() => dateMachine({ codes: many('8235'), assemblyLagWeeks: lag })).toThrow('between 0 and 104')
  })
})

it('a date rests on few parts until there are enough, and is held against the years of its model', () => {
  expect(found({ codes: many('8235') })['dating.few']!.says).toBe('It rests on a single part.')
  expect(found({ codes: many('8235', '8236') })['dating.few']!.says).toBe('It rests on 2 parts.')
  const years = (madeFrom?: number, madeTo?: number) => found({ codes: many('8235', '8236', '8237', '8238'), madeFrom, madeTo })['dating.model-years']
  expect([years(1982, 1982)?.level, years(1983)?.level, years(1984)?.level, years(undefined, 1981)?.level, years()?.level]).toEqual([
    'note',
    'note',
    'care',
    'care',
    undefined,
  ])
  expect([years(1980)!.because[0], years(undefined, 1990)!.because[0], years(1980, 1990)!.because[0]]).toEqual([
    'The model was made from 1980.',
    'The model was made to 1990.',
    'The model was made from 1980 to 1990.',
  ])
})

it.each<[string, [number, number], boolean]>([
  ['1900 to 2100', [1900, 2100], true],
  ['from 1899', [1899, 2000], false],
  ['to 2101', [1980, 2101], false],
  ['half years', [1980.5, 2000], false],
  ['one year', [1982, 1982], true],
  ['the wrong way round', [1983, 1982], false],
])('a code is read within %s: %s', (_, [earliestYear, latestYear], taken) => {
  const read = () => readDateCode({ code: '8235', earliestYear, latestYear })
  if (taken) expect(read().readings[0]).toMatchObject({ isoWeek: '1982-W35' })
  else expect(read).toThrow()
})

it('names look alike within a letter in five of the longer one', () => {
  expect(lookAlikes('Brackmere', ['Brackmore', 'Brackmoor', 'Brakmere'])).toEqual(['Brackmore', 'Brakmere'])
  // Ten letters and eleven: two may differ of ten, and of nine one.
  expect(lookAlikes('Tarnwickab', ['Tarnwickcd'])).toEqual(['Tarnwickcd'])
  expect(lookAlikes('Tarnwicka', ['Tarnwickcd'])).toEqual(['Tarnwickcd'])
  expect(lookAlikes('Tarnwicks', ['Tarnwyckx'])).toEqual([])
  expect(lookAlikes('ab', ['ab.'])).toEqual([])
  expect(lookAlikes('abc', ['ABC', 'abc'])).toEqual(['ABC'])
})
