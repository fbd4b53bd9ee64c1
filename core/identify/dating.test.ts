import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type DatingInput, dateMachine } from './dating'

const many = (...codes: string[]) => codes.map(code => ({ code }))
const codesOf = (input: DatingInput) => dateMachine(input).findings.map(f => f.code)

describe('a machine is as young as its youngest original part, plus a few weeks of stock (common practice, no source)', () => {
  it('most parts say N, a few N+3, and one N+5 in a socket with flux round it: N+3', () => {
    const result = dateMachine({
      codes: [...many('8012', '8015', '8020', '8018', '8310', '8312'), { code: '8522', place: 'IC9', socketed: true, reworked: true }],
    })
    expect(result.interval).toEqual({ notBefore: '1983-03-21', notAfter: '1983-09-11' })
    expect(result.likelyQuarter).toBe('1983-Q2')
    expect(result.leftOut).toMatchObject([{ code: '8522', place: 'IC9', why: expect.stringContaining('rework') as string }])
  })

  it('leaves out a socketed part that stands alone, and keeps a soldered one with a warning', () => {
    expect(dateMachine({ codes: [...many('8012', '8015', '8020'), { code: '8522', socketed: true }] })).toMatchObject({
      likelyQuarter: '1980-Q3',
      leftOut: [{ code: '8522' }],
    })
    const soldered = dateMachine({ codes: many('8012', '8015', '8020', '8522') })
    expect(soldered.likelyQuarter).toBe('1985-Q3')
    expect(soldered.findings.map(f => f.code)).toContain('dating.lone-youngest')
  })

  it('takes the reading nearest to the others where a code has several', () => {
    // 310 may be week 10 of 1973, 1983, 1993 or later; IEC 60062 letter P is 1982 or 2002.
    const { used } = dateMachine({ codes: many('8240', '8245', '8250', '310', 'P9') })
    expect(used.map(u => [u.code, u.firstDay.slice(0, 4)])).toEqual(
      expect.arrayContaining([
        ['310', '1983'],
        ['P9', '1982'],
      ]),
    )
  })

  it('waits for the lag that is given', () => {
    expect(dateMachine({ codes: many('8235', '8230', '8231'), assemblyLagWeeks: 0 })).toMatchObject({
      interval: { notBefore: '1982-08-30', notAfter: '1982-09-05' },
      likelyQuarter: '1982-Q3',
    })
  })
})

describe('bounds', () => {
  it('narrow the interval and name the part that contradicts them', () => {
    const input: DatingInput = { codes: many('8220', '8225', '8235', '8401'), bounds: [{ notAfter: '1983-06-30', why: 'the date stamped in the shielding' }] }
    const result = dateMachine(input)
    expect(result.interval?.notBefore).toBe('1982-08-30')
    expect(result.leftOut.map(p => p.code)).toEqual(['8401'])
    expect(codesOf(input)).toContain('dating.later-than-bound')
  })

  it('date a machine by themselves, and say when they contradict each other', () => {
    expect(
      dateMachine({
        codes: [],
        bounds: [
          { notBefore: '1981-01-01', why: 'board issue 2' },
          { notAfter: '1982-12-31', why: 'the maker’s old name' },
        ],
      }),
    ).toMatchObject({ interval: { notBefore: '1981-01-01', notAfter: '1982-12-31' }, likelyQuarter: null })
    expect(
      dateMachine({
        codes: many('8235'),
        bounds: [
          { notBefore: '1985-01-01', why: 'a' },
          { notAfter: '1983-01-01', why: 'b' },
        ],
      }),
    ).toMatchObject({ interval: null, findings: [{ level: 'stop', code: 'dating.bounds-contradict' }] })
  })
})

it('leaves out two parts of one service, and is not confident where they are soldered in', () => {
  const service = (socketed: boolean) => [...many('8012', '8015', '8020', '8018'), { code: '8522', socketed }, { code: '8530', socketed }]
  expect(dateMachine({ codes: service(true) })).toMatchObject({
    likelyQuarter: '1980-Q3',
    leftOut: [{ code: '8522' }, { code: '8530' }],
    findings: [{ level: 'fine' }],
  })
  expect(dateMachine({ codes: service(false) }).findings[0]).toMatchObject({ level: 'care', code: 'dating.made' })
})

it('gives no year for three digits or letters alone; bounds or the years of the model may leave one', () => {
  expect(dateMachine({ codes: many('310', '305') })).toMatchObject({ interval: null, leftOut: [{ code: '310' }, { code: '305' }] })
  expect(dateMachine({ codes: many('P9') }).interval).toBeNull()
  expect(dateMachine({ codes: many('310', '305'), madeFrom: 1980, madeTo: 1986 }).interval?.notBefore).toBe('1983-03-07')
  expect(dateMachine({ codes: many('310'), bounds: [{ notBefore: '1990-01-01', notAfter: '1996-01-01', why: 'the board issue' }] }).interval?.notBefore).toBe(
    '1993-03-08',
  )
})

it('is not led by type numbers of generic parts', () => {
  expect(dateMachine({ codes: many('7432', '7812', '6502') }).interval).toBeNull()
  expect(dateMachine({ codes: many('8235', '8231', '8229', '8748') })).toMatchObject({ likelyQuarter: '1982-Q4', leftOut: [{ code: '8748' }] })
})

it('says where a bound contradicts the codes, and how it lies to the years of the model', () => {
  const contradicted = dateMachine({ codes: many('8235', '8231', '8229'), bounds: [{ notBefore: '1985-01-01', why: 'stamped in the shielding' }] })
  expect(contradicted.interval).toBeNull()
  expect(contradicted.findings.map(f => `${f.level} ${f.code}`)).toContain('stop dating.bound-contradicts')
  const level = (madeFrom: number, madeTo: number) =>
    dateMachine({ codes: many('8235', '8231', '8229'), madeFrom, madeTo }).findings.find(f => f.code === 'dating.model-years')?.level
  expect([level(1981, 1984), level(1985, 1987)]).toEqual(['note', 'care'])
})

it('two clusters are two dates, in sockets or not', () => {
  const older = Array.from({ length: 17 }, (_, i) => `84${String(10 + i)}`)
  const result = dateMachine({ codes: many(...older, '8811', '8812', '8814') })
  expect(result.findings.find(f => f.code === 'dating.two-dates')).toMatchObject({
    level: 'care',
    says: expect.stringContaining('17 up to week 26 of 1984, and 3 from week 11 of 1988') as string,
    because: expect.arrayContaining([expect.stringContaining('July to September 1984')]) as string[],
  })
  expect(result.findings.find(f => f.code === 'dating.made')?.level).toBe('care')
  const steady = Array.from({ length: 20 }, (_, i) => `${84 + Math.floor(i / 10)}${String(5 + 4 * (i % 10)).padStart(2, '0')}`)
  expect(codesOf({ codes: many(...steady) })).not.toContain('dating.two-dates')
})

it('says when it rests on little, and leaves out what is no date', () => {
  expect(codesOf({ codes: many('8235') })).toContain('dating.few')
  expect(dateMachine({ codes: many('8253', '8235', '8233', '8234') }).leftOut).toMatchObject([
    { code: '8253', why: expect.stringContaining('52 weeks') as string },
  ])
})

it('is never before the youngest part in use, whatever the order of the codes', () => {
  const code = fc.tuple(fc.integer({ min: 75, max: 89 }), fc.integer({ min: 1, max: 52 })).map(([y, w]) => `${y}${String(w).padStart(2, '0')}`)
  fc.assert(
    fc.property(fc.array(code, { minLength: 1, maxLength: 12 }), codes => {
      const result = dateMachine({ codes: many(...codes) })
      const youngest = result.used
        .map(u => u.firstDay)
        .sort()
        .at(-1)
      expect(result.interval?.notBefore).toBe(youngest)
      expect(dateMachine({ codes: many(...codes.toReversed()) }).interval).toEqual(result.interval)
    }),
  )
})

it.each<[DatingInput, string]>([
  [{ codes: [] }, 'codes'],
  [{ codes: many('8235'), assemblyLagWeeks: -1 }, 'assemblyLagWeeks'],
  [{ codes: [], bounds: [{ why: 'x' }] }, 'bounds.0'],
  [{ codes: [], bounds: [{ notBefore: '1982', why: 'x' }] }, 'bounds.0.notBefore'],
  [{ codes: [], bounds: [{ notBefore: '1984-01-01', notAfter: '1983-01-01', why: 'x' }] }, 'bounds.0.notAfter'],
])('refuses %j at %s', (input, field) => {
  expect(() => dateMachine(input)).toThrow(expect.objectContaining({ field }) as Error)
})
