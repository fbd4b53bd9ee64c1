import { type Side } from './board'
import { Gathering, type NetList } from './net-list'

const columns = {
  net: /^(net|signal|node)( ?name)?$/i,
  part: /^(part|ref|refdes|reference|component|designator|ic|chip)$/i,
  pin: /^(pin|pad|leg)( ?(no|number|nr)\.?)?$/i,
  x: /^x( ?\(?mm\)?)?$/i,
  y: /^y( ?\(?mm\)?)?$/i,
  side: /^(side|layer|face)$/i,
} as const
type Column = keyof typeof columns
const sideOf = (cell: string): Side | undefined =>
  /^(f|front|top|component|f\.cu)$/i.test(cell)
    ? 'front'
    : /^(b|back|bottom|solder|b\.cu)$/i.test(cell)
      ? 'back'
      : /^(both|through|\*)?$/i.test(cell)
        ? 'both'
        : undefined

/** Reads a table of net, part, pin and, where there are some, x, y in mm and side; its first row names the columns, in any order. */
export function readTable(rows: readonly (readonly string[])[]): NetList {
  const into = new Gathering()
  const [head = [], ...lines] = rows
  const at = Object.fromEntries(Object.entries(columns).map(([name, words]) => [name, head.findIndex(c => words.test(c.trim()))])) as Record<Column, number>
  const missing = (['net', 'part', 'pin'] as const).filter(c => at[c] < 0)
  if (missing.length) {
    into.wrong(
      1,
      `The first row has to name its columns; ${missing.join(', ')} ${missing.length > 1 ? 'are' : 'is'} missing. It names: ${head.join(', ').slice(0, 120) || 'nothing'}.`,
    )
    return into.as('table')
  }
  lines.forEach((cells, i) => {
    const line = i + 2
    const cell = (name: Column) => (at[name] < 0 ? '' : (cells[at[name]] ?? '').trim())
    if (cells.every(c => !c.trim())) return
    const [net, part, pin] = [cell('net'), cell('part'), cell('pin')]
    if (!net || !part || !pin) return into.wrong(line, `${!net ? 'net' : !part ? 'part' : 'pin'} is empty.`)
    const [x, y] = [Number(cell('x').replace(',', '.')), Number(cell('y').replace(',', '.'))]
    const said = cell('x') !== '' || cell('y') !== ''
    const placed = said && cell('x') !== '' && cell('y') !== '' && Number.isFinite(x) && Number.isFinite(y)
    if (said && !placed) into.wrong(line, `${part}.${pin}: x and y have to be two numbers in mm; it is kept without a place.`)
    const side = sideOf(cell('side'))
    if (!side) into.wrong(line, `${part}.${pin}: side “${cell('side').slice(0, 20)}” is none of front, back, both; both is taken.`)
    into.add(line, { part, pin, net, ...(placed ? { xMm: x, yMm: y } : {}), side: side ?? 'both' })
  })
  return into.as('table')
}
