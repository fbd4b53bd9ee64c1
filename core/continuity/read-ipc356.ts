import { Gathering, type NetList } from './net-list'
import type { Side } from './board'

/**
 * Reads a bare-board net list in columns, IPC-D-356A: records 317 (through hole), 327 (surface) and their like, 027/017 for what goes on
 * from the line before, parameters on lines that begin with P, comments with C, the end with 999.
 * Columns, counted from 1: 4–17 net, 21–26 part, 28–31 pin, 33–38 hole, 39–41 access side (A00 both, A01 front, A02 back), 42–57 place as
 * X±nnnnnn Y±nnnnnn. Units: CUST 0 is 0.0001 in, CUST 1 is 0.001 mm, CUST 2 is 0.0001 in with angles in radians.
 * Source: IPC-D-356A, from memory. Long net names stand in parameters NNAMEn.
 */
export function readIpc356(text: string): NetList {
  const into = new Gathering()
  let mmPerUnit = 0.00254
  const longNames = new Map<string, string>()
  const cut = new Map<string, number>()
  const without = new Map<string, number>()
  let ended = false
  const lines = text.split(/\r\n|\r|\n/)
  lines.forEach(line => {
    const long = /^P\s+(NNAME\w+)\s+(\S.*?)\s*$/.exec(line)
    if (long) longNames.set(long[1]!, long[2]!)
  })
  for (const [i, line] of lines.entries()) {
    const at = i + 1
    if (!line.trim() || line.startsWith('C')) continue
    if (line.startsWith('999')) {
      ended = true
      break
    }
    if (line.startsWith('P')) {
      const units = /^P\s+UNITS\s+(.+?)\s*$/.exec(line)?.[1]
      if (units === undefined) continue
      const known = { 'CUST 0': 0.00254, 'CUST': 0.00254, 'CUST 1': 0.001, 'CUST 2': 0.00254, 'SI': 0.001 }[units]
      if (known === undefined) into.wrong(at, `Units “${units.slice(0, 20)}” are not known here; places are read in 0.0001 in.`)
      else mmPerUnit = known
      continue
    }
    if (!/^\d{3}/.test(line)) {
      into.wrong(at, `“${line.slice(0, 20)}” begins with none of P, C or a number of three digits.`)
      continue
    }
    // What goes on from the line before, adjacency and conductor records hold no pin of their own.
    if (!/^3[1-6]7/.test(line)) {
      const kind = /^3.8/.test(line) ? 'conductors' : /^3.9/.test(line) ? 'adjacency' : /^0/.test(line) ? '' : 'of another kind'
      if (kind) without.set(kind, (without.get(kind) ?? 0) + 1)
      continue
    }
    if (line.length < 31) {
      into.wrong(at, `The record ends after ${line.length} columns, where 31 hold its net, part and pin: it is cut off, and left out.`)
      continue
    }
    pinOf(line, at, mmPerUnit, { into, longNames, cut })
  }
  for (const [net, at] of cut) {
    const alike = [...longNames.values()].filter(long => long.startsWith(net))
    into.wrong(
      at,
      alike.length
        ? `The name ${net} fills its columns and begins like ${alike.slice(0, 3).join(', ')}: whether it is one of them is not known, and it is kept apart.`
        : `The name ${net} fills its columns and may be cut: if two nets begin like this they stand as one here. Probe before it is called broken.`,
    )
  }
  for (const [kind, n] of without) into.wrong(lines.length, `${n} ${n === 1 ? 'record' : 'records'} without pins (${kind}) left out.`)
  if (!ended) into.wrong(lines.length, 'It does not end with 999: the file may be cut off, and pins be missing.')
  return into.as('ipc-d-356')
}

/** What has been read so far: pins, long names, and names that may have been cut. */
interface Read {
  into: Gathering
  longNames: Map<string, string>
  cut: Map<string, number>
}

/** A record of a pin, with its columns filled. */
function pinOf(line: string, at: number, mmPerUnit: number, { into, longNames, cut }: Read): void {
  const net = line.slice(3, 17).trim()
  const part = line.slice(20, 26).trim()
  const pin = line.slice(27, 31).trim()
  if (!net) {
    into.wrong(at, 'No net in columns 4 to 17.')
    return
  }
  // Vias and points within a net belong to no part.
  if (!part || /^via$/i.test(part)) return
  if (!pin) {
    into.wrong(at, `${part}: no pin in columns 28 to 31.`)
    return
  }
  if (net.length === 14 && !longNames.has(net)) cut.set(net, at)
  const place = /X([+-]\d{1,6})\s*Y([+-]\d{1,6})/.exec(line.slice(41))
  if (line.length > 41 && /X/.test(line.slice(41, 43)) && !place) into.wrong(at, `${part}.${pin}: its place cannot be read; it is kept without one.`)
  const access = /A(\d\d)/.exec(line.slice(38, 41))?.[1]
  const side: Side = access === '01' ? 'front' : access === '02' ? 'back' : 'both'
  if (part.length === 6 && into.stands(part, pin) !== undefined && into.stands(part, pin) !== (longNames.get(net) ?? net))
    into.wrong(at, `${part} fills its columns and may be two parts whose names were cut.`)
  into.add(at, { part, pin, net: longNames.get(net) ?? net, ...(place ? { xMm: Number(place[1]) * mmPerUnit, yMm: Number(place[2]) * mmPerUnit } : {}), side })
}
