import { describe, expect, it } from 'vitest'
import { readDateCode } from './date-code'
import { type DatedPart, type DatingInput, dateMachine } from './dating'
import { claimKindOf, claimOutcomes, proposedClaimKind } from './claim-outcomes'
import { compareKit, isMedia } from './kit'
import { lookAlikes } from './look-alike'
import { numberOf, tagFrame, tagOf } from './tag'
import { isTypeNumber } from './type-numbers'
import { monthSpan, weekSpan, weeksInYear } from './week-date'

// Codes, dates and names at their edges. Weeks: ISO 8601; letter codes: IEC 60062, from memory; the rest is common practice, no source.
const parts = (...codes: (string | DatedPart)[]): DatedPart[] => codes.map(code => (typeof code === 'string' ? { code } : code))
const dated = (codes: DatedPart[], more: Partial<DatingInput> = {}) => dateMachine({ codes, ...more })
const codesOf = (...given: Parameters<typeof dated>) => dated(...given).findings.map(f => `${f.level} ${f.code}`)

describe('a marking', () => {
  const read = (code: string, more: object = {}) => readDateCode({ code, ...more }).readings.map(r => `${r.format} ${r.firstDay}`)
  it.each<[string, string | undefined]>([
    ['8235', 'year-week 1982-08-30'],
    ['8253', undefined],
    ['8153', 'year-week 1981-12-28'],
    ['(8235)', 'year-week 1982-08-30'],
    ['82W35', 'year-week 1982-08-30'],
    ['8235-2', 'year-week 1982-08-30'],
    ['8235K7', 'year-week 1982-08-30'],
    ['1983', 'year 1983-01-01'],
    ['12/85', 'month-year 1985-12-01'],
    ['P9', 'letter-code 1982-09-01'],
    ['Z9', undefined],
    ['12345', undefined],
    ['LS', undefined],
  ])('%s reads first as %s', (code, wanted) => expect(read(code)[0]).toBe(wanted))
  it('that is the type number of a generic part is care, and gives way to another piece', () => {
    const told = (code: string) => readDateCode({ code }).findings.map(f => `${f.level} ${f.code}`)
    expect(told('8255').slice(0, 2)).toEqual(['stop date-code.none'])
    expect(told('8250')[0]).toBe('care date-code.type-number')
    expect(read('8250 8301')[0]).toBe('year-week 1983-01-03')
    expect([isTypeNumber('7400'), isTypeNumber('7805'), isTypeNumber('8235'), isTypeNumber('8250')]).toEqual([true, true, false, true])
    expect(told('8235')).toEqual(expect.arrayContaining(['fine date-code.read']))
  })
  it('is read within the years that are allowed, and says what each other reading would be', () => {
    expect(read('310', { earliestYear: 1970, latestYear: 1995 })).toEqual([
      'short-year-week 1973-03-05',
      'short-year-week 1983-03-07',
      'short-year-week 1993-03-08',
    ])
    expect(readDateCode({ code: '8235', latestYear: 1980 }).refused.map(r => r.says)[0]).toContain('none is within the allowed years')
    for (const [more, field] of [
      [{ code: ' ' }, 'code'],
      [{ code: 'x'.repeat(61) }, 'code'],
      [{ code: 'x'.repeat(60) }, null],
      [{ earliestYear: 1899 }, 'earliestYear'],
      [{ latestYear: 2101 }, 'latestYear'],
      [{ earliestYear: 1990, latestYear: 1989 }, 'earliestYear'],
      [{ earliestYear: 1990, latestYear: 1990 }, null],
    ] as const) {
      const judge = () => readDateCode({ code: '8235', ...more })
      if (field) expect(judge).toThrow(expect.objectContaining({ field }) as Error)
      else expect(judge).not.toThrow()
    }
  })
  it('has weeks of ISO 8601 and whole months', () => {
    expect([weeksInYear(1981), weeksInYear(1982), weekSpan(1982, 1), monthSpan(1984, 2)]).toEqual([
      53,
      52,
      { firstDay: '1982-01-04', lastDay: '1982-01-10' },
      { firstDay: '1984-02-01', lastDay: '1984-02-29' },
    ])
  })
})

describe('a machine', () => {
  const three = parts('8210', '8212', '8214')
  it('is dated by its youngest part and some weeks of stock, with how sure that is', () => {
    expect(dated(three).interval).toEqual({ notBefore: '1982-04-05', notAfter: '1982-09-26' })
    expect([codesOf(three)[0], codesOf(parts('8210', '8212'))[0], codesOf(parts('8210'))[1]]).toEqual([
      'fine dating.made',
      'care dating.made',
      'care dating.few',
    ])
    expect(dated(parts('8210')).findings[1]?.says).toBe('It rests on a single part.')
    expect(dated(three, { assemblyLagWeeks: 0 }).interval).toEqual({ notBefore: '1982-04-05', notAfter: '1982-04-11' })
    expect([dated(three, { assemblyLagWeeks: 104 }).likelyQuarter, dated(three).likelyQuarter]).toEqual(['1984-Q2', '1982-Q2'])
  })
  it('leaves out what was reworked, up to two in sockets a year apart, and keeps more as a date of their own', () => {
    const socketed = (...codes: string[]) => codes.map(code => ({ code, socketed: true }))
    expect(dated([...three, ...socketed('8330')]).leftOut.map(l => l.code)).toEqual(['8330'])
    expect(dated([...three, ...socketed('8310')]).leftOut).toEqual([])
    expect(dated([...three, ...socketed('8330', '8332')]).leftOut).toHaveLength(2)
    expect(codesOf([...three, ...socketed('8330', '8332', '8334')])).toContain('care dating.two-dates')
    expect(codesOf([...three, ...parts('8330')])).not.toContain('care dating.lone-youngest')
    expect(codesOf([...three, ...parts('8430')])).toContain('care dating.lone-youngest')
    expect(dated([...three, { code: '8430', reworked: true }]).leftOut.map(l => l.why)).toEqual(['Signs of rework: a later service.'])
    expect(dated(parts('zzz', '8210')).leftOut.map(l => l.code)).toEqual(['zzz'])
  })
  it('goes by its bounds, and says where they contradict', () => {
    const why = 'a sticker'
    expect(dated(three, { bounds: [{ notBefore: '1982-06-01', why }] }).interval?.notBefore).toBe('1982-06-01')
    expect(dated(three, { bounds: [{ notAfter: '1982-06-01', why }] }).interval?.notAfter).toBe('1982-06-01')
    expect(codesOf(three, { bounds: [{ notBefore: '1983-06-01', why }] })).toContain('stop dating.bound-contradicts')
    expect(
      codesOf([], {
        bounds: [
          { notBefore: '1983-06-01', why },
          { notAfter: '1982-06-01', why },
        ],
      }),
    ).toEqual(['stop dating.bounds-contradict'])
    expect(codesOf(three, { bounds: [{ notAfter: '1982-03-20', why }] })).toContain('care dating.later-than-bound')
    expect(dated([], { bounds: [{ notBefore: '1982-01-01', notAfter: '1983-01-01', why }] }).interval).toEqual({
      notBefore: '1982-01-01',
      notAfter: '1983-01-01',
    })
    expect(codesOf([], { bounds: [{ notBefore: '1982-01-01', why }] })).toEqual(['note dating.open'])
    expect(
      dated(three, {
        bounds: [
          { notBefore: '1982-05-01', why },
          { notBefore: '1982-06-01', why },
          { notAfter: '1982-08-01', why },
          { notAfter: '1982-07-01', why },
        ],
      }).interval,
    ).toEqual({ notBefore: '1982-06-01', notAfter: '1982-07-01' })
  })
  it('is held against the years of its model, and refuses what cannot be', () => {
    const years = (more: object) => dated(three, more).findings.find(f => f.code === 'dating.model-years')?.level
    expect([
      years({}),
      years({ madeFrom: 1980 }),
      years({ madeFrom: 1983 }),
      years({ madeTo: 1981 }),
      years({ madeTo: 1982 }),
      years({ madeFrom: 1982, madeTo: 1982 }),
    ]).toEqual([undefined, 'note', 'care', 'care', 'note', 'note'])
    for (const more of [
      { codes: [] },
      { assemblyLagWeeks: 105 },
      { assemblyLagWeeks: -1 },
      { bounds: [{ why: 'x' }] },
      { bounds: [{ notBefore: '1982', why: 'x' }] },
      { bounds: [{ notBefore: '1983-01-01', notAfter: '1982-01-01', why: 'x' }] },
    ])
      expect(() => dateMachine({ codes: three, ...more })).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
  })
})

describe('names and numbers', () => {
  it('of tags count on, in the frame of their year', () => {
    const frame = tagFrame('SH-{year}-{n:3}', 2026)
    expect([frame, tagOf(frame, 7), tagOf(frame, 1234), numberOf(frame, 'SH-2026-012'), numberOf(frame, 'SH-2025-012'), numberOf(frame, 'SH-2026-x')]).toEqual([
      { before: 'SH-2026-', after: '', digits: 3 },
      'SH-2026-007',
      'SH-2026-1234',
      12,
      0,
      0,
    ])
    expect([tagOf(tagFrame('{n}-{year}', 2026), 8), tagOf(tagFrame('A{n:2}', 2026), 1)]).toEqual(['8-2026', 'A01'])
  })
  it('that look alike are the nearest first, and never another number or issue', () => {
    expect(lookAlikes('Gannett', ['Gannet', 'Gannets', 'Gannett'])).toEqual(['Gannet', 'Gannets'])
    expect([lookAlikes('ga', ['gb']), lookAlikes('Petrel 8', ['Petrel 18', 'Petrel 8s']), lookAlikes('Lumen', ['lumen'])]).toEqual([[], [], ['lumen']])
  })
  it('of claims are taken by their words, until somebody says what kind they are', () => {
    expect(['only a fuse', 'untested', 'it worked', 'a bang', 'does nothing', 'lovely case'].map(proposedClaimKind)).toEqual([
      'fuse',
      'untested',
      'worked',
      'smoke',
      'dead',
      null,
    ])
    expect([claimKindOf({ says: 'only a fuse', kind: 'other' }), claimKindOf({ says: 'x', kind: 'dead' })]).toEqual(['other', 'dead'])
    const like = (...verdicts: string[]) =>
      claimOutcomes(
        { says: 'untested', kind: null },
        verdicts.map(verdict => ({ says: 'untested', kind: null, verdict })),
      )
    expect([like('open')?.says, like('open', 'undecided')?.says, like('confirmed', 'confirmed', 'refuted')?.says]).toEqual([
      '1 like it was made here, and none looked into yet.',
      '2 like it were made here, and none looked into yet.',
      'Of 3 claims like “untested” that were looked into here, 2 were confirmed and 1 refuted.',
    ])
    expect(like('open', 'undecided')).toMatchObject({ open: 1, undecided: 1, confirmed: 0, refuted: 0 })
  })
  it('of what came with it are the same in plural and singular, and media are told from what plays them', () => {
    const came = (usual: string, ...things: string[]) => compareKit([usual], things)[0]!.came
    expect([came('Manuals', 'a manual'), came('Manual', 'two manuals'), came('Mains lead', 'lead'), came('The box', 'original box')]).toEqual([
      true,
      true,
      false,
      true,
    ])
    expect([isMedia('cartridge'), isMedia('cassette cleaner'), isMedia('tape drive'), isMedia('book')]).toEqual([true, false, false, false])
  })
})
