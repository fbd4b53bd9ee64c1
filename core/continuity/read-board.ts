import type { Side } from './board'
import { Gathering, type NetList } from './net-list'
import { type Listed, headOf, listsOf, readListed, wordOf } from './s-expressions'

const numbersOf = (list: Listed | undefined) => (list?.items.slice(1) ?? []).map(Number)

/**
 * Reads a board file or a net list in s-expressions, of all versions still met: parts as `footprint` or `module`, references as properties or
 * as texts, nets of pads with or without a number, net lists with quoted or bare words.
 * A pad's place is turned with its part: x = X + x₀·cos θ + y₀·sin θ, y = Y − x₀·sin θ + y₀·cos θ, as y grows downwards and θ is counter-clockwise.
 */
export function readBoard(text: string): NetList {
  const into = new Gathering()
  const root = readListed(text, (line, message) => into.wrong(line, message))
  const file = root.items.find((i): i is Listed => typeof i !== 'string')
  if (!file) {
    into.wrong(1, 'There is no list in it: neither a board nor a net list in s-expressions.')
    return into.as('board')
  }
  const nets = listsOf(file, 'nets')[0]
  return nets ? netListOf(nets, into) : boardOf(file, into)
}

function netListOf(nets: Listed, into: Gathering): NetList {
  for (const net of listsOf(nets, 'net')) {
    const name = wordOf(net, 'name')
    if (name === undefined) {
      into.wrong(net.line, 'A net without a name.')
      continue
    }
    const nodes = listsOf(net, 'node')
    for (const node of nodes) {
      const [part, pin] = [wordOf(node, 'ref'), wordOf(node, 'pin')]
      if (!part || !pin) into.wrong(node.line, `Net ${name}: a node without its part or pin.`)
      else into.add(node.line, { part, pin, net: name })
    }
  }
  return into.as('net list')
}

function boardOf(file: Listed, into: Gathering): NetList {
  const parts = [...listsOf(file, 'footprint'), ...listsOf(file, 'module')]
  if (!parts.length) into.wrong(file.line, 'Neither parts nor nets stand in it.')
  const named = new Map(
    listsOf(file, 'net').flatMap(n => (typeof n.items[1] === 'string' && typeof n.items[2] === 'string' ? [[n.items[1], n.items[2]] as const] : [])),
  )
  for (const part of parts) {
    const ref = referenceOf(part)
    if (!ref) {
      into.wrong(part.line, 'A part without its reference.')
      continue
    }
    const [x = NaN, y = NaN, turn = 0] = numbersOf(listsOf(part, 'at')[0])
    for (const pad of listsOf(part, 'pad')) addPad(pad, ref, { x, y, turn }, named, into)
  }
  return into.as('board')
}

/** `(property "Reference" "U7" …)` in newer files, `(fp_text reference U7 …)` in older ones. */
function referenceOf(part: Listed): string | undefined {
  const stands = part.items.find((i): i is Listed => {
    const head = headOf(i)
    return (head === 'property' && (i as Listed).items[1] === 'Reference') || (head === 'fp_text' && (i as Listed).items[1] === 'reference')
  })
  const word = stands?.items[2]
  return typeof word === 'string' && word.trim() ? word.trim() : undefined
}

function addPad(pad: Listed, part: string, at: { x: number; y: number; turn: number }, named: ReadonlyMap<string, string>, into: Gathering): void {
  const pin = typeof pad.items[1] === 'string' ? pad.items[1].trim() : ''
  const net = listsOf(pad, 'net')[0]?.items ?? []
  // Holes and shields have no pin of their own, pads without a net belong to none.
  if (!pin) return
  const name = typeof net[2] === 'string' ? net[2] : typeof net[1] === 'string' ? (named.get(net[1]) ?? (/^\d+$/.test(net[1]) ? '' : net[1])) : ''
  const layers = (listsOf(pad, 'layers')[0]?.items.slice(1) ?? []).filter((l): l is string => typeof l === 'string')
  const front = layers.some(l => l === 'F.Cu' || l === '*.Cu')
  const back = layers.some(l => l === 'B.Cu' || l === '*.Cu')
  const side: Side = front === back ? 'both' : front ? 'front' : 'back'
  const [px = NaN, py = NaN] = numbersOf(listsOf(pad, 'at')[0])
  const rad = (at.turn * Math.PI) / 180
  const xMm = at.x + px * Math.cos(rad) + py * Math.sin(rad)
  const yMm = at.y - px * Math.sin(rad) + py * Math.cos(rad)
  const placed = Number.isFinite(xMm) && Number.isFinite(yMm)
  if (!placed) into.wrong(pad.line, `${part}.${pin}: its place cannot be read; it is kept without one.`)
  into.add(pad.line, { part, pin, net: name, ...(placed ? { xMm: round(xMm), yMm: round(yMm) } : {}), side })
}
const round = (mm: number) => Math.round(mm * 1e4) / 1e4
