import { InputError } from '../kernel/input-error'

/** Which side of a board a pin can be reached from. */
export const sides = ['front', 'back', 'both'] as const
export type Side = (typeof sides)[number]

/** One end of a net: a pin of a part. */
export interface BoardPin {
  part: string
  pin: string
  net: string
  /** Place on the board seen from the front, in millimetres; nothing where nobody knows it. */
  xMm?: number
  yMm?: number
  side?: Side
  /** Its part sits in a socket. */
  socketed?: boolean
}

/** Limits that a person could need, with room to spare: a large main board has 5 000 nets and 30 000 pins. */
export const mostPins = 60_000
export const longestName = 120

/** How a pin is written: `U7.12`. */
export const pinName = ({ part, pin }: Pick<BoardPin, 'part' | 'pin'>) => `${part}.${pin}`

/** The pins of each net, in the order in which they came. */
export function netsOf(pins: readonly BoardPin[]): Map<string, BoardPin[]> {
  const nets = new Map<string, BoardPin[]>()
  for (const pin of pins) {
    const there = nets.get(pin.net)
    if (there) there.push(pin)
    else nets.set(pin.net, [pin])
  }
  return nets
}

/** Pins that belong to no net, as the formats write them. */
export const isNoNet = (net: string) => net === '' || /^(n\/?c|no[ _-]?net|unconnected[-_(].*|no_connect.*)$/i.test(net)

/** What a supply may be called further: `5V_A`, `GND-D`, `VCC.IO`; `VCC_OK` and `5V_EN` are signals. */
const supplyOf =
  /[ _.-]?(a|d|aux|sb|stby|standby|io|i\/o|core|main|in|out|raw|unreg|reg|sw|switched|analog(ue)?|dig(ital)?|mem|ram|cpu|drive|disk|fan|[a-z]?\d{1,2})$/i
const supplyName =
  /^(a?d?p?s?gnd[a-z0-9]*|gnd|ground|earth|chassis|vss[a-z0-9]?|vee|vcc[a-z0-9]?|vdd[a-z0-9]?|vpp|vbb|v[+-]|0v|[+-]\d+(v\d*|[.,]\d+v?)?v?|\d+v\d*|\d+[.,]\d+v|[mpn]\d+v\d*|[+-]?v(bat|batt|in|bus|main|raw)|(batt?|pwr|power)[+-]?)$/i

/**
 * Supply and ground by their usual names; somebody may mark otherwise. Common practice, no source.
 * Numbers alone are no supply: `5` is a net of a schematic, `+5` and `5V` are not.
 */
export function isSupplyNet(net: string): boolean {
  const name = net.trim().replace(/^.*\//, '')
  return supplyName.test(name) || supplyName.test(name.replace(supplyOf, ''))
}

/** @throws InputError for boards that are too large, pins without a name, or a pin that stands in two nets */
export function checkPins(pins: readonly BoardPin[], field = 'pins'): void {
  if (!pins.length) throw new InputError(field, 0, 'Pins: there is none. Give the pins of the board with their nets.')
  if (pins.length > mostPins) throw new InputError(field, pins.length, `Pins: up to ${mostPins}, please; these are ${pins.length}.`)
  const seen = new Map<string, string>()
  pins.forEach((p, i) => {
    if (!p.part.trim() || !p.pin.trim() || !p.net.trim())
      throw new InputError(`${field}.${i}`, pinName(p), `Pin ${i + 1}: part, pin and net have to be said, such as U7, 12, D3.`)
    if ([p.part, p.pin, p.net].some(name => name.length > longestName))
      throw new InputError(`${field}.${i}`, '', `Pin ${i + 1}: a name is longer than ${longestName} characters.`)
    const name = pinName(p)
    const before = seen.get(name)
    if (before !== undefined && before !== p.net)
      throw new InputError(`${field}.${i}`, name, `${name} stands in two nets: ${before} and ${p.net}. One of the two is wrong, or they are one net.`)
    seen.set(name, p.net)
    if ((p.xMm === undefined) !== (p.yMm === undefined)) throw new InputError(`${field}.${i}`, name, `${name}: a place takes both x and y, in mm.`)
    if (p.xMm !== undefined && !(Math.abs(p.xMm) <= 5000 && Math.abs(p.yMm!) <= 5000))
      throw new InputError(`${field}.${i}`, name, `${name}: its place lies more than 5 m off.`)
  })
}

export interface Spot {
  xMm: number
  yMm: number
}
export const hasPlace = <P extends { xMm?: number; yMm?: number }>(p: P): p is P & Spot => p.xMm !== undefined && p.yMm !== undefined
export const distanceMm = (a: Spot, b: Spot) => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm)
