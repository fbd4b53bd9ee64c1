import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'

/** What a probe between two pins says. */
export const contacts = ['joined', 'high', 'open', 'wobbling'] as const
export type Contact = (typeof contacts)[number]
export const contactNames: Record<Contact, string> = { joined: 'Joined', high: 'High', open: 'Open', wobbling: 'Wobbling' }

export interface ContactInput {
  /** What the meter showed one after the other; nothing where it showed no reading, an open circuit. */
  readingsOhm: readonly (number | null)[]
  /** The leads' own, measured tip to tip. */
  leadsOhm?: number
  /** What is expected between the two: 0 for a trace, the value of a resistor or a printed jumper else. */
  expectOhm?: number
  /** Nothing at all is expected between them: two nets side by side. */
  expectOpen?: boolean
}
export interface ContactResult {
  contact: Contact
  /** The middle of the readings with the leads taken off; nothing for open. */
  ohm: number | null
  findings: Finding[]
}

/** A trace or a contact has no more than this. Common practice, no source. */
const traceOhm = 2
/** From here up nothing is joined. Common practice, no source: leakage over a dirty board is some hundred kiloohm and more. */
const openOhm = 100_000
/** A part between two nets may differ from its value by so much, and stay what it is. Common practice, no source. */
const partShare = 0.3
/**
 * Side by side, two nets are joined below the first, and nothing but chips and resistors lies between them above the second.
 * Common practice, no source.
 */
const shortOhm = 10
const throughPartsOhm = 1000
/** Readings that stand still agree within so much, or within so large a share of their middle. Common practice, no source. */
const agreeOhm = 1.5
const agreeShare = 0.25
/** Printed conductive jumpers: 4, 100 or 300 Ω are fine where 200 to 300 is usual. Common practice, no source. */
export const printedJumperOhm = 250
const printedUpToOhm = 400

/**
 * What is between two pins, from readings taken while the probes stood still.
 * Readings that do not agree are wobbling: a crack that a finger closes. Nothing is *joined* by one good reading among bad ones.
 */
export function judgeContact({ readingsOhm, leadsOhm = 0, expectOhm = 0, expectOpen = false }: ContactInput): ContactResult {
  const told = (contact: Contact, ohm: number | null, level: Finding['level'], says: string, because: string): ContactResult => ({
    contact,
    ohm,
    findings: [finding(level, `contact.${contact}`, says, because, commonPractice)],
  })
  const each = readingsOhm.map(r => (r === null ? null : Math.max(0, r - leadsOhm)))
  const kinds = new Set(each.map(r => (expectOpen ? apartOf(r) : kindOf(r, expectOhm))))
  const figures = each.filter((r): r is number => r !== null).sort((a, b) => a - b)
  const middle = figures[Math.floor((figures.length - 1) / 2)] ?? null
  const expected = expectOhm > 0 ? ` ${words(expectOhm)} is expected.` : ''
  if (!each.length) return told('wobbling', null, 'care', 'Nothing was read.', 'Hold the probes still until the figure is steady.')
  // Between nets that are not joined a figure wanders, and what it wanders to says enough.
  const spread = figures.length > 1 && !expectOpen ? figures.at(-1)! - figures[0]! : 0
  if (kinds.size > 1 || spread > Math.max(agreeOhm, agreeShare * (middle ?? 0)))
    return told(
      'wobbling',
      middle,
      'care',
      'It wobbles: ask it again from beyond the socket, without pressure on the pin.',
      `The readings do not agree: ${each.map(r => (r === null ? 'open' : words(r))).join(', ')}. Probe pressure closes a cracked trace and hides it.`,
    )
  const kind = [...kinds][0]!
  if (expectOpen) {
    const shown = middle === null ? 'No reading.' : `${words(middle)} with the leads taken off.`
    if (kind === 'open') return told('open', middle, 'fine', 'Not joined.', shown)
    if (kind === 'joined') return told('joined', middle, 'stop', 'Joined, and they should not be.', `${shown} Solder, crust or a hair of copper between them.`)
    return told('high', middle, 'care', 'There is something between them.', `${shown} A part may, or dirt that conducts: look, clean, and ask again.`)
  }
  if (kind === 'open') return told('open', middle, 'stop', 'Open: the two are not joined.', `${middle === null ? 'No reading' : words(middle)}.${expected}`)
  if (kind === 'high')
    return told(
      'high',
      middle,
      'care',
      'High: something is joined, and badly.',
      `${words(middle!)} with the leads taken off.${expected} A dry joint, a worn contact or a trace nearly eaten through.`,
    )
  return told('joined', middle, 'fine', 'Joined.', `${words(middle!)} with the leads taken off.${expected}`)
}

function kindOf(ohm: number | null, expectOhm: number): Exclude<Contact, 'wobbling'> {
  if (ohm === null || ohm >= Math.max(openOhm, expectOhm * 20)) return 'open'
  if (expectOhm <= 0) return ohm <= traceOhm ? 'joined' : 'high'
  const upTo = expectOhm === printedJumperOhm ? printedUpToOhm : expectOhm * (1 + partShare) + traceOhm
  // Less than the part alone: something else lies across it, or it is shorted. A printed jumper may be as good as a trace.
  if (expectOhm !== printedJumperOhm && ohm < expectOhm * (1 - partShare) - traceOhm) return 'high'
  return ohm <= upTo ? 'joined' : 'high'
}
const apartOf = (ohm: number | null): Exclude<Contact, 'wobbling'> => (ohm === null || ohm > throughPartsOhm ? 'open' : ohm <= shortOhm ? 'joined' : 'high')
const words = (ohm: number) => (ohm >= 1e6 ? `${significant(ohm / 1e6)} MΩ` : ohm >= 1e3 ? `${significant(ohm / 1e3)} kΩ` : `${significant(ohm)} Ω`)
