import { expectAllRead } from '#core/kernel/places'
import { InputError } from '#core/kernel/input-error'
import { type InventoryLine, readInventory } from '#core/identify/inventory/read-inventory'
import type { CommandInput } from '#shared/chapters/index'
import { InventoryRow } from '#shared/chapters/inventory/index'
import { and, asc, eq, inArray, sql } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { inventoryLines } from './schema'

type Row = typeof inventoryLines.$inferSelect
/** More than one machine holds. */
const mostOfMachine = 2000
/** So many rows go into one statement. */
const perStatement = 60

const ofMachine = ({ tx, machine }: Pick<MachineWork, 'tx' | 'machine'>, machineId = machine.id): Row[] =>
  tx.select().from(inventoryLines).where(eq(inventoryLines.machineId, machineId)).orderBy(asc(inventoryLines.id)).all()

/** Puts lines on the list of an assembly. @throws InputError at places that are on it already */
function list(work: MachineWork, assembly: string, lines: readonly InventoryLine[], field: string, looked: boolean): void {
  const had = ofMachine(work)
  const there = new Set(had.filter(one => one.assembly === assembly).map(one => one.place))
  const twice = lines.filter(line => there.has(line.place)).map(line => line.place)
  if (twice.length) throw new InputError(field, '', `${twice.slice(0, 5).join(', ')}: listed on ${assembly} already. Leave them out, or change them there.`)
  if (had.length + lines.length > mostOfMachine) throw new InputError(field, '', `${mostOfMachine} lines of one machine at most.`)
  const rows = lines.map(line => ({ ...line, assembly, looked, machineId: work.machine.id }))
  for (let from = 0; from < rows.length; from += perStatement)
    work.tx
      .insert(inventoryLines)
      .values(rows.slice(from, from + perStatement))
      .run()
}

/** Lists what an assembly is made of, as it was typed; a line that cannot be read keeps all of it from being kept. */
export function listInventory(work: MachineWork, { assembly, typed }: CommandInput<'list-inventory'>): void {
  const { lines, wrong } = readInventory(typed)
  expectAllRead(wrong, 'typed')
  if (!lines.length) throw new InputError('typed', typed, 'The list: a line for what is alike, such as U7 4116 15x socketed.')
  list(work, assembly, lines, 'typed', true)
  work.write('inventory.listed', { assembly, count: lines.length, fromTag: null })
}

/** What a sister has, as a list to look through: board by board where this machine has none. What is written on single parts stays with her. */
export function takeOverInventory(work: MachineWork, { fromTag }: CommandInput<'take-over-inventory'>): void {
  const { tx, machine } = work
  const sister = tx.select().from(machines).where(eq(machines.tag, fromTag)).get()
  if (!sister || sister.id === machine.id || sister.modelId === null || sister.modelId !== machine.modelId)
    throw new InputError('fromTag', fromTag, `${fromTag} is no other machine of the same model.`)
  const own = new Set(ofMachine(work).map(one => one.assembly))
  const theirs = ofMachine(work, sister.id).filter(one => !own.has(one.assembly))
  if (!theirs.length) throw new NotNow(`${fromTag} has no list of a board that this machine has none of.`)
  for (const assembly of new Set(theirs.map(one => one.assembly))) {
    const its = theirs
      .filter(one => one.assembly === assembly)
      .map(one => ({ ...InventoryRow.of(one), label: '', dateCode: '', mounting: one.mounting === 'empty' ? one.mounting : ('not-known' as const) }))
    list(work, assembly, its, 'fromTag', false)
    work.write('inventory.listed', { assembly, count: its.length, fromTag })
  }
}

/** What was taken over is in this machine, too: somebody looked. */
export function tickInventory(work: MachineWork, { lineIds }: CommandInput<'tick-inventory'>): void {
  const { tx, machine, write } = work
  const lines = tx
    .select()
    .from(inventoryLines)
    .where(and(eq(inventoryLines.machineId, machine.id), inArray(inventoryLines.id, lineIds)))
    .all()
  if (lines.length !== new Set(lineIds).size) throw new NotFound('One of these lines is not there any more. Look at the list again.')
  const open = lines.filter(line => !line.looked)
  if (open.length)
    tx.update(inventoryLines)
      .set({ looked: true, version: sql`${inventoryLines.version} + 1` })
      .where(
        inArray(
          inventoryLines.id,
          open.map(line => line.id),
        ),
      )
      .run()
  for (const assembly of new Set(open.map(line => line.assembly)))
    write('inventory.looked', { assembly, count: open.filter(line => line.assembly === assembly).length })
}

/** Changes a line: whoever says what it is has looked at it. */
export function changeInventory(work: MachineWork, { lineId, version, ...typed }: CommandInput<'change-inventory'>): void {
  const row = rowOf(work, inventoryLines, lineId, 'line')
  expectVersion(work, row, version, row.version, InventoryRow.names)
  if (typed.mounting !== 'empty' && !typed.marking)
    throw new InputError('marking', '', 'What is printed on it: type it as it stands there, or say that the socket is empty.')
  const there = ofMachine(work).find(one => one.id !== row.id && one.assembly === typed.assembly && one.place === typed.place)
  if (there) throw new InputError('place', typed.place, `${typed.place}: listed on ${typed.assembly} already.`)
  const line = typed.mounting === 'empty' ? { ...typed, marking: '', organisation: '', label: '', dateCode: '', unused: false } : typed
  work.tx
    .update(inventoryLines)
    .set({ ...line, looked: true, version: row.version + 1 })
    .where(eq(inventoryLines.id, row.id))
    .run()
  work.write('inventory.changed', line)
}

export function dropInventory(work: MachineWork, { lineId, version, reason }: CommandInput<'drop-inventory'>): void {
  const row = rowOf(work, inventoryLines, lineId, 'line')
  expectVersion(work, row, version, row.version, InventoryRow.names)
  work.tx.delete(inventoryLines).where(eq(inventoryLines.id, row.id)).run()
  work.write('inventory.dropped', { assembly: row.assembly, place: row.place, reason })
}
