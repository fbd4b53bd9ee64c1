import type { CommandRequest } from '#shared/chapters/index'
import { threeRailMemory } from '#core/power/test-points'
import type { ExpectedRail } from '#shared/kernel/shapes'

const rail = (name: string, nominalV: number, point?: string): ExpectedRail => (point ? { name, nominalV, point } : { name, nominalV })
const classic = [rail('+5 V', 5, 'drive plug, red'), rail('+12 V', 12, 'drive plug, yellow'), rail('-12 V', -12, 'board connector, blue')]
const memory = threeRailMemory.map(({ name, nominalV, point }) => rail(name, nominalV, point))
/** The external supply of both Petrels. */
const nineVolts = { voltageV: 9, kind: 'dc' as const, polarity: 'centre-negative' as const, currentA: 1, outerMm: 5.5, innerMm: 2.1, regulatedInside: true }

/** What the museum knows of the models it keeps. Makers and models are invented. */
export const models = {
  'petrel-8': {
    maker: 'Tarnwick Instruments',
    name: 'Petrel 8',
    about: 'Home and classroom micro, 8-bit, external 9 V supply, three-rail memory.',
    usualKit: ['External supply', 'Cassette lead', 'Manual'],
    variants: ['Issue 2: modulator in a can', 'Issue 3: modulator on the board'],
    memorySizes: ['16 KB', '48 KB'],
    sockets: ['IC2 needed: ROM of 28 pins', 'IC27 optional: sound chip'],
    knownFaults: ['Single-wipe sockets: starts one time in three', 'External supply mistaken for a neighbour’s of the same plug'],
    weightKg: 3,
    madeFrom: 1980,
    madeTo: 1984,
    assemblies: ['External supply', 'Main board', 'Keyboard', 'Modulator', 'Case'],
    inlet: nineVolts,
    rails: memory,
  },
  'petrel-8s': {
    maker: 'Tarnwick Instruments',
    name: 'Petrel 8S',
    about: 'Later board issue of the Petrel 8, with a clock chip and a 3.6 V nickel barrel beside it.',
    usualKit: ['External supply', 'Cassette lead', 'Manual'],
    variants: ['Issue 4: clock chip and nickel barrel'],
    knownFaults: ['The nickel barrel leaks over the clock chip and the memory next to it'],
    weightKg: 3,
    madeFrom: 1985,
    madeTo: 1988,
    assemblies: ['External supply', 'Main board', 'Keyboard', 'Clock battery', 'Modulator', 'Case'],
    inlet: nineVolts,
    rails: [rail('+5 V', 5, 'regulator, right leg')],
  },
  'sextant-16': {
    maker: 'Oriel & Fyfe',
    name: 'Sextant 16',
    about: 'Office desktop with two drives and a card cage.',
    usualKit: ['Keyboard', 'Display', 'Mains lead', 'Manual'],
    variants: ['Two drives', 'One drive and a blank'],
    knownFaults: ['5 V regulator dies with its heat-sink paste'],
    weightKg: 21,
    madeFrom: 1981,
    madeTo: 1985,
    assemblies: ['Supply', 'Main board', 'Card cage', 'Drive A', 'Drive B', 'Keyboard', 'Display', 'Case'],
    rails: classic,
  },
  'buoymaster': {
    maker: 'Brackmere Data',
    name: 'Buoymaster',
    about: 'Minicomputer built into a desk. Addresses in octal.',
    usualKit: ['Front panel key', 'Service binder', 'Paper tape'],
    variants: ['Core memory', 'Core and semiconductor memory'],
    knownFaults: ['Perished foam in the disk drive sheds into the heads', 'Line-filter capacitors crack'],
    weightKg: 118,
    madeFrom: 1974,
    madeTo: 1979,
    assemblies: ['Supply', 'Processor cards', 'Core and memory cards', 'Front panel', 'Disk drive', 'Terminal', 'Desk'],
    rails: [rail('+5 V', 5), rail('+15 V', 15), rail('-15 V', -15)],
  },
  'lumen': {
    maker: 'Solvane',
    name: 'Lumen',
    about: 'Portable with a built-in picture tube.',
    usualKit: ['Mains lead', 'Carrying strap'],
    variants: [],
    memorySizes: ['128 KB', '256 KB'],
    knownFaults: ['Resin line-filter capacitors split and smoke', 'The lower bezel yellows, the upper does not'],
    weightKg: 11,
    madeFrom: 1983,
    madeTo: 1986,
    assemblies: ['Supply', 'Main board', 'Picture tube and its board', 'Keyboard', 'Drive', 'Bezel', 'Case'],
    rails: classic,
  },
  'gannet': {
    maker: 'Pentreath Micro',
    name: 'Gannet',
    about: 'Ticket terminal with a sealed membrane keyboard.',
    usualKit: ['Mains lead'],
    variants: ['With clock', 'Without clock'],
    wearParts: ['Membrane'],
    knownFaults: ['Membrane tail cracks where it folds'],
    weightKg: 9.5,
    madeFrom: 1986,
    madeTo: 1991,
    assemblies: ['Supply', 'Main board', 'Membrane keyboard', 'Display', 'Case'],
    rails: [rail('+5 V', 5), rail('+12 V', 12)],
  },
  'spindrift': {
    maker: 'Halgarth',
    name: 'Spindrift',
    about: 'Clone-style desktop with a soldered clock battery.',
    usualKit: ['Keyboard', 'Mains lead'],
    memorySizes: ['512 KB', '640 KB'],
    sockets: ['U2 optional: coprocessor'],
    variants: ['Board issue A', 'Board issue B: memory in sockets'],
    knownFaults: ['Soldered clock battery leaks over the keyboard connector'],
    weightKg: 13,
    madeFrom: 1987,
    madeTo: 1990,
    assemblies: ['Supply', 'Main board', 'Video card', 'Drive controller', 'Hard drive', 'Keyboard', 'Case'],
    rails: [...classic, rail('-5 V', -5, 'board connector, white')],
  },
} satisfies Record<string, CommandRequest<'add-model'>>

export type ModelKey = keyof typeof models
