import { compareInventories } from '#core/identify/inventory/compare-inventories'
import { judgeInventory } from '#core/identify/inventory/judge-inventory'
import { knownPart } from '#core/identify/inventory/known-parts'
import { needOf } from '#core/identify/inventory/rules'
import { socketOf } from '#core/identify/inventory/sockets'
import type { ViewOf } from '#shared/chapters/index'
import { type BesideView, InventoryRow } from '#shared/chapters/inventory/index'
import { asc, eq } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { machineByTag } from '../../kernel/sheet'
import { sistersHaving } from '../../kernel/sisters-having'
import { inventoryLines } from './schema'

/** Sockets of a machine that are needed and empty, with what belongs there where that is known. */
export const emptySockets = ({ inventoryLines, model }: MachineFile): { assembly: string; place: string; what: string }[] =>
  inventoryLines
    .filter(line => line.looked && line.mounting === 'empty' && needOf(line, model?.sockets ?? []) === 'needed')
    .map(({ assembly, place, note }) => ({ assembly, place, what: note.replace(/^for an? /, '') || socketOf(place, model?.sockets ?? [])?.what || '' }))

/** What it is made of, counted, against what was said and published of it. */
export function inventoryView({ tx, file }: ViewInput): ViewOf<'inventory'> {
  const sockets = file.model?.sockets ?? []
  const lines = file.inventoryLines.map(line => {
    const known = line.mounting === 'empty' ? socketOf(line.place, sockets) : null
    return { ...line, need: needOf(line, sockets), note: line.note || known?.what || '' }
  })
  const looked = lines.filter(line => line.looked)
  return {
    inventory: {
      lines: lines.map(line => ({
        id: line.id,
        version: line.version,
        ...InventoryRow.of(line),
        says: line.mounting === 'empty' ? '' : (knownPart(line.marking)?.says ?? ''),
        looked: line.looked,
      })),
      ...judgeInventory({
        lines: looked,
        notSeen: lines.length - looked.length,
        claims: lines.length ? file.claims.filter(claim => claim.verdict !== 'refuted') : [],
        published: file.model?.memorySizes ?? [],
      }),
      sisters: sistersHaving(tx, file, inventoryLines).map(({ rows, ...sister }) => ({ ...sister, lines: rows })),
    },
  }
}

/** Two machines side by side, by what was looked at in each. @throws NotFound */
export function inventoriesBeside(tx: Tx, tag: string, otherTag: string): BesideView {
  const [here, there] = [machineByTag(tx, tag), machineByTag(tx, otherTag)]
  const of = (machineId: number) =>
    tx
      .select()
      .from(inventoryLines)
      .where(eq(inventoryLines.machineId, machineId))
      .orderBy(asc(inventoryLines.id))
      .all()
      .filter(line => line.looked)
      .map(line => ({ ...line, board: line.assembly }))
  const [mine, theirs] = [of(here.id), of(there.id)]
  if (!theirs.length) throw new NotFound(`${otherTag} has no inventory that somebody looked through.`)
  return { here: here.nickname || here.tag, there: there.nickname || there.tag, places: compareInventories(mine, theirs) }
}
