import { describe, expect, it } from 'vitest'
import { claimKindOf, proposedClaimKind } from './claim-outcomes'
import { readDateCode } from './date-code'
import { dateMachine } from './dating'

// Common practice, no source; calendars by ISO 8601.
const years = { earliestYear: 1975, latestYear: 1995 }
const read = (code: string) => readDateCode({ code, ...years }).readings.map(r => `${r.format} ${r.read}`)

describe('a marking', () => {
  it('that stands on a part twice is read once', () => {
    expect(read('8235 8235')).toEqual(read('8235'))
    expect(read('8235 8236').length).toBeGreaterThan(read('8235').length)
  })
  it('that is the last or the first year that may be is that year, and no other beside', () => {
    const isYear = (marking: string) => read(marking).includes(`year ${marking}`)
    expect([isYear('1975'), isYear('1995'), isYear('1974'), isYear('1996')]).toEqual([true, true, false, false])
  })
  it('of week 0 or 54 is none, of week 53 only in years that have one', () => {
    const week = (marking: string) => read(marking).includes(`year-week ${marking}`)
    // By ISO 8601 1981 has 53 weeks, and 1982 has 52.
    expect([week('8153'), week('8253'), week('8252'), week('8200'), week('8254'), week('8201')]).toEqual([true, false, true, false, false, true])
  })
})

describe('a date', () => {
  const codes = (...of: string[]) => of.map((code, i) => ({ code, place: `IC${i + 1}` }))
  it('says what it rests on, or that only the bounds tell', () => {
    const made = (input: Parameters<typeof dateMachine>[0]) =>
      dateMachine(input)
        .findings.find(f => f.code === 'dating.made')!
        .because.join(' ')
    expect(made({ codes: codes('8235', '8240') })).toContain('The youngest original part, 8240 on IC2, reads week 40 of 1982.')
    const bounds = [
      { why: 'a label', notBefore: '1983-01-01' },
      { why: 'an invoice', notAfter: '1983-06-01' },
    ]
    expect(made({ codes: [], bounds })).toContain('Only the bounds tell.')
  })
  it('that is open says so of original parts, or that there is none', () => {
    const open = (input: Parameters<typeof dateMachine>[0]) => dateMachine(input).findings.find(f => f.code === 'dating.open')?.says
    expect(open({ codes: [], bounds: [{ why: 'a label', notBefore: '1983-01-01' }] })).toBe('No original part tells when it was made.')
  })
  it('of a part later than a bound allows is told with what it reads and which bound that is', () => {
    const { findings, leftOut } = dateMachine({ codes: codes('8235', '9001'), bounds: [{ why: 'an invoice', notAfter: '1985-01-01' }] })
    expect(findings.find(f => f.code === 'dating.later-than-bound')!.because).toEqual([
      'It reads week 1 of 1990.',
      'Not after 1 Jan 1985: an invoice.',
      'Look at it for rework, or doubt the bound.',
    ])
    expect(leftOut).toHaveLength(1)
  })
})

it('a claim is what somebody said it is, else what the first of its words proposes', () => {
  expect(proposedClaimKind('It smoked, and is dead now')).toBe('smoke')
  expect(proposedClaimKind('Dead')).toBe('dead')
  expect(proposedClaimKind('A fine machine indeed')).toBeNull()
  expect([claimKindOf({ says: 'Dead', kind: null }), claimKindOf({ says: 'Dead', kind: 'other' }), claimKindOf({ says: 'Dead', kind: 'smoke' })]).toEqual([
    'dead',
    'other',
    'smoke',
  ])
})

describe('bounds beside the parts', () => {
  const parts = ['8235', '8236', '8240'].map(code => ({ code }))
  it('that the parts contradict are told with what they read, and no date is made', () => {
    const { interval, findings } = dateMachine({ codes: parts, bounds: [{ why: 'a label', notBefore: '1990-01-01' }] })
    expect(interval).toBeNull()
    expect(findings.find(f => f.code === 'dating.bound-contradicts')!.because).toEqual([
      expect.stringMatching(/^The youngest part reads week 40 of 1982, so it was made before 198\d-\d\d-\d\d\.$/) as string,
      'Not before 1 Jan 1990: a label.',
      'Doubt the bound, or look for parts that were not read.',
    ])
  })
  it('narrow what the parts say, from either side, and from the day itself on', () => {
    const of = (bound: object) => dateMachine({ codes: parts, bounds: [{ why: 'a label', ...bound }] }).interval!
    const { notBefore, notAfter } = dateMachine({ codes: parts }).interval!
    expect(of({ notBefore: '1982-11-01' })).toEqual({ notBefore: '1982-11-01', notAfter })
    expect(of({ notBefore: '1981-01-01' })).toEqual({ notBefore, notAfter })
    expect(of({ notAfter: '1982-11-01' })).toEqual({ notBefore, notAfter: '1982-11-01' })
    expect(of({ notAfter: '1999-01-01' })).toEqual({ notBefore, notAfter })
    expect(of({ notBefore: notAfter })).toEqual({ notBefore: notAfter, notAfter })
  })
})

describe('what is said of a date', () => {
  const found = (codes: string[], more: object = {}) =>
    Object.fromEntries(dateMachine({ codes: codes.map(code => ({ code })), ...more }).findings.map(f => [f.code, f]))
  it('names a quarter that is most likely where parts tell, and none where the bounds alone do', () => {
    expect(found(['8235', '8236', '8240'])['dating.made']!.says).toMatch(/^Made between \d+ \w{3} 1982 and \d+ \w{3} 198\d, most likely in \w+ to \w+ 198\d\.$/)
    const bounds = [
      { why: 'a label', notBefore: '1983-01-01' },
      { why: 'an invoice', notAfter: '1983-06-01' },
    ]
    expect(found([], { bounds })['dating.made']).toMatchObject({ level: 'note', says: 'Made between 1 Jan 1983 and 1 Jun 1983.' })
    expect([found(['8235', '8236', '8237', '8240'])['dating.made']!.level, found(['8235'])['dating.made']!.level]).toEqual(['fine', 'care'])
  })
  it('that a code has other readings, only where it has', () => {
    const codes = (code: string) => readDateCode({ code, ...years }).findings.map(f => f.code)
    expect(codes('8235')).not.toContain('date-code.alternatives')
    expect(codes('8210')).toContain('date-code.alternatives')
  })
})
