import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { photographs } from '../look/index'
import { wantPart } from '../parts/index'
import { waitFor } from '../waits/index'
import { bareCoppers, countedParts } from './schema'

/** So long a mask or a lacquer hardens at least. Common practice, no source. */
const hardenHours = 2

/** Copper that cleaning laid bare: it corrodes again until it is sealed. */
export function findBareCopper({ tx, machine, at, write }: MachineWork, { where }: CommandInput<'find-bare-copper'>): void {
  const { id } = tx.insert(bareCoppers).values({ machineId: machine.id, where, at }).returning().get()
  write('copper.bare', { where }, { subject: { table: 'bareCoppers', id } })
}

export function sealCopper(work: MachineWork, { copperId, version, withWhat, padsFree }: CommandInput<'seal-copper'>): void {
  const { tx, at, write } = work
  const copper = rowOf(work, bareCoppers, copperId, 'bare copper')
  if (copper.sealedAt) throw new NotNow('Somebody has sealed it already.')
  expectVersion(work, copper, version, copper.version, ['where'])
  if (!padsFree) throw new InputError('padsFree', padsFree, 'Pads: clear them first; what is covered can be neither soldered nor probed.')
  tx.update(bareCoppers)
    .set({ sealedAt: at, sealedWith: withWhat, version: copper.version + 1 })
    .where(eq(bareCoppers.id, copperId))
    .run()
  write('copper.sealed', { where: copper.where, withWhat })
  if (withWhat !== 'tin') waitFor(work, 'curing', `${withWhat === 'mask' ? 'Mask' : 'Lacquer'} hardening: ${copper.where}`, hardenHours)
}

/** Small parts taken off, by their count. */
export function countOut({ tx, machine, at, write, file }: MachineWork, { what, out, photographId }: CommandInput<'count-parts-out'>): void {
  if (file().countedParts.some(c => c.back === null && c.what === what))
    throw new InputError('what', what, `What: ${what} are out already. Count them back first, or give these a name of their own.`)
  const map = photographId === null ? null : tx.select().from(photographs).where(eq(photographs.id, photographId)).get()
  if (photographId !== null && (map?.machineId !== machine.id || map.struckBy !== null))
    throw new InputError('photographId', photographId, 'Photograph: choose one of this machine.')
  tx.insert(countedParts).values({ machineId: machine.id, what, out, photographId, at }).run()
  write('counted.out', { what, out })
}

/** Counted back; what is missing is said where it may be, and wanted in the same press. */
export function countBack(work: MachineWork, { countedId, version, back, note, wants }: CommandInput<'count-parts-back'>): void {
  const { tx, machine, write } = work
  const counted = tx
    .select()
    .from(countedParts)
    .where(and(eq(countedParts.id, countedId), eq(countedParts.machineId, machine.id)))
    .get()
  if (!counted) throw new NotFound(`${machine.tag} has nothing of that kind counted out.`)
  expectVersion(work, counted, version, counted.version, ['back'])
  if (counted.back !== null) throw new NotNow('They have been counted back already.')
  const { what, out } = counted
  if (back > out) throw new InputError('back', back, `How many are back: ${out} were counted out. Count again.`)
  if (back < out && note.length < 5)
    throw new InputError('note', note, `Where the rest are: ${out - back} of ${out} are missing. Say where they may be, or that they are lost.`)
  tx.update(countedParts)
    .set({ back, note, version: counted.version + 1 })
    .where(eq(countedParts.id, countedId))
    .run()
  write('counted.back', { what, out, back, note })
  if (wants && back < out) wantPart(work, { name: what, quantity: out - back, stops: 'no-start' })
}
