import Papa from 'papaparse'
import { InputError } from '../../kernel/input-error'
import type { WrongLine } from '../../kernel/places'
import { parseQuantity } from '../../kernel/quantity'
import type { PriceOffer } from './order'
import { readCapacitor } from './read-list'

/** A line of a price list, before it is known whose it is. */
export type PriceLine = Pick<PriceOffer, 'name' | 'spec' | 'pack' | 'breaks'>
export interface PriceList {
  lines: PriceLine[]
  wrong: WrongLine[]
}
const mostPrices = 1000

/** How its columns are called, in small letters; the first two of each pair of a break stand side by side: `from 10`, then its price. */
const columns = { part: /^(part|article|name|description)$/, pack: /^(pack|per pack|pack size)$/, price: /^(price|price of one|each|from (\d+)|(\d+)\+)$/ }

/**
 * Reads a price list of capacitors: `part; pack; price; from 10; from 100`, where a part is written as in a list of capacitors without its place, and a
 * price is of one, from as many on as its heading says.
 * @returns its lines, and those that could not be read, of which none takes another with it
 * @throws InputError where it has no columns that are known, or is longer than any list
 */
export function readPrices(text: string): PriceList {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' }).data
  const heads = (rows[0] ?? []).map(h => h.trim().toLowerCase())
  const at = (shape: RegExp) => heads.findIndex(h => shape.test(h))
  const [part, pack] = [at(columns.part), at(columns.pack)]
  const breaks = heads.flatMap((h, column) => {
    const found = columns.price.exec(h)
    return found ? [{ column, from: Number(found[2] ?? found[3] ?? 1) }] : []
  })
  if (part < 0 || !breaks.length)
    throw new InputError('typed', rows[0]?.join('; ').slice(0, 80), 'The price list: its first row names the columns, such as “part; pack; price; from 10”.')
  if (rows.length - 1 > mostPrices) throw new InputError('typed', '', `The price list: ${mostPrices} lines at most.`)
  const list: PriceList = { lines: [], wrong: [] }
  rows.slice(1).forEach((cells, nth) => {
    const name = (cells[part] ?? '').trim()
    try {
      if (!name) throw new InputError('typed', name, 'It names no part.')
      const size = pack < 0 || !cells[pack]?.trim() ? 1 : parseQuantity(cells[pack], '', 'typed')
      if (!Number.isInteger(size) || size < 1 || size > 10_000) throw new InputError('typed', cells[pack], 'Its pack: a whole number, please.')
      const priced = breaks
        .flatMap(({ column, from }) => (cells[column]?.trim() ? [{ from, price: parseQuantity(cells[column].replace(/[€$£]/g, ''), '', 'typed') }] : []))
        .sort((a, b) => a.from - b.from)
      if (!priced.length) throw new InputError('typed', name, 'It has no price.')
      if (priced.some(({ price }) => price < 0 || price > 1e5)) throw new InputError('typed', name, 'Its price is none that is paid.')
      if (priced.some(({ from }, i) => i > 0 && from === priced[i - 1]!.from)) throw new InputError('typed', name, 'It has two prices for as many.')
      list.lines.push({ name: name.slice(0, 120), spec: readCapacitor(name), pack: size, breaks: priced })
    } catch (error) {
      if (!(error instanceof InputError)) throw error
      list.wrong.push({ line: nth + 2, text: cells.join('; ').slice(0, 120), says: error.message })
    }
  })
  return list
}
