import { describe, expect, it } from 'vitest'
import { type WhiteningInput, forecastWhitening } from './whitening-forecast'

const reference = { l: 82, a: 0, b: 5, error: 0.1 }
type Colour = WhiteningInput['measured'][number]
/** A part so much yellower than its reference, after so many hours. */
const at = (hours: number, byB: number, more: Partial<Colour> = {}): Colour => ({ hours, l: 78, a: 1, b: 5 + byB, error: 0.1, ...more })
/** An approach to an end, without error: D(h) = end + (start − end)·e^(−h/τ). */
const course = (start: number, end: number, tau: number, ...hours: number[]) => hours.map(h => at(h, end + (start - end) * Math.exp(-h / tau)))
const told = (measured: Colour[], more: Partial<WhiteningInput> = {}) => forecastWhitening({ reference, measured, ...more })
const codes = (r: ReturnType<typeof told>) => r.findings.map(f => `${f.level} ${f.code}`)
/** The error of a difference of two colours of ± 0.1, at 95 of 100. */
const error = 1.96 * Math.hypot(0.1, 0.1)

describe('what the last colour decides', () => {
  it.each<[string, Colour, string, string]>([
    ['at the goal', at(8, 1), 'stop-done', 'fine whitening.done'],
    ['whiter than its reference, within the goal', at(8, -1), 'stop-done', 'fine whitening.done'],
    ['whiter than its reference by more', at(8, -1.01), 'overdone', 'stop whitening.overdone'],
    ['above the goal by less than its error', at(8, 1.2), 'stop-done', 'note whitening.within-error'],
    ['above the goal by just its error', at(8, 1 + error), 'stop-done', 'note whitening.within-error'],
    ['lighter than its reference, still yellow', at(8, 6, { l: 83.1 }), 'overdone', 'stop whitening.lighter'],
    ['as much lighter as may be', at(8, 0.5, { l: 83 }), 'stop-done', 'fine whitening.done'],
    ['whiter by less than a large error', at(8, -3, { error: 2 }), 'stop-done', 'fine whitening.done'],
    ['lighter by less than a large error', at(8, 0.5, { l: 85, error: 2 }), 'stop-done', 'fine whitening.done'],
  ])('%s', (_, last, state, code) => {
    const result = told([at(0, 12), last])
    expect([result.state, ...codes(result)]).toEqual([state, code])
    expect(result).toMatchObject({ nextHours: 0, wantedHours: null, overshootRisk: null, basis: 'none', curve: [] })
    expect(result.findings[0]!.because.length).toBeGreaterThanOrEqual(2)
  })
  it('goes by the latest hour, in whatever order they were typed', () => {
    expect(told([at(8, 0.5), at(0, 12)]).state).toBe('stop-done')
    expect(told([at(8, 12), at(0, 0.5)]).state).not.toBe('stop-done')
  })
  it('says how far it is and how well that is known', () => {
    const { nowB, nowBError, deltaE } = told([at(0, 12, { l: 82, a: 0 })])
    expect([nowB, nowBError]).toEqual([12, expect.closeTo(error, 9)])
    // Of two greys in lightness alike, ΔE00 is that of their chroma alone (Sharma, Wu and Dalal 2005): smaller than the difference in b*.
    expect(deltaE).toBeGreaterThan(5)
    expect(deltaE).toBeLessThan(12)
  })
  it('has another goal where one is set', () => {
    expect(told([at(0, 12), at(8, 2.9)], { goalB: 3 }).state).toBe('stop-done')
    expect(told([at(0, 12), at(8, 2.9)]).state).not.toBe('stop-done')
  })
})

describe('with a curve of its own', () => {
  it.each([
    [20, 0.2, 10, [0, 4, 8, 12, 16, 20]],
    [30, 0, 25, [0, 10, 20, 30, 40, 50]],
    [12, -0.5, 6, [0, 1.5, 3, 4.5, 6, 7.5, 9]],
  ])('from %d to %d with a time constant of %d h: go on, as long as the formula says', (start, end, tau, hours) => {
    const result = told(course(start, end, tau, ...hours))
    const now = hours.at(-1)!
    // D(h) = 1 solved for h.
    const still = tau * Math.log((start - end) / (1 - end)) - now
    expect(result.state).toBe('go-on')
    expect(codes(result)).toEqual(['note whitening.go-on'])
    expect(result.basis).toBe('fit')
    const { low, mid, high } = result.wantedHours!
    expect(mid!).toBeGreaterThan(still * 0.7)
    expect(mid!).toBeLessThan(still * 1.4)
    expect(low).toBeLessThanOrEqual(mid!)
    expect(high === null || high >= mid!).toBe(true)
    expect(result.tauHours!).toBeGreaterThan(tau * 0.7)
    expect(result.tauHours!).toBeLessThan(tau * 1.4)
    expect(result.nextHours).toBeLessThanOrEqual(Math.min(low, Math.max(0.75 * mid!, 0.25), now) + 1e-9)
    expect(result.nextHours).toBeGreaterThan(0)
    expect(result.endB!.low).toBeLessThanOrEqual(result.endB!.high)
    expect(result.overshootRisk!).toBeGreaterThanOrEqual(0)
    expect(result.overshootRisk!).toBeLessThan(0.2)
    const last = result.curve.at(-1)!.hours
    expect(result.curve[0]!.hours).toBe(0)
    expect(last).toBeGreaterThanOrEqual(now * 1.6)
    expect(last).toBeLessThanOrEqual(Math.max(now * 1.6, now + 2 * tau * 1.4, 8))
    expect(result.findings[0]!.because).toHaveLength(2)
  })
  it('comes to a plateau above its reference: stop, and what is left is the plastic', () => {
    const result = told(course(20, 6, 5, 0, 3, 6, 10, 15, 20, 30, 40, 60, 80))
    expect([result.state, ...codes(result)]).toEqual(['stop-no-gain', 'care whitening.no-gain'])
    expect(result).toMatchObject({ nextHours: 0, wantedHours: null, overshootRisk: null })
    expect(result.endB!.mid).toBeCloseTo(6, 0)
    expect(result.findings[0]!.because).toHaveLength(3)
    expect(result.findings[0]!.says).toContain('6 above')
  })
  it('what was exposed since the last colour is measured first, where it may be there already', () => {
    const measured = course(20, 0.2, 10, 0, 4, 8, 12, 16, 20)
    const long = told(measured, { hoursNow: 40 })
    expect([long.state, ...codes(long)]).toEqual(['measure-first', 'care whitening.measure-first'])
    expect(long.nextHours).toBe(0)
    expect(long.wantedHours!.low).toBe(0)
    expect(long.overshootRisk!).toBeGreaterThanOrEqual(0)
    // A little since then is taken off what is left, and no longer again than it had is allowed in all.
    const little = told(measured, { hoursNow: 22 })
    expect(little.state).toBe('go-on')
    expect(little.nextHours).toBeLessThan(told(measured).nextHours)
    expect(told(measured, { hoursNow: 20 }).state).toBe('go-on')
  })
  it('colours that scatter are told, and those that do not are not', () => {
    const clean = course(20, 0.2, 10, 0, 4, 8, 12, 16, 20)
    const scattered = clean.map((c, i) => ({ ...c, b: c.b + (i % 2 ? 1.5 : -1.5) }))
    expect(codes(told(scattered))).toContain('care whitening.scatters')
    expect(codes(told(clean))).not.toContain('care whitening.scatters')
  })
  it('in more than one way: two hours at most, and why', () => {
    const measured = course(30, 0, 25, 0, 10, 20, 30, 40, 50)
    const [one, more] = [told(measured), told(measured, { mixed: true })]
    expect(one.nextHours).toBeGreaterThan(2)
    expect(more.nextHours).toBe(2)
    expect(codes(more)).toEqual([...codes(one), 'care whitening.mixed'])
    expect(more).toMatchObject({ basis: 'fit', tauHours: one.tauHours, endB: one.endB })
  })
  it('three colours at two instants make no curve', () => {
    expect(told([at(0, 20), at(0, 20.1), at(8, 12)]).basis).toBe('none')
    expect(told(course(20, 0.2, 10, 0, 8, 16)).basis).toBe('fit')
  })
})

describe('before it has one', () => {
  it('one colour: four hours at most, and less where the quickest would be there sooner', () => {
    const next = (byB: number, more = {}) => told([at(0, byB)], more).nextHours
    // 12 of b* an hour at the quickest: what is above the goal and its error, over that.
    expect(next(60)).toBe(4)
    expect(next(13)).toBeCloseTo((13 - 1 - error) / 12, 9)
    expect(next(2)).toBe(0.25)
    expect(next(60, { hoursNow: 3 })).toBe(1)
    expect(next(60, { hoursNow: 6 })).toBe(0)
    expect(told([at(0, 60)])).toMatchObject({ state: 'cannot-tell', basis: 'none', wantedHours: null, overshootRisk: null, endB: null, tauHours: null })
    expect(told([at(0, 60)], { hoursNow: 6 }).state).toBe('measure-first')
    expect(codes(told([at(0, 60)]))).toEqual(['note whitening.first'])
  })
  it('two colours: no further than it would come at three times its pace, and no longer again than it had', () => {
    // 40 → 30 in ten hours: with its error 1.03 an hour, three times that 3.08.
    const pace = (10 + error) / 10
    expect(told([at(0, 40), at(10, 30)]).nextHours).toBeCloseTo((30 - error - 1) / (3 * pace), 6)
    expect(told([at(0, 40), at(2, 39)]).nextHours).toBe(2)
    // However slow: a twentieth an hour is its least pace.
    expect(told([at(0, 4), at(10, 4)]).nextHours).toBeCloseTo(Math.min(10, (3 - error) / (3 * Math.max(0.05, error / 10))), 6)
    // Never quicker than the quickest: 20 in the first hour is not gone on with at sixty an hour, but at twelve.
    expect(told([at(0, 60), at(1, 30)]).nextHours).toBe(1)
    expect(told([at(0, 60), at(5, 6)]).nextHours).toBeCloseTo((6 - error - 1) / 12, 6)
  })
  it('parts that had their own time constants say how long', () => {
    const still = (tau: number) => tau * Math.log((20 - error) / 1)
    const two = told([at(0, 20)], { similarTauHours: [10, 14] })
    expect(two.wantedHours).toEqual({ low: expect.closeTo(still(10), 6), mid: expect.closeTo(still(12), 6), high: expect.closeTo(still(14), 6) })
    expect(two.nextHours).toBeCloseTo((20 - error - 1) / 12, 6)
    expect(two).toMatchObject({ basis: 'similar', state: 'cannot-tell', overshootRisk: null })
    expect(codes(two)).toEqual(['note whitening.similar'])
    expect(two.findings[0]!.says).toContain('2 similar parts')
    expect(told([at(0, 20)], { similarTauHours: [10] }).findings[0]!.says).toContain('one similar part')
    // What was exposed since is taken off; a quick one may be there already.
    expect(told([at(0, 20)], { similarTauHours: [10], hoursNow: 1 }).wantedHours!.low).toBeCloseTo(still(10) - 1, 6)
    expect(told([at(0, 20)], { similarTauHours: [1], hoursNow: 5 })).toMatchObject({ state: 'measure-first', nextHours: 0 })
    // Half of the shortest.
    expect(told([at(0, 20)], { similarTauHours: [0.2] }).nextHours).toBeCloseTo(still(0.2) / 2, 6)
  })
  it('its own colours come before theirs', () => {
    // 20 → 19 in eight hours: nothing like a time constant of two hours.
    const some = told([at(0, 20), at(8, 19)], { similarTauHours: [2, 160] })
    expect(some.basis).toBe('similar')
    expect(codes(some)).toEqual(['note whitening.similar', 'care whitening.unlike'])
    expect(some.findings[1]!.because[0]).toContain('1 of 2')
    const none = told([at(0, 20), at(8, 19)], { similarTauHours: [2] })
    expect(codes(none)).toEqual(['note whitening.first', 'care whitening.unlike'])
    expect(codes(told([at(0, 20), at(8, 20 * Math.exp(-0.8))], { similarTauHours: [10] }))).toEqual(['note whitening.similar'])
  })
  it('what grows yellower is told, and gets no more than half of the first time', () => {
    const rising = [at(0, 10), at(1, 11), at(2, 12), at(3, 13)]
    const result = told(rising, { similarTauHours: [10] })
    expect(codes(result)).toEqual(['care whitening.yellower'])
    expect(result).toMatchObject({ state: 'cannot-tell', basis: 'none', nextHours: 2, wantedHours: null, curve: [] })
    expect(told(rising, { hoursNow: 4.5 }).nextHours).toBeCloseTo(0.5, 9)
    expect(told(rising, { hoursNow: 9 }).nextHours).toBe(0)
  })
})

it.each<[string, Partial<WhiteningInput>, string | null]>([
  ['nothing measured', { measured: [] }, 'measured'],
  ['two hundred', { measured: Array.from({ length: 200 }, () => at(0, 20)) }, null],
  ['more than two hundred', { measured: Array.from({ length: 201 }, () => at(0, 20)) }, 'measured'],
  ['a goal of nothing', { goalB: 0 }, 'goalB'],
  ['a goal of 20', { goalB: 20 }, null],
  ['a goal beyond', { goalB: 20.1 }, 'goalB'],
  ['black', { measured: [at(0, 20, { l: 0 })] }, 'measured.0'],
  ['white', { measured: [at(0, 20, { l: 100 })] }, null],
  ['whiter than white', { measured: [at(0, 20, { l: 100.1 })] }, 'measured.0'],
  ['redder than there is', { measured: [at(0, 20, { a: 128.1 })] }, 'measured.0'],
  ['as red as there is', { measured: [at(0, 20, { a: -128 })] }, null],
  ['yellower than there is', { measured: [at(0, 20), at(1, 123.1)] }, 'measured.1'],
  ['as yellow as there is', { measured: [at(0, 123)] }, null],
  ['a reference that is none', { reference: { ...reference, l: -1 } }, 'reference'],
  ['its error', { reference: { ...reference, error: 20.1 } }, 'reference.error'],
  ['an error below nothing', { measured: [at(0, 20, { error: -0.1 })] }, 'measured.0.error'],
  ['no error at all', { measured: [at(0, 20, { error: 0 })] }, null],
  ['an error of 20', { measured: [at(0, 20, { error: 20 })] }, null],
  ['hours before the first', { measured: [at(-1, 20)] }, 'measured.0.hours'],
  ['hours without end', { measured: [at(5001, 20)] }, 'measured.0.hours'],
  ['5000 hours', { measured: [at(5000, 20)] }, null],
  ['a time constant of nothing', { similarTauHours: [3, 0] }, 'similarTauHours'],
  ['one without end', { similarTauHours: [5001] }, 'similarTauHours'],
  ['one of 5000 hours', { similarTauHours: [5000] }, null],
  ['now before the last colour', { measured: [at(4, 20)], hoursNow: 3.9 }, 'hoursNow'],
  ['now without end', { hoursNow: 5001 }, 'hoursNow'],
])('what is typed is looked at: %s', (_, more, field) => {
  const asked = () => told([at(0, 20)], more)
  if (field) expect(asked).toThrow(expect.objectContaining({ field }))
  else expect(asked).not.toThrow()
})
