import { InputError } from '../kernel/input-error'
import { type BoardPin, pinName } from './board'
import { Joined } from './join'

/** Two pins that the schematic joins, and the page on which it does. */
export interface PinPair {
  a: string
  b: string
  page: string
}
export interface PairsRead {
  pairs: PinPair[]
  problems: { line: number; message: string }[]
}
const mostPairs = 2000
const pinWritten = /^([^\s.]{1,60})\.([^\s.]{1,60})$/
const pairWritten = /^(\S+)\s*(?:-|–|=|\s)\s*(\S+?)(?:[\s,;]+(?:p(?:age|\.)?\s*)?(\S+))?$/i

/** Reads pin pairs as they are read aloud off a schematic, `U7.12 - R31.1, page 3`, one a line; a bad line is told and loses none of the others. */
export function readPairs(text: string): PairsRead {
  const pairs: PinPair[] = []
  const problems: PairsRead['problems'] = []
  let page = ''
  text.split('\n').forEach((line, i) => {
    const said = line.trim()
    if (!said) return
    const onPage = /^p(?:age|\.)?\s*(\S+)$/i.exec(said)
    // A page by itself holds for the lines that follow.
    if (onPage) return void (page = onPage[1]!)
    const [, a, b, own] = pairWritten.exec(said) ?? []
    if (!a || !b || !pinWritten.test(a) || !pinWritten.test(b))
      return problems.push({ line: i + 1, message: `“${said.slice(0, 40)}”: write a pair as U7.12 - R31.1, and its page behind it.` })
    if (a === b) return problems.push({ line: i + 1, message: `${a} is joined to itself.` })
    pairs.push({ a, b, page: own ?? page })
    return
  })
  if (pairs.length > mostPairs) throw new InputError('pairs', pairs.length, `Pairs: up to ${mostPairs} at once, please.`)
  return { pairs, problems }
}

export interface JoinedNets {
  pins: BoardPin[]
  /** Pairs that made one net of two that both had a name: one of the two is probably wrong. */
  merged: { pair: PinPair; nets: [string, string] }[]
}

/** Adds pairs to the nets of a board. Pins that pairs join are one net, called after the one that had a name, and else after its first pin. */
export function withPairs(pins: readonly BoardPin[], pairs: readonly PinPair[]): JoinedNets {
  const all: BoardPin[] = pins.map(p => ({ ...p }))
  const index = new Map(all.map((p, i) => [pinName(p), i]))
  for (const name of pairs.flatMap(p => [p.a, p.b]))
    if (!index.has(name)) {
      const [, part, pin] = pinWritten.exec(name) ?? []
      if (!part || !pin) throw new InputError('pairs', name, `${name} is no pin; write it as U7.12.`)
      index.set(name, all.length)
      all.push({ part, pin, net: '' })
    }
  const joined = new Joined(all.length)
  const firstOf = new Map<string, number>()
  all.forEach((p, i) => {
    const first = p.net === '' ? undefined : firstOf.get(p.net)
    if (first !== undefined) joined.join(first, i)
    else if (p.net !== '') firstOf.set(p.net, i)
  })
  const named = new Map<number, string>()
  for (const [net, i] of firstOf) named.set(joined.of(i), net)
  const merged: JoinedNets['merged'] = []
  for (const pair of pairs) {
    const [a, b] = [joined.of(index.get(pair.a)!), joined.of(index.get(pair.b)!)]
    if (a === b) continue
    const [nameA, nameB] = [named.get(a), named.get(b)]
    if (nameA !== undefined && nameB !== undefined) merged.push({ pair, nets: [nameA, nameB] })
    joined.join(a, b)
    named.set(joined.of(a), nameA ?? nameB ?? pair.a)
  }
  return { pins: all.map((p, i) => ({ ...p, net: named.get(joined.of(i)) ?? p.net })), merged }
}
