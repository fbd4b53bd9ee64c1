import { v7 as uuidv7 } from 'uuid'
import { runsLow, takeFrom } from '#core/cleaning/shelf'
import { InputError } from '#core/kernel/input-error'
import { type CommandInput, entries } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { journal } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork, Work } from '../../kernel/work'
import { bookingsOf } from './book'
import { sharedThings, shelfMaterials } from './schema'

/** More of either nobody keeps apart. */
const mostOfAKind = 500

/** A name that is taken tells nobody which one is meant. */
function refuseTaken(rows: readonly { id: number; name: string }[], name: string, except: number, what: string): void {
  if (rows.some(r => r.id !== except && r.name.toLowerCase() === name.toLowerCase())) throw new InputError('name', name, `Name: ${name} is ${what} already.`)
  if (!except && rows.length >= mostOfAKind) throw new NotNow(`Up to ${mostOfAKind} are kept here.`)
}
function refuseTurned({ minC, maxC }: { minC: number | null; maxC: number | null }): void {
  if (minC !== null && maxC === null) throw new InputError('maxC', maxC, 'At most, °C: say this too; a thing without it counts as not heated.')
  if (minC !== null && maxC !== null && minC > maxC) throw new InputError('minC', minC, `At least, °C: ${minC} is more than the ${maxC} at most.`)
}

export function addThing({ tx, write }: Work, thing: CommandInput<'add-thing'>): { thingId: number } {
  refuseTaken(tx.select().from(sharedThings).all(), thing.name, 0, 'on another thing')
  refuseTurned(thing)
  const { id } = tx
    .insert(sharedThings)
    .values({ ...thing, uid: uuidv7() })
    .returning()
    .get()
  write('thing.added', { name: thing.name, kind: thing.kind })
  return { thingId: id }
}

export function changeThing(work: Work, { thingId, version, ...thing }: CommandInput<'change-thing'>): void {
  const { tx, write } = work
  const before = tx.select().from(sharedThings).where(eq(sharedThings.id, thingId)).get()
  if (!before) throw new NotFound('There is no such thing.')
  expectVersion(work, before, version, before.version, Object.keys(thing))
  refuseTaken(tx.select().from(sharedThings).all(), thing.name, thingId, 'on another thing')
  refuseTurned(thing)
  const booked = bookingsOf(tx, thingId)
  if (booked.length && (!thing.active || thing.kind !== before.kind || thing.roomL < before.roomL || thing.maxC !== before.maxC || thing.minC !== before.minC))
    throw new NotNow(
      `${before.name} is booked, and its bookings rest on what it is. End them first.`,
      booked.map(b => b.what),
    )
  tx.update(sharedThings)
    .set({ ...thing, version: before.version + 1 })
    .where(eq(sharedThings.id, thingId))
    .run()
  write('thing.changed', { name: thing.name, kind: thing.kind, active: thing.active })
}

/** Since when it is wanted: from the day it runs low until there is enough again. */
const wantedSince = (one: { amount: number; lowAt: number | null; active?: boolean }, before: string | null, at: string) =>
  one.active !== false && runsLow(one) ? (before ?? at) : null

export function addMaterial({ tx, at, write }: Work, material: CommandInput<'add-material'>): { materialId: number } {
  refuseTaken(tx.select().from(shelfMaterials).all(), material.name, 0, 'on the shelf')
  const { id } = tx
    .insert(shelfMaterials)
    .values({ ...material, uid: uuidv7(), wantedSince: wantedSince(material, null, at) })
    .returning()
    .get()
  write('shelf.added', { name: material.name, amount: material.amount, unit: material.unit })
  return { materialId: id }
}

export function changeMaterial(work: Work, { materialId, version, ...material }: CommandInput<'change-material'>): void {
  const { tx, at, write } = work
  const before = tx.select().from(shelfMaterials).where(eq(shelfMaterials.id, materialId)).get()
  if (!before) throw new NotFound('There is no such material.')
  expectVersion(work, before, version, before.version, Object.keys(material))
  refuseTaken(tx.select().from(shelfMaterials).all(), material.name, materialId, 'on the shelf')
  tx.update(shelfMaterials)
    .set({ ...material, version: before.version + 1, wantedSince: wantedSince(material, before.wantedSince, at) })
    .where(eq(shelfMaterials.id, materialId))
    .run()
  write('shelf.changed', { name: material.name, amount: material.amount, unit: material.unit, active: material.active })
}

/** Takes from the shelf what a job used; what runs low is wanted from then on. */
export function useMaterial({ tx, at, write }: MachineWork, { materialId, amount, what }: CommandInput<'use-material'>): void {
  const material = tx.select().from(shelfMaterials).where(eq(shelfMaterials.id, materialId)).get()
  if (!material?.active) throw new InputError('materialId', materialId, 'From the shelf: choose one that is there.')
  const left = takeFrom(material, amount)
  tx.update(shelfMaterials)
    .set({ amount: left, version: material.version + 1, wantedSince: wantedSince({ ...material, amount: left }, material.wantedSince, at) })
    .where(eq(shelfMaterials.id, materialId))
    .run()
  write('shelf.used', { name: material.name, amount, unit: material.unit, what })
}

/** What a job took from the shelf at an instant goes back to it, where that press is taken back. */
export function putBackMaterials({ tx, machine, at, write }: MachineWork, what: string, takenAt: string): void {
  const taken = tx
    .select()
    .from(journal)
    .where(and(eq(journal.machineId, machine.id), eq(journal.kind, 'shelf.used'), eq(journal.at, takenAt)))
    .all()
    .map(entry => entries['shelf.used'].data.parse(JSON.parse(entry.data)))
    .filter(used => used.what === what)
  for (const { name, amount, unit } of taken) {
    const material = tx.select().from(shelfMaterials).where(eq(shelfMaterials.name, name)).get()
    if (!material) continue
    const whole = material.amount + amount
    tx.update(shelfMaterials)
      .set({ amount: whole, version: material.version + 1, wantedSince: wantedSince({ ...material, amount: whole }, material.wantedSince, at) })
      .where(eq(shelfMaterials.id, material.id))
      .run()
    write('shelf.put-back', { name, amount, unit, what })
  }
}
