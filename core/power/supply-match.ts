import { decimals } from '../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export const currentKinds = ['dc', 'ac'] as const
export type CurrentKind = (typeof currentKinds)[number]
export const polarities = ['centre-positive', 'centre-negative'] as const
export type Polarity = (typeof polarities)[number]
export const currentKindNames: Record<CurrentKind, string> = { dc: 'DC', ac: 'AC' }
export const polarityNames: Record<Polarity, string> = { 'centre-positive': 'Centre positive', 'centre-negative': 'Centre negative' }

/** A round plug or inlet; the inner size is the bore of a plug and the pin of an inlet. */
export interface Plug {
  outerMm?: number
  innerMm?: number
}

/** What the inlet of a machine wants. */
export interface Inlet extends Plug {
  voltageV: number
  /** How far the voltage may be off while it runs. */
  tolerancePct?: number
  kind: CurrentKind
  polarity?: Polarity
  currentA: number
  /** Whether the machine regulates inside; then the voltage before it matters less. */
  regulatedInside?: boolean
}
/** What stands on the label of a supply, and what was measured of it. */
export interface Supply extends Plug {
  voltageV: number
  kind?: CurrentKind
  polarity?: Polarity
  currentA?: number
  regulated?: boolean
  /** Measured with nothing attached. */
  unloadedV?: number
}
/** Another inlet within reach of the same plug. */
export interface Neighbour extends Plug {
  name: string
  voltageV: number
  kind: CurrentKind
  polarity?: Polarity
}

/** A label in one line: `9 V DC, centre negative, 1 A, 5.5 × 2.1 mm`. */
export function labelWords({ voltageV, kind, polarity, currentA, outerMm, innerMm }: Supply): string {
  return [
    `${voltageV} V${kind ? ` ${currentKindNames[kind]}` : ''}`,
    polarity && polarityNames[polarity].toLowerCase(),
    currentA !== undefined && `${currentA} A`,
    (outerMm !== undefined || innerMm !== undefined) && sizes({ outerMm, innerMm }),
  ]
    .filter(Boolean)
    .join(', ')
}

/** What the match says of the gate's fact: a supply that does not suit counts whatever was entered, one that suits is known. */
export function supplyFact(entered: string | undefined, suits: SupplyMatchResult['suits'] | null): string | undefined {
  return suits === 'no' ? 'doubtful' : suits === 'yes' ? 'known' : entered
}

export interface SupplyMatchInput {
  needs: Inlet
  supply: Supply
  neighbours?: Neighbour[]
}
export interface SupplyMatchResult {
  suits: 'yes' | 'not-yet-known' | 'no'
  /** How to set a bench supply instead; nothing where the inlet needs AC. */
  bench: { voltageV: number; firstLimitA: number; runLimitA: number } | null
  findings: Finding[]
}

/** Sizes that differ by less are one; common practice, no source. */
const plugSlackMm = 0.25
/** A transformer without a regulator gives so much more with nothing attached; common practice, no source. */
const unloadedFactor = 1.4
/** What a regulator inside bears above the nominal voltage before it; common practice, no source. */
const headroomInside = 0.3
const defaultTolerancePct = 5
/** More than this many times what the inlet needs, measured with nothing attached, no regulator behind it is sure to bear; common practice, no source. */
const mostUnloadedInside = 1.8

const fits = (a: Plug, b: Plug) =>
  (['outerMm', 'innerMm'] as const).every(size => a[size] === undefined || b[size] === undefined || Math.abs(a[size] - b[size]) <= plugSlackMm)
const v = (volts: number) => `${decimals(volts, 2)} V`

/**
 * Whether a supply suits a machine, and how to set a bench supply in its place.
 * @param input what the inlet needs, what the supply's label says and what was measured of it, inlets that the plug could also meet
 * @returns whether it suits, findings with reasons, bench settings in volt and ampere
 * @throws InputError for voltages and currents that are none
 * Rules: common practice, no source.
 */
export function matchSupply({ needs, supply, neighbours = [] }: SupplyMatchInput): SupplyMatchResult {
  for (const [field, value, most] of [
    ['needs.voltageV', needs.voltageV, 300],
    ['needs.currentA', needs.currentA, 100],
    ['supply.voltageV', supply.voltageV, 300],
  ] as const) {
    if (!(value > 0 && value <= most)) throw new InputError(field, value, `Above zero and up to ${most}, please; the sign is what the polarity says.`)
  }
  const findings = mostPressingFirst([
    ...judgeKind(needs, supply),
    ...judgePolarity(needs, supply),
    ...judgeVoltage(needs, supply),
    ...judgeCurrent(needs, supply),
    ...judgePlug(needs, supply),
    ...judgeNeighbours(supply, neighbours),
  ])
  const suits = findings.some(f => f.level === 'stop') ? 'no' : findings.some(f => f.open === 'not-looked') ? 'not-yet-known' : 'yes'
  return {
    suits,
    bench: needs.kind === 'ac' ? null : { voltageV: needs.voltageV, firstLimitA: round2(needs.currentA * 0.3), runLimitA: round2(needs.currentA * 1.2) },
    findings,
  }
}
const round2 = (value: number) => Math.max(0.05, decimals(value, 2))

function judgeKind(needs: Inlet, supply: Supply): Finding[] {
  if (!supply.kind)
    return [
      finding(
        'care',
        'supply.kind.unknown',
        'Whether it gives AC or DC is not known.',
        'Measure it on both ranges before it goes near the machine.',
        commonPractice,
        { open: 'not-looked' },
      ),
    ]
  if (supply.kind === needs.kind) return [finding('fine', 'supply.kind', `${currentKindNames[supply.kind]}, as it wants.`, [])]
  return supply.kind === 'ac'
    ? [
        finding(
          'stop',
          'supply.ac-for-dc',
          'It gives AC, but the machine needs DC.',
          'Half of every cycle is the wrong way round; capacitors and chips fail at once.',
          commonPractice,
        ),
      ]
    : [
        finding(
          'stop',
          'supply.dc-for-ac',
          'It gives DC, but the machine needs AC.',
          'A transformer or a doubler inside gets nothing or burns, and the negative rails stay away.',
          commonPractice,
        ),
      ]
}

function judgePolarity(needs: Inlet, supply: Supply): Finding[] {
  if (needs.kind === 'ac') return []
  if (!needs.polarity || !supply.polarity)
    return [
      finding(
        'care',
        'supply.polarity.unknown',
        `The polarity of the ${needs.polarity ? 'supply' : 'inlet'} is not known.`,
        needs.polarity ? 'Measure it at the plug.' : 'Follow the inlet to the ground of the board.',
        commonPractice,
        { open: 'not-looked' },
      ),
    ]
  return needs.polarity === supply.polarity
    ? [finding('fine', 'supply.polarity', `${polarityNames[supply.polarity]}, as it wants.`, [])]
    : [
        finding(
          'stop',
          'supply.polarity.wrong',
          'Plus and minus are the wrong way round.',
          `The inlet is ${polarityNames[needs.polarity].toLowerCase()}, the plug ${polarityNames[supply.polarity].toLowerCase()}.`,
          commonPractice,
        ),
      ]
}

function judgeVoltage(needs: Inlet, supply: Supply): Finding[] {
  const tolerance = (needs.tolerancePct ?? defaultTolerancePct) / 100
  const [low, high] = [needs.voltageV * (1 - tolerance), needs.voltageV * (1 + (needs.regulatedInside ? Math.max(tolerance, headroomInside) : tolerance))]
  const says = `The inlet needs ${v(low)} to ${v(high)}${needs.regulatedInside ? ', with a regulator behind it' : ''}.`
  const loaded =
    supply.voltageV < low - 1e-9
      ? [finding('stop', 'supply.low', `${v(supply.voltageV)} is too low.`, says, commonPractice)]
      : supply.voltageV > high + 1e-9
        ? [finding('stop', 'supply.high', `${v(supply.voltageV)} is too high.`, says, commonPractice)]
        : [finding('fine', 'supply.voltage', `${v(supply.voltageV)}, as it wants.`, says)]
  const measured = supply.unloadedV !== undefined
  const unloaded = supply.unloadedV ?? (supply.regulated === false && supply.kind !== 'ac' ? supply.voltageV * unloadedFactor : undefined)
  if (unloaded === undefined)
    return supply.regulated === undefined && supply.kind === 'dc'
      ? [
          ...loaded,
          finding(
            'care',
            'supply.regulated.unknown',
            'Whether it is regulated is not known.',
            'Measure it with nothing attached: well above its label means that it is not.',
            commonPractice,
            { open: 'not-looked' },
          ),
        ]
      : loaded
  // What was measured decides over the label: with a load it gives less still.
  if (measured && unloaded < low - 1e-9)
    return [
      finding(
        'stop',
        'supply.unloaded-low',
        `${v(unloaded)} was measured with nothing attached: too low.`,
        [says, 'Under load it gives less still. It is broken, on the wrong range, or not the one of this label.'],
        commonPractice,
      ),
    ]
  if (measured && unloaded > needs.voltageV * mostUnloadedInside)
    return [
      finding(
        'stop',
        'supply.unloaded-high',
        `${v(unloaded)} was measured with nothing attached: far too high.`,
        [says, 'Whatever its label says, this is not what the inlet was made for.'],
        commonPractice,
      ),
    ]
  if (unloaded <= high + 1e-9) return loaded
  const why = measured
    ? `${v(unloaded)} was measured with nothing attached.`
    : `A supply without a regulator gives about ${unloadedFactor} times its label with nothing attached: ${v(unloaded)}.`
  return [
    ...loaded,
    needs.regulatedInside
      ? finding(
          'care',
          'supply.unloaded',
          'Unloaded it gives more than the inlet is made for.',
          [why, 'The regulator inside takes the rest as heat. Plug in first, switch on then.'],
          commonPractice,
        )
      : finding('stop', 'supply.unloaded', 'Unloaded it gives more than the inlet bears.', [why, says], commonPractice),
  ]
}

function judgeCurrent(needs: Inlet, { currentA }: Supply): Finding[] {
  if (currentA === undefined)
    return [
      finding('care', 'supply.current.unknown', 'What it can give is not known.', `The machine draws ${needs.currentA} A.`, undefined, { open: 'not-looked' }),
    ]
  if (currentA < needs.currentA)
    return [
      finding('stop', 'supply.weak', `${currentA} A is too little.`, `The machine draws ${needs.currentA} A; the supply sags, then burns.`, commonPractice),
    ]
  return [
    finding(
      'fine',
      'supply.current',
      `${currentA} A is enough.`,
      currentA > 2 * needs.currentA
        ? 'More than it draws does no harm by itself; in a short it gives more, too. Fuse it.'
        : `The machine draws ${needs.currentA} A.`,
    ),
  ]
}

function judgePlug(needs: Inlet, supply: Supply): Finding[] {
  const unknown = (['outerMm', 'innerMm'] as const).some(size => needs[size] === undefined || supply[size] === undefined)
  if (!fits(needs, supply))
    return [
      finding(
        'stop',
        'supply.plug',
        'The plug does not fit.',
        `Inlet ${sizes(needs)}, plug ${sizes(supply)}. A bore too wide makes contact now and then.`,
        commonPractice,
      ),
    ]
  return unknown
    ? [
        finding(
          'care',
          'supply.plug.unknown',
          'The sizes of plug and inlet have not all been measured.',
          'A 2.1 mm and a 2.5 mm pin look alike, and one makes contact in the other now and then. Measure both.',
          commonPractice,
          { open: 'not-looked' },
        ),
      ]
    : [finding('fine', 'supply.plug.fits', 'The plug fits.', `${sizes(supply)}.`)]
}
function sizes({ outerMm, innerMm }: Plug): string {
  if (outerMm !== undefined && innerMm !== undefined) return `${outerMm} × ${innerMm} mm`
  return [
    outerMm === undefined ? 'outside not measured' : `${outerMm} mm outside`,
    innerMm === undefined ? 'inside not measured' : `${innerMm} mm inside`,
  ].join(', ')
}

/** Several identical sockets side by side invite the wrong plug. */
function judgeNeighbours(supply: Supply, neighbours: Neighbour[]): Finding[] {
  return neighbours
    .filter(n => fits(n, supply))
    .flatMap(n => {
      const harms =
        Math.abs(n.voltageV - supply.voltageV) > n.voltageV * 0.05 ||
        (supply.kind && n.kind !== supply.kind) ||
        (n.polarity && supply.polarity && n.polarity !== supply.polarity)
      return harms
        ? [
            finding(
              'care',
              'supply.neighbour',
              `The plug also fits ${n.name}, which it would harm.`,
              `${n.name}: ${v(n.voltageV)} ${currentKindNames[n.kind]}${n.polarity ? `, ${polarityNames[n.polarity].toLowerCase()}` : ''}. Tape over the neighbour, and label the plug.`,
              commonPractice,
            ),
          ]
        : []
    })
}
