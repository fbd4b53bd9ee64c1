import { describe, expect, it } from 'vitest'
import { measuredOff, now, rail, reading, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import type { Battery } from './battery'
import { batteriesOf, driftsOf, firstLimitOf, offStateOf, powerFactsKnown, powerHeard, readHere, readableRails, shortUnproved } from './rules'

// What power adds to a machine: each of its rules from both sides. Common practice, no source.
const of = (record: Partial<MachineRecord>) => ({ ...settled, ...record }) as MachineRecord
const facts = (record: Partial<MachineRecord>) => powerFactsKnown(of(record), now)
const heardOf = (record: Partial<MachineRecord>) => powerHeard(of(record), now).map(h => `${h.finding.level} ${h.finding.code}`)
const at = (day: number) => `2026-03-0${day}T19:00:00.000Z`
const off = (ohm: number | null, day: number, more: object = {}) => ({ ...measuredOff(ohm), at: at(day), ...more })
const cell: Battery = { where: 'IC3', chemistry: 'nickel-cadmium', cells: 3, year: 2020, state: 'sound', fitted: false, charging: 'yes' }
const twelve = { name: '+12 V', nominalV: 12 }

describe('rails that are expected', () => {
  it('are readable where a reading can be held against them', () => {
    const why = (...rails: { name: string; nominalV: number; tolerancePct?: number }[]) => readableRails(rails).unreadable.map(f => f.because[0])
    expect(why(rail, twelve)).toEqual([])
    expect(why(rail, { ...twelve, name: '+5 V' })).toEqual(['Two rails go by this name, and a reading cannot belong to both.'])
    expect(why({ ...rail, nominalV: 0 })).toEqual(['Its nominal voltage is nothing a reading can be compared with.'])
    expect(why({ ...rail, nominalV: NaN })).toEqual(['Its nominal voltage is nothing a reading can be compared with.'])
    expect(why({ ...rail, tolerancePct: -1 })).toEqual(['Its tolerance lies outside 0 to 50 %.'])
    expect(readableRails([rail, { ...rail, nominalV: 0 }]).rails).toEqual([rail])
  })
  it('that cannot be judged keep it off, with their name', () => {
    expect(powerHeard(of({ expectedRails: [{ name: '', nominalV: 5, tolerancePct: 99 }] }), now)[0]?.finding.says).toBe(
      'The rail without a name cannot be judged.',
    )
  })
  it('count by what was read in the configuration that it stands in, since the supply was last worked on', () => {
    expect(facts({}).railsVerdict).toBe('good')
    expect(facts({ readings: [reading(5, 'loaded', { configuration: 'partly|A' })] }).railsVerdict).toBe('unread')
    expect(facts({ suppliesMendedAt: '2026-03-02T19:00:00.000Z' }).railsVerdict).toBe('unread')
    expect(facts({ suppliesMendedAt: '2026-03-02T18:59:59.999Z' }).railsVerdict).toBe('good')
    expect(facts({ expectedRails: [] })).toMatchObject({
      railsResult: null,
      rails: [],
      railsVerdict: 'unread',
      railsUnderLoad: false,
      measured: { rails: 'unread' },
    })
    expect(facts({ expectedRails: [rail, twelve] }).rails).toEqual([
      { name: '+5 V', verdict: 'good' },
      { name: '+12 V', verdict: 'unread' },
    ])
    expect(readHere({ kind: 'partly', out: ['B', 'A'] }, [{ configuration: 'partly|A|B' }, { configuration: 'whole' }])).toHaveLength(1)
  })
  it('are proved under load only where each deciding reading was taken so', () => {
    const under = (...loads: ('loaded' | 'unloaded')[]) =>
      facts({
        expectedRails: [rail, twelve].slice(0, loads.length),
        readings: loads.map((load, i) => ({ ...reading(i ? 12 : 5, load), rail: i ? '+12 V' : '+5 V' })),
      }).railsUnderLoad
    expect([under('loaded'), under('unloaded'), under('loaded', 'unloaded'), under('loaded', 'loaded')]).toEqual([true, false, false, true])
  })
})

describe('a short', () => {
  it('stands until the rail reads plausible again: a low reading has not cleared it', () => {
    const short = (...ohms: number[]) => facts({ offReadings: ohms.map((ohm, i) => off(ohm, i + 1)) }).measured.shortedRail
    expect([short(0.1), short(180), short(0.1, 8), short(0.1, 180), short(0.1, 180, 8), short(180, 0.1), short(8)]).toEqual([
      'yes',
      'no',
      'yes',
      'no',
      undefined,
      'yes',
      undefined,
    ])
    expect(facts({ offReadings: [] }).measured).not.toHaveProperty('shortedRail')
  })
  it('belongs to the machine, not to the name that its rail went by', () => {
    const renamed = (ohm: number) => facts({ offReadings: [off(ohm, 1, { rail: 'VCC' }), off(180, 2)] }).measured.shortedRail
    expect([renamed(0.1), renamed(180)]).toEqual(['yes', 'no'])
    expect(facts({ offReadings: [off(0.1, 1, { configuration: 'supply-alone' }), off(180, 2)] }).measured.shortedRail).toBe('no')
  })
  it('was measured when it was measured last, as it is connected now', () => {
    const { measuredAt } = facts({
      offReadings: [off(180, 2), off(180, 1), off(180, 3, { configuration: 'partly|A' })],
      batteries: [{ ...cell, at: at(1) }, cell, { ...cell, at: at(3) }],
    })
    expect(measuredAt).toMatchObject({ shortedRail: at(2), battery: at(3) })
    expect(offStateOf(of({}), [off(8, 1), off(180, 2)])[0]?.last?.verdict).toBe('plausible')
    expect(offStateOf(of({}), [])[0]?.last).toBeNull()
  })
  it('is not ruled out by an answer that no measuring shows', () => {
    const told = (answer: string | undefined, ...verdicts: ('plausible' | 'short' | 'suspect' | null)[]) =>
      shortUnproved(
        answer,
        verdicts.map((verdict, i) => ({ rail: `r${i}`, verdict })),
      ).map(h => h.finding.says)
    expect(told('no', 'plausible')).toEqual([])
    expect(told('yes', null)).toEqual([])
    expect(told(undefined, null)).toEqual([])
    expect(told('no', 'short', null)).toEqual([])
    expect(told('no', 'plausible', 'suspect')).toEqual(['“No short” was answered, but not shown for r1.'])
    expect(told('no', null, null)).toEqual(['“No short” was answered, but nothing on record shows it.'])
    expect(told('no')).toEqual(['“No short” was answered, but nothing on record shows it.'])
  })
  it('that is only suspected asks for care', () => {
    expect(heardOf({ offReadings: [off(8, 1)], entered: { ...settled.entered, shortedRail: 'yes' } })[0]).toMatch(/^care off-state\.suspect/)
    expect(heardOf({ offReadings: [off(180, 1)] })).toEqual([])
  })
})

describe('what was measured belongs to the thing, not to its name', () => {
  it('a rail that read badly and is expected no more is still heard, by the voltage in its name', () => {
    const gone = (name: string, valueV: number, more: object = {}) =>
      heardOf({ readings: [reading(5), { ...reading(valueV), rail: name, ...more }] }).filter(c => c.includes('no-more'))
    expect(gone('+12 V', 6).length).toBe(1)
    expect(gone('−12 V', -6).length).toBe(1)
    expect(gone('+12 V', 12)).toEqual([])
    expect(gone('VCC', 6)).toEqual([])
    expect(gone('0 V', 6)).toEqual([])
    expect(gone('+12 V', 6, { configuration: 'partly|A' })).toEqual([])
  })
  it('and so is one that carried far too much, whatever name it had and however it stood', () => {
    const alarms = (record: Partial<MachineRecord>) => facts(record).alarms.map(a => a.key)
    expect(alarms({ readings: [{ ...reading(14, 'loaded', { configuration: 'partly|A' }), rail: '+12 V' }] })).toEqual(['overvoltage:+12 V'])
    expect(alarms({ readings: [reading(9), reading(5)] })).toEqual(['overvoltage:+5 V'])
    expect(alarms({ readings: [reading(9)], explanations: [{ key: 'overvoltage:+5 V', says: 'x', at: '2026-03-02T19:00:00.000Z' }] })).toEqual([])
    const hot = { part: 'chip' as const, where: 'IC1', lastC: 90, highestC: 90, climbKPerMin: null, at: at(1) }
    expect(alarms({ temperatures: [hot] })).toEqual(['heat:chip:IC1'])
    expect(heardOf({ temperatures: [{ ...hot, highestC: 70 }] })).toEqual(['care temperature.warm.chip-ic1'])
  })
  it('limits wider than those of its voltage are care, unless its model asks for them, and never for several times as much', () => {
    const wide = (tolerancePct: number | undefined, model?: number) =>
      heardOf({ expectedRails: [{ ...rail, tolerancePct }], modelRails: model === undefined ? [] : [{ ...rail, tolerancePct: model }] }).filter(c =>
        c.includes('wide'),
      ).length
    expect([wide(undefined), wide(5), wide(6), wide(8, 8), wide(9, 8), wide(10, 10), wide(11, 20), wide(6, 5)]).toEqual([0, 0, 1, 0, 1, 0, 1, 1])
  })
})

describe('batteries', () => {
  it('are judged by the year of the moment', () => {
    expect(batteriesOf([{ ...cell, fitted: true }], 'remote-holder', '2031-01-01T00:00:00.000Z')[0]?.findings[0]?.because[0]).toContain('11 years old')
  })
  it('that have leaked go their way home, and those that are out and sound are replaced', () => {
    const known = facts({
      batteries: [
        { ...cell, where: 'a', state: 'rinsed' },
        { ...cell, where: 'b' },
        { ...cell, where: 'c', state: 'clean' },
        { ...cell, where: 'd', fitted: true },
        { ...cell, where: 'e', replacement: { how: 'none', chemistry: 'unknown', diode: false } },
        { ...cell, where: 'f', state: 'doubtful' },
      ],
    })
    expect(known.batteriesOnTheWay.map(b => b.where)).toEqual(['a'])
    expect(known.batteriesToReplace).toEqual([
      { where: 'b', by: 'remote holder' },
      { where: 'c', by: 'remote holder' },
    ])
    expect([known.batteriesOnRecord, facts({}).batteriesOnRecord, known.measured.battery, facts({}).measured.battery]).toEqual([
      true,
      false,
      'residue',
      undefined,
    ])
  })
  it('are heard where they are connected, beyond what the gate asks itself', () => {
    const odd = { ...cell, replacement: { how: 'like-for-like' as const, chemistry: 'nickel-cadmium' as const, cells: 9, diode: false } }
    expect(heardOf({ batteries: [odd] })).toEqual(['stop battery.voltage-high.ic3', 'care battery.again.ic3'])
    expect(heardOf({ batteries: [odd], configuration: { kind: 'supply-alone', out: [] }, readings: [], offReadings: [], entered: {} })).toEqual([])
  })
})

describe('a bench supply', () => {
  const bench = (record: Partial<MachineRecord>) => heardOf({ offReadings: [], entered: {}, readings: [], ...record })
  const inlet = { voltageV: 9, kind: 'dc' as const, currentA: 1 }
  it('is asked about only where it feeds the machine, with the limit that its inlet sets', () => {
    const onBench = { configuration: { kind: 'bench-supply' as const, out: [] } }
    expect(bench({})).toEqual([])
    expect(bench(onBench)).toEqual(['note bench.not-looked'])
    const output = { feeds: '+5 V', voltageV: 5, limitA: 1.3, polarityChecked: true }
    expect(bench({ ...onBench, bench: [output] })).toEqual([])
    expect(bench({ ...onBench, bench: [output], inlet }).map(c => c.split('.')[1])).toEqual(['limit'])
    expect([firstLimitOf(null), firstLimitOf(inlet), firstLimitOf({ ...inlet, kind: 'ac' })]).toEqual([null, 0.3, null])
  })
})

describe('what it adds to the work', () => {
  const moves = (record: Partial<MachineRecord>) => assess(of(record), now).moves.map(m => m.says)
  it('is the way home, what goes in its place, and why a rail moves', () => {
    expect(moves({ batteries: [{ ...cell, state: 'rinsed' }] }).some(m => m.startsWith('Dry it through') && !m.endsWith('.'))).toBe(true)
    expect(moves({ batteries: [cell] })).toContain('Settle what goes in the place of the battery, IC3')
    const drifting = (a: number, b: number) => ({ readings: [reading(a, 'loaded', { at: at(1) }), reading(b)] })
    expect(moves(drifting(5.01, 4.9))).toContain('Find out why +5 V moves')
    // Towards nominal it is a note, and no work.
    expect(driftsOf(of(drifting(4.9, 5.01))).map(d => d.finding.level)).toEqual(['note'])
    expect(moves(drifting(4.9, 5.01))).not.toContain('Find out why +5 V moves')
    expect(driftsOf(of({ readings: [reading(5.2, 'loaded', { configuration: 'partly|A', at: at(1) }), reading(4.9)] }))).toEqual([])
  })
  it('proves each rail, and is looked at anew with the year while a battery is on record', () => {
    const steps = (valueV: number) => assess(of({ readings: [reading(valueV)] }), now).run[5]?.steps.find(s => s.says === 'Rail +5 V')?.done
    expect([steps(5), steps(4)]).toEqual([true, false])
    expect(assess(of({ batteries: [cell] }), now).dueAt).toBe('2027-01-01T00:00:00.000Z')
  })

  it('knows of a supply only where its label and what the inlet needs are both on record', () => {
    const inlet = { voltageV: 9, kind: 'dc' as const, currentA: 1 }
    const label = { voltageV: 12, kind: 'dc' as const }
    expect([facts({ inlet }), facts({ supply: label }), facts({ inlet, supply: label })].map(f => f.measured.supply)).toEqual([
      undefined,
      undefined,
      'doubtful',
    ])
  })
  it('hears of a rail by its own readings alone, and of none that is still expected', () => {
    const gone = (record: Partial<MachineRecord>) =>
      powerHeard(of(record), now)
        .filter(h => h.finding.code.includes('no-more'))
        .map(h => h.finding.says)
    expect(gone({ expectedRails: [rail, twelve], readings: [reading(4)] })).toEqual([])
    expect(
      gone({
        readings: [
          reading(5),
          { ...reading(9), rail: '+12 V' },
          { ...reading(12), rail: '+12 V' },
          { ...reading(8), rail: '+24 V' },
          { ...reading(7), rail: '+24 V' },
        ],
      }),
    ).toEqual(['+24 V read 7 V, and is expected no more.'])
    const asked = (rails: Parameters<typeof shortUnproved>[1]) => shortUnproved('no', rails)[0]?.open?.do
    expect([asked([{ rail: 'a', verdict: null }]), asked([])]).toEqual([
      'Measure every rail to ground with the power off.',
      'Say which rails it has, and measure each to ground with the power off.',
    ])
  })

  it('of several rails each moves by itself, and what is said of a battery names it', () => {
    const two = {
      expectedRails: [rail, twelve],
      readings: [
        { ...reading(12, 'loaded', { at: at(1) }), rail: '+12 V' },
        reading(5, 'loaded', { at: at(1) }),
        { ...reading(12), rail: '+12 V' },
        reading(5),
      ],
    }
    expect(driftsOf(of(two))).toEqual([])
    const odd = { ...cell, replacement: { how: 'like-for-like' as const, chemistry: 'nickel-cadmium' as const, cells: 9, diode: false } }
    expect(powerHeard(of({ batteries: [odd] }), now)[0]?.finding.because).toEqual(['Battery, IC3.', 'The clock chip gets more than it was made for.'])
    const why = (rails: Parameters<typeof shortUnproved>[1]) => shortUnproved('no', rails)[0]?.finding.because[0]
    expect([why([{ rail: 'a', verdict: null }]), why([])]).toEqual([
      'To be measured as it is connected now: a.',
      'No rail is expected of it, so none could be measured.',
    ])
  })
})
