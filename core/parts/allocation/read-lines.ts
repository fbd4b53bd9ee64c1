import { InputError } from '../../kernel/input-error'
import type { NamedAllocation } from './by-names'

const linesOf = (text: string) =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
const cellsOf = (line: string) => line.split(';').map(cell => cell.trim())
/** `3 × video card` or `video card`. */
function counted(text: string, field: string): { name: string; count: number } {
  const found = /^(\d{1,4})\s*[×x]\s*(.+)$/.exec(text)
  const count = found ? Number(found[1]) : 1
  if (count < 1) throw new InputError(field, text, `“${text}”: from one on.`)
  return { name: found ? found[2]! : text, count }
}

/**
 * Machines as people write them, a line each: `Ferry accounts; 8; video card, 2 × fan, ~sound chip`, where `~` stands before what one function waits for
 * and no start. @throws InputError at `machines`
 */
export function readMachines(text: string): NamedAllocation['machines'] {
  return linesOf(text).map(line => {
    const [name = '', weight = '', wants = ''] = cellsOf(line)
    if (!/^\d+([.,]\d+)?$/.test(weight) || !wants) throw new InputError('machines', line, `“${line}”: name; weight; what it wants, with commas between.`)
    return {
      name,
      weight: Number(weight.replace(',', '.')),
      wants: wants
        .split(',')
        .map(want => want.trim())
        .filter(Boolean)
        .map(want => {
          const starts = !want.startsWith('~')
          const { name: part, count } = counted(want.replace(/^~\s*/, ''), 'machines')
          return { part, count, starts }
        }),
    }
  })
}

const places = { shelf: 'shelf', donor: 'donor', ordered: 'ordered' } as const
/** Parts, a line each: `2 × fan`, with `; donor` or `; ordered` behind it where it is none of the shelf. @throws InputError at `parts` */
export function readParts(text: string): NamedAllocation['parts'] {
  return linesOf(text).map(line => {
    const [what = '', where = 'shelf'] = cellsOf(line)
    const from = places[where.toLowerCase() as keyof typeof places] as (typeof places)[keyof typeof places] | undefined
    if (!from) throw new InputError('parts', line, `“${line}”: behind the part stands shelf, donor or ordered.`)
    const { name, count } = counted(what, 'parts')
    return { name, units: count, from }
  })
}

/** Prices, a line each: `fan; 9.50`. @throws InputError at `prices` */
export function readPricesOf(text: string): NamedAllocation['prices'] {
  return linesOf(text).map(line => {
    const [part = '', price = ''] = cellsOf(line)
    const each = Number(price.replace(',', '.'))
    if (!part || !/^\d/.test(price) || !Number.isFinite(each)) throw new InputError('prices', line, `“${line}”: the part; what one costs.`)
    return { part, each }
  })
}
