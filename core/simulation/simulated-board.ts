import { seeded } from '../kernel/random'

/** A net of a simulated board: its pins in the order in which its trace passes them. */
export interface SimulatedNet {
  name: string
  pins: readonly string[]
  supply?: boolean
}

/** What is wrong with a simulated board. */
export const boardTroubles = {
  'board-whole': 'a board with nothing wrong',
  'board-battery': 'two traces eaten through, and a cracked joint that a finger closes',
  'board-high-joint': 'a joint of some hundred ohms',
  'board-short': 'two nets joined that should not be',
} as const
export type BoardTrouble = keyof typeof boardTroubles
export const isBoardTrouble = (name: string): name is BoardTrouble => name in boardTroubles

export type BoardFault =
  /** The trace is gone between two pins of a net that follow each other. */
  | { kind: 'break'; net: string; a: string; b: string }
  /** The joint of this pin is cracked: closed now and then while somebody presses on the pin, open else. */
  | { kind: 'crack'; net: string; pin: string }
  | { kind: 'high'; net: string; a: string; b: string; ohm: number }
  | { kind: 'short'; nets: [string, string]; a: string; b: string; ohm: number }

/** A trace from pin to pin, and what two probes add. Figures are made up in the manner of the bench. */
const traceOhm = 0.05
const probesOhm = 0.3
const shortOhm = 0.8

/**
 * A board made up for practice: where it is broken hangs on the seed alone. It is no model of copper; it answers as a meter would.
 * @param nets up to some thousands; a net of one pin has nothing to be measured
 */
export function simulatedBoard(nets: readonly SimulatedNet[], trouble: BoardTrouble, seed = 1) {
  const faults = faultsOf(nets, trouble, seed)
  const broken = new Map(
    faults.flatMap(f => (f.kind === 'break' ? [[edge(f.a, f.b), Infinity] as const] : f.kind === 'high' ? [[edge(f.a, f.b), f.ohm] as const] : [])),
  )
  const cracked = new Set(faults.flatMap(f => (f.kind === 'crack' ? [f.pin] : [])))
  const roads = new Map<string, [to: string, ohm: number][]>()
  const road = (a: string, b: string, ohm: number) => {
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const)
      roads.set(from, [...(roads.get(from) ?? []), [to, ohm]])
  }
  for (const { pins } of nets) pins.slice(1).forEach((pin, i) => road(pins[i]!, pin, broken.get(edge(pins[i]!, pin)) ?? traceOhm))
  for (const f of faults) if (f.kind === 'short') road(f.a, f.b, f.ohm)
  const random = seeded(seed + 1)
  let looks = 0
  /** Under a finger a crack is closed for a few looks, then open for a few. */
  const closedJustNow = () => looks++ % 5 < 3

  return {
    faults,
    /**
     * What a meter shows between two pins.
     * @param beyond probed behind the joint of a pin, without pressure on it
     * @returns in ohms; nothing for an open circuit
     */
    measure(a: string, b: string, { beyond = false } = {}): number | null {
      for (const pin of [a, b]) if (cracked.has(pin) && (beyond || !closedJustNow())) return null
      const along = wayOhm(roads, a, b)
      return Number.isFinite(along) ? along + probesOhm + random() * 0.02 : null
    },
  }
}

const edge = (a: string, b: string) => `${a}\n${b}`

/** The resistance of the one way between two pins: nets are lines, and what joins two of them makes a longer line. */
function wayOhm(roads: ReadonlyMap<string, [string, number][]>, from: string, to: string): number {
  const reached = new Map([[from, 0]])
  const open = [from]
  for (let at = open.pop(); at !== undefined && at !== to; at = open.pop())
    for (const [next, ohm] of roads.get(at) ?? [])
      if (ohm < Infinity && !reached.has(next)) {
        reached.set(next, reached.get(at)! + ohm)
        open.push(next)
      }
  return reached.get(to) ?? Infinity
}

function faultsOf(nets: readonly SimulatedNet[], trouble: BoardTrouble, seed: number): BoardFault[] {
  const random = seeded(seed)
  const left = nets.filter(n => !n.supply && n.pins.length > 1)
  const take = () => left.splice(Math.floor(random() * left.length), 1)[0]
  const between = ({ pins }: SimulatedNet) => {
    const i = Math.floor(random() * (pins.length - 1))
    return { a: pins[i]!, b: pins[i + 1]! }
  }
  const of = (net: SimulatedNet | undefined, made: (net: SimulatedNet) => BoardFault): BoardFault[] => (net ? [made(net)] : [])
  if (trouble === 'board-battery')
    return [
      ...of(take(), n => ({ kind: 'break', net: n.name, ...between(n) })),
      ...of(take(), n => ({ kind: 'break', net: n.name, ...between(n) })),
      ...of(take(), n => ({ kind: 'crack', net: n.name, pin: n.pins[Math.floor(random() * n.pins.length)]! })),
    ]
  if (trouble === 'board-high-joint') return of(take(), n => ({ kind: 'high', net: n.name, ...between(n), ohm: 120 + Math.round(random() * 200) }))
  if (trouble !== 'board-short') return []
  const [one, other] = [take(), take()]
  return one && other ? [{ kind: 'short', nets: [one.name, other.name], a: one.pins[0]!, b: other.pins[0]!, ohm: shortOhm }] : []
}
