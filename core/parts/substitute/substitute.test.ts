import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { beltLength } from '../belt'
import { type Spec, type SpecField, verdicts } from './compare'
import { type PartKindName, judgeSubstitute, partKindNames, partKinds } from './substitute'

const judge = (kind: PartKindName, wanted: Spec, offered: Spec) => judgeSubstitute({ kind, wanted, offered })
const verdictOf = (kind: PartKindName, wanted: Spec, offered: Spec) => judge(kind, wanted, offered).verdict
const worst = (kind: PartKindName, wanted: Spec, offered: Spec) => judge(kind, wanted, offered).terms[0]!

/** One of each kind, with all that decides stated. */
const whole: Record<PartKindName, Spec> = {
  capacitor: {
    capacitanceF: 470e-6,
    voltageV: 25,
    technology: 'electrolytic',
    safetyClass: 'none',
    polarity: 'polarised',
    leads: 'radial',
    spacingMm: 5,
    diameterMm: 10,
  },
  resistor: { resistanceOhm: 4700, powerW: 0.25, tolerancePct: 5, technology: 'film' },
  regulator: { outputV: 5, sign: 'positive', currentA: 1, dropOutV: 2, pinOrder: 'in, ground, out', package: 'TO-220', insulatedTab: false, way: 'linear' },
  transistor: { type: 'npn', voltageV: 40, currentA: 0.6, gain: 100, pinOrder: 'E B C' },
  logic: { number: '245', family: 'ls', delayNs: 12, package: 'DIP-20' },
  memory: { kind: 'dram', words: 16384, bits: 1, accessNs: 200, rails: '+12, +5, −5 V', pinOut: 'as 4116' },
  processor: { number: 'SH-6', speedMHz: 4, rails: '+5 V', package: 'DIP-40' },
  socket: { pins: 28, pitchMm: 2.54, rowSpacingMm: 15.24, contact: 'double-wipe' },
  connector: { pitchMm: 2.54, pins: 10, rows: 1, side: 'plug', mounting: 'board' },
  fuse: { ratingA: 1, speed: 'slow', breakingA: 35, voltageV: 250, size: '5 × 20 mm' },
  fan: { sizeMm: 80, voltageV: 12, current: 'dc', flowM3h: 50 },
  drive: { interface: '34-pin', tracks: 80, sides: 2, recording: 'MFM', speedRpm: 300 },
  membrane: { lines: 16, tails: 2, pitchMm: 2.54, model: 'Gannet, issue 2' },
  key: { part: 'cap', mount: 'cross', widthUnits: 1, legend: 'Q' },
  belt: { lengthMm: 251, section: 'flat', widthMm: 5 },
  supply: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1, regulated: true, outerMm: 5.5, innerMm: 2.1 },
}
const without = (spec: Spec, field: string): Spec => Object.fromEntries(Object.entries(spec).filter(([name]) => name !== field))
const valueOf = (field: SpecField): fc.Arbitrary<number | string | boolean> =>
  field.is === 'figure'
    ? field.whole
      ? fc.integer({ min: 1, max: Math.min(field.most, 64) })
      : fc.double({ min: Math.min(field.most, 20) / 20, max: Math.min(field.most, 20), noNaN: true })
    : field.is === 'choice'
      ? fc.constantFrom(...Object.keys(field.options))
      : field.is === 'flag'
        ? fc.boolean()
        : fc.constantFrom('this', 'that')
const specOf = (kind: PartKindName) =>
  fc.record(Object.fromEntries(Object.entries(partKinds[kind].fields).map(([name, field]) => [name, valueOf(field)])), { requiredKeys: [] })

describe.each(partKindNames)('a %s', kind => {
  it('fits in the place of its like, and never where something that counts is not stated', () => {
    expect(verdictOf(kind, whole[kind], whole[kind])).toBe('fits')
    expect(verdictOf(kind, {}, {})).toBe('not-known')
    const unstated = Object.keys(whole[kind]).filter(field => verdictOf(kind, whole[kind], without(whole[kind], field)) === 'fits')
    // A capacitor’s polarity is told by what it is made of, and where no class is wanted any will do.
    expect(unstated).toEqual(kind === 'capacitor' ? ['safetyClass', 'polarity'] : [])
  })

  it('takes whatever is stated, says the worst first, and is no surer of less', () => {
    fc.assert(
      fc.property(specOf(kind), specOf(kind), fc.nat(), (wanted, offered, at) => {
        const { verdict, terms, findings } = judge(kind, wanted, offered)
        expect(verdict).toBe(terms.map(t => t.verdict).sort((a, b) => verdicts.indexOf(b) - verdicts.indexOf(a))[0] ?? 'not-known')
        expect(findings).toHaveLength(terms.length)
        for (const { field } of terms) expect(Object.keys(partKinds[kind].fields)).toContain(field)
        const names = Object.keys(offered)
        const name = names[at % Math.max(1, names.length)]
        if (name && verdict !== 'fits' && !['runsHot', 'samePins', 'sameCode'].includes(name))
          return void expect(verdictOf(kind, wanted, without(offered, name))).not.toBe('fits')
      }),
      { numRuns: 150 },
    )
  })

  it('refuses a field that it does not have, and a value that is none', () => {
    expect(() => judge(kind, { colourOfTheSky: 1 }, {})).toThrow('has no such field')
    const [name, field] = Object.entries(partKinds[kind].fields)[0]!
    expect(() => judge(kind, {}, { [name]: field.is === 'figure' ? -1 : '' })).toThrow(field.label)
  })
})

// Source: IEC 60384-14, from memory: the same class or a better one.
it.each([
  ['x2', 'x2', 'fits'],
  ['x2', 'x1', 'fits'],
  ['x1', 'x2', 'does-not'],
  ['y2', 'y1', 'fits'],
  ['y1', 'y2', 'does-not'],
  ['y2', 'x1', 'does-not'],
  ['x2', 'y2', 'not-known'],
  ['y2', 'x1-y2', 'fits'],
  ['x1-y1', 'x1-y2', 'does-not'],
  ['x2', 'none', 'does-not'],
])('a capacitor of class %s by one of class %s: %s', (wanted, offered, verdict) => {
  const part = { capacitanceF: 4.7e-9, voltageV: 250, technology: 'film', polarity: 'bipolar' }
  expect(verdictOf('capacitor', { ...part, safetyClass: wanted }, { ...part, safetyClass: offered })).toBe(verdict)
})

const can = whole.capacitor
const line = { capacitanceF: 100e-9, voltageV: 250, technology: 'paper', safetyClass: 'x2' }
const film = { capacitanceF: 10e-9, voltageV: 100, technology: 'film', safetyClass: 'none' }
// Common practice, no source, but where a line names one.
it.each<[string, PartKindName, Spec, Spec, string, string]>([
  ['a lower voltage', 'capacitor', can, { ...can, voltageV: 16 }, 'does-not', 'voltageV'],
  ['a smaller part on flying leads', 'capacitor', { ...can, leads: 'screw', diameterMm: 35 }, { ...can, leads: 'snap-in', diameterMm: 30 }, 'note', 'leads'],
  ['twice the value in a supply', 'capacitor', can, { ...can, capacitanceF: 940e-6 }, 'note', 'capacitanceF'],
  ['more than that', 'capacitor', can, { ...can, capacitanceF: 1500e-6 }, 'does-not', 'capacitanceF'],
  ['two thirds of it', 'capacitor', can, { ...can, capacitanceF: 330e-6 }, 'first-start', 'capacitanceF'],
  ['less than half of it', 'capacitor', can, { ...can, capacitanceF: 220e-6 }, 'does-not', 'capacitanceF'],
  ['one too thick', 'capacitor', can, { ...can, diameterMm: 12.5 }, 'not-known', 'diameterMm'],
  ['tantalum without room in its voltage', 'capacitor', can, { ...can, technology: 'tantalum', voltageV: 35 }, 'not-known', 'technology'],
  ['tantalum at half its voltage', 'capacitor', can, { ...can, technology: 'tantalum', voltageV: 50 }, 'note', 'technology'],
  ['a new film for cracked paper', 'capacitor', line, { ...line, technology: 'film' }, 'note', 'technology'],
  ['paper again', 'capacitor', { ...line, technology: 'film' }, line, 'does-not', 'technology'],
  [
    'more to earth',
    'capacitor',
    { ...line, safetyClass: 'y2' },
    { ...line, technology: 'film', safetyClass: 'y2', capacitanceF: 150e-9 },
    'does-not',
    'capacitanceF',
  ],
  [
    'less to earth',
    'capacitor',
    { ...line, safetyClass: 'y2' },
    { ...line, technology: 'film', safetyClass: 'y2', capacitanceF: 68e-9 },
    'note',
    'capacitanceF',
  ],
  ['DC where the mains is', 'capacitor', { ...film, ratedFor: 'ac' }, { ...film, ratedFor: 'dc', voltageV: 630 }, 'does-not', 'ratedFor'],
  ['one for AC where DC is', 'capacitor', { ...film, ratedFor: 'dc' }, { ...film, ratedFor: 'ac' }, 'fits', ''],
  ['an electrolytic for film', 'capacitor', film, { ...film, technology: 'electrolytic' }, 'does-not', 'technology'],
  ['a value beside, where the tolerance is not stated', 'capacitor', film, { ...film, capacitanceF: 12e-9 }, 'not-known', 'capacitanceF'],
  ['a value beside, where it is', 'capacitor', { ...film, tolerancePct: 5 }, { ...film, tolerancePct: 5, capacitanceF: 12e-9 }, 'does-not', 'capacitanceF'],
  ['an E-series neighbour within its tolerance', 'capacitor', { ...film, tolerancePct: 20 }, { ...film, tolerancePct: 10, capacitanceF: 9.1e-9 }, 'fits', ''],
  ['a safety class not stated', 'capacitor', without(film, 'safetyClass'), film, 'not-known', 'safetyClass'],
  ['less power', 'resistor', whole.resistor, { ...whole.resistor, powerW: 0.125 }, 'does-not', 'powerW'],
  ['film for a fusible one', 'resistor', { ...whole.resistor, technology: 'fusible' }, whole.resistor, 'does-not', 'technology'],
  ['a regulator with more drop-out', 'regulator', whole.regulator, { ...whole.regulator, dropOutV: 3 }, 'does-not', 'dropOutV'],
  ['a live tab', 'regulator', { ...whole.regulator, insulatedTab: true }, whole.regulator, 'does-not', 'insulatedTab'],
  ['a switching module', 'regulator', whole.regulator, { ...whole.regulator, way: 'switching' }, 'note', 'way'],
  ['a negative one', 'regulator', whole.regulator, { ...whole.regulator, sign: 'negative' }, 'does-not', 'sign'],
  ['legs in another order', 'transistor', whole.transistor, { ...whole.transistor, pinOrder: 'C B E' }, 'note', 'pinOrder'],
  ['a PNP', 'transistor', whole.transistor, { ...whole.transistor, type: 'pnp' }, 'does-not', 'type'],
  // Source: data books of the families, from memory: a high of TTL is 2.4 V at least, HC takes 3.5 V for one at 5 V.
  ['HC behind TTL', 'logic', whole.logic, { ...whole.logic, family: 'hc' }, 'does-not', 'family'],
  ['HCT behind TTL', 'logic', whole.logic, { ...whole.logic, family: 'hct' }, 'note', 'family'],
  ['LS for HC', 'logic', { ...whole.logic, family: 'hc' }, whole.logic, 'does-not', 'family'],
  ['HC for 4000 at 12 V', 'logic', { ...whole.logic, family: '4000', supplyV: 12 }, { ...whole.logic, family: 'hc' }, 'does-not', 'family'],
  ['HC for 4000, at nobody knows what', 'logic', { ...whole.logic, family: '4000' }, { ...whole.logic, family: 'hc' }, 'not-known', 'family'],
  ['HC for 4000 at 5 V', 'logic', { ...whole.logic, family: '4000', supplyV: 5 }, { ...whole.logic, family: 'hc' }, 'note', 'family'],
  ['standard TTL for LS', 'logic', whole.logic, { ...whole.logic, family: 'std' }, 'note', 'family'],
  ['a slower one', 'logic', whole.logic, { ...whole.logic, delayNs: 25 }, 'first-start', 'delayNs'],
  ['memory with one rail for three', 'memory', whole.memory, { ...whole.memory, rails: '+5 V' }, 'does-not', 'rails'],
  ['slower memory', 'memory', whole.memory, { ...whole.memory, accessNs: 250 }, 'does-not', 'accessNs'],
  ['larger memory', 'memory', whole.memory, { ...whole.memory, words: 65536 }, 'not-known', 'words'],
  ['an EPROM for a mask ROM', 'memory', { ...whole.memory, kind: 'rom' }, { ...whole.memory, kind: 'eprom' }, 'note', 'kind'],
  [
    'a newer processor that runs hot',
    'processor',
    whole.processor,
    { ...whole.processor, number: 'SH-6C', samePins: true, sameCode: true, runsHot: true },
    'first-start',
    'runsHot',
  ],
  ['a newer processor of which nobody knows', 'processor', whole.processor, { ...whole.processor, number: 'SH-6C' }, 'not-known', 'number'],
  ['a newer processor with other pins', 'processor', whole.processor, { ...whole.processor, number: 'SH-6C', samePins: false }, 'does-not', 'number'],
  ['another pitch', 'connector', whole.connector, { ...whole.connector, pitchMm: 2.5 }, 'does-not', 'pitchMm'],
  ['one pin more', 'connector', whole.connector, { ...whole.connector, pins: 11 }, 'note', 'pins'],
  ['two pins more', 'connector', whole.connector, { ...whole.connector, pins: 12 }, 'does-not', 'pins'],
  ['one pin less', 'connector', whole.connector, { ...whole.connector, pins: 9 }, 'does-not', 'pins'],
  ['a larger fuse', 'fuse', whole.fuse, { ...whole.fuse, ratingA: 1.25 }, 'does-not', 'ratingA'],
  ['a smaller fuse', 'fuse', whole.fuse, { ...whole.fuse, ratingA: 0.8 }, 'first-start', 'ratingA'],
  ['a slower fuse', 'fuse', { ...whole.fuse, speed: 'fast' }, whole.fuse, 'does-not', 'speed'],
  ['a quicker fuse', 'fuse', whole.fuse, { ...whole.fuse, speed: 'fast' }, 'first-start', 'speed'],
  ['a fuse that breaks less', 'fuse', { ...whole.fuse, breakingA: 1500 }, whole.fuse, 'does-not', 'breakingA'],
  ['a weaker fan', 'fan', whole.fan, { ...whole.fan, flowM3h: 35 }, 'first-start', 'flowM3h'],
  ['80 tracks for 40', 'drive', { ...whole.drive, tracks: 40 }, whole.drive, 'note', 'tracks'],
  ['a membrane of another issue', 'membrane', whole.membrane, { ...whole.membrane, model: 'Gannet, issue 1' }, 'not-known', 'model'],
  ['a cap with another legend', 'key', whole.key, { ...whole.key, legend: 'W' }, 'note', 'legend'],
  [
    'a belt by its pulleys',
    'belt',
    { centresMm: 60, largeMm: 50, smallMm: 30, section: 'flat', widthMm: 5 },
    { lengthMm: 247, section: 'flat', widthMm: 5 },
    'fits',
    '',
  ],
  ['a belt too long', 'belt', whole.belt, { ...whole.belt, lengthMm: 265 }, 'does-not', 'lengthMm'],
  ['a belt too tight', 'belt', whole.belt, { ...whole.belt, lengthMm: 235 }, 'first-start', 'lengthMm'],
  ['AC for DC', 'supply', whole.supply, { ...whole.supply, kind: 'ac' }, 'does-not', 'voltageV'],
  ['ceramic for an electrolytic', 'capacitor', can, { ...can, technology: 'ceramic', polarity: 'bipolar' }, 'note', 'technology'],
  ['a polymer for an electrolytic', 'capacitor', can, { ...can, technology: 'polymer' }, 'note', 'technology'],
  ['ceramic for film', 'capacitor', film, { ...film, technology: 'ceramic' }, 'note', 'technology'],
  ['paper for film', 'capacitor', film, { ...film, technology: 'paper' }, 'does-not', 'technology'],
  ['leads not stated', 'capacitor', can, without(can, 'leads'), 'note', 'leads'],
  ['screws for radial leads', 'capacitor', can, { ...can, leads: 'screw' }, 'does-not', 'leads'],
  ['more across the line', 'capacitor', { ...line, technology: 'film' }, { ...line, technology: 'film', capacitanceF: 140e-9 }, 'note', 'capacitanceF'],
  ['far more across the line', 'capacitor', { ...line, technology: 'film' }, { ...line, technology: 'film', capacitanceF: 160e-9 }, 'does-not', 'capacitanceF'],
  ['less across the line', 'capacitor', { ...line, technology: 'film' }, { ...line, technology: 'film', capacitanceF: 60e-9 }, 'note', 'capacitanceF'],
  ['polarised where it turns round', 'capacitor', { ...can, polarity: 'bipolar' }, can, 'does-not', 'polarity'],
  ['nobody knows whether it turns round', 'capacitor', { ...without(can, 'polarity'), technology: undefined }, can, 'not-known', 'polarity'],
  ['less ripple', 'capacitor', { ...can, rippleA: 1 }, { ...can, rippleA: 0.8 }, 'first-start', 'rippleA'],
  ['twice the series resistance', 'capacitor', { ...can, impedanceOhm: 0.1 }, { ...can, impedanceOhm: 0.2 }, 'first-start', 'impedanceOhm'],
  ['more than twice of it', 'capacitor', { ...can, impedanceOhm: 0.1 }, { ...can, impedanceOhm: 0.21 }, 'does-not', 'impedanceOhm'],
  ['far less of it', 'capacitor', { ...can, impedanceOhm: 0.1 }, { ...can, impedanceOhm: 0.02 }, 'note', 'impedanceOhm'],
  ['cooler rated', 'capacitor', { ...can, temperatureC: 105 }, { ...can, temperatureC: 85 }, 'note', 'temperatureC'],
  ['ALS for S', 'logic', { ...whole.logic, family: 's' }, { ...whole.logic, family: 'als' }, 'note', 'family'],
  ['AS for LS', 'logic', whole.logic, { ...whole.logic, family: 'as' }, 'note', 'family'],
  ['HC for HCT', 'logic', { ...whole.logic, family: 'hct' }, { ...whole.logic, family: 'hc' }, 'does-not', 'family'],
  ['4000 for HC at 5 V', 'logic', { ...whole.logic, family: 'hc' }, { ...whole.logic, family: '4000' }, 'note', 'family'],
  ['a family that nobody states', 'logic', whole.logic, without(whole.logic, 'family'), 'not-known', 'family'],
  ['far quicker', 'logic', whole.logic, { ...whole.logic, delayNs: 3 }, 'note', 'delayNs'],
  ['a PROM for a mask ROM', 'memory', { ...whole.memory, kind: 'rom' }, { ...whole.memory, kind: 'prom' }, 'does-not', 'kind'],
  ['RAM for a ROM', 'memory', { ...whole.memory, kind: 'rom' }, { ...whole.memory, kind: 'sram' }, 'does-not', 'kind'],
  ['an EEPROM for a PROM', 'memory', { ...whole.memory, kind: 'prom' }, { ...whole.memory, kind: 'eeprom' }, 'note', 'kind'],
  ['a ROM for a PROM', 'memory', { ...whole.memory, kind: 'prom' }, { ...whole.memory, kind: 'rom' }, 'does-not', 'kind'],
  ['an EEPROM for RAM', 'memory', whole.memory, { ...whole.memory, kind: 'eeprom' }, 'does-not', 'kind'],
  ['fewer words', 'memory', whole.memory, { ...whole.memory, words: 4096 }, 'does-not', 'words'],
  ['one that does not do all', 'processor', whole.processor, { ...whole.processor, number: 'SH-6C', samePins: true, sameCode: false }, 'does-not', 'number'],
  [
    'one of another number that agrees',
    'processor',
    whole.processor,
    { ...whole.processor, number: 'SH-6C', samePins: true, sameCode: true },
    'note',
    'number',
  ],
  ['a composition resistor by film', 'resistor', { ...whole.resistor, technology: 'composition' }, whole.resistor, 'note', 'technology'],
  ['a fusible one for film', 'resistor', whole.resistor, { ...whole.resistor, technology: 'fusible' }, 'first-start', 'technology'],
  ['a network for a resistor', 'resistor', whole.resistor, { ...whole.resistor, technology: 'network' }, 'does-not', 'technology'],
  ['wound wire for film', 'resistor', whole.resistor, { ...whole.resistor, technology: 'wirewound' }, 'note', 'technology'],
  ['a Schottky for a diode', 'transistor', { ...whole.transistor, type: 'diode' }, { ...whole.transistor, type: 'schottky' }, 'note', 'type'],
  ['a diode for a Schottky', 'transistor', { ...whole.transistor, type: 'schottky' }, { ...whole.transistor, type: 'diode' }, 'does-not', 'type'],
  ['a bare tab by an insulated one', 'regulator', whole.regulator, { ...whole.regulator, insulatedTab: true }, 'note', 'insulatedTab'],
  ['a linear one for a module', 'regulator', { ...whole.regulator, way: 'switching' }, whole.regulator, 'first-start', 'way'],
  ['single wipe', 'socket', whole.socket, { ...whole.socket, contact: 'single-wipe' }, 'note', 'contact'],
  ['turned pins', 'socket', whole.socket, { ...whole.socket, contact: 'turned' }, 'note', 'contact'],
  ['zero force', 'socket', whole.socket, { ...whole.socket, contact: 'zero-force' }, 'fits', ''],
  ['too tall', 'socket', { ...whole.socket, heightMm: 4 }, { ...whole.socket, heightMm: 6 }, 'not-known', 'heightMm'],
  ['a plug that nobody measured', 'supply', whole.supply, without(whole.supply, 'outerMm'), 'not-known', ''],
  ['a supply not regulated', 'supply', whole.supply, { ...whole.supply, regulated: false }, 'does-not', ''],
  ['a belt too tight for any bearing', 'belt', whole.belt, { ...whole.belt, lengthMm: 225 }, 'does-not', 'lengthMm'],
  ['pulleys that meet', 'belt', { centresMm: 30, largeMm: 50, smallMm: 30, section: 'flat', widthMm: 5 }, whole.belt, 'not-known', 'centresMm'],
])('%s', (_, kind, wanted, offered, verdict, field) => {
  const first = worst(kind, wanted, offered)
  expect(first.verdict, first.says).toBe(verdict)
  if (field) expect(first.field).toBe(field)
})

it('says what is stated as people write it, and of what is not, on which side', () => {
  const says = (kind: PartKindName, wanted: Spec, offered: Spec, field: string) => judge(kind, wanted, offered).terms.find(t => t.field === field)?.says
  expect(says('capacitor', can, { ...can, voltageV: 35 }, 'voltageV')).toBe('Voltage: 35 V will do for 25 V.')
  expect(says('capacitor', can, can, 'capacitanceF')).toBe('Capacitance: 470 µF, as wanted.')
  expect(says('capacitor', can, { ...can, spacingMm: 7.5 }, 'spacingMm')).toBe('Lead spacing: 7.5 mm where 5 mm is wanted; form the leads.')
  expect(says('capacitor', { ...can, rippleA: 1.2 }, can, 'rippleA')).toBe('Ripple current: not stated of this one, and 1.2 A is wanted.')
  expect(says('capacitor', can, without(can, 'diameterMm'), 'diameterMm')).toBe('Diameter: not stated of this one; hold it against the place.')
  expect(says('socket', without(whole.socket, 'pins'), whole.socket, 'pins')).toBe('Pins: what is wanted does not state it.')
  expect(says('socket', whole.socket, { ...whole.socket, pins: 24 }, 'pins')).toBe('Pins: 24 where 28 is wanted.')
  expect(says('transistor', whole.transistor, { ...whole.transistor, pinOrder: ' e b  c' }, 'pinOrder')).toContain('will do for')
  expect(says('logic', whole.logic, { ...whole.logic, family: 'hct' }, 'family')).toContain('it drives less')
  expect(says('logic', { ...whole.logic, family: 'als' }, { ...whole.logic, family: 'ls' }, 'family')).toContain('it takes more from what drives it')
  expect(says('logic', { ...whole.logic, family: 'hct' }, { ...whole.logic, family: 'act' }, 'family')).toContain('no input of it may be left open')
  expect(says('logic', { ...whole.logic, family: 's' }, { ...whole.logic, family: 'as' }, 'family')).toContain('its edges are others')
  expect(says('processor', whole.processor, { ...whole.processor, number: 'X', samePins: false }, 'number')).toContain('with other pins')
  expect(says('processor', whole.processor, { ...whole.processor, number: 'X', samePins: true, sameCode: false }, 'number')).toContain(
    'something that it does not do',
  )
  expect(says('capacitor', { ...can, leads: 'snap-in' }, can, 'leads')).toContain('on flying leads')
  expect(says('capacitor', { ...can, leads: 'axial' }, { ...can, leads: 'surface' }, 'leads')).toContain('on a small board')
  expect(says('capacitor', line, { ...line, technology: 'film' }, 'technology')).toContain('where paper cracks')
  expect(judge('capacitor', can, without(can, 'voltageV')).findings[0]).toMatchObject({ level: 'care', open: 'not-looked' })
  expect(judge('capacitor', can, { ...can, voltageV: 16 }).findings[0]!.open).toBeUndefined()
  expect(() => judge('socket', { pins: 27.5 }, {})).toThrow('a whole number above zero')
  expect(() => judge('socket', { pitchMm: 0 }, {})).toThrow('Pitch: above zero')
})

it('the length of a belt agrees with the exact one while the pulleys are not close', () => {
  // Exact, by geometry: straight runs √(c² − (R − r)²), arcs of π ± 2·asin((R − r)/c).
  for (const [c, large, small] of [
    [60, 50, 30],
    [150, 80, 10],
    [100, 20, 20],
  ] as const) {
    const a = Math.asin((large - small) / 2 / c)
    const exact = 2 * Math.sqrt(c ** 2 - ((large - small) / 2) ** 2) + (large / 2) * (Math.PI + 2 * a) + (small / 2) * (Math.PI - 2 * a)
    expect(beltLength(c, large, small)).toBeCloseTo(exact, 1)
  }
  expect(() => beltLength(40, 50, 30)).toThrow('or the pulleys meet')
})
