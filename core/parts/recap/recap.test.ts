import { describe, expect, it } from 'vitest'
import { type CapacitorMeasured, judgeCapacitor, mostEsrOhm, mostLeakageA } from './measured'
import { type JudgedCapacitor, capacitorSchoolNames, recapDue } from './schools'

const lytic = { capacitanceF: 470e-6, voltageV: 25, technology: 'electrolytic', safetyClass: 'none' }
const says = (measured: CapacitorMeasured, spec: Record<string, string | number> = lytic) => judgeCapacitor(spec, measured)

describe('what was measured of a capacitor', () => {
  it('allows what tan δ allows: 0.16 at 25 V is 0.45 Ω of 470 µF at 120 Hz', () => {
    // tan δ / (2π · 120 Hz · 470 µF), worked by hand.
    expect(mostEsrOhm(470e-6, 25)).toBeCloseTo(0.4515, 3)
    // 3300 µF: 0.02 more for each 1000 µF beyond the first: 0.206.
    expect(mostEsrOhm(3300e-6, 25)).toBeCloseTo(0.206 / (2 * Math.PI * 120 * 3300e-6), 6)
    for (let v = 5; v < 60; v += 1) expect(mostEsrOhm(1e-4, v)).toBeGreaterThanOrEqual(mostEsrOhm(1e-4, v + 1))
    expect(mostLeakageA(470e-6, 25)).toBeCloseTo(117.5e-6, 9)
    expect(mostLeakageA(1e-6, 16)).toBe(3e-6)
  })

  it.each<[CapacitorMeasured, string]>([
    [{ capacitanceF: 465e-6 }, 'tests-good'],
    [{ capacitanceF: 300e-6 }, 'bad'],
    [{ capacitanceF: 350e-6 }, 'suspect'],
    // A leaky one reads high: that is not fine.
    [{ capacitanceF: 900e-6 }, 'suspect'],
    [{ capacitanceF: 0 }, 'bad'],
    [{ esrOhm: 0.08 }, 'tests-good'],
    // Usual at 120 Hz, and too much at 100 kHz: which it was, nobody said.
    [{ esrOhm: 0.1 }, 'suspect'],
    [{ esrOhm: 0.3 }, 'suspect'],
    [{ esrOhm: 0.5 }, 'bad'],
    [{ leakageA: 50e-6, atV: 25 }, 'tests-good'],
    [{ leakageA: 50e-6, atV: 9 }, 'suspect'],
    [{ leakageA: 50e-6 }, 'suspect'],
    [{ leakageA: 300e-6, atV: 25 }, 'suspect'],
    [{ leakageA: 2e-3, atV: 25 }, 'bad'],
    [{ capacitanceF: 465e-6, esrOhm: 0.1, leakageA: 2e-3, atV: 9 }, 'bad'],
  ])('%o is %s', (measured, verdict) => {
    expect(says(measured)!.verdict).toBe(verdict)
  })

  it('in the circuit nothing looks good: parts beside it add to its value and take from its resistance', () => {
    const within = (measured: CapacitorMeasured, spec = lytic) => says({ ...measured, inCircuit: true }, spec)!.verdict
    expect([within({ capacitanceF: 465e-6, esrOhm: 0.05 }), within({ capacitanceF: 300e-6 }), within({ esrOhm: 0.5 })]).toEqual(['suspect', 'bad', 'bad'])
    expect([within({ leakageA: 1e-6, atV: 25 }), within({ leakageA: 0.5, atV: 25 })]).toEqual(['not-known', 'not-known'])
  })

  it('holds the series resistance against what it has when it is new, where that is stated', () => {
    // A general-purpose one of this value may have 90 mΩ; a low-impedance one that has 30 mΩ when new is worn out at 60.
    const low = { ...lytic, impedanceOhm: 0.03 }
    expect([0.03, 0.05, 0.07].map(esrOhm => says({ esrOhm }, low)!.verdict)).toEqual(['tests-good', 'suspect', 'bad'])
    expect(says({ esrOhm: 0.07 })!.verdict).toBe('tests-good')
  })

  it('never says that one is good: what tests good may fail under voltage, or later', () => {
    expect(
      says({ capacitanceF: 465e-6, esrOhm: 0.05 })!
        .findings.map(f => f.says)
        .join(' '),
    ).toContain('It may still fail under voltage.')
    expect(
      says({ leakageA: 20e-6, atV: 25 })!
        .findings.map(f => f.says)
        .join(' '),
    ).toContain('fail later all the same')
    expect(says({})).toBeNull()
    expect(says({ reformed: true })).toBeNull()
    expect(says({ esrOhm: 2 }, { capacitanceF: 1e-7, technology: 'film' })!.verdict).toBe('not-known')
    // Film is made close: what would be fine of an electrolytic is not of it.
    const film = (share: number, more = {}) => says({ capacitanceF: share * 1e-7 }, { capacitanceF: 1e-7, technology: 'film', ...more })!.verdict
    expect([0.69, 0.85, 0.95, 1.2].map(share => film(share))).toEqual(['bad', 'suspect', 'tests-good', 'suspect'])
    expect([film(0.85, { tolerancePct: 20 }), film(0.97, { tolerancePct: 2 })]).toEqual(['tests-good', 'suspect'])
    expect(says({ capacitanceF: 1e-7 }, { technology: 'film' })!.verdict).toBe('suspect')
    expect(says({ leakageA: 1e-3, atV: 25 })!.findings[0]!.because.join()).toContain('Reform it')
    expect(says({ leakageA: 1e-3, atV: 25, reformed: true })!.findings[0]!.because.join()).toContain('reformed already')
    expect(() => says({ esrOhm: -1 })).toThrow('zero or more')
    expect(() => says({ capacitanceF: Number.NaN })).toThrow('zero or more')
  })
})

describe('which capacitors a school changes', () => {
  const kinds: Record<string, JudgedCapacitor> = {
    reservoir: { spec: lytic, stressed: false, looksBad: false, verdict: null },
    hot: { spec: lytic, stressed: true, looksBad: false, verdict: 'tests-good' },
    line: { spec: { capacitanceF: 1e-7, safetyClass: 'x2', technology: 'paper' }, stressed: false, looksBad: false, verdict: null },
    film: { spec: { capacitanceF: 1e-7, technology: 'film' }, stressed: true, looksBad: false, verdict: null },
    bad: { spec: { capacitanceF: 1e-7, technology: 'film' }, stressed: false, looksBad: false, verdict: 'bad' },
    bulging: { spec: lytic, stressed: false, looksBad: true, verdict: 'tests-good' },
    suspect: { spec: lytic, stressed: false, looksBad: false, verdict: 'suspect' },
  }
  // Common practice, no source: one row a school, as its own words have it.
  it.each([
    ['all-first', 'reservoir hot line bad bulging suspect', ''],
    ['line-filter', 'line bad bulging', ''],
    ['after-start', 'bad bulging', 'reservoir hot line suspect'],
    ['stressed', 'hot line bad bulging', ''],
    ['evidence', 'bad bulging', ''],
  ] as const)('%s changes %s', (school, now, later) => {
    const due = (what: string) =>
      Object.entries(kinds)
        .filter(([, one]) => recapDue(one, school, false).due === what)
        .map(([name]) => name)
        .join(' ')
    expect([due('now'), due('after-start')]).toEqual([now, later])
    // Once it was started, nothing waits for a start any more.
    for (const one of Object.values(kinds)) expect(recapDue(one, school, true).due).not.toBe('after-start')
  })

  it('changes what is bad whichever school it is, and says which school speaks', () => {
    for (const school of capacitorSchoolNames) {
      for (const name of ['bad', 'bulging']) expect(recapDue(kinds[name]!, school, false).due).toBe('now')
      expect(recapDue(kinds.reservoir!, school, false).why).toMatch(/^[A-Z].*: .+\.$/)
    }
    expect(recapDue(kinds.suspect!, 'evidence', true).why).toContain('measure it again under voltage')
    // Of what nobody wrote how it is made, nothing says that it does not age.
    expect(recapDue({ spec: {}, stressed: false, looksBad: false, verdict: null }, 'all-first', false).due).toBe('now')
  })
})
