import { describe, expect, it } from 'vitest'
import { type Battery, type Fitted, batteryFact, judgeBattery } from './battery'
import { checkHomeStep, homeSteps, nextHomeStep, placesToLook } from './battery-home'

// Where each limit stands, tried from both sides. The limits are common practice, no source, unless one is named beside them.
const names = (findings: { level: string; code: string }[]) => findings.map(f => `${f.level} ${f.code}`)

describe('a battery', () => {
  const cell: Battery = { where: 'bay', chemistry: 'nickel-cadmium', cells: 3, year: 2020, state: 'sound', fitted: true, charging: 'yes' }
  const judged = (more: Partial<Battery> = {}) => judgeBattery({ battery: { ...cell, ...more }, school: 'remote-holder', yearNow: 2026 })
  const out = (replacement: Partial<Fitted> | null, more: Partial<Battery> = {}) =>
    judged({
      fitted: false,
      ...more,
      replacement: replacement && { how: 'remote-holder', chemistry: 'nickel-cadmium', cells: 3, diode: false, ...replacement },
    })

  it.each([
    [{ cells: 1 }, {}],
    [{ cells: 24 }, {}],
    [{ year: 1950 }, {}],
    [{ year: 2026 }, {}],
    [{ year: null }, {}],
    [{ fitted: false }, { cells: 24, voltageV: 50 }],
    [{ fitted: false }, { voltageV: null }],
  ] as [Partial<Battery>, Partial<Fitted>][])('takes %o with %o', (battery, replacement) => {
    expect(() => (battery.fitted === false ? out(replacement, battery) : judged(battery))).not.toThrow()
  })
  it.each([
    [{ cells: 25 }, null, 'cells'],
    [{ cells: 1.5 }, null, 'cells'],
    [{ year: 1949 }, null, 'year'],
    [{ year: 2027 }, null, 'year'],
    [{}, { cells: 25 }, 'replacement.cells'],
    [{}, { cells: 0 }, 'replacement.cells'],
    [{}, { cells: 2.5 }, 'replacement.cells'],
    [{}, { voltageV: 51 }, 'replacement.voltageV'],
    [{}, { voltageV: -1 }, 'replacement.voltageV'],
  ] as [Partial<Battery>, Partial<Fitted> | null, string][])('refuses %o with %o at %s', (battery, replacement, field) => {
    expect(() => out(replacement, battery)).toThrow(expect.objectContaining({ field }) as Error)
  })

  it('is old beyond the years that its chemistry lasts, and says what is known of its age', () => {
    const age = (year: number | null | undefined) => judged({ year }).findings[0]?.because[0]
    // Nickel-cadmium: about 8 years.
    expect([age(2018), age(2017), age(null), age(undefined)]).toEqual([
      'It is 8 years old.',
      'It is 9 years old; nickel-cadmium lasts about 8.',
      'Its age is not known.',
      'Its age is not known.',
    ])
  })
  it('may be replaced by what its circuit charges alike, behind a diode by what is never charged, and by nothing else', () => {
    const misfits = (replacement: Partial<Fitted>, more: Partial<Battery> = {}) =>
      names(out(replacement, more).findings).filter(n => /mischarged|perhaps/.test(n))
    expect(misfits({})).toEqual([])
    expect(misfits({ chemistry: 'nickel-metal-hydride' })).toEqual([])
    expect(misfits({ chemistry: 'lead-acid' })).toEqual(['stop battery.mischarged'])
    expect(misfits({ chemistry: 'lead-acid' }, { chemistry: 'lead-acid' })).toEqual([])
    expect(misfits({ chemistry: 'lead-acid' }, { chemistry: 'unknown' })).toEqual(['care battery.perhaps-charged'])
    expect(misfits({ chemistry: 'lithium-coin' }, { chemistry: 'unknown' })).toEqual(['stop battery.mischarged'])
    expect(misfits({ chemistry: 'lithium-coin' }, { charging: 'unknown' })).toEqual(['care battery.perhaps-charged'])
    expect(misfits({ chemistry: 'lithium-coin' }, { charging: 'no' })).toEqual([])
    expect(misfits({ chemistry: 'lithium-coin', diode: true })).toEqual([])
    expect(misfits({ chemistry: 'unknown' })).toEqual(['care battery.perhaps-charged'])
    expect(misfits({ how: 'none', chemistry: 'lithium-coin' })).toEqual([])
  })
  it('has a replacement of about its voltage: 0.7 to 1.3 times what it gave, less the diode’s 0.2 V', () => {
    const voltage = (voltageV: number | null, diode = false, more: Partial<Battery> = {}) =>
      names(out({ voltageV, diode }, { charging: 'no', ...more }).findings).filter(n => n.includes('voltage'))
    // It gave 3.6 V: 2.52 to 4.68 V.
    expect([voltage(4.68), voltage(4.69), voltage(2.52), voltage(2.51)]).toEqual([[], ['stop battery.voltage-high'], [], ['care battery.voltage-low']])
    expect([voltage(4.88, true), voltage(4.9, true)]).toEqual([[], ['stop battery.voltage-high']])
    expect(voltage(null)).toEqual([])
    expect(voltage(9, false, { chemistry: 'unknown' })).toEqual([])
    expect(names(out({ chemistry: 'unknown', voltageV: null }, { charging: 'no' }).findings)).toContain('care battery.voltage-unknown')
  })
  it('says what its circuit does to it while it is in, and nothing once it is out', () => {
    const circuit = (more: Partial<Battery>) => names(judged(more).findings).filter(n => /charg/.test(n))
    expect(circuit({ chemistry: 'alkaline' })).toEqual(['stop battery.charged'])
    expect(circuit({ chemistry: 'alkaline', charging: 'unknown' })).toEqual(['care battery.charging-unknown'])
    expect(circuit({ chemistry: 'unknown', charging: 'unknown' })).toEqual(['care battery.charging-unknown'])
    expect(circuit({ chemistry: 'unknown' })).toEqual([])
    expect(circuit({ charging: 'unknown' })).toEqual([])
    expect(circuit({ chemistry: 'alkaline', charging: 'no' })).toEqual([])
    expect(circuit({ chemistry: 'alkaline', fitted: false })).toEqual([])
  })
  it('that is replaced says how, by which school, and what follows', () => {
    const said = (replacement: Partial<Fitted> | null, more: Partial<Battery> = {}) => names(out(replacement, more).findings)
    expect(said(null)).toContain('note battery.school')
    expect(said({ how: 'none' })).toEqual(['fine battery.out', 'fine battery.none-fitted'])
    expect(said({ how: 'diode-cell', diode: true, chemistry: 'lithium-coin', cells: 1 })).toContain('note battery.other-school')
    expect(said({})).not.toContain('note battery.other-school')
    expect(said({})).not.toContain('care battery.again')
    expect(said({ diode: true })).toContain('care battery.not-charged')
    expect(said({}, { charging: 'no' })).toContain('care battery.not-charged')
    expect(said({})).not.toContain('care battery.not-charged')
    expect(said({ chemistry: 'alkaline', diode: true })).not.toContain('care battery.not-charged')
    expect(said({ chemistry: 'unknown', diode: true })).not.toContain('note battery.diode-drop')
  })
  it('speaks for all by the most pressing of them', () => {
    const order = ['leaking', 'residue', 'mischarged', 'in', 'unlooked', 'replaced', 'out'] as const
    order.forEach((fact, i) => expect(batteryFact('none-fitted', order.slice(i).toReversed())).toBe(fact))
  })
  it('goes its way home one step after the other, and is clean only once every place was looked at', () => {
    const leaked = { state: 'residue', fitted: false, chemistry: 'nickel-cadmium' } as const
    expect(nextHomeStep({ ...leaked, fitted: true })).toBeNull()
    expect(nextHomeStep({ ...leaked, state: 'sound' })).toBeNull()
    expect(nextHomeStep({ ...leaked, state: 'doubtful' })).toBeNull()
    expect(nextHomeStep({ ...leaked, state: 'clean' })).toBeNull()
    expect(['leaking', 'residue', 'neutralised', 'rinsed', 'dried'].map(state => nextHomeStep({ ...leaked, state: state as 'residue' })?.step)).toEqual([
      'neutralised',
      ...homeSteps,
    ])
    expect(nextHomeStep({ ...leaked, chemistry: 'zinc-carbon' })?.do).toContain('bicarbonate')
    expect(nextHomeStep(leaked)?.do).toContain('vinegar')
    expect(() => checkHomeStep({ ...leaked, fitted: true }, 'neutralised', [])).toThrow(/take it out first/)
    expect(() => checkHomeStep(leaked, 'rinsed', [])).toThrow(/First: Neutralise/)
    expect(() => checkHomeStep({ ...leaked, state: 'clean' }, 'clean', [])).toThrow(/Nothing of it is left/)
    expect(() => checkHomeStep({ ...leaked, state: 'dried' }, 'clean', placesToLook.slice(1))).toThrow(/Not looked at yet/)
    expect(() => checkHomeStep({ ...leaked, state: 'dried' }, 'clean', placesToLook)).not.toThrow()
    expect(() => checkHomeStep(leaked, 'neutralised', [])).not.toThrow()
  })
})
