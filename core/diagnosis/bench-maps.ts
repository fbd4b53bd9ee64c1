import { parseQuantity } from '../kernel/quantity'
import { InputError } from '../kernel/input-error'
import { type Base, readAddress } from './address-map'
import type { MatrixKey } from './keyboard-matrix'
import type { MemoryBank, MemoryFailure } from './memory-fault'

/** Maps as people write them down, a line each: which key hangs on which lines, which chip holds which bit. Kept with a model, read at each fault. */

const linesOf = (text: string) =>
  text
    .split('\n')
    .map((line, i) => ({ line: line.trim(), no: i + 1 }))
    .filter(l => l.line)

/**
 * A keyboard: one line a column, its keys from the connector on, a dash where there is none; rows are counted. `C1: 1 2 - Q`
 * @throws InputError for a line without a colon or without keys
 */
export function readKeyboardMap(text: string): Omit<MatrixKey, 'state'>[] {
  return linesOf(text).flatMap(({ line, no }) => {
    const [column = '', rest = ''] = line.split(/:(.*)/s)
    const keys = rest.trim().split(/\s+/).filter(Boolean)
    if (!line.includes(':') || !column.trim() || !keys.length)
      throw new InputError('keys', line, `Line ${no}: the column, a colon, then its keys, such as C1: 1 2 - Q.`)
    return keys.flatMap((key, i) => (key === '-' ? [] : [{ key, row: `R${i + 1}`, column: column.trim() }]))
  })
}

/**
 * Banks of a memory: first and last address, name, and `/2` where each second word is another bank's; after a colon the chips from bit 0 up.
 * @throws InputError for a line that cannot be read
 */
export function readBanks(text: string, base: Base): MemoryBank[] {
  return linesOf(text).map(({ line, no }, i) => {
    const [range = '', chips = ''] = line.split(/:(.*)/s)
    const [from, to, name, ways] = range.trim().split(/\s+/)
    if (!from || !to || !chips.trim())
      throw new InputError('banks', line, `Line ${no}: first, last, name: chips from bit 0 up, such as 4000 7FFF bank-0: IC3 IC4.`)
    return {
      from: readAddress(from, base, 'banks'),
      to: readAddress(to, base, 'banks'),
      name: name ?? `bank ${i}`,
      chips: chips.trim().split(/\s+/),
      ...(ways ? { ways: parseQuantity(ways.replace('/', ''), '', 'banks') } : {}),
    }
  })
}

/** Failures as a memory test prints them: address, expected, read. @throws InputError for a line that cannot be read */
export function readFailures(text: string, base: Base): MemoryFailure[] {
  return linesOf(text).map(({ line, no }) => {
    const [address, expected, read] = line.split(/[\s,;]+/)
    if (!address || !expected || !read) throw new InputError('failures', line, `Line ${no}: address, expected, read.`)
    return { address: readAddress(address, base, 'failures'), expected: readAddress(expected, base, 'failures'), read: readAddress(read, base, 'failures') }
  })
}
