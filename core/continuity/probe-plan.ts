import { byName } from '../kernel/places'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { neighbourMm } from './beside'
import { InputError } from '../kernel/input-error'
import { type BoardPin, checkPins, distanceMm, hasPlace, isSupplyNet, netsOf, pinName } from './board'
import { Joined } from './join'
import { type Zone, inZone, oneHopFrom } from './zone'

/** A part of two pins that joins two nets: its value is expected between them, not nothing. */
export interface Bridge {
  part: string
  ohm: number
}
export interface Known {
  a: string
  b: string
  joined: boolean
}
export interface ProbePlanInput {
  pins: readonly BoardPin[]
  zone: Zone
  /** Nets on the other end of two-legged parts too. */
  oneHop?: boolean
  /** Supply nets whatever they are called, and those that are none. */
  supplies?: readonly string[]
  notSupplies?: readonly string[]
  bridges?: readonly Bridge[]
  /** What was measured already. */
  known?: readonly Known[]
}
export const probeKinds = ['whole', 'rail', 'bridge', 'short'] as const
export type ProbeKind = (typeof probeKinds)[number]
export interface Probe {
  kind: ProbeKind
  a: string
  b: string
  /** The nets of both; the same but for bridges and shorts. */
  netA: string
  netB: string
  /** Joined is expected, with this; nothing where open is expected. */
  expectOhm: number | null
}
export interface ProbePlan {
  probes: Probe[]
  nets: number
  /** Buzzes that testing every pair of each net, and every pair of neighbours, would take. */
  pairByPair: number
  spared: number
  travelMm: number | null
  findings: Finding[]
}

/** More checks than this nobody makes on one sheet. */
const mostProbes = 5000

/**
 * The fewest checks that prove each net of a zone whole: one fewer than its ends, less what is known to be joined; then shorts between neighbours.
 *
 * One end of each net is the hub that one probe stays on: outside the zone and out of sockets where there is such an end, and else nearest
 * to all others; the other ends are visited from it, the nearest first. Supply and ground are proved from the rail, once for each part in the zone.
 * @throws InputError for boards, zones or names that are none
 */
export function planProbes(input: ProbePlanInput): ProbePlan {
  const { pins, zone, oneHop = false, bridges = [], known = [], supplies = [], notSupplies = [] } = input
  checkPins(pins)
  const index = new Map(pins.map((p, i) => [pinName(p), i]))
  const joined = new Joined(pins.length)
  for (const [i, k] of known.entries()) {
    const [a, b] = [index.get(k.a), index.get(k.b)]
    if (a === undefined || b === undefined)
      throw new InputError(`known.${i}`, a === undefined ? k.a : k.b, `Known: ${a === undefined ? k.a : k.b} is not on this board.`)
    if (k.joined) joined.join(a, b)
  }
  const { pins: inside, nets: touched } = inZone(pins, zone)
  const wanted = new Set([...touched, ...(oneHop ? oneHopFrom(pins, touched) : [])])
  const isSupply = (net: string) => !notSupplies.includes(net) && (supplies.includes(net) || isSupplyNet(net))
  const all = netsOf(pins)
  const findings: Finding[] = []
  const groups: { hub: number; probes: Probe[]; at: number[] }[] = []
  let pairByPair = 0
  const alone: string[] = []
  for (const net of [...wanted].sort(byName)) {
    const ends = all.get(net)!.map(p => index.get(pinName(p))!)
    if (ends.length < 2) {
      alone.push(net)
      continue
    }
    const supply = isSupply(net)
    const asked = supply ? onePerPart(pins, ends, inside) : ends
    pairByPair += supply ? asked.length : (ends.length * (ends.length - 1)) / 2
    const hub = hubOf(pins, ends, inside)
    const others = walkFrom(
      pins,
      hub,
      asked.filter(i => i !== hub),
    )
    const probes: Probe[] = []
    const at: number[] = []
    for (const other of others)
      if (joined.join(hub, other)) {
        probes.push({ kind: supply ? 'rail' : 'whole', a: pinName(pins[hub]!), b: pinName(pins[other]!), netA: net, netB: net, expectOhm: 0 })
        at.push(other)
      }
    if (probes.length) groups.push({ hub, probes, at })
  }
  const shorts = shortsIn(pins, inside, index, isSupply)
  pairByPair += shorts.pairs
  const probes = [...inOrder(pins, groups).flatMap(g => g.probes), ...bridgesOf(pins, wanted, bridges), ...shorts.probes]
  if (probes.length > mostProbes)
    throw new InputError('zone', probes.length, `Zone: it takes ${probes.length} checks; up to ${mostProbes} go on one sheet. Choose a smaller one.`)
  const spared = Math.max(0, pairByPair - probes.length)
  if (probes.length) {
    const says = `${probes.length} ${probes.length === 1 ? 'check' : 'checks'} for ${wanted.size} ${wanted.size === 1 ? 'net' : 'nets'}; ${spared} fewer than pair by pair.`
    findings.push(finding('note', 'probe.plan', says, 'One check fewer than its ends proves a net whole, once each of them is joined.'))
  }
  if (alone.length)
    findings.push(
      finding(
        'note',
        'probe.alone',
        `${alone.length} ${alone.length === 1 ? 'net has' : 'nets have'} one end only: ${alone.slice(0, 5).join(', ')}.`,
        'There is nothing to prove between two pins; the file may not know the other end.',
      ),
    )
  const supplyNets = [...wanted].filter(isSupply)
  if (supplyNets.length)
    findings.push(
      finding(
        'note',
        'probe.rails',
        `From the rail, once for each part in the zone: ${supplyNets.slice(0, 6).join(', ')}.`,
        'The other supply pins are proved by their voltage once it may be started.',
        commonPractice,
      ),
    )
  if (!probes.length)
    findings.push(finding('note', 'probe.nothing', 'Nothing is left to check: all that could be is known.', 'What is known proves these nets.'))
  return { probes, nets: wanted.size, pairByPair, spared, travelMm: travelOf(pins, index, probes), findings }
}

/** One supply pin for each part in the zone: the rail is proved there, the other pins by their voltage. */
function onePerPart(pins: readonly BoardPin[], ends: readonly number[], inside: ReadonlySet<number>): number[] {
  const parts = new Set<string>()
  return ends.filter(i => inside.has(i) && !parts.has(pins[i]!.part) && parts.add(pins[i]!.part))
}

/** The end that one probe stays on. */
function hubOf(pins: readonly BoardPin[], ends: readonly number[], inside: ReadonlySet<number>): number {
  const rank = (i: number) => Number(inside.has(i)) * 2 + Number(pins[i]!.socketed ?? false)
  const best = Math.min(...ends.map(rank))
  const candidates = ends.filter(i => rank(i) === best)
  // Of a net with very many ends the middle says nearly the same, in no time.
  const middle = ends.length > manyEnds ? middleOf(ends.map(i => pins[i]!)) : null
  const far = (i: number) => (middle ? between(pins[i]!, middle) : ends.reduce((sum, j) => sum + between(pins[i]!, pins[j]!), 0))
  return candidates.map(i => [far(i), i] as const).sort((a, b) => a[0] - b[0] || byName(pinName(pins[a[1]]!), pinName(pins[b[1]]!)))[0]![1]
}
/** From so many ends on, a net is walked band by band instead of end by end. */
const manyEnds = 300
const bandMm = 10
function middleOf(ends: readonly BoardPin[]): BoardPin {
  const placed = ends.filter(hasPlace)
  const mean = (of: (p: (typeof placed)[number]) => number) => placed.reduce((sum, p) => sum + of(p), 0) / placed.length
  return { part: '', pin: '', net: '', ...(placed.length ? { xMm: mean(p => p.xMm), yMm: mean(p => p.yMm) } : {}) }
}
/** How far apart, in mm. Where places are not known, a guess that keeps the pins of one part together: own rule, no source. */
const between = (a: BoardPin, b: BoardPin) => (hasPlace(a) && hasPlace(b) ? distanceMm(a, b) : a.part === b.part ? 5 : 50)

/** The ends in the order in which the other probe visits them: the nearest each time. */
function walkFrom(pins: readonly BoardPin[], from: number, ends: readonly number[]): number[] {
  if (ends.length > manyEnds) {
    const band = (i: number) => Math.floor((pins[i]!.yMm ?? 0) / bandMm)
    const along = (i: number) => (pins[i]!.xMm ?? 0) * (band(i) % 2 ? -1 : 1)
    return [...ends].sort((a, b) => band(a) - band(b) || along(a) - along(b))
  }
  const left = [...ends]
  const way: number[] = []
  for (let at = from; left.length;) {
    let best = 0
    for (let i = 1; i < left.length; i++) if (between(pins[at]!, pins[left[i]!]!) < between(pins[at]!, pins[left[best]!]!)) best = i
    at = left.splice(best, 1)[0]!
    way.push(at)
  }
  return way
}

/** Nets in the order in which their hubs lie near each other. */
function inOrder<G extends { hub: number; at: number[] }>(pins: readonly BoardPin[], groups: G[]): G[] {
  const left = [...groups]
  const way: G[] = []
  while (left.length) {
    const last = way.at(-1)
    let best = 0
    if (last)
      for (let i = 1; i < left.length; i++) if (between(pins[last.hub]!, pins[left[i]!.hub]!) < between(pins[last.hub]!, pins[left[best]!.hub]!)) best = i
    way.push(left.splice(best, 1)[0]!)
  }
  return way
}

/** Resistors and printed jumpers between two nets: expected with their value, not as zero. */
function bridgesOf(pins: readonly BoardPin[], wanted: ReadonlySet<string>, bridges: readonly Bridge[]): Probe[] {
  return bridges.flatMap(({ part, ohm }, i): Probe[] => {
    const ends = pins.filter(p => p.part === part)
    if (ends.length !== 2) throw new InputError(`bridges.${i}`, part, `${part}: a part between two nets has two pins; the board knows ${ends.length} of it.`)
    if (!(ohm > 0 && ohm <= 1e8)) throw new InputError(`bridges.${i}`, ohm, `${part}: its value is more than 0 and up to 100 MΩ.`)
    const [a, b] = ends as [BoardPin, BoardPin]
    return a.net !== b.net && (wanted.has(a.net) || wanted.has(b.net))
      ? [{ kind: 'bridge', a: pinName(a), b: pinName(b), netA: a.net, netB: b.net, expectOhm: ohm }]
      : []
  })
}

/** Neighbours of different nets inside the zone, one check for each two nets; two supplies are not asked. */
function shortsIn(
  pins: readonly BoardPin[],
  inside: ReadonlySet<number>,
  index: ReadonlyMap<string, number>,
  isSupply: (net: string) => boolean,
): { probes: Probe[]; pairs: number } {
  const probes: Probe[] = []
  const done = new Set<string>()
  let pairs = 0
  const pair = (a: BoardPin, b: BoardPin) => {
    // Rail to rail everything on the board lies between: that is measured at the supply, with the power off.
    if (a.net === b.net || (isSupply(a.net) && isSupply(b.net))) return
    pairs++
    const key = [a.net, b.net].sort().join('\n')
    if (done.has(key)) return
    done.add(key)
    probes.push({ kind: 'short', a: pinName(a), b: pinName(b), netA: a.net, netB: b.net, expectOhm: null })
  }
  const within = [...inside].map(i => pins[i]!)
  const placed = within.filter(hasPlace).sort((a, b) => a.xMm - b.xMm)
  placed.forEach((a, i) => {
    for (let j = i + 1; j < placed.length && placed[j]!.xMm - a.xMm <= neighbourMm; j++) if (distanceMm(a, placed[j]!) <= neighbourMm) pair(a, placed[j]!)
  })
  // Without places, the next number of the same part is the neighbour.
  for (const a of within.filter(p => !hasPlace(p))) {
    const next = index.get(`${a.part}.${Number(a.pin) + 1}`)
    if (/^\d+$/.test(a.pin) && next !== undefined && inside.has(next)) pair(a, pins[next]!)
  }
  return { probes, pairs }
}

/** How far the two probes travel together over the sheet; nothing where a place is not known. */
function travelOf(pins: readonly BoardPin[], index: ReadonlyMap<string, number>, probes: readonly Probe[]): number | null {
  let sum = 0
  let last: [BoardPin, BoardPin] | undefined
  for (const probe of probes) {
    const now: [BoardPin, BoardPin] = [pins[index.get(probe.a)!]!, pins[index.get(probe.b)!]!]
    if (!now.every(hasPlace)) return null
    if (last) sum += between(last[0], now[0]) + between(last[1], now[1])
    last = now
  }
  return Math.round(sum)
}
