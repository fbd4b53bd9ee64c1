import type { CommandRequest } from '#shared/chapters/index'

type Held = CommandRequest<'hold-part'>
type Move = Omit<CommandRequest<'move-held'>, 'heldId' | 'version' | 'count'> & { count?: number; daysAgo?: number; into?: string }
/** A line of the ledger as it was put down, in which donor it still is, and where it went since. */
export interface HeldStory {
  part: Omit<Held, 'tag'>
  donor?: string
  /** When it was put on record, and where it went since; three days ago, where nothing is said. */
  daysAgo?: number
  moves?: Move[]
  /** Given away for good, and what comes for it. */
  given?: { daysAgo: number; of: Omit<CommandRequest<'give-away'>, 'heldId' | 'version'> }
  spared?: boolean
}

const ahead = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
const shelf = (name: string, count: number, lies: string, more: Partial<Held> = {}): HeldStory => ({
  part: { name, count, at: 'shelf', condition: 'new', lies, ...more },
})

const micro = (text: string) => `${text}u`
const electrolytics = (
  [
    [1, 50, 20],
    [2.2, 50, 10],
    [4.7, 35, 12],
    [10, 25, 30],
    [10, 63, 8],
    [22, 25, 25],
    [47, 16, 20],
    [47, 35, 6],
    [100, 16, 24],
    [100, 25, 18],
    [220, 16, 12],
    [220, 25, 10],
    [470, 16, 9],
    [470, 35, 7],
    [1000, 16, 8],
    [1000, 35, 5],
    [2200, 16, 6],
    [2200, 25, 4],
    [4700, 16, 3],
    [4700, 40, 2],
  ] as const
).flatMap(([value, volts, count]) =>
  (['radial', 'axial'] as const).map(leads =>
    shelf(`Electrolytic ${value} µF, ${volts} V, ${leads}`, leads === 'axial' ? Math.ceil(count / 3) : count, leads === 'axial' ? 'Drawer 3' : 'Drawer 2', {
      kind: 'capacitor',
      spec: {
        capacitanceF: micro(String(value)),
        voltageV: volts,
        technology: 'electrolytic',
        safetyClass: 'none',
        polarity: 'polarised',
        leads,
        temperatureC: 105,
      },
      unitPrice: Math.round(12 + value ** 0.6 * 3) / 100,
    }),
  ),
)
const films = (
  [
    ['1n', 100],
    ['10n', 100],
    ['22n', 100],
    ['47n', 100],
    ['100n', 63],
    ['220n', 63],
    ['470n', 63],
    ['1u', 63],
  ] as const
).map(([value, volts], at) =>
  shelf(`Film capacitor ${value}, ${volts} V`, 10 + at, 'Drawer 4', {
    kind: 'capacitor',
    spec: {
      capacitanceF: value,
      voltageV: volts,
      technology: 'film',
      safetyClass: 'none',
      polarity: 'bipolar',
      leads: 'radial',
      spacingMm: 5,
      tolerancePct: 5,
    },
    unitPrice: 0.18,
  }),
)
const lineFilter = (
  [
    ['100n', 4],
    ['470n', 1],
  ] as const
).map(([value, count]) =>
  shelf(`Line-filter capacitor, class X2, ${value}`, count, 'Drawer 5', {
    kind: 'capacitor',
    spec: { capacitanceF: value, voltageV: 275, ratedFor: 'ac', technology: 'film', safetyClass: 'x2', polarity: 'bipolar', leads: 'radial', spacingMm: 15 },
    unitPrice: 0.62,
  }),
)
const resistors = [
  '10',
  '47',
  '100',
  '220',
  '330',
  '470',
  '1k',
  '2k2',
  '3k3',
  '4k7',
  '6k8',
  '10k',
  '22k',
  '33k',
  '47k',
  '68k',
  '100k',
  '220k',
  '470k',
  '1M',
].map((value, at) =>
  shelf(`Resistor ${value}, 0.25 W`, 40 + ((at * 17) % 60), 'Drawer 1', {
    kind: 'resistor',
    spec: { resistanceOhm: value, tolerancePct: 5, powerW: 0.25, technology: 'film' },
    unitPrice: 0.02,
  }),
)
const logic = (
  [
    ['00', 'ls', 6],
    ['02', 'ls', 3],
    ['04', 'ls', 7],
    ['08', 'ls', 4],
    ['14', 'ls', 3],
    ['32', 'ls', 5],
    ['74', 'ls', 6],
    ['138', 'ls', 4],
    ['139', 'ls', 2],
    ['157', 'ls', 5],
    ['161', 'ls', 2],
    ['163', 'hct', 2],
    ['166', 'ls', 1],
    ['244', 'ls', 4],
    ['245', 'hct', 6],
    ['257', 'ls', 2],
    ['273', 'ls', 3],
    ['373', 'ls', 3],
    ['374', 'hct', 2],
    ['393', 'ls', 2],
  ] as const
).map(([number, family, count]) =>
  shelf(`74${family.toUpperCase()}${number}`, count, 'Chip case A', { kind: 'logic', spec: { number, family }, unitPrice: 0.75 }),
)
const memories = (
  [
    ['4116', 16384, 1, 200, '+12, +5, −5 V', 9],
    ['4164', 65536, 1, 150, '+5 V', 11],
    ['41256', 262144, 1, 120, '+5 V', 6],
    ['4464', 65536, 4, 120, '+5 V', 4],
  ] as const
).map(([number, words, bits, accessNs, rails, count]) =>
  shelf(`Memory ${number}`, count, 'Chip case B', {
    condition: 'tested',
    kind: 'memory',
    spec: { kind: 'dram', words, bits, accessNs, rails, pinOut: `as ${number}` },
    unitPrice: 2.4,
  }),
)
const sockets = [14, 16, 18, 20, 24, 28].map(pins =>
  shelf(`${pins}-pin double-wipe socket`, 6, 'Drawer 6', {
    kind: 'socket',
    spec: { pins, pitchMm: 2.54, rowSpacingMm: pins > 20 ? 15.24 : 7.62, contact: 'double-wipe' },
    unitPrice: 0.4,
  }),
)
const fuses = ([0.5, 0.8, 1, 1.6, 2, 3.15] as const).flatMap(ratingA =>
  (['fast', 'slow'] as const).map(speed =>
    shelf(`Fuse ${ratingA} A, ${speed}`, 8, 'Drawer 5', {
      kind: 'fuse',
      spec: { ratingA, speed, breakingA: 1500, voltageV: 250, size: '5 × 20 mm' },
      unitPrice: 0.3,
    }),
  ),
)
const regulators = (
  [
    [5, 'positive'],
    [12, 'positive'],
    [5, 'negative'],
    [12, 'negative'],
  ] as const
).map(([outputV, sign]) =>
  shelf(`Regulator ${sign === 'negative' ? '−' : '+'}${outputV} V, 1 A`, 3, 'Chip case A', {
    kind: 'regulator',
    spec: {
      outputV,
      sign,
      currentA: 1,
      dropOutV: 2,
      way: 'linear',
      package: 'TO-220',
      insulatedTab: 'no',
      pinOrder: sign === 'negative' ? 'ground, in, out' : 'in, ground, out',
    },
    unitPrice: 0.9,
  }),
)
const membraneMaker = 'a maker of membranes'
/** An order of former days: when it was sent off, and how long it took. */
const came = (name: string, source: string, unitPrice: number, daysAgo: number, tookDays: number, then: Move[], more: Partial<Held> = {}): HeldStory => ({
  part: { name, count: 1, at: 'ordered', condition: 'not-looked-at', source, unitPrice, ...more },
  daysAgo,
  moves: [{ to: 'arrived', daysAgo: daysAgo - tookDays }, ...then.map(move => ({ daysAgo: daysAgo - tookDays - 1, ...move }))],
})
const looked = { condition: 'new' as const, tested: 'held against the old one; every line through' }
const plugs = (
  [
    ['2 × 20 pins, key at 3', 3],
    ['2 × 25 pins', 4],
    ['6 pins in a row', 9],
    ['9-pin D, soldered', 5],
    ['25-pin D, soldered', 3],
    ['34 pins, for a ribbon', 2],
    ['50 pins, for a ribbon', 2],
    ['5-pin round, 180°', 6],
    ['7-pin round, 270°', 2],
    ['coaxial, for an aerial', 4],
  ] as const
).map(([which, count]) => shelf(`Connector ${which}`, count, 'Drawer 7', { condition: 'used', source: 'taken from scrapped boards' }))
const small = [
  'Light-emitting diode, red',
  'Light-emitting diode, green',
  'Diode, small signal',
  'Diode, 1 A',
  'Diode, 3 A',
  'Transistor, small signal',
  'Transistor, 1 A',
].map((name, at) => shelf(name, 12 + at * 3, 'Drawer 1', { unitPrice: 0.06 }))

/** What the buoy shed holds, owes and waits for. */
export const heldStories: HeldStory[] = [
  ...electrolytics,
  ...films,
  ...lineFilter,
  ...resistors,
  ...logic,
  ...memories,
  ...sockets,
  ...fuses,
  ...regulators,
  ...plugs,
  ...small,
  came('Petrel membrane', membraneMaker, 31, 210, 15, [
    { to: 'shelf', lies: 'Box B', ...looked },
    { to: 'scrapped', condition: 'bad', tested: 'creased on the way in', daysAgo: 150 },
  ]),
  {
    ...came('Petrel membrane', membraneMaker, 31, 120, 13, [{ to: 'shelf', lies: 'Box B', ...looked }]),
    given: {
      daysAgo: 21,
      of: { count: 1, holder: 'Varnsund Pilot Office', tested: 'every line through', inReturn: 'Membrane for the Gannet', dueBy: ahead(12) },
    },
  },
  came('Petrel membrane', membraneMaker, 33, 96, 19, [{ to: 'shelf', lies: 'Box B', ...looked }]),
  came('28-pin turned-pin socket', 'a shop abroad', 1.4, 300, 64, [{ to: 'shelf', lies: 'Drawer 6', ...looked }]),
  came('24-pin turned-pin socket', 'a shop abroad', 1.3, 190, 21, [{ to: 'shelf', lies: 'Drawer 6', ...looked }]),
  came('20-pin turned-pin socket', 'a shop abroad', 1.1, 150, 118, [{ to: 'returned', condition: 'bad', tested: 'of the wrong pitch' }]),
  came(
    '80 mm fan, 12 V',
    'a shop in the town',
    9.5,
    260,
    4,
    [
      { to: 'shelf', lies: 'Box C', ...looked },
      { to: 'fitted', into: 'Sixty passes', daysAgo: 240 },
    ],
    { kind: 'fan', spec: { sizeMm: 80, voltageV: 12, current: 'dc' } },
  ),
  came('Line-filter capacitor, class X2, 1 µF', 'a shop in the town', 0.9, 200, 3, [
    { to: 'shelf', lies: 'Drawer 5', ...looked },
    { to: 'scrapped', daysAgo: 180 },
  ]),
  came('Video card for the Spindrift', 'a shop in the town', 38, 170, 6, [{ to: 'returned', condition: 'bad', tested: 'no picture' }]),
  { ...shelf('80 mm fan, 24 V', 1, 'Box C', { condition: 'used', kind: 'fan', spec: { sizeMm: 80, voltageV: 24, current: 'dc' } }), spared: true },
  shelf('Video card for the Spindrift', 1, 'Box C', { condition: 'bad', note: 'No sync; kept for its crystal' }),
  {
    part: { name: 'Petrel modulator', count: 1, at: 'shelf', condition: 'tested', lies: 'Box B' },
    moves: [{ to: 'lent', holder: 'Varnsund Pilot Office', dueBy: ahead(18), tested: 'A steady picture on channel 36' }],
  },
  {
    part: {
      name: 'Gannet membrane',
      count: 1,
      at: 'arrived',
      condition: 'not-looked-at',
      lies: 'Box B',
      lender: 'Varnsund Pilot Office',
      backBy: ahead(40),
      source: 'Varnsund Pilot Office',
    },
  },
  {
    part: { name: 'Membrane for the Gannet', count: 3, at: 'ordered', condition: 'not-looked-at', source: membraneMaker, unitPrice: 34, dueBy: ahead(-6) },
    daysAgo: 22,
  },
  {
    part: {
      name: '40-pin turned-pin socket',
      count: 4,
      at: 'ordered',
      condition: 'not-looked-at',
      source: 'a shop abroad',
      note: 'In the post for ten days',
      unitPrice: 1.9,
      dueBy: ahead(3),
      kind: 'socket',
      spec: { pins: 40, pitchMm: 2.54, rowSpacingMm: 15.24, contact: 'turned' },
    },
  },
  { part: { name: 'Converter for the test monitor', count: 1, at: 'shelf', condition: 'used', lies: 'Bench' }, moves: [{ to: 'scrapped' }] },
  { part: { name: 'Gannet display', count: 1, at: 'donor', condition: 'used' }, donor: 'Store room' },
  { part: { name: 'Gannet main board', count: 1, at: 'donor', condition: 'used', note: 'Whole and clean; memory in sockets' }, donor: 'Store room' },
  { part: { name: 'Gannet keyboard frame', count: 1, at: 'donor', condition: 'tested' }, donor: 'Store room' },
  { part: { name: 'Memory 4164', count: 8, at: 'donor', condition: 'used', dateCode: '8419' }, donor: 'Store room' },
  { part: { name: 'Gannet supply', count: 1, at: 'donor', condition: 'used' }, donor: 'Car deck' },
  {
    part: { name: 'Gannet lid', count: 1, at: 'donor', condition: 'used', note: 'A corner cracked' },
    donor: 'Car deck',
    moves: [{ to: 'shelf', lies: 'Shelf 6' }],
    spared: true,
  },
]
