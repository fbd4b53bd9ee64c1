import { InputError } from '../kernel/input-error'
import { parseQuantity } from '../kernel/quantity'
import type { Inlet } from './supply-match'

/** What somebody wrote of the supply that came with a machine, as far as it can be read. */
export interface Brick extends Partial<Pick<Inlet, 'kind' | 'currentA'>> {
  /** As it was written at the door. */
  written: string
  voltageV: number
}

const supplyWord = /\b(brick|adapt[eo]r|psu|power (?:supply|pack)|supply|wall ?wart|transformer|plug ?pack|mains unit)\b/i
const volts = /(\d+(?:[.,]\d+)?)\s*v(?:olts?)?(?![a-z])\s*(ac|dc)?/i
const amperes = /(\d+(?:[.,]\d+)?\s*m?)\s*a(?:mps?)?(?![a-z])/i
/** What runs from a round inlet is made for less; a figure above is the mains, or a slip. Common practice, no source. */
const mostV = 60

/** A figure as far as it is one: what people wrote is read, never refused, and what is being typed may not be a figure yet. */
function figure(typed: string, unit: 'V' | 'A'): number {
  try {
    return parseQuantity(typed.replace(/\s/g, ''), unit)
  } catch (error) {
    if (error instanceof InputError) return NaN
    throw error
  }
}

/**
 * The supply that came with a machine, by the words of whoever booked it in: `9 V brick`, `12 V AC adapter 500 mA`.
 * A figure of the mains beside it is passed over, and so is its polarity: a wrong one harms, so that the inlet’s own is measured.
 * What came with a machine need not belong to it: this proposes, and a person decides.
 * @returns the first that says its voltage; nothing where none does
 * Common practice, no source.
 */
export function brickOf(things: readonly string[]): Brick | null {
  for (const written of things) {
    if (!supplyWord.test(written)) continue
    const said = [...written.matchAll(new RegExp(volts, 'gi'))].map(m => ({ voltageV: figure(m[1]!, 'V'), kind: m[2] ?? /\b(ac|dc)\b/i.exec(written)?.[1] }))
    const own = said.find(s => s.voltageV > 0 && s.voltageV <= mostV)
    if (!own) continue
    const currentA = figure(amperes.exec(written)?.[1] ?? '', 'A')
    return { written, voltageV: own.voltageV, ...(own.kind ? { kind: own.kind.toLowerCase() as Inlet['kind'] } : {}), ...(currentA > 0 ? { currentA } : {}) }
  }
  return null
}

/** A brick gives what its inlet wants within so much; unregulated ones read higher with nothing attached. Common practice, no source. */
const nearShare = 0.25

/**
 * What to ask back of a voltage that is typed for an inlet: one that the brick does not go with, or that no such inlet takes.
 * @returns a question; nothing where there is none
 */
export function askBack(typed: string | number | null, brick: Brick | null): string | null {
  const voltageV = figure(String(typed ?? ''), 'V')
  if (!(voltageV > 0)) return null
  const other = brick && Math.abs(voltageV - brick.voltageV) > nearShare * brick.voltageV ? ` “${brick.written}” came with it.` : ''
  if (voltageV > mostV) return `${voltageV} V into a round inlet? Look at it again.${other}`
  return other ? `${voltageV} V?${other} The label beside the inlet decides.` : null
}
