import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Wire, freeWireRatingA, wireFor, wireOf } from '../power/wire'
import { type Side, type Spot, distanceMm, hasPlace } from './board'
import { spanningTree } from './join'
import { crossing, insideOf } from './zone'

/** A place where a wire can be soldered: a pin of a piece of a broken net. */
export interface Landing extends Spot {
  name: string
  side?: Side
  /** A leg of a part to solder to; else a bare pad, which lifts. */
  leg?: boolean
}
/** Ends of a piece as a wire can reach them: what goes through the board is a leg, a socket or a pad is none. Ends without a place are left out. */
export const landingsOf = (piece: readonly { name: string; xMm: number | null; yMm: number | null; side: Side; socketed: boolean }[]): Landing[] =>
  piece.flatMap(e => (e.xMm === null || e.yMm === null ? [] : [{ name: e.name, xMm: e.xMm, yMm: e.yMm, side: e.side, leg: e.side === 'both' && !e.socketed }]))

export interface KeepOut {
  outline: readonly (readonly [xMm: number, yMm: number])[]
  /** A socket, a mounting hole, a slot, a hot part. */
  why: string
}
export interface PatchPlanInput {
  /** The pieces of one net after its breaks. */
  pieces: readonly (readonly Landing[])[]
  keepOuts?: readonly KeepOut[]
  /** Vias that are not covered: their heat burns through insulation. */
  vias?: readonly Spot[]
  /** What the net carries. */
  currentA?: number
  /** What may be lost along its longest wire: a part of what the net tolerates. */
  mostDropV?: number
  /** Which side the wires run on. */
  side?: 'front' | 'back'
}
export interface PatchWire {
  a: string
  b: string
  /** The way it runs, from the first landing to the second. */
  way: Spot[]
  lengthMm: number
  slackMm: number
  /** To cut: the run, its slack, and what is stripped at both ends. */
  cutMm: number
}
export interface PatchPlan {
  wires: PatchWire[]
  totalCutMm: number
  wire: Wire
  findings: Finding[]
}

/** So much longer a wire may be to end on a leg rather than on a bare pad, each end. Common practice, no source. */
const barePadMm = 15
/** Stripped at each end, and the share by which a wire is cut longer than it runs. Common practice, no source. */
const stripMm = 3
const slackShare = 0.1
/** Nearer than this a wire lies over a via. */
const viaMm = 0.8
/** A wire passes the corner of what it keeps out of by so much. */
const clearMm = 1
/** Wire for signals, strong enough to be handled. Common practice, no source. */
const signalAwg = 30
/** A hundredth of a 5 V rail, of the twentieth that it tolerates. Common practice, no source. */
const usualDropV = 0.05
const most = { pieces: 40, landings: 200, keepOuts: 40, corners: 40, cornersInAll: 160, vias: 2000 } as const

/**
 * Wires that join the pieces of a net with the least length in all, a bare pad counting as so much longer; each runs straight, or round
 * what it keeps out of by the shortest way over its corners.
 * Sources: minimum spanning tree, Kruskal 1956; shortest ways over a graph of corners in sight of each other, Dijkstra 1959;
 * current by the ratings of single wires in free air, and by what is lost along them.
 * @throws InputError for what is too much, or has no place
 */
export function planPatch({ pieces, keepOuts = [], vias = [], currentA = 0.05, mostDropV = usualDropV, side = 'back' }: PatchPlanInput): PatchPlan {
  check(pieces, keepOuts, vias, currentA)
  if (!(mostDropV >= 0.001 && mostDropV <= 10)) throw new InputError('mostDropV', mostDropV, 'What may be lost: from 1 mV to 10 V, please.')
  const findings: Finding[] = []
  const roads = new Roads(keepOuts)
  const reached = pieces.map(piece => piece.filter(l => (l.side ?? 'both') === 'both' || l.side === side).filter(l => !roads.within(l)))
  findings.push(...unreachable(pieces, reached, side))
  const best = new Map<string, { a: Landing; b: Landing; cost: number }>()
  const pairOf = (i: number, j: number) => {
    const key = `${i}-${j}`
    let found = best.get(key)
    if (!found) {
      found = cheapest(reached[i]!, reached[j]!, roads)
      best.set(key, found)
    }
    return found
  }
  const tree = spanningTree(pieces.length, (i, j) => pairOf(i, j).cost)
  const wires = tree.map(([i, j]) => wireBetween(pairOf(i, j), roads))
  const longestMm = Math.max(0, ...wires.map(w => w.cutMm))
  const fits = wireFor({ currentA, lengthMm: longestMm, mostDropV, thinnestAwg: signalAwg })
  const wire = fits ?? wireOf(10)
  const dropV = (currentA * wire.ohmPerM * longestMm) / 1000
  if (!fits)
    findings.push(
      finding(
        'care',
        'patch.too-much',
        `No wire up to gauge 10 carries ${currentA} A so far within ${inWords(mostDropV)} V.`,
        `Gauge 10 loses ${inWords(dropV)} V on ${longestMm} mm. Feed it from nearer by, or by several wires.`,
      ),
    )
  if (tree.length < pieces.length - 1 && !findings.length)
    findings.push(
      finding(
        'stop',
        'patch.no-way',
        'Not all pieces can be joined: what is kept free cuts them off from each other.',
        'Run these wires on the other side, or look again at what is kept free.',
      ),
    )
  findings.push(...wires.flatMap(w => overVias(w, vias)), ...onBarePads(wires, pieces))
  if (tree.length === pieces.length - 1)
    findings.push(
      finding('fine', 'patch.joins', `${wires.length} ${wires.length === 1 ? 'wire joins' : 'wires join'} its ${pieces.length} pieces.`, [
        `Gauge ${wire.awg}, ${wire.diameterMm.toFixed(2)} mm, for ${currentA} A: a single wire in free air is rated for ${freeWireRatingA(wire.awg)} A.`,
        `It loses ${inWords(dropV)} V on its longest run, where ${inWords(mostDropV)} V may be lost.`,
      ]),
    )
  return { wires, totalCutMm: Math.round(wires.reduce((sum, w) => sum + w.cutMm, 0)), wire, findings }
}

/** Pieces with no pin that a wire on this side comes to. */
const unreachable = (pieces: PatchPlanInput['pieces'], reached: readonly (readonly Landing[])[], side: string): Finding[] =>
  pieces.flatMap((piece, i) =>
    reached[i]!.length
      ? []
      : [
          finding(
            'stop',
            'patch.unreachable',
            `No wire on the ${side} reaches ${piece
              .map(l => l.name)
              .slice(0, 3)
              .join(', ')}.`,
            'Its pins are on the other side, or in an area that must stay clear.',
          ),
        ],
  )

function overVias({ a, b, way }: PatchWire, vias: readonly Spot[]): Finding[] {
  const over = vias.filter(v =>
    way.some((p, i) => i > 0 && toStretch(v, way[i - 1]!, p) < viaMm && distanceMm(v, way[0]!) > viaMm && distanceMm(v, way.at(-1)!) > viaMm),
  )
  if (!over.length) return []
  return [
    finding(
      'care',
      'patch.over-via',
      `${a} to ${b} lies over ${over.length} bare ${over.length === 1 ? 'via' : 'vias'}.`,
      'Their heat can burn through insulation when something is soldered there. Lead it round, or cover them.',
      commonPractice,
    ),
  ]
}

function onBarePads(wires: readonly PatchWire[], pieces: PatchPlanInput['pieces']): Finding[] {
  const bare = wires.filter(w => [w.a, w.b].some(name => !pieces.flat().find(l => l.name === name)?.leg))
  if (!bare.length) return []
  return [
    finding(
      'note',
      'patch.bare-pad',
      `${bare.length} ${bare.length === 1 ? 'wire ends' : 'wires end'} on a bare pad.`,
      'No leg of that piece is near enough; a pad lifts when it is pulled.',
      commonPractice,
    ),
  ]
}

function check(pieces: PatchPlanInput['pieces'], keepOuts: readonly KeepOut[], vias: readonly Spot[], currentA: number): void {
  if (pieces.length < 2 || pieces.length > most.pieces)
    throw new InputError('pieces', pieces.length, `Pieces: from 2 to ${most.pieces}, please; one piece needs no wire.`)
  if (pieces.some(p => !p.length)) throw new InputError('pieces', 0, 'Pieces: each has one pin at least.')
  if (pieces.flat().length > most.landings) throw new InputError('pieces', pieces.flat().length, `Pins: up to ${most.landings} in all, please.`)
  if (!pieces.flat().every(l => hasPlace(l) && Number.isFinite(l.xMm) && Number.isFinite(l.yMm)))
    throw new InputError('pieces', '', 'Pins: each needs its place in mm; without places nobody knows how long a wire is.')
  const names = pieces.flat().map(l => l.name)
  const twice = names.find((n, i) => names.indexOf(n) !== i)
  if (twice) throw new InputError('pieces', twice, `${twice} stands in two pieces.`)
  if (keepOuts.length > most.keepOuts || keepOuts.some(k => k.outline.length < 3 || k.outline.length > most.corners))
    throw new InputError('keepOuts', keepOuts.length, `Kept free: up to ${most.keepOuts} outlines of 3 to ${most.corners} corners, please.`)
  if (keepOuts.reduce((sum, k) => sum + k.outline.length, 0) > most.cornersInAll)
    throw new InputError('keepOuts', keepOuts.length, `Kept free: up to ${most.cornersInAll} corners in all, please; rectangles will do.`)
  if (vias.length > most.vias) throw new InputError('vias', vias.length, `Vias: up to ${most.vias}, please.`)
  if (!(currentA > 0 && currentA <= 20)) throw new InputError('currentA', currentA, 'Current: more than 0 and up to 20 A, please.')
}

const inWords = (n: number) => String(significant(n, 2))

function cheapest(as: readonly Landing[], bs: readonly Landing[], roads: Roads): { a: Landing; b: Landing; cost: number } {
  let best = { a: as[0]!, b: bs[0]!, cost: Infinity }
  const bare = (l: Landing) => (l.leg ? 0 : barePadMm)
  // By the straight distance first: no way round is shorter, so that few of them are looked for.
  const pairs = as.flatMap(a => bs.map(b => ({ a, b, least: distanceMm(a, b) + bare(a) + bare(b) }))).sort((p, q) => p.least - q.least)
  for (const { a, b, least } of pairs) {
    if (least >= best.cost) break
    const cost = roads.way(a, b).lengthMm + bare(a) + bare(b)
    if (cost < best.cost) best = { a, b, cost }
  }
  return best
}

function wireBetween({ a, b }: { a: Landing; b: Landing }, roads: Roads): PatchWire {
  const { spots, lengthMm } = roads.way(a, b)
  const slackMm = Math.max(2, lengthMm * slackShare)
  return { a: a.name, b: b.name, way: spots, lengthMm: tenth(lengthMm), slackMm: tenth(slackMm), cutMm: Math.ceil(lengthMm + slackMm + 2 * stripMm) }
}
const tenth = (mm: number) => Math.round(mm * 10) / 10

function toStretch(p: Spot, a: Spot, b: Spot): number {
  const [dx, dy] = [b.xMm - a.xMm, b.yMm - a.yMm]
  const along = dx || dy ? Math.min(1, Math.max(0, ((p.xMm - a.xMm) * dx + (p.yMm - a.yMm) * dy) / (dx * dx + dy * dy))) : 0
  return Math.hypot(p.xMm - a.xMm - along * dx, p.yMm - a.yMm - along * dy)
}

/** The ways of wires round what is kept free: straight where nothing is between, else by corners that are in sight of each other. */
class Roads {
  private readonly outlines: Spot[][]
  private readonly corners: Spot[]
  private sight: number[][] | undefined
  private readonly from = new Map<string, { mm: number[]; before: number[] }>()

  constructor(keepOuts: readonly KeepOut[]) {
    this.outlines = keepOuts.map(k => k.outline.map(([xMm, yMm]) => ({ xMm, yMm })))
    this.corners = this.outlines.flatMap(pushedOut).filter(c => !this.within(c))
  }

  within = (p: Spot) =>
    this.outlines.some(o =>
      insideOf(
        o.map(c => [c.xMm, c.yMm] as const),
        p,
      ),
    )

  private clear(a: Spot, b: Spot): boolean {
    return !this.outlines.some(o => o.some((c, i) => crossing(a, b, c, o[(i + 1) % o.length]!)))
  }

  /** How far corners in sight of each other lie apart; the graph is dense, so a table serves it. */
  private seen(): number[][] {
    if (this.sight) return this.sight
    const sight = this.corners.map(() => new Array<number>(this.corners.length).fill(Infinity))
    this.corners.forEach((p, i) =>
      this.corners.forEach((q, j) => {
        if (j > i && this.clear(p, q)) sight[i]![j] = sight[j]![i] = distanceMm(p, q)
      }),
    )
    return (this.sight = sight)
  }

  /** Shortest ways from a place to every corner. Source: Dijkstra 1959. */
  private shortest(a: Spot): { mm: number[]; before: number[] } {
    const key = `${a.xMm} ${a.yMm}`
    const known = this.from.get(key)
    if (known) return known
    const sight = this.seen()
    const mm = this.corners.map(c => (this.clear(a, c) ? distanceMm(a, c) : Infinity))
    const before = this.corners.map(() => -1)
    const done = this.corners.map(() => false)
    for (;;) {
      let at = -1
      mm.forEach((far, i) => {
        if (!done[i] && Number.isFinite(far) && (at < 0 || far < mm[at]!)) at = i
      })
      if (at < 0) break
      done[at] = true
      for (const [next, far] of sight[at]!.entries())
        if (mm[at]! + far < mm[next]!) {
          mm[next] = mm[at]! + far
          before[next] = at
        }
    }
    const found = { mm, before }
    this.from.set(key, found)
    return found
  }

  way(a: Spot, b: Spot): { spots: Spot[]; lengthMm: number } {
    if (this.clear(a, b)) return { spots: [plain(a), plain(b)], lengthMm: distanceMm(a, b) }
    const { mm, before } = this.shortest(a)
    let [best, lengthMm] = [-1, Infinity]
    this.corners.forEach((c, i) => {
      if (mm[i]! + distanceMm(c, b) < lengthMm && this.clear(c, b)) [best, lengthMm] = [i, mm[i]! + distanceMm(c, b)]
    })
    if (best < 0) return { spots: [], lengthMm: Infinity }
    const spots = [plain(b)]
    for (let at = best; at >= 0; at = before[at]!) spots.unshift(plain(this.corners[at]!))
    return { spots: [plain(a), ...spots], lengthMm }
  }
}
const plain = ({ xMm, yMm }: Spot): Spot => ({ xMm, yMm })

/** The corners of an outline, moved away from it by the clearance. */
function pushedOut(outline: Spot[]): Spot[] {
  const middle = { xMm: outline.reduce((s, c) => s + c.xMm, 0) / outline.length, yMm: outline.reduce((s, c) => s + c.yMm, 0) / outline.length }
  return outline.map(c => {
    const far = distanceMm(c, middle) || 1
    return { xMm: c.xMm + ((c.xMm - middle.xMm) / far) * clearMm, yMm: c.yMm + ((c.yMm - middle.yMm) / far) * clearMm }
  })
}
