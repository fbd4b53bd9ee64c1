import { InputError } from '../kernel/input-error'
import { type BoardPin, type Spot, hasPlace, netsOf } from './board'
import { spanningTree } from './join'

/** Where damage is: parts, an outline on the board in mm, single pins; whatever is in any of them is in the zone. */
export interface Zone {
  parts?: readonly string[]
  outline?: readonly (readonly [xMm: number, yMm: number])[]
  pins?: readonly string[]
}

/** Whether a place lies within an outline. Source: even-odd rule, the ray towards +x. */
export function insideOf(outline: Zone['outline'], { xMm, yMm }: Spot): boolean {
  if (!outline || outline.length < 3) return false
  let inside = false
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [[xi, yi], [xj, yj]] = [outline[i]!, outline[j]!]
    if (yi > yMm !== yj > yMm && xMm < ((xj - xi) * (yMm - yi)) / (yj - yi) + xi) inside = !inside
  }
  return inside
}

/** Whether two stretches cross or touch. */
export function crossing(a: Spot, b: Spot, c: Spot, d: Spot): boolean {
  const turn = (p: Spot, q: Spot, r: Spot) => Math.sign((q.xMm - p.xMm) * (r.yMm - p.yMm) - (q.yMm - p.yMm) * (r.xMm - p.xMm))
  const within = (p: Spot, q: Spot, r: Spot) =>
    Math.min(p.xMm, q.xMm) <= r.xMm && r.xMm <= Math.max(p.xMm, q.xMm) && Math.min(p.yMm, q.yMm) <= r.yMm && r.yMm <= Math.max(p.yMm, q.yMm)
  const [o1, o2, o3, o4] = [turn(a, b, c), turn(a, b, d), turn(c, d, a), turn(c, d, b)]
  return (
    (o1 !== o2 && o3 !== o4) || (o1 === 0 && within(a, b, c)) || (o2 === 0 && within(a, b, d)) || (o3 === 0 && within(c, d, a)) || (o4 === 0 && within(c, d, b))
  )
}

const spots = (outline: NonNullable<Zone['outline']>): Spot[] => outline.map(([xMm, yMm]) => ({ xMm, yMm }))
const crossesOutline = (outline: NonNullable<Zone['outline']>, a: Spot, b: Spot) => {
  const corners = spots(outline)
  return corners.some((corner, i) => crossing(a, b, corner, corners[(i + 1) % corners.length]!))
}

/** More ends than this have supplies and long buses, whose way across the board nobody can guess. */
const longNet = 60

export interface InZone {
  /** Indexes of the pins that lie in the zone. */
  pins: Set<number>
  /** Nets that touch it or, by the shortest way between their ends, cross it. */
  nets: Set<string>
}

/** @throws InputError for an outline that is none, or where nothing of the zone is on the board */
export function inZone(pins: readonly BoardPin[], zone: Zone): InZone {
  const { parts = [], outline, pins: single = [] } = zone
  if (outline && (outline.length < 3 || outline.length > 500)) throw new InputError('zone.outline', outline.length, 'Outline: from 3 to 500 corners, please.')
  const [named, alone] = [new Set(parts), new Set(single)]
  const inside = new Set<number>()
  pins.forEach((p, i) => {
    if (named.has(p.part) || alone.has(`${p.part}.${p.pin}`) || (hasPlace(p) && insideOf(outline, p))) inside.add(i)
  })
  const unknown = [...named].filter(part => !pins.some(p => p.part === part))
  if (unknown.length)
    throw new InputError('zone.parts', unknown[0], `Zone: ${unknown.slice(0, 3).join(', ')} ${unknown.length > 1 ? 'are' : 'is'} not on this board.`)
  const nets = new Set([...inside].map(i => pins[i]!.net))
  if (outline)
    for (const [net, ends] of netsOf(pins)) {
      const placed = ends.filter(hasPlace)
      if (nets.has(net) || placed.length < 2 || placed.length > longNet) continue
      const tree = spanningTree(placed.length, (a, b) => Math.hypot(placed[a]!.xMm - placed[b]!.xMm, placed[a]!.yMm - placed[b]!.yMm))
      if (tree.some(([a, b]) => crossesOutline(outline, placed[a]!, placed[b]!))) nets.add(net)
    }
  if (!nets.size) throw new InputError('zone', '', 'Zone: no pin of the board lies in it, and no net crosses it.')
  return { pins: inside, nets }
}

/** Nets one hop away: those on the other end of a part with two pins. */
export function oneHopFrom(pins: readonly BoardPin[], nets: ReadonlySet<string>): Set<string> {
  const ofPart = new Map<string, BoardPin[]>()
  for (const pin of pins) ofPart.set(pin.part, [...(ofPart.get(pin.part) ?? []), pin])
  const more = new Set<string>()
  for (const ends of ofPart.values()) if (ends.length === 2 && ends.some(e => nets.has(e.net))) for (const e of ends) if (!nets.has(e.net)) more.add(e.net)
  return more
}
