import fc from 'fast-check'
import { expect, it } from 'vitest'
import { e24, e24AtLeast } from '../kernel/e-series'
import { discharge } from './discharge'

// Source: E = ½CV² and V(t) = V₀·e^(−t/RC); 10 000 µF at 63 V holds 19.8 J and falls through 1 kΩ to 12 V in 16.58 s.
it('the worked example comes out', () => {
  const {
    capacitors: [c],
    totalEnergyJ,
  } = discharge({ capacitors: [{ capacitanceF: 10_000e-6, voltageV: 63 }], resistorOhm: 1000, safeVoltageV: 12, waitSeconds: 16.58 })
  expect(totalEnergyJ).toBeCloseTo(19.8, 1)
  expect(c!.secondsToSafe).toBeCloseTo(16.58, 2)
  expect(c!.voltageAfterWaitV).toBeCloseTo(12, 2)
  expect(c!.peakCurrentA).toBeCloseTo(0.063, 6)
})

it('a bleeder beside the tool empties it as two resistors in parallel do', () => {
  const {
    capacitors: [c],
  } = discharge({ capacitors: [{ capacitanceF: 1e-3, voltageV: 100, bleederOhm: 1000 }], resistorOhm: 1000, safeVoltageV: 10 })
  expect(c!.secondsToSafe).toBeCloseTo(0.5 * Math.log(10), 6)
  expect(c!.secondsByBleeder).toBeCloseTo(Math.log(10), 6)
})

// Source of the limits: IEC 62368-1 (60 V) and IEC 60950-1 (20 J), from memory.
it('what may hurt is a stop, what holds its charge wants care', () => {
  const codes = (voltageV: number, capacitanceF: number, bleederOhm?: number) =>
    discharge({ capacitors: [{ capacitanceF, voltageV, bleederOhm }] }).findings.map(f => f.code)
  expect(codes(325, 470e-6)).toEqual(expect.arrayContaining(['discharge.touch', 'discharge.energy', 'discharge.no-bleeder']))
  expect(codes(12, 1e-3, 1000)).toEqual(['discharge.bleeder', 'discharge.measure'])
})

it('capacitors that are joined are added before their energy is judged', () => {
  const two = (joined: boolean) =>
    discharge({
      capacitors: [
        { capacitanceF: 220e-6, voltageV: 325 },
        { capacitanceF: 220e-6, voltageV: 325, joined },
      ],
    })
  // ½·440 µF·325² = 23.2 J; each alone holds 11.6 J.
  expect(two(true).capacitors).toHaveLength(1)
  expect(two(true).capacitors[0]!.energyJ).toBeCloseTo(23.2375, 3)
  expect(two(true).findings.map(f => f.code)).toContain('discharge.energy')
  expect(two(false).findings.map(f => f.code)).toEqual(expect.arrayContaining(['discharge.energy-together']))
})

it('the resistor has to bear the voltage, the pulse, and one discharge after the other', () => {
  // From memory of data sheets: a 5 W resistor bears 500 V.
  expect(discharge({ capacitors: [{ capacitanceF: 1e-9, voltageV: 20_000 }] })).toMatchObject({ resistorVoltageV: 20_000 })
  expect(discharge({ capacitors: [{ capacitanceF: 1e-6, voltageV: 2000 }], resistorOhm: 1e6 }).findings.map(f => f.code)).toContain('discharge.voltage')
  const many = discharge({ capacitors: Array.from({ length: 20 }, () => ({ capacitanceF: 100e-6, voltageV: 325 })) })
  expect(many.findings.map(f => f.code)).toContain('discharge.heat')
})

it('proposes what makes sense for a farad, and takes nothing above the touch limit for discharged', () => {
  const farad = discharge({ capacitors: [{ capacitanceF: 1, voltageV: 5.5 }] })
  expect(farad.resistorOhm).toBeLessThan(100)
  // IEC 62368-1, energy class 1: 60 V d.c., from memory.
  expect(() => discharge({ capacitors: [{ capacitanceF: 1e-3, voltageV: 400 }], safeVoltageV: 61 })).toThrow(
    expect.objectContaining({ field: 'safeVoltageV' }) as Error,
  )
})

it('the proposed resistor is of the E24 series, does not spark, and its rating bears it', () => {
  fc.assert(
    fc.property(fc.double({ min: 1e-6, max: 0.1, noNaN: true }), fc.double({ min: 13, max: 450, noNaN: true }), (capacitanceF, voltageV) => {
      const {
        resistorOhm,
        resistorPowerW,
        capacitors: [c],
      } = discharge({ capacitors: [{ capacitanceF, voltageV }] })
      expect(e24.some(v => Math.abs(resistorOhm / v - 10 ** Math.round(Math.log10(resistorOhm / v))) / (resistorOhm / v) < 1e-9)).toBe(true)
      expect(c!.peakCurrentA).toBeLessThanOrEqual(1 + 1e-9)
      expect(resistorPowerW * 5).toBeGreaterThanOrEqual(voltageV ** 2 / resistorOhm - 1e-9)
    }),
  )
})

// Source: IEC 60063, series E24.
it.each([
  [1000, 1000],
  [1001, 1100],
  [9.2, 10],
  [0.047, 0.047],
  [95_000, 100_000],
])('not below %d in the series: %d', (value, expected) => expect(e24AtLeast(value)).toBeCloseTo(expected, 9))

it('values that are none are refused at their field', () => {
  expect(() => discharge({ capacitors: [] })).toThrow(/at least one/)
  expect(() => discharge({ capacitors: [{ capacitanceF: 0, voltageV: 5 }] })).toThrow(expect.objectContaining({ field: 'capacitors.0.capacitanceF' }) as Error)
})
