import type { z } from 'zod'
import { bare } from '#core/identify/look-alike'
import { type LotField, lotFields } from '#core/identify/lot-columns'
import { BookIn } from './commands'
import { type Acquisition, acquisitionNames, acquisitions } from '../../kernel/acquisitions'

/** One machine of a job lot, as it stands in the table: words in cells. */
export type LotRow = Partial<Record<LotField, string>>
/** What is the same for all; a row's own cell goes before it. */
export type LotCommon = LotRow

export interface LotReading {
  /** The request that books it in; nothing while something is wrong. */
  request: z.output<typeof BookIn> | null
  problems: { field: LotField | ''; message: string }[]
}

const severally = (cell: string) =>
  cell
    .split(/[;\n]/)
    .map(one => one.trim())
    .filter(Boolean)

/** How a machine came, from the words people write: our own names for it, or the beginnings of them. */
function acquiredOf(cell: string): Acquisition | string {
  const words = bare(cell)
  const known: Record<string, Acquisition> = {
    gift: 'given',
    donated: 'given',
    donation: 'given',
    present: 'given',
    purchase: 'bought',
    purchased: 'bought',
    auction: 'bought',
    loan: 'lent',
    onloan: 'lent',
    lent: 'lent',
    repair: 'for-repair',
    salvage: 'found',
    cleared: 'found',
  }
  return known[words] ?? acquisitions.find(a => bare(a) === words || bare(acquisitionNames[a]) === words) ?? cell.trim()
}

/** Fields whose name in the request differs from the column's, or that a row does not have. */
const columnOf = (path: PropertyKey[]): LotField | '' => (String(path[0]) in lotFields ? (String(path[0]) as LotField) : '')

/**
 * Reads one row of a job lot as a request to book it in.
 * @param modelOf finds a known model by its name and maker
 * @returns the request, or what is wrong and in which cell
 */
export function readLotRow(row: LotRow, common: LotCommon, modelOf: (name: string, maker: string) => number | null): LotReading {
  const cell = (field: LotField) => row[field]?.trim() || common[field]?.trim() || ''
  const parsed = BookIn.safeParse({
    ...Object.fromEntries((Object.keys(lotFields) as LotField[]).map(f => [f, cell(f)])),
    acquired: acquiredOf(cell('acquired')),
    claims: severally(cell('claims')),
    accessories: severally(cell('accessories')),
    modelId: modelOf(cell('name'), cell('maker')),
  })
  if (parsed.success) return { request: parsed.data, problems: [] }
  return { request: null, problems: parsed.error.issues.map(({ path, message }) => ({ field: columnOf(path), message })) }
}
