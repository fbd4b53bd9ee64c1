import { setImmediate } from 'node:timers/promises'
import { heldPlaces, partConditions } from '#core/parts/ledger'
import { needSays } from '#core/parts/needs'
import { specWords } from '#core/parts/substitute/words'
import { type HeldQuery, type HeldView, type WantedPart } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'
import { csvOf } from '../../kernel/csv'
import type { Tx } from '../../kernel/history/journal'
import { listHeld, wantedParts } from './view'

const sliceSize = 200
type Columns<R> = Record<string, (row: R) => string | number>

const like = ({ kind, spec }: Pick<HeldView, 'kind' | 'spec'>) => (kind ? specWords(kind, spec) : '')
const heldColumns: Columns<HeldView> = {
  'Part': h => h.name,
  'How many': h => h.count,
  'Where': h => heldPlaces[h.at],
  'Machine': h => h.tag ?? '',
  'Lies in': h => h.lies,
  'How it is': h => partConditions[h.condition],
  'What it is like': like,
  'Price of one': h => h.unitPrice ?? '',
  'From whom': h => h.source,
  'Whose': h => h.lender,
  'Back to them by': h => h.backBy ?? '',
  'Who has it': h => h.holder,
  'Expected or back by': h => h.dueBy ?? '',
  'Date code': h => h.dateCode,
  'Note': h => h.note,
}
const wantedColumns: Columns<WantedPart> = {
  'Part': p => p.name,
  'How many': p => p.quantity,
  'What it is like': like,
  'For machine': p => p.tag,
  'Which is': p => p.machine,
  'For which place': p => p.place,
  'What hangs on it': needSays,
  'Wanted by': p => p.byWhen ?? '',
  'Who looks for it': p => p.seeker,
  'Wanted since': p => p.wantedAt.slice(0, 10),
}

/** A list as a table to take away, slice by slice, so that others are answered between. */
async function* asCsv<R>(columns: Columns<R>, slice: (page: number) => Page<R>): AsyncGenerator<string> {
  yield '\uFEFF' + csvOf([Object.keys(columns)])
  for (let page = 1; ; page++) {
    const { rows } = slice(page)
    if (rows.length) yield csvOf(rows.map(one => Object.values(columns).map(cell => cell(one))))
    if (rows.length < sliceSize) return
    await setImmediate()
  }
}
/** The ledger, or what of it is asked for. */
export const heldAsCsv = (tx: Tx, query: HeldQuery) => asCsv(heldColumns, page => listHeld(tx, { ...query, page, size: sliceSize }))
/** What is wanted, for whoever goes shopping. */
export const wantedAsCsv = (tx: Tx) => asCsv(wantedColumns, page => wantedParts(tx, { page, size: sliceSize }))
