import { describe, expect, it } from 'vitest'
import { factValue } from '../safety/power-facts'
import { type Battery, batteryFact, batteryStates, chargings, chemistryNames, judgeBattery, replacementNames } from './battery'

const barrel: Battery = { where: 'beside the clock chip', chemistry: 'nickel-cadmium', cells: 3, year: 1986, state: 'leaking', fitted: true, charging: 'yes' }
const judged = (more: Partial<Battery> = {}) => judgeBattery({ battery: { ...barrel, ...more }, school: 'remote-holder', yearNow: 2026 })
const codes = (more: Partial<Battery>) => judged(more).findings.map(f => `${f.level} ${f.code}`)
const out = { state: 'sound', fitted: false } as const

describe('a battery', () => {
  it('of three nickel cells is a barrel of 3.6 V, and leaks what a mild acid takes off', () => {
    // Nickel barrels of 3.6 V leak alkali, neutralised with white vinegar: common practice, no source.
    expect(judged().nominalV).toBe(3.6)
    expect(judged().findings[0]?.because.join(' ')).toContain('vinegar')
    expect(judged({ chemistry: 'lead-acid', cells: 3 }).findings[0]?.because.join(' ')).toContain('bicarbonate')
  })

  it.each<[Partial<Battery>, string, string]>([
    [{}, 'leaking', 'stop battery.leaking'],
    [{ fitted: false }, 'residue', 'stop battery.leaking'],
    [{ state: 'residue', fitted: false }, 'residue', 'stop battery.residue'],
    [{ state: 'sound' }, 'in', 'care battery.in'],
    [out, 'out', 'fine battery.out'],
    [{ state: 'sound', chemistry: 'alkaline' }, 'mischarged', 'stop battery.charged'],
    [{ state: 'doubtful' }, 'leaking', 'stop battery.doubtful'],
    [{ state: 'doubtful', fitted: false }, 'unlooked', 'care battery.out-doubtful'],
    [{ ...out, replacement: { how: 'diode-cell', chemistry: 'lithium-coin', diode: false } }, 'mischarged', 'stop battery.mischarged'],
    [{ ...out, charging: 'unknown', replacement: { how: 'remote-holder', chemistry: 'alkaline', diode: false } }, 'replaced', 'care battery.perhaps-charged'],
    [{ ...out, replacement: { how: 'diode-cell', chemistry: 'lithium-coin', diode: true } }, 'replaced', 'note battery.diode-drop'],
    [{ ...out, replacement: { how: 'like-for-like', chemistry: 'nickel-metal-hydride', diode: false } }, 'replaced', 'care battery.again'],
    // Another chemistry than the circuit was made for; and three cells of lithium where 3.6 V were.
    [{ ...out, replacement: { how: 'like-for-like', chemistry: 'lithium-ion', diode: false } }, 'mischarged', 'stop battery.mischarged'],
    [{ ...out, replacement: { how: 'like-for-like', chemistry: 'lead-acid', cells: 2, diode: false } }, 'mischarged', 'stop battery.mischarged'],
    [{ ...out, replacement: { how: 'diode-cell', chemistry: 'lithium-coin', cells: 3, diode: true } }, 'replaced', 'stop battery.voltage-high'],
    [{ ...out, replacement: { how: 'remote-holder', chemistry: 'alkaline', diode: true } }, 'replaced', 'care battery.voltage-low'],
    [{ state: 'neutralised', fitted: false }, 'residue', 'stop battery.residue'],
    [{ state: 'clean', fitted: false }, 'out', 'fine battery.home'],
    [
      { ...out, charging: 'no', replacement: { how: 'remote-holder', chemistry: 'nickel-metal-hydride', diode: false } },
      'replaced',
      'care battery.not-charged',
    ],
  ])('with %o says “%s” to the gate', (more, fact, code) => {
    expect(judged(more).fact).toBe(fact)
    expect(codes(more)).toContain(code)
  })

  it('never says to the gate what the gate does not know, and never calls a primary cell on a charging circuit in order', () => {
    for (const state of batteryStates)
      for (const charging of chargings)
        for (const fitted of [true, false])
          for (const chemistry of chemistryNames)
            for (const how of replacementNames)
              for (const diode of [true, false]) {
                // Nothing is cleaned under a battery that is still in.
                if (fitted && ['neutralised', 'rinsed', 'dried', 'clean'].includes(state)) continue
                const { fact, findings } = judged({ state, charging, fitted, replacement: fitted ? null : { how, chemistry, diode } })
                expect(factValue('battery', fact)).toBeDefined()
                if (fact === 'mischarged' || fact === 'leaking' || fact === 'residue') expect(findings[0]?.level).toBe('stop')
              }
  })

  it.each([
    [{ year: 2030 }, 'year'],
    [{ cells: 0 }, 'cells'],
    [{ state: 'rinsed' }, 'fitted'],
    [{ ...out, replacement: { how: 'diode-cell', chemistry: 'lithium-coin', diode: true, voltageV: 0 } }, 'replacement.voltageV'],
  ] as const)('refuses %o at %s', (more, field) => {
    expect(() => judged(more)).toThrow(expect.objectContaining({ field }) as Error)
  })
})

it('the worst of several batteries speaks for all; none on record leaves what was entered', () => {
  expect(batteryFact('none-fitted', [])).toBe('none-fitted')
  expect(batteryFact('out', ['out', 'residue', 'replaced'])).toBe('residue')
})
